import type { Plan } from '../decision-file/price-sheet-schema';
import type { DecisionFile } from '../decision-file/schema';

const STREAM = { id: 'kites', label: 'Kites', kind: 'goods', orders: '100', orderValue: '40', margin: '50' } as const;

/** What an example changes of {@link exampleFile}. */
export interface ExampleChange {
  readonly plan?: Partial<Plan>;
  readonly stream?: Partial<DecisionFile['forecast']['streams'][number]>;
  readonly candidate?: Partial<DecisionFile['candidates'][number]>;
  readonly file?: Partial<DecisionFile>;
  readonly drivers?: DecisionFile['forecast']['drivers'];
}

/** A small decision to show one rule by: 100 orders of 40.00 a month over a year, on a plan of 18.00 a month, joined in January. */
export function exampleFile({ plan = {}, stream = {}, candidate = {}, file = {}, drivers }: ExampleChange = {}): DecisionFile {
  return {
    format: 'venalis.decision',
    version: 2,
    name: 'An example',
    currency: 'EUR',
    start: '2027-01',
    months: 12,
    forecast: { streams: [{ ...STREAM, ...stream }], ...(drivers ? { drivers } : {}) },
    offers: [
      {
        id: 'vendor',
        vendor: 'Marlpit',
        label: 'Marlpit',
        kind: 'store-platform',
        plans: [{ id: 'plan', label: 'Grow', currency: 'EUR', terms: [{ id: 'term', months: 1, price: '18' }], ...plan }],
      },
    ],
    candidates: [{ id: 'A', label: 'Marlpit Grow', plans: [{ plan: 'plan', term: 'term' }], ...candidate }],
    ...file,
  };
}
