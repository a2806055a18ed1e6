import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { chance } from '../torture/chance.mjs';
import { diskAfter, readJournal } from '../torture/disk-after.mjs';

const write = (path: string, offset: number, text: string) => ({
  what: 'w',
  path,
  other: '',
  offset,
  data: Buffer.from(text),
});
const act = (what: string, path: string, other = '', offset = 0) => ({
  what,
  path,
  other,
  offset,
  data: Buffer.alloc(0),
});
/** Every disk that chance makes of the same changes. */
const disks = (changes: ReturnType<typeof readJournal>) =>
  new Set(
    Array.from({ length: 200 }, (_, seed) =>
      JSON.stringify([...diskAfter(changes, chance(seed))].map(([path, bytes]) => [path, bytes.toString()])),
    ),
  );

describe('what is on a disk after a cut of power', () => {
  it('is for certain what was waited for', () => {
    expect(disks([act('c', '/d/a'), write('/d/a', 0, 'kept'), act('s', '/d/a')])).toEqual(new Set([JSON.stringify([['/d/a', 'kept']])]));
  });

  it('is of all else anything between nothing and everything', () => {
    const after = disks([act('c', '/d/a'), write('/d/a', 0, 'kept'), act('s', '/d/a'), write('/d/a', 4, ' one'), write('/d/a', 8, ' two')]);
    for (const text of ['kept', 'kept one', 'kept one two', 'kept\u0000\u0000\u0000\u0000 two'])
      expect(after).toContain(JSON.stringify([['/d/a', text]]));
  });

  it('has names only once their folder was waited for', () => {
    const [former, renamed] = [JSON.stringify([['/d/a', 'x']]), JSON.stringify([['/d/b', 'x']])];
    const changes = [act('c', '/d/a'), write('/d/a', 0, 'x'), act('s', '/d/a'), act('r', '/d/a', '/d/b')];
    expect(disks(changes)).toEqual(new Set([former, renamed]));
    expect(disks([...changes, act('s', '/d')])).toEqual(new Set([renamed]));
    expect(disks([act('c', '/d/a'), write('/d/a', 0, 'x'), act('s', '/d/a'), act('u', '/d/a')])).toEqual(new Set([former, '[]']));
  });

  it('is read from a journal of which the end may be cut off', () => {
    const record = (what: string, path: string, data: string) => {
      const head = Buffer.alloc(21);
      head.write(what, 0);
      head.writeUInt16LE(path.length, 1);
      head.writeBigUInt64LE(7n, 5);
      head.writeBigUInt64LE(BigInt(data.length), 13);
      return Buffer.concat([head, Buffer.from(path), Buffer.from(data)]);
    };
    const file = join(mkdtempSync(join(tmpdir(), 'venalis-journal-')), 'journal');
    writeFileSync(file, Buffer.concat([record('w', '/d/a', 'one'), record('s', '/d/a', ''), record('w', '/d/a', 'two').subarray(0, 25)]));
    expect(
      readJournal(file).map(({ what, path, offset, data }: { what: string; path: string; offset: number; data: Buffer }) => [
        what,
        path,
        offset,
        data.toString(),
      ]),
    ).toEqual([
      ['w', '/d/a', 7, 'one'],
      ['s', '/d/a', 7, ''],
    ]);
  });
});
