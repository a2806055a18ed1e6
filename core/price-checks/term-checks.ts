import { decimal, HUNDRED, ONE } from '../amount/decimal';
import type { Term } from '../decision-file/price-sheet-schema';
import { evidenceOf } from '../price-sheet/figure-notes';
import { type Part, partsOf, placeOf } from '../price-sheet/parts';
import { termWords } from '../wording/term-words';
import type { Check, Finding } from './finding';

const priceOf = (part: Part, months: number) => part.terms?.find((term) => term.months === months)?.price ?? null;
const nameOf = ({ label }: Part) => label || 'This plan';

/** An advertised saving by the year that the figures do not give; half a percent either way is rounding. */
export const savingCheck: Check = (sheet, { write }) =>
  partsOf(sheet).flatMap((part): Finding[] => {
    const percent = sheet.savings?.[part.id];
    if (percent === undefined) return [];
    const [monthly, yearly] = [priceOf(part, 1), priceOf(part, 12)];
    const finding = {
      check: 'saving',
      place: placeOf(part.id, { kind: 'saving' }),
      title: `“Save ${write(percent)}%” by the year?`,
      figures: `${percent} ${monthly} ${yearly}`,
    };
    if (monthly === null || yearly === null || decimal(monthly).isZero())
      return [
        {
          ...finding,
          question: `The page says so for ${nameOf(part)}, but the sheet has no ${monthly === null ? 'price by the month' : 'price by the year'} to hold against it. What is it?`,
        },
      ];
    const paidMonthly = decimal(monthly).times(12);
    const real = ONE.minus(decimal(yearly).div(paidMonthly)).times(HUNDRED);
    if (real.minus(percent).abs().lte('0.5')) return [];
    return [
      {
        ...finding,
        question: `The page says so for ${nameOf(part)}. Its own figures give ${write(real.toFixed(1))}%: ${write(yearly)} instead of ${write(paidMonthly.toFixed())}. Which of them is wrong?`,
      },
    ];
  });

const BILLED_YEARLY = /\b(billed|paid|charged|payable)\b[^.;]*\b(yearly|annually|by the year|per year|a year)\b/i;

/** Words that name both ways of paying state the price by the month themselves. */
const BILLED_MONTHLY = /\bmonth[- ](?:to|by)[- ]month\b|\b(?:billed|paid|charged|pay) (?:by the |each |per |a )?month(?:ly)?\b/i;

/** A price by the month that is billed by the year: a year that costs no more than three months, or words that say so. */
export const monthForYearCheck: Check = (sheet, { write }) =>
  partsOf(sheet).flatMap((part) =>
    (part.terms ?? []).flatMap((term): Finding[] => {
      const place = placeOf(part.id, { kind: 'term', months: term.months });
      const monthly = priceOf(part, 1);
      if (term.price === null) return [];
      const finding = { check: 'month-for-year', place, figures: `${term.price} ${monthly}` };
      if (term.months === 12 && monthly !== null && decimal(term.price).gt(0) && decimal(term.price).lt(decimal(monthly).times(3)))
        return [
          {
            ...finding,
            title: `${nameOf(part)}, by the year`,
            question: `${write(term.price)} for a whole year, when a month costs ${write(monthly)}? Pages often quote the month and bill the year: should it be ${write(decimal(term.price).times(12).toFixed())}?`,
          },
        ];
      const { stated } = evidenceOf(sheet, place);
      if (term.months === 1 && stated !== undefined && BILLED_YEARLY.test(stated) && !BILLED_MONTHLY.test(stated))
        return [
          {
            ...finding,
            title: `${nameOf(part)}, by the month`,
            question: `The page’s words say “${stated}”. Is ${write(term.price)} a month really paid by the month, or ${write(decimal(term.price).times(12).toFixed())} once a year?`,
          },
        ];
      return [];
    }),
  );

/** An introductory price, or a price for two years and more, without what is paid after it. */
export const renewalCheck: Check = (sheet, { write }) =>
  partsOf(sheet).flatMap((part) =>
    (part.terms ?? []).flatMap((term): Finding[] => {
      const title = `${nameOf(part)}, ${termWords(term.months)}`;
      const finding = {
        check: 'renewal',
        place: placeOf(part.id, { kind: 'term', months: term.months }),
        title,
        figures: JSON.stringify([term.price, term.intro ?? null]),
      };
      if (term.intro && term.price === null)
        return [
          {
            ...finding,
            question: `The introductory price is stated (${introWords(term, write)}), the price after it is not. What does the second term cost?`,
          },
        ];
      const monthly = priceOf(part, 1);
      const isLowAndLong =
        term.months >= 24 &&
        term.price !== null &&
        !term.intro &&
        monthly !== null &&
        decimal(term.price).lt(decimal(monthly).times(term.months).div(2));
      return isLowAndLong
        ? [
            {
              ...finding,
              question: `Less than half the price by the month, for ${term.months} months: is ${write(term.price ?? '')} the price of the first term only? What does it renew at?`,
            },
          ]
        : [];
    }),
  );

function introWords({ intro }: Term, write: (decimal: string) => string): string {
  if (!intro) return '';
  if ('off' in intro) return `${write(intro.off)}% off`;
  return intro.price === null ? 'not known' : write(intro.price);
}
