import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { takeApart } from '#core/decision/take-apart';
import { type Workbench, withDecision } from '#core/decision/workbench';
import { readDecisionFile } from '#core/decision-file/read';
import { sourceWords } from '../line-up/source-words';
import { writerFor } from '../locale/writer';
import { obstacleWords } from './obstacle-words';
import { placesOf } from './places';
import { price } from './workbench-context';

const file = readDecisionFile(JSON.parse(readFileSync(new URL('../../core/cases/13-larkfell.json', import.meta.url), 'utf8')));
let next = 0;
const workbench: Workbench = takeApart(file, () => `sheet-${next++}`);
const write = writerFor('en-GB');
const holds = (of: Workbench) =>
  Object.fromEntries(placesOf(of, price(of), write).map(({ path, holds: text, lacks }) => [path, lacks ? `! ${text}` : text]));

describe('placesOf', () => {
  it('says in a word what each place holds', () => {
    expect(holds(workbench)).toEqual({
      frame: '24 months, EUR',
      sales: '3 streams · 6,428 a month',
      needs: 'none yet',
      sheets: '6 sheets',
      'line-up': 'Marlpit Grow: 6,715',
      'what-if': 'break-evens, map, route',
      verdict: 'open',
    });
    const weighed = withDecision(workbench, (decision) => ({
      ...decision,
      needs: [{ feature: 'gift-cards', level: 'want' }],
      qualities: [{ id: 'ease', label: 'Ease', weight: '3', source: 'mark', worst: '1', best: '5' }],
    }));
    expect(holds(weighed)).toMatchObject({
      needs: '! 1 need · 5 to find out',
    });
  });

  it('says what is missing', () => {
    const empty: Workbench = { decision: { ...workbench.decision, forecast: { streams: [] }, candidates: [] }, sheets: [] };
    expect(holds(empty)).toMatchObject({
      sales: '! nothing yet',
      sheets: '! none yet',
      'line-up': '! nothing to choose yet',
    });
    const withoutRates = withDecision(workbench, ({ rates: _rates, ...decision }) => decision);
    expect(holds(withoutRates)).toMatchObject({ frame: '! exchange rate missing' });
  });
});

describe('sourceWords', () => {
  const { pricing, candidates } = price(workbench).priced;
  const words = (id: string) => {
    const priced = candidates.find(({ result }) => result.id === id);
    if (!priced) throw new Error('a candidate is expected');
    const { ledger } = priced;
    const sources = new Map(ledger.lines.map(({ source }) => [JSON.stringify(source), source]));
    return [...sources.values()].map((source) => {
      const { name, rate } = sourceWords(pricing, ledger.candidate, source, write);
      return `${name}: ${rate}`;
    });
  };

  it('names the line of the price sheet and its rate', () => {
    expect(words('B')).toEqual([
      'Basic: 27.00 by the month; first 2 payments 2.00',
      'Club: 18.00 by the month',
      'Card fee: 2.2% + 0.28 per order',
      'Sales fee: 1.8% per order',
      'Your own hours: 10 to set up, 1 a month, each worth 24.00',
    ]);
  });

  it('names other currencies, extras and outside processors', () => {
    expect(words('E')[0]).toBe('Trade: 139.00 by the month, in USD; first 2 payments 5.00');
    expect(words('C')).toEqual(
      expect.arrayContaining(['Theme: 69.00 once', 'Shop plug-ins: 168.00 by the year', 'Card fee: 1.4% + 0.25 per order']),
    );
  });
});

describe('obstacleWords', () => {
  it('say why a candidate is not priced', () => {
    expect(obstacleWords({ kind: 'rate', currency: 'GBP' })).toBe('there is no exchange rate for GBP yet');
    expect(obstacleWords({ kind: 'gone', what: 'addon' })).toBe('its add-on is no longer on the price sheet');
    expect(obstacleWords({ kind: 'quantity', quantity: 'video-hours' })).toContain('video hours');
  });
});
