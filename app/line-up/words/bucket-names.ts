// The words of this screen, in the order in which they stand there.

export const bucketNames = {
  whatIsPaidForThePlans: 'What is paid for the plans themselves, introductory prices included.',
  paymentFees: 'Payment fees',
  whatCardAndWallet: 'What card and wallet payments cost, whoever processes them.',
  salesFees: 'Sales fees',
  whatThePlatformTakes: 'What the platform takes of every sale on top of the payment fee.',
  whatIsChargedByQuantity: 'What is charged by quantity: labels, mailings, storage and the like.',
  paidAdditionsToAPlan: 'Paid additions to a plan.',
  otherCosts: 'Other costs',
  whatHasToBeBought: 'What has to be bought beside the plan again and again, such as plug-ins.',
  paidOnce: 'Paid once',
  joiningFeesAndWhat: 'Joining fees and what is bought for good, such as a theme.',
  ownTime: 'Own time',
  yourOwnHoursAtWhat: 'Your own hours at what an hour is worth.',
  taxOnFees: 'Tax on fees',
  taxOnWhatWas: 'Tax on what was quoted without it, as far as it cannot be reclaimed.',
  whatComesBackFromTheVendor: 'What comes back from the vendor.',
};
