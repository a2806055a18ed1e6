import type { Bucket } from '#core/pricing/ledger-line';

interface BucketName {
  readonly name: string;
  /** One sentence on what it is. */
  readonly meaning: string;
}

/** What the buckets of cost are called on the screen. */
export const BUCKET_NAMES: Record<Bucket, BucketName> = {
  plan: { name: 'Plans', meaning: 'What is paid for the plans themselves, introductory prices included.' },
  payment: { name: 'Payment fees', meaning: 'What card and wallet payments cost, whoever processes them.' },
  transaction: { name: 'Sales fees', meaning: 'What the platform takes of every sale on top of the payment fee.' },
  usage: { name: 'Usage', meaning: 'What is charged by quantity: labels, mailings, storage and the like.' },
  addon: { name: 'Add-ons', meaning: 'Paid additions to a plan.' },
  extra: { name: 'Other costs', meaning: 'What has to be bought beside the plan again and again, such as plug-ins.' },
  once: { name: 'Paid once', meaning: 'Joining fees and what is bought for good, such as a theme.' },
  time: { name: 'Own time', meaning: 'Your own hours at what an hour is worth.' },
  tax: { name: 'Tax on fees', meaning: 'Tax on what was quoted without it, as far as it cannot be reclaimed.' },
  credit: { name: 'Credits', meaning: 'What comes back from the vendor.' },
};
