/** Ways of paying that are no card and have rates of their own, by the name that expected sales give them. */
const WAYS: ReadonlyArray<readonly [RegExp, string]> = [
  [/\b(?:direct|bank) debits?\b|\bsepa\b/, 'direct-debit'],
  [/\b(?:bank|credit|wire) transfers?\b|\bbank (?:payments?|redirects?)\b|\bpay(?:ments?)? by bank\b|^by bank$/, 'bank-transfer'],
  [/\bpay(?:ment)?[- ]later\b|\binstal?ments?\b/, 'pay-later'],
  [/\b(?:payment|pay|by) links?\b|\blinks?\b/, 'payment-link'],
  [/\binvoic(?:es?|ing)\b/, 'invoice'],
  [/\bwallets?\b/, 'wallet'],
  [/\bvouchers?\b/, 'voucher'],
  [/\b(?:card on file|saved cards?)\b/, 'card-on-file'],
  [
    /\b(?:keyed|typed|entered)(?:[- ]in| by hand| manually)?\b|\b(?:over the|by) (?:tele)?phone\b|\bmanual(?:ly)? (?:card )?(?:entry|entered|keyed|payments?)\b/,
    'keyed',
  ],
];
/** Those that are paid from an account, in the same way at the till as on a website. */
const BY_ACCOUNT: ReadonlySet<string> = new Set(['direct-debit', 'bank-transfer', 'pay-later']);
const LOOSELY = /\b(?:debits?|transfers?|redirects?|wallets?|vouchers?|pay later|invoices?|cash|cheques?|bank payments?)\b/;
const NAMED =
  /\b(direct debit|bank debit|buy now,? pay later|pay later|debit|payment links?|invoices?|wallets?|card on file|bank transfer|instant payout|payouts?|currency conversion|conversion|(?:keyed|typed)(?:[- ]in)?(?: cards?| payments?)?|credit cards?|amex)\b/;
const ABROAD =
  /\b(?:international|foreign|abroad|overseas|non-[a-z]+|cross-?border|elsewhere|(?:all )?others?(?! (?:paid |higher )?(?:plans?|tiers?|packages?|ways?|methods?|options?|payment methods?)\b)|rest of the world|outside|(?:everything|anything) else|rest)\b/;
const SPECIAL = /\b(premium|business|commercial|corporate|company|amex)\b/;
const REGIONS: ReadonlyArray<readonly [RegExp, Region]> = [
  [/\b(?:uk|british|britain|united kingdom)\b/, { name: 'uk', currency: 'GBP' }],
  [/\b(?:europe|european|eu|eea)\b/, { name: 'europe', currency: 'EUR' }],
  [/\b(?:us|american|united states)\b/, { name: 'us', currency: 'USD' }],
];

/** Where cards come from that a rate is about. */
export interface Region {
  readonly name: string;
  /** Of its sellers, as an ISO code: whoever is paid in it has these cards from home. */
  readonly currency: string;
}

/**
 * The way of paying, other than a card, that words are about.
 *
 * @param words - in small letters
 * @example wayOf('sepa direct debit') // 'direct-debit'
 */
export function wayOf(words: string): string | null {
  return WAYS.find(([pattern]) => pattern.test(words))?.[1] ?? null;
}

/** Whether a name, as of the cards that a fee is for, is that of a way of paying other than a card. */
export function isWay(name: string): boolean {
  return WAYS.some(([, way]) => way === name);
}

/** Whether words, in small letters, are about paying from an account: in the same way wherever one stands. */
export function isByAccount(words: string): boolean {
  const way = wayOf(words);
  return way !== null && BY_ACCOUNT.has(way);
}

/** Whether words, in small letters, may name a way of paying, as the line above an amount does: "Cash", "Debits". */
export function namesAWay(words: string): boolean {
  return LOOSELY.test(words);
}

/** What a fee that has no other name is called by, in the words of the page; empty where they name nothing. */
export function namedWay(words: string): string {
  return NAMED.exec(words)?.[0] ?? '';
}

/** Whether words, in small letters, are about cards from other countries than the seller's, or about all the others. */
export function isAbroad(words: string): boolean {
  return ABROAD.test(words);
}

/** A kind of cards beside the usual ones, such as "premium", in small letters; null for the usual ones. */
export function specialCards(words: string): string | null {
  return SPECIAL.exec(words)?.[1] ?? null;
}

/** Where the cards come from that words, in small letters, are about; null where they do not say. */
export function regionOf(words: string): Region | null {
  return REGIONS.find(([pattern]) => pattern.test(words))?.[1] ?? null;
}
