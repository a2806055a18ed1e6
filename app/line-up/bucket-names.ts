import type { Bucket } from '#core/pricing/ledger-line';
import { bucketNames as words } from './words/bucket-names';

interface BucketName {
  readonly name: string;
  /** One sentence on what it is. */
  readonly meaning: string;
}

/** What the buckets of cost are called on the screen. */
export const BUCKET_NAMES: Record<Bucket, BucketName> = {
  plan: { name: 'Plans', meaning: words.whatIsPaidForThePlans },
  payment: { name: words.paymentFees, meaning: words.whatCardAndWallet },
  transaction: { name: words.salesFees, meaning: words.whatThePlatformTakes },
  usage: { name: 'Usage', meaning: words.whatIsChargedByQuantity },
  addon: { name: 'Add-ons', meaning: words.paidAdditionsToAPlan },
  extra: { name: words.otherCosts, meaning: words.whatHasToBeBought },
  once: { name: words.paidOnce, meaning: words.joiningFeesAndWhat },
  time: { name: words.ownTime, meaning: words.yourOwnHoursAtWhat },
  tax: { name: words.taxOnFees, meaning: words.taxOnWhatWas },
  credit: { name: 'Credits', meaning: words.whatComesBackFromTheVendor },
};
