import { decimal, ONE } from '../amount/decimal';
import { daysBetween } from '../calendar/day';
import { dayInWords } from '../calendar/day-words';
import { partsOf, placeOf } from '../price-sheet/parts';
import type { Check, Finding } from './finding';
import { plansWithoutCardFees, sellsSomething } from '../price-sheet/takes-payments';

/** Two statements of the same thing that differ. */
export const contradictionCheck: Check = (sheet) =>
  Object.entries(sheet.figures ?? {}).flatMap(([place, { otherwise }]): Finding[] =>
    otherwise === undefined
      ? []
      : [
          {
            check: 'contradiction',
            place,
            title: 'Stated two ways',
            figures: otherwise,
            question: `Another statement of the same says “${otherwise}”. Which of them holds?`,
          },
        ],
  );

/** Currencies mixed within a sheet. */
export const currencyCheck: Check = (sheet) => {
  const parts = partsOf(sheet);
  const currencies = [...new Set(parts.map(({ currency }) => currency))].sort();
  if (currencies.length < 2) return [];
  const list = currencies
    .map(
      (code) =>
        `${code} for ${parts
          .filter(({ currency }) => currency === code)
          .map(({ label }) => label || 'a plan')
          .join(', ')}`,
    )
    .join('; ');
  return [
    {
      check: 'currencies',
      place: '',
      title: 'Several currencies',
      figures: currencies.join(' '),
      question: `One page mostly has one currency. Here: ${list}. Is that what the page says?`,
    },
  ];
};

/** Two plans, or two add-ons, of one name: which of them a line means cannot be told. */
export const nameCheck: Check = (sheet) => {
  const named = partsOf(sheet).filter(({ label }) => label.trim() !== '');
  const key = (label: string) => label.trim().toLowerCase();
  return named.flatMap(({ id, label }, index): Finding[] =>
    named.findIndex((other) => key(other.label) === key(label)) === index
      ? []
      : [
          {
            check: 'name',
            place: id,
            title: `Another “${label}”`,
            figures: label,
            question: 'Two columns of this sheet have the same name. Give one of them another, or remove it.',
          },
        ],
  );
};

/** A plan that sells, without any statement on payment fees: most likely forgotten, hardly ever nothing. */
export const paymentFeeCheck: Check = (sheet) => {
  if (sheet.kind !== 'offer' || !sellsSomething(sheet.offer)) return [];
  const without = plansWithoutCardFees({ marks: sheet.marks });
  return sheet.offer.plans.flatMap((plan): Finding[] => {
    if (plan.terms.length === 0 || without.has(plan.id) || (plan.charges ?? []).some(({ bucket }) => bucket === 'payment')) return [];
    return [
      {
        check: 'payment-fee',
        place: plan.id,
        title: `${plan.label || 'This plan'}: card fee`,
        figures: '',
        question:
          'Nothing is said about what card payments cost. If orders go only through outside processors, or the plan takes none, say so; else it is missing.',
      },
    ];
  });
};

const HOURS_A_YEAR = 8766;

/** An uptime promise in hours a year, and in sales lost: 99.9% sounds like 99.99%, and is ten times as long away. */
export const uptimeCheck: Check = (sheet, { write, base, salesAYear }) =>
  partsOf(sheet).flatMap((part) =>
    Object.entries(part.features ?? {}).flatMap(([feature, value]): Finding[] => {
      if (!/uptime|availability/.test(feature) || typeof value !== 'string') return [];
      const percent = decimal(value);
      if (percent.lt(90) || percent.gte(100)) return [];
      const away = ONE.minus(percent.div(100));
      const hours = away.times(HOURS_A_YEAR);
      const lost = salesAYear === undefined ? '' : `, about ${write(away.times(salesAYear).toFixed(0))} ${base} of your sales`;
      const words = hours.lt(1) ? `${write(hours.times(60).toFixed(0))} minutes` : `${write(hours.toFixed(hours.lt(10) ? 1 : 0))} hours`;
      return [
        {
          check: 'uptime',
          place: placeOf(part.id, { kind: 'feature', feature }),
          title: `${write(value)}% uptime`,
          figures: value,
          question: `That leaves ${words} a year in which nothing can be sold${lost}. Does the vendor pay anything back for it?`,
        },
      ];
    }),
  );

/** Days after which a sheet should be looked at again. */
const OLD_DAYS = 180;

/** Prices that nobody has looked at for half a year, and offers that have ended. */
export const ageCheck: Check = (sheet, { today }) => {
  const findings: Finding[] = [];
  const age = sheet.seen === undefined ? 0 : daysBetween(sheet.seen, today);
  if (sheet.seen !== undefined && age >= OLD_DAYS)
    findings.push({
      check: 'age',
      place: '',
      title: 'Seen long ago',
      figures: sheet.seen,
      question: `Somebody last looked at this page ${age} days ago. Prices change about once a year: look again, and set the day anew.`,
    });
  for (const [place, { until }] of Object.entries(sheet.figures ?? {}))
    if (until !== undefined && until < today)
      findings.push({
        check: 'offer-over',
        place,
        title: 'The offer is over',
        figures: until,
        question: `It held until ${dayInWords(until)}. Take the offer off, or look whether it has been prolonged.`,
      });
  return findings;
};
