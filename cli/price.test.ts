import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { answerDecision } from '../core/questions/answer-decision';
import { decisionFileJsonSchema } from '../core/decision-file/json-schema';
import { readDecisionFile } from '../core/decision-file/read';
import { price } from './price';

const file = (name: string) => new URL(`../core/cases/${name}`, import.meta.url).pathname;
const LARKFELL = file('13-larkfell.json');
const FIRST = file('01-sales-fee-or-dearer-plan.json');

function run(...args: string[]) {
  const out: string[] = [];
  const problems: string[] = [];
  const code = price(args, { out: (line) => out.push(line), problem: (line) => problems.push(line) });
  return { code, out, problems };
}

function written(text: string): string {
  const path = join(mkdtempSync(join(tmpdir(), 'venalis-price-')), 'file.json');
  writeFileSync(path, text);
  return path;
}

describe('price', () => {
  it('prints one result a line, in the order given', () => {
    const { code, out } = run(LARKFELL, FIRST);
    expect(code).toBe(0);
    const expected = [LARKFELL, FIRST].map((path) => answerDecision(readDecisionFile(JSON.parse(readFileSync(path, 'utf8')))));
    expect(out.map((line) => JSON.parse(line) as unknown)).toEqual(JSON.parse(JSON.stringify(expected)));
    expect(out.every((line) => !line.includes('\n'))).toBe(true);
  });

  it('refuses a file with every problem and exit code 2, and prices the others all the same', () => {
    const bad = written(JSON.stringify({ ...(JSON.parse(readFileSync(FIRST, 'utf8')) as object), months: 0, surplus: true }));
    const { code, out, problems } = run(bad, FIRST);
    expect(code).toBe(2);
    expect(out).toHaveLength(1);
    expect(problems).toEqual([
      `${bad}: months: found 0; use a whole number from 1 to 120`,
      `${bad}: surplus: found true; a field of this name is not defined here`,
    ]);
  });

  it('prints a table for a person, the cheapest first', () => {
    const [table] = run('--table', LARKFELL).out;
    const lines = table?.split('\n') ?? [];
    expect(lines[2]).toMatch(/^A {2}Marlpit Grow +6715\.16 .* cheapest$/);
    expect(lines.at(-1)).toMatch(/^C .*outgrown in 2028-05: visits$/);
  });

  it('prices past orders instead of the forecast, and says what is wrong with them under their own name', () => {
    const replayed = (name: string) => new URL(`../core/replay/cases/${name}`, import.meta.url).pathname;
    const orders = replayed('25-replay.csv');
    const { code, out } = run('--orders', orders, replayed('25-replay.json'));
    expect(code).toBe(0);
    expect(JSON.parse(out[0] ?? '')).toEqual(JSON.parse(readFileSync(replayed('25-replay.result.json'), 'utf8')));
    const bad = written('date,value\n2026-02-03,much\n');
    const refused = run('--orders', bad, FIRST, FIRST);
    expect(refused.code).toBe(2);
    expect(refused.problems[0]).toBe(`${bad}: line 2, value: found "much"; use an amount above 0 with a point, such as 48.00`);
    expect(run('--orders').problems[0]).toMatch(/^--orders wants a CSV file/);
    expect(run('--orders', orders, '--table', FIRST).problems[0]).toMatch(/^--orders gives a JSON result/);
  });

  it('says what is proposed for each offer, and where nothing can be used', () => {
    const [table = ''] = run('--table', file('12-proposals.json')).out;
    const lines = table.split('\n').slice(-3);
    expect(lines[1]).toMatch(/\(yearly\) \+ 3 × Seat \+ Pennywhistle reminders \+ payments through tallywell: 2202\.89$/);
    expect(lines[2]).toMatch(/: no plan can be used as it is$/);
  });

  it('explains a month whose sentences add up to its total', () => {
    const [text = ''] = run('--explain', 'A', '2027-07', LARKFELL).out;
    expect(text).toContain('Domestic cards: Kites and spares 105.4945 orders × (48 × 1.7% + 0.25)');
    const amounts = [...text.matchAll(/= (\d+\.\d\d)\.$/gm)].map((match) => Number(match[1]));
    expect(text).toContain(`Together ${amounts.reduce((sum, amount) => sum + amount, 0).toFixed(2)} EUR.`);
  });

  it.each([
    [['--explain', 'Z', '2027-07', LARKFELL], 2, 'there is no candidate Z'],
    [['--explain', 'A', '2031-07', LARKFELL], 2, '2031-07 is outside the horizon'],
    [['--explain', 'A'], 1, '--explain wants a candidate and a month'],
    [['--colour', LARKFELL], 1, '--colour is not known'],
    [[], 1, 'Name a file'],
    [['/nowhere/file.json'], 2, 'no such file'],
  ])('%j says what is wrong', (args, code, problem) => {
    const said = run(...args);
    expect(said.code).toBe(code);
    expect(said.problems.join('\n')).toContain(problem);
  });
});

describe('texts that no decision file can be', () => {
  const base = readFileSync(LARKFELL, 'utf8');
  it.each([
    ['deep lists', '['.repeat(100_000) + ']'.repeat(100_000), 'levels of nesting'],
    ['deep objects', '{"a":'.repeat(100_000) + '1' + '}'.repeat(100_000), 'levels of nesting'],
    ['ten megabytes', `"${'x'.repeat(10_000_000)}"`, '10000002 characters'],
    ['a key that is no field', '{"__proto__":{"format":"venalis.decision"}}', '__proto__'],
    ['a key that is no field, deeper', base.replace('"orderValue"', '"__proto__": {}, "orderValue"'), 'forecast.streams[0].__proto__'],
    ['a decimal of 400 digits', base.replace('"48"', `"${'4'.repeat(400)}"`), 'at most 40 characters'],
    ['a number past all numbers', base.replace('"48"', '1e400'), 'found Infinity'],
    ['not a number', base.replace('"48"', 'NaN'), 'not JSON'],
    ['nothing', '', 'not JSON'],
  ])('%s', (_name, text, problem) => {
    const said = run(written(text));
    expect(said.code).toBe(2);
    expect(said.problems.join('\n')).toContain(problem);
  });
});

it('docs/decision-file.schema.json is what the schema gives now', () => {
  const kept: unknown = JSON.parse(readFileSync(new URL('../docs/decision-file.schema.json', import.meta.url), 'utf8'));
  expect(kept).toEqual(JSON.parse(JSON.stringify(decisionFileJsonSchema())));
});
