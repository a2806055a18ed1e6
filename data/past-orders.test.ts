import { beforeEach, describe, expect, it } from 'vitest';
import type { Kysely } from 'kysely';
import type { KeptFile, KeptPart } from '#core/past-orders/kept-orders';
import { createDecision } from './decisions';
import { openDatabase } from './open-database';
import { addOrderPart, allOrders, beginOrderFile, deleteOrders, finishOrderFile, keepOrders, orderFiles, orderPart } from './past-orders';
import type { Database } from './schema';
import { freshPaths, smallBench } from './tests/databases';
import { UnreadableDocument } from './unreadable';

const AT = '2026-11-28T10:00:00.000Z';
const words = { currency: ['EUR'], country: ['DE'], means: [''], channel: [''] };
const part = (...value: number[]): KeptPart => {
  const none = value.map(() => 0);
  return { day: value.map(() => 20_000), value, refunded: none, number: none, currency: none, country: none, means: none, channel: none };
};
const fileOf = (name: string, orders: number): KeptFile => ({ name, orders, from: '2026-01-02', to: '2026-10-30', words });

let db: Kysely<Database>;
beforeEach(async () => {
  db = await openDatabase(freshPaths().database);
  await createDecision(db, 'one', smallBench('one'), AT);
  await createDecision(db, 'two', smallBench('two'), AT);
  return () => db.destroy();
});

async function keep(id: string, name: string, parts: readonly KeptPart[], at = AT): Promise<boolean> {
  const orders = parts.reduce((sum, { day }) => sum + day.length, 0);
  await beginOrderFile(db, 'one', id, fileOf(name, orders), at);
  for (const [place, one] of parts.entries()) await addOrderPart(db, 'one', id, place, one);
  return finishOrderFile(db, 'one', id);
}

describe('past orders', () => {
  it('are kept with their decision, file by file and part by part', async () => {
    expect(await keep('later', 'later.csv', [part(10_000, 20_000), part(30_000)], '2026-11-29T10:00:00.000Z')).toBe(true);
    expect(await keep('early', 'early.csv', [part(40_000)])).toBe(true);
    expect(await orderFiles(db, 'one')).toEqual([
      { id: 'early', addedAt: AT, file: fileOf('early.csv', 1), parts: 1 },
      { id: 'later', addedAt: '2026-11-29T10:00:00.000Z', file: fileOf('later.csv', 3), parts: 2 },
    ]);
    expect(await orderPart(db, 'one', 'later', 1)).toEqual(part(30_000));
    expect([await orderFiles(db, 'two'), await orderPart(db, 'two', 'later', 1)]).toEqual([[], undefined]);
  });

  it('count only once all of them are there; what was left half sent goes with the next file', async () => {
    await beginOrderFile(db, 'one', 'half', fileOf('half.csv', 3), AT);
    await addOrderPart(db, 'one', 'half', 0, part(10_000));
    expect([await finishOrderFile(db, 'one', 'half'), await orderFiles(db, 'one')]).toEqual([false, []]);
    await keep('whole', 'whole.csv', [part(10_000)]);
    expect((await orderFiles(db, 'one')).map(({ id }) => id)).toEqual(['whole']);
    expect(await orderPart(db, 'one', 'half', 0)).toBeUndefined();
  });

  it('are not taken for a decision that is not there, nor into a file that is whole or of another', async () => {
    expect(await beginOrderFile(db, 'none', 'file', fileOf('a.csv', 1), AT)).toBe(false);
    await keep('whole', 'whole.csv', [part(10_000)]);
    expect(await addOrderPart(db, 'one', 'whole', 0, part(99))).toBe(false);
    expect(await addOrderPart(db, 'two', 'whole', 1, part(99))).toBe(false);
    expect(await finishOrderFile(db, 'two', 'whole')).toBe(false);
  });

  it('are deleted with all they consist of: a file, all files, or with their decision', async () => {
    const left = async () => (await db.selectFrom('pastOrderParts').selectAll().execute()).length;
    await keep('a', 'a.csv', [part(1), part(2)]);
    await keep('b', 'b.csv', [part(3)]);
    await deleteOrders(db, 'two', null);
    await deleteOrders(db, 'one', 'a');
    expect([(await orderFiles(db, 'one')).map(({ id }) => id), await left()]).toEqual([['b'], 1]);
    await deleteOrders(db, 'one', null);
    expect([await orderFiles(db, 'one'), await left()]).toEqual([[], 0]);
    await keep('c', 'c.csv', [part(3)]);
    await db.deleteFrom('decisions').where('id', '=', 'one').execute();
    expect(await left()).toBe(0);
  });

  it('go along with a copy of their decision, all of them', async () => {
    await keep('a', 'a.csv', [part(1, 2), part(3)]);
    await keep('b', 'b.csv', [part(4)], '2026-11-29T10:00:00.000Z');
    const orders = await allOrders(db, 'one');
    expect(orders.map(({ file, parts }) => [file.name, parts.map(({ value }) => value)])).toEqual([
      ['a.csv', [[1, 2], [3]]],
      ['b.csv', [[4]]],
    ]);
    const ids = ['x', 'y'];
    await keepOrders(db, 'two', orders, () => ids.shift() ?? '', AT);
    expect(await allOrders(db, 'two')).toEqual(orders);
    expect(await allOrders(db, 'one')).toEqual(orders);
  });

  it('that were damaged are said to be unreadable', async () => {
    await keep('a', 'a.csv', [part(1)]);
    await db
      .updateTable('pastOrderParts')
      .set({ content: Buffer.from('nothing') })
      .execute();
    await expect(orderPart(db, 'one', 'a', 0)).rejects.toThrow(UnreadableDocument);
  });
});
