import type { Statement } from '../price-phrase/statement';

const DAYS = String.raw`(\d+)[- ](days?|weeks?)`;
const TRIAL: readonly RegExp[] = [
  new RegExp(String.raw`\b(\d+)[- ](days?|weeks?|months?)[- ](?:free[- ])?trial\b`),
  new RegExp(`^(?:free )?trials? (?:last|run|are|take)s? (?:for )?${DAYS}\\b`),
  new RegExp(`\\bfree[- ]trial(?: of| for|:| lasts| period of)?\\s*(?:\\w+ )?${DAYS}\\b`),
  new RegExp(`\\btrial\\b[^.]{0,30}?(?:of|for|:|lasts|is|period)?\\s*${DAYS}\\b`),
  new RegExp(`\\b(?:try|test|use|tried)\\b[^.]{0,40}?\\bfor ${DAYS}\\b`),
  new RegExp(`\\b(?:try|test)\\b[^.]{0,30}?${DAYS}[- ]free\\b`),
  new RegExp(`\\bfree for(?: the first)? ${DAYS}\\b`),
  /\b(?:try|test)\b[^.]{0,40}\bfor (1) (months?)\b/,
  new RegExp(`\\b${DAYS} (?:for )?free\\b`),
  new RegExp(`^${DAYS} of \\w+,? free\\b`),
  /\b(\d+) free (days?|weeks?)\b/,
  new RegExp(`\\b${DAYS} (?:to (?:try|test)|of trial|trial)\\b`),
  new RegExp(`\\b(?:starts?|begins?|comes?) with ${DAYS} free\\b`),
  new RegExp(`\\bfree ${DAYS} trial\\b`),
  new RegExp(`\\bfree trial (?:of )?${DAYS}\\b`),
  /\b(?:the |your )?first (\d+ )?(days?|weeks?|months?) (?:(?:is |are )?free|costs? nothing|(?:is |are )?on us)\b/,
];
const REFUND: readonly RegExp[] = [
  new RegExp(`\\b${DAYS}[- ](?:money[- ]?back|refund|full refund|return)`),
  new RegExp(`\\b(?:money[- ]?back|refund|refunds|refunded|refundable|returned|money back)\\b[^.]{0,60}?${DAYS}\\b`),
  new RegExp(
    `\\b${DAYS}\\b[^.]{0,60}?\\b(?:money back|refund|refunded|change your mind|money-back|(?:pay|give) you back|return your money)`,
  ),
  new RegExp(`\\b(?:refund|refunds|money back|happy)\\b[^?]*${DAYS}`),
  new RegExp(`\\bno refunds? after ${DAYS}\\b`),
  new RegExp(`\\b${DAYS}[- ](?:satisfaction |no[- ]risk |no[- ]questions?[- ]asked )?guarantee\\b`),
  /\b(?:money[- ]back|refunds?) (?:in|within|during|for) (?:the |your )?first (\d+ )?(days?|weeks?|months?)\b/,
  new RegExp(`\\breturn (?:it|them|any|every|your|the|all)\\b[^.]{0,30}?\\b(?:within|for|in) ${DAYS}\\b`),
];
const NO_REFUND = /\b(?:no refunds?|not refunded|do not (?:give|offer) refunds?|non-refundable)\b/;
const REFUNDED_WITHIN = new RegExp(`refund(?:ed|s)? (?:in|within|after) ${DAYS}`);
const ASKS_REFUND = /\b(?:refunds?|money[- ]back|don'?t like|not happy|change my mind)\b/;
const ASKS_TRIAL = /\btrial\b|\b(?:can|may|could) i (?:try|test)\b/;

const COUNTS: Readonly<Record<string, string>> = { one: '1', two: '2', three: '3', four: '4', six: '6' };

/** Days of trial and days in which money is given back, as a sentence states them; weeks count seven days. */
export function dayStatements(plain: string, question: string): Statement[] {
  const text = plain
    .toLowerCase()
    .replace(/\b(?:a )?fortnight\b/g, '14 days')
    .replace(/\b(?:for|whole|full) (?:a|one) (?:whole |full )?(?=week\b)/g, 'for 1 ')
    .replace(/\bfree for (?:a|one) (?:whole |full )?(?=month\b)/g, 'free for 1 ')
    .replace(/\b(?:try|test) ([^.]{0,40}?) free for (?=1 month)/g, 'try $1 for ')
    .replace(/\b(one|two|three|four|six) (?=weeks?\b|days?\b)/g, (word) => `${COUNTS[word.trim()] ?? word} `);
  // What is paid for is no free trial.
  const isPaid = /\btrial (?:for|at|costs?) (?:only |just )?¤0*[1-9.]/.test(text);
  const trial = isPaid ? null : (daysIn(text, TRIAL) ?? (ASKS_TRIAL.test(question.toLowerCase()) ? bareDays(text) : null));
  // "Yearly payments within 30 days; monthly payments are not refunded."
  const returned = text
    .split(/;\s+/)
    .filter((part) => !NO_REFUND.test(part) || REFUNDED_WITHIN.test(part))
    .join('; ');
  const refund = daysIn(returned, REFUND) ?? (ASKS_REFUND.test(question.toLowerCase()) ? bareDays(returned) : null);
  const isOnlyRefund = refund !== null && trial === refund && !/\btrial|\bfree\b|\btry\b/.test(text);
  return [
    ...(trial !== null && !isOnlyRefund ? [{ kind: 'trial', days: trial } as const] : []),
    ...(refund !== null ? [{ kind: 'refund', days: refund } as const] : []),
  ];
}

function monthsIn(text: string, patterns: readonly RegExp[]): number | null {
  const said = patterns.map((pattern) => pattern.exec(text)?.[1]).find((count) => count !== undefined);
  return said === undefined ? null : (MONTHS_IN_WORDS[said] ?? Number(said));
}

function savingOf(monthsFree: number | null): YearlySaving | null {
  return monthsFree !== null && monthsFree > 0 && monthsFree < A_YEAR ? { monthsFree } : null;
}

function daysIn(text: string, patterns: readonly RegExp[]): number | null {
  for (const pattern of patterns) {
    const [all, count = '1', unit = ''] = pattern.exec(text) ?? [];
    if (all !== undefined) return inDays(Number(count), unit);
  }
  return null;
}

function bareDays(text: string): number | null {
  const [, count, unit = ''] = new RegExp(DAYS).exec(text) ?? [];
  return count === undefined ? null : inDays(Number(count), unit);
}

function inDays(count: number, unit: string): number | null {
  if (unit.startsWith('week')) return count * 7;
  if (!unit.startsWith('month')) return count;
  return count <= 3 ? count * 30 : null;
}

/** Whether prices are stated without or with tax; null where a line does not say. */
export function taxStatedIn(plain: string): boolean | null {
  const text = plain.toLowerCase();
  if (!/\b(vat|tax|taxes|gst|mwst)\b/.test(text)) return null;
  if (
    /\b(exclud\w*|excl\.?|without|plus|before|not includ\w*|do not include|no\. |\+|is added|are added|ex)\b[^.]{0,25}\b(vat|tax|taxes|gst)\b|\b(vat|tax|taxes)\b[^.]{0,20}\b(excluded|extra|is added|are added|not included)\b/.test(
      text,
    )
  )
    return true;
  return /\b(includ\w*|incl\.?|with)\b[^.]{0,25}\b(vat|tax|taxes|gst)\b|\b(vat|tax|taxes)\b[^.]{0,20}\b(included)\b/.test(text)
    ? false
    : null;
}

/** Whether a line says that joining costs nothing. */
export function isWithoutJoiningFee(plain: string): boolean {
  return /\b(?:no|without|zero|never a|free of) (?:hidden )?(?:set[- ]?up|joining|activation|sign-?up|onboarding)(?:[ -](?:fees?|costs?|charges?))?\b|^free (?:set-?up|joining|activation)\b|\b(?:do not|don['’]t|never) charge (?:you )?(?:for|to) (?:setting up|set ?up|join(?:ing)?)\b|\b(?:set[- ]?up|joining|activation)(?: fees?| costs?)?:? ¤0(?:\.0+)?(?![\d.]\d)|(?:^|[;,.] )(?:set[- ]?up|joining|activation|onboarding)(?: fees?| costs?)?(?: is| are|:| [-–—])? ?(?:always )?(?:free(?: of charge)?|none|nothing|included)[.!]?$/i.test(
    plain,
  );
}

/** Whether an answer says no, and nothing else. */
export function isPlainNo(plain: string): boolean {
  return /^(?:no|none|never|nothing)(?:, (?:never|none|not at all|nothing|we (?:do not|don['’]t)))?(?: never| ne)?(?:,? there (?:is|are) none|,? (?:it['’]s|it is|that['’]s) free)?[.!]?$/i.test(
    plain,
  );
}

/** What paying by the year saves, as a line advertises it: months free, or a rounded percentage. */
export interface YearlySaving {
  readonly monthsFree?: number;
  readonly percent?: string;
}

/** How many months, in digits or in words. */
const MONTHS = String.raw`(\d+|one|two|three|nine|ten|eleven)`;
const MONTHS_IN_WORDS: Readonly<Record<string, number>> = { one: 1, two: 2, three: 3, nine: 9, ten: 10, eleven: 11 };
const A_YEAR = 12;

/** "Save 2 months" alone: what else saves whole months? */
const SAVED_ALONE = new RegExp(String.raw`^save ${MONTHS} months?[.!]?$`);
const MONTHS_FREE: readonly RegExp[] = [
  new RegExp(String.raw`\b(?:12 months|twelve months|a year|yearly)\b.{0,20}\bget ${MONTHS} (?:months? |of them )?(?:for )?free\b`),
  new RegExp(String.raw`\b${MONTHS} months? (?:for |are |is )?(?:free|on us|on the house)\b`),
  new RegExp(String.raw`\b(?:get|saves?(?: you)?) ${MONTHS} months?\b`),
];
const MONTHS_PAID: readonly RegExp[] = [
  new RegExp(
    String.raw`\b(?:12 months|twelve months|a year|one year) (?:for (?:the price of )?|at the price of )${MONTHS}\b(?! (?:years|%))`,
  ),
  new RegExp(String.raw`\b(?:pay|costs?) (?:only |for |only for |just )?${MONTHS}(?: of(?: the)? (?:12|twelve))? months?\b`),
];
const LAST_MONTH_FREE = /\b(?:12th|twelfth|last) month (?:is |comes )?(?:for )?(?:free|on us|on the house)\b/;

/**
 * What a line says that paying by the year saves; a saving of no month, or of all of them, is none.
 *
 * @example yearlySavingIn('Pay yearly – 2 months free') // { monthsFree: 2 }
 */
export function yearlySavingIn(plain: string): YearlySaving | null {
  const text = plain.toLowerCase();
  if (SAVED_ALONE.test(text)) return savingOf(monthsIn(text, [SAVED_ALONE]));
  if (!/\b(year|yearly|annual|annually|12 months|twelve months)\b/.test(text)) return null;
  if (LAST_MONTH_FREE.test(text)) return savingOf(1);
  const free = monthsIn(text, MONTHS_FREE.slice(0, 1));
  const paid = free === null ? monthsIn(text, MONTHS_PAID) : null;
  const months = free ?? (paid === null || paid >= A_YEAR ? monthsIn(text, MONTHS_FREE) : A_YEAR - paid);
  if (months !== null) return savingOf(months);
  const percent =
    /\bsav(?:e|es|ing|ings)\b[^.%]{0,20}?(\d+(?:\.\d+)?)%|(?:^|[^\d.])[-−–] ?(\d+(?:\.\d+)?)%|(\d+(?:\.\d+)?)% (?:off|less|cheaper|discount)/.exec(
      text,
    );
  const found = percent?.[1] ?? percent?.[2] ?? percent?.[3];
  return found === undefined ? null : { percent: found };
}
