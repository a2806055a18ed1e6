import { decimal } from '../amount/decimal';
import { type PricedDecision, priceDecision } from '../comparison/decision-result';
import type { ChargeOf } from '../rules/charges/kinds';
import type { Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';
import { monthSentences } from '../explain/month-sentences';
import { answerDecision } from '../questions/answer-decision';
import { exampleFile } from './example-file';
import { BETWEEN_TWO, MOVING_UP, ORDER_SIZES } from './larger-examples';
import type { ExampleWriter, WorkedExample } from './worked-example';

const MONTHS_OF_EXAMPLE = 12;

/** The ledger of some months in sentences, each with its month where there are several. */
function lines(priced: PricedDecision, months: readonly number[], write: ExampleWriter): string[] {
  return months.flatMap((month) =>
    monthSentences(priced, { candidate: 'A', month }, (text) => write.number(text)).map((sentence) =>
      months.length === 1 ? sentence : `${write.month(priced.result.months[month] ?? '')}. ${sentence}`,
    ),
  );
}

const totalOf = ({ candidates: [only] }: PricedDecision) => only?.result.total ?? '0';
const total = (priced: PricedDecision, write: ExampleWriter) =>
  `All ${priced.result.months.length} months together: ${write.money(totalOf(priced), 'EUR')}.`;

/** An example whose months are told, and what they come to in all. */
function ofMonths(given: string, file: DecisionFile, months: readonly number[], hasTotal = false): WorkedExample {
  return {
    given,
    told(write) {
      const priced = priceDecision(file);
      return [...lines(priced, months, write), ...(hasTotal ? [total(priced, write)] : [])];
    },
  };
}

/** A plan with a fee on orders. */
const fee = (charge: Omit<ChargeOf<'per-order'>, 'id' | 'label' | 'how'>): Pick<Plan, 'charges'> => ({
  charges: [{ id: 'fee', label: 'Transaction fee', how: 'per-order', ...charge }],
});

/** A plan that costs nothing by itself, to show a charge by. */
const FREE: Pick<Plan, 'terms'> = { terms: [{ id: 'term', months: 0, price: '0' }] };

/** Every rule that is told in plain words, shown by an example (decision file, the section named). */
export const WORKED_EXAMPLES = {
  /** §5, Ledger. */
  total: ofMonths(
    'Grow costs 18.00 a month and takes 2% of every sale; 100 orders of 40.00 a month.',
    exampleFile({ plan: fee({ percent: '2' }) }),
    [0],
    true,
  ),
  /** §3, Terms. */
  terms: {
    given: 'Grow is paid by the year, 216.00; one looks 18 months ahead.',
    told(write) {
      const priced = priceDecision(
        exampleFile({ plan: { terms: [{ id: 'term', months: MONTHS_OF_EXAMPLE, price: '216' }] }, file: { months: 18 } }),
      );
      const ahead = priced.candidates[0]?.result.prepaid ?? '0';
      return [
        ...lines(priced, [0, MONTHS_OF_EXAMPLE], write),
        total(priced, write),
        `Of that, ${write.money(ahead, 'EUR')} is for months past the 18 and is shown beside the total.`,
      ];
    },
  },
  /** §3, Terms. */
  introduction: ofMonths(
    'The first three months cost 3.20, all later ones 11.40.',
    exampleFile({ plan: { terms: [{ id: 'term', months: 1, price: '11.40', intro: { price: '3.20', periods: 3 } }] } }),
    [2, 3],
    true,
  ),
  /** §4, `per-order`. */
  fees: ofMonths('Each order costs 2.6% and 0.25.', exampleFile({ plan: { ...FREE, ...fee({ percent: '2.6', each: '0.25' }) } }), [1]),
  /** §2, `orderSizes`. */
  sizes: ORDER_SIZES,
  /** §4, `package` and `free`. */
  allowance: ofMonths(
    '250 labels a month; 50 are free, and the rest are sold in packs of 100 at 5.00.',
    exampleFile({
      plan: {
        ...FREE,
        charges: [{ id: 'labels', label: 'Labels', how: 'package', on: 'labels', size: '100', each: '5', free: '50' }],
      },
      drivers: { labels: '250' },
    }),
    [1],
  ),
  /** §4, `graduated`. */
  bands: ofMonths(
    '300 contacts: the first 120 cost 0.10 each, those up to 600 cost 0.06.',
    exampleFile({
      plan: {
        ...FREE,
        charges: [
          {
            id: 'contacts',
            label: 'Contacts',
            how: 'graduated',
            on: 'contacts',
            bands: [
              { upTo: '120', each: '0.10' },
              { upTo: '600', each: '0.06' },
            ],
          },
        ],
      },
      drivers: { contacts: '300' },
    }),
    [1],
  ),
  /** §4, `monthlyMin`, `monthlyCap`. */
  caps: ofMonths(
    'Every sale costs 2%, but never more than 50.00 a month.',
    exampleFile({ plan: { ...FREE, ...fee({ percent: '2', monthlyCap: '50' }) } }),
    [1],
  ),
  /** §5, Rounding. */
  currencies: ofMonths(
    'Grow costs 9.99 US dollars a month; a dollar is 0.92 euros.',
    exampleFile({ plan: { currency: 'USD', terms: [{ id: 'term', months: 1, price: '9.99' }] }, file: { rates: { USD: '0.92' } } }),
    [0],
    true,
  ),
  /** §5, tax. */
  tax: ofMonths(
    'Grow’s 18.00 is quoted without tax; 19% comes on top and cannot be claimed back.',
    exampleFile({ plan: { taxExcluded: true }, file: { feeTax: '19' } }),
    [0],
    true,
  ),
  /** §5, `hours`. */
  time: ofMonths(
    'Setting up takes 6 hours, looking after it 1.5 a month; an hour of yours is worth 20.00.',
    exampleFile({ candidate: { hours: { setup: '6', monthly: '1.5' } }, file: { hourValue: '20' } }),
    [0],
    true,
  ),
  /** §3, Spread basis. */
  spread: ofMonths(
    'Grow is paid by the year, 216.00, and payments are spread over the months they pay for.',
    exampleFile({ plan: { terms: [{ id: 'term', months: MONTHS_OF_EXAMPLE, price: '216' }] }, file: { basis: 'spread' } }),
    [0, 1],
    true,
  ),
  /** §6. */
  limits: {
    given: 'Grow allows 150 orders a month. There are 100 in January, and 10 more each month.',
    told(write) {
      const { candidates } = priceDecision(
        exampleFile({ plan: { limits: { orders: '150' } }, stream: { orders: { start: '100', add: '10' } } }),
      );
      const outgrown = candidates[0]?.result.outgrown;
      return [
        outgrown
          ? `It is outgrown in ${write.month(outgrown.month)}, and so can’t be chosen for the whole year; a way that leaves it before then can.`
          : 'It is never outgrown.',
      ];
    },
  },
  /** Conventions: not known is not zero. */
  unknown: {
    given: 'Grow takes a fee on every order, but nobody has found out how much.',
    told(write) {
      const priced = priceDecision(exampleFile({ plan: fee({ percent: null }) }));
      return [`The total is at least ${write.money(totalOf(priced), 'EUR')}, and Grow does not come first until the fee is known.`];
    },
  },
  /** §8. */
  breakEven: {
    given: 'One plan costs 10.00 a month and 5% of sales, the other 30.00 and 1%.',
    told(write) {
      const { breakEven } = answerDecision(BETWEEN_TWO);
      const sales = breakEven?.[0]?.at[0]?.monthlySales ?? '0';
      return [
        `They cost the same where 4% of sales is 20.00: at sales of ${write.money(sales, 'EUR')} a month.`,
        'Below that the first is cheaper, above it the second.',
      ];
    },
  },
  /** §9. */
  moving: MOVING_UP,
  /** §7, `keep`; §5, `lift`. */
  kept: {
    given: 'Of sales of 4,000.00 a month, half is left after the goods; Grow costs 18.00 and brings 5% more orders.',
    told(write) {
      const [plain, lifted] = ['0', '5'].map(
        (lift) => priceDecision(exampleFile({ candidate: { lift } })).candidates[0]?.result.keep ?? '0',
      );
      const more = decimal(lifted ?? '0')
        .minus(plain ?? '0')
        .toFixed(2);
      return [
        `Over the 12 months you keep ${write.money(lifted ?? '0', 'EUR')}: half of the sales, less what Grow costs.`,
        `Without the 5% it would be ${write.money(plain ?? '0', 'EUR')}: the lift is worth ${write.money(more, 'EUR')}.`,
      ];
    },
  },
} satisfies Readonly<Record<string, WorkedExample>>;

/** A rule that is told in plain words. */
export type RuleTold = keyof typeof WORKED_EXAMPLES;
