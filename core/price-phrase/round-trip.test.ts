import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimal } from '../amount/decimal';
import { impossibility } from './impossible';
import { chargeSentence, statementSentence, termSentence, withPoint, type WritePhraseNumber } from './price-sentence';
import { readPhrase, statementsOf } from './read-phrase';
import type { StatedCharge, StatedTerm, Statement } from './statement';

const amount = fc.oneof(
  fc.integer({ min: 0, max: 9_999_999 }).map((cents) => decimal(cents).div(100).toFixed()),
  fc.integer({ min: 0, max: 99_999_999 }).map((parts) => decimal(parts).div(10_000).toFixed()),
  fc.nat(20_000).map(String),
);
const orNotKnown = fc.oneof({ weight: 6, arbitrary: amount }, { weight: 1, arbitrary: fc.constant(null) });
const slug = fc.oneof(
  fc.constantFrom(
    'orders',
    'sales',
    'subscribers',
    'contacts',
    'emails',
    'video-hours',
    'staff',
    'seats',
    'free',
    'up-to',
    'a',
    'B2.x_y',
    'black-and-white',
    'in-person',
    'labels',
  ),
  fc.stringMatching(/^[a-z][a-z0-9]{0,8}(-[a-z0-9]{1,6}){0,3}$/),
);
const label = fc.oneof(
  fc.constantFrom('Card fee', 'Domestic cards', 'With an outside processor'),
  fc.string({ maxLength: 40 }).filter((text) => !/[\r\n"]/.test(text) && text.trim() === text && text !== ''),
);
const allowance = fc.oneof(orNotKnown, fc.record({ per: slug, ratio: orNotKnown }));

function optionalFields<Fields extends Record<string, unknown>>(fields: {
  [Name in keyof Fields]: fc.Arbitrary<Fields[Name]>;
}): fc.Arbitrary<Partial<Fields>> {
  return fc.record(fields, { requiredKeys: [] }) as fc.Arbitrary<Partial<Fields>>;
}

const only = fc
  .record(
    {
      payments: fc.constantFrom('own' as const, 'outside' as const),
      cards: fc.array(slug, { minLength: 1, maxLength: 3 }),
      channels: fc.array(slug, { minLength: 1, maxLength: 2 }),
      kinds: fc.subarray(['goods', 'digital', 'service', 'subscription'], { minLength: 1 }),
      streams: fc.array(slug, { minLength: 1, maxLength: 2 }),
    },
    { requiredKeys: [] },
  )
  .filter((fields) => Object.keys(fields).length > 0);
const common = {
  only,
  of: fc.constant('net' as const),
  monthlyMin: orNotKnown,
  monthlyCap: orNotKnown,
  totalCap: orNotKnown,
  credit: fc.constant(true),
  taxExcluded: fc.boolean(),
};
const named = fc.record({ label, bucket: fc.constantFrom('payment' as const, 'transaction' as const, 'usage' as const, 'addon' as const) });
const on = slug.filter((name) => name !== 'orders').map((name) => ({ on: name }));
const countedOn = fc.oneof(on, fc.constant({}));
const bands = fc.uniqueArray(fc.integer({ min: 1, max: 9_000 }), { minLength: 1, maxLength: 4 }).chain((edges) => {
  const tops = [...edges].sort((a, b) => a - b).map(String);
  const rate = optionalFields({ each: orNotKnown, percent: orNotKnown, flat: orNotKnown });
  return fc
    .boolean()
    .chain((isOpen) => fc.tuple(...[...tops, ...(isOpen ? [null] : [])].map((upTo) => rate.map((found) => ({ upTo, ...found })))));
});

const charge: fc.Arbitrary<StatedCharge> = fc
  .oneof(
    fc.tuple(
      fc.constant({ how: 'per-order' as const }),
      optionalFields({
        ...common,
        percent: orNotKnown,
        each: orNotKnown,
        least: orNotKnown,
        most: orNotKnown,
        free: allowance,
        refund: fc.constant('returned' as const),
      }),
    ),
    fc.tuple(
      fc.constant({ how: 'per-unit' as const }),
      optionalFields({ ...common, each: orNotKnown, percent: orNotKnown, free: allowance }),
      countedOn,
    ),
    fc.tuple(
      fc.record({
        how: fc.constant('package' as const),
        size: fc.oneof(fc.integer({ min: 1, max: 5000 }).map(String), fc.constant(null)),
        each: orNotKnown,
      }),
      optionalFields({ ...common, free: allowance }),
      countedOn,
    ),
    fc.tuple(fc.record({ how: fc.constantFrom('graduated' as const, 'volume' as const), bands }), optionalFields(common), countedOn),
  )
  .chain((parts) => named.map((head) => Object.assign({}, head, ...parts) as StatedCharge))
  .filter((one) => impossibility({ kind: 'charge', charge: one }) === null);

const term: fc.Arbitrary<StatedTerm> = fc
  .tuple(
    fc.record({ months: fc.constantFrom(0, 1, 2, 3, 6, 12, 18, 24, 36, 120), price: orNotKnown }),
    optionalFields({
      intro: fc.oneof(
        fc.record({ price: orNotKnown, periods: fc.integer({ min: 1, max: 40 }) }),
        fc.record({ off: fc.integer({ min: 0, max: 100 }).map(String), periods: fc.integer({ min: 1, max: 40 }) }),
      ),
      trialDays: fc.integer({ min: 0, max: 400 }),
      refundDays: fc.integer({ min: 0, max: 400 }),
      prorated: fc.boolean(),
    }),
  )
  .map(([whole, rest]) => ({ ...whole, ...rest }));

/** Trailing zeros mean nothing: 1.2340 and 1.234 are the same amount. */
function plain(value: unknown): unknown {
  return JSON.parse(JSON.stringify(value), (_key, one: unknown) =>
    typeof one === 'string' && /^\d+(\.\d+)?$/.test(one) ? decimal(one).toFixed() : one,
  );
}

const withComma: WritePhraseNumber = (decimals) => withPoint(decimals).replace('.', ',');

describe.each([
  ['point', withPoint],
  ['comma', withComma],
] as const)('what is written out with a decimal %s is read back as the same', (_name, write) => {
  const reads = (sentence: string) => {
    const clauses = readPhrase(sentence);
    expect(
      clauses.map(({ kind }) => kind),
      sentence,
    ).toEqual(['read']);
    return statementsOf(clauses).map(plain);
  };

  it('any charge', () => {
    fc.assert(
      fc.property(charge, (one) => {
        expect(reads(chargeSentence(one, write)), chargeSentence(one, write)).toEqual([plain({ kind: 'charge', charge: one })]);
      }),
      { numRuns: 800 },
    );
  });

  it('any term', () => {
    fc.assert(
      fc.property(term, (one) => {
        expect(reads(termSentence(one, write)), termSentence(one, write)).toEqual([plain({ kind: 'term', term: one })]);
      }),
      { numRuns: 400 },
    );
  });

  it('any other statement', () => {
    const days = fc.integer({ min: 1, max: 400 });
    const other: fc.Arbitrary<Statement> = fc.oneof(
      fc.record({ kind: fc.constant('trial' as const), days }),
      fc.record({ kind: fc.constant('refund' as const), days }),
      fc.record({ kind: fc.constant('prorated' as const), prorated: fc.boolean() }),
      fc.record({
        kind: fc.constant('limit' as const),
        quantity: slug,
        most: fc.oneof(fc.nat(90_000).map(String), fc.constantFrom(true as const, null)),
      }),
      fc.record({
        kind: fc.constant('feature' as const),
        feature: slug,
        value: fc.oneof(fc.boolean(), fc.constant(null), fc.nat(500).map(String)),
      }),
      fc.record({ kind: fc.constant('joining' as const), label, amount }),
      fc.record({ kind: fc.constant('saving' as const), percent: fc.nat(90).map(String) }),
      fc.record({ kind: fc.constant('tax' as const), excluded: fc.boolean() }),
    );
    fc.assert(
      fc.property(other, (one) => {
        expect(reads(statementSentence(one, write)), statementSentence(one, write)).toEqual([plain(one)]);
      }),
      { numRuns: 400 },
    );
  });
});
