import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { takeApart } from '#core/decision/take-apart';
import { withDecision, type Workbench } from '#core/decision/workbench';
import { readDecisionFile } from '#core/decision-file/read';
import type { GivenVerdict } from '#core/decision/verdict-schema';
import { writerFor } from '../locale/writer';
import { price } from '../workbench/workbench-context';
import { asItStands } from './as-it-stands.server';
import { reportMarkdown } from './markdown';
import type { Report } from './report-blocks';
import { reportOf } from './report.server';

let next = 0;
const demo = takeApart(
  readDecisionFile(JSON.parse(readFileSync(new URL('../../demo/larkfell-kites.json', import.meta.url), 'utf8'))),
  () => `s${next++}`,
  '2026-11-03',
);
const write = writerFor('en-GB');
const TODAY = '2026-11-25';

function report(workbench: Workbench, more: { verdict?: GivenVerdict | null; isGiven?: boolean; isKept?: boolean } = {}): Report {
  const { priced, lineUp } = price(workbench);
  const { verdict = asItStands(workbench, TODAY), isGiven = false, isKept = true } = more;
  return reportOf({
    decided: isKept ? { workbench, priced, lineUp } : null,
    name: workbench.decision.name,
    verdict,
    isGiven,
    today: TODAY,
    write,
  });
}

const titles = ({ sections }: Report) => sections.map(({ title }) => title);
const charts = ({ sections }: Report) =>
  sections.flatMap(({ blocks }) => blocks.flatMap((block) => (block.kind === 'chart' ? [block] : [])));

describe('a report', () => {
  const whole = report(demo);

  it('has question, answer, totals, conditions, dates, assumptions and sources', () => {
    expect(whole.title).toBe('Where should Larkfell Kites sell from 2027?');
    expect(whole.subtitle).toBe('No verdict is given yet; as it stands on 25 November 2026');
    expect(titles(whole)).toEqual(['Answer', 'Totals', 'Under which conditions', 'Dates that matter', 'What it rests on', 'Sources']);
  });

  it('states the same total as the result, to the cent', () => {
    const [totals] = whole.sections.filter(({ title }) => title === 'Totals').flatMap(({ blocks }) => blocks);
    expect(totals?.kind === 'table' && totals.rows[0]?.slice(0, 2)).toEqual(['E  Wharfside Trade', '6,839.30']);
    expect(totals?.kind === 'table' && totals.marked).toEqual([0]);
  });

  it('has two charts, drawn, that reach for nothing outside', () => {
    expect(charts(whole)).toHaveLength(2);
    for (const { svg } of charts(whole)) {
      expect(svg).toMatch(/^<svg/);
      expect(svg).toContain('Marlpit Grow');
      expect(svg.replaceAll('http://www.w3.org/', '')).not.toMatch(/https?:|<script|href/);
    }
  });

  it('of a verdict whose revision is not kept tells what was noted with it', () => {
    const verdict = asItStands(demo, TODAY);
    const given = report(demo, { verdict, isGiven: true, isKept: false });
    expect(given.subtitle).toBe('Verdict of 25 November 2026');
    expect(titles(given)).toEqual(['Answer', 'Totals', 'Under which conditions', 'Sources']);
    expect(given.footer).toContain('is not kept here');
  });

  it('says how sure it is', () => {
    const answer = whole.sections[0]?.blocks.map((block) => (block.kind === 'sentence' ? block.text : ''));
    expect(answer?.[1]).toMatch(/^It comes first in \d+ of 100 futures\. Choosing it gives away/);
  });

  it('without anybody to choose says so', () => {
    const none = withDecision(demo, (one) => ({ ...one, candidates: [] }));
    const said = report(none, { verdict: null });
    expect(said.sections[0]?.blocks[0]).toMatchObject({ text: 'No candidate can be chosen as it is.' });
    expect(charts(said)).toEqual([]);
  });

  it('is in the figures of the person’s locale', () => {
    const { priced, lineUp } = price(demo);
    const german = reportOf({
      decided: { workbench: demo, priced, lineUp },
      name: '',
      verdict: asItStands(demo, TODAY),
      isGiven: false,
      today: TODAY,
      write: writerFor('de-DE'),
    });
    expect(JSON.stringify(german)).toContain('7.049,72');
    expect(german.title).toBe('Where to sell?');
  });
});

describe('a report as Markdown', () => {
  it('has headings, the answer, and tables whose rows have as many cells as their heads', () => {
    const text = reportMarkdown(report(demo));
    expect(text).toMatch(/^# Where should Larkfell Kites sell from 2027\?\n/);
    expect(text).toContain('**Wharfside Trade costs 6,839 over 24 months, 210 less than Marlpit Grow.**');
    expect(text).toMatch(/\| A {2}Marlpit Grow \| 7,049\.72 \|/);
    const cells = (line: string) => line.split(/(?<!\\)\|/).length;
    let width = 0;
    for (const line of text.split('\n')) {
      width = line.startsWith('|') ? width || cells(line) : 0;
      if (width > 0) expect(cells(line)).toBe(width);
    }
  });

  it('leaves figures as the locale writes them', () => {
    const { priced, lineUp } = price(demo);
    const text = reportMarkdown(
      reportOf({
        decided: { workbench: demo, priced, lineUp },
        name: '1. Frage',
        verdict: asItStands(demo, TODAY),
        isGiven: false,
        today: TODAY,
        write: writerFor('de-DE'),
      }),
    );
    expect(text).toContain('| 7.049,72 |');
    expect(text).toMatch(/^# 1\\\. Frage\n/);
  });

  it('keeps what people typed from becoming markup', () => {
    const typed = '# Title\n| a | b | <script>alert(1)</script> [x](javascript:1) **bold**';
    const verdict = asItStands(
      withDecision(demo, (one) => ({ ...one, choice: { kind: 'candidate', candidates: ['A'], reason: typed } })),
      TODAY,
    );
    const text = reportMarkdown(report(demo, { verdict, isGiven: true }));
    expect(text).toContain('> \\# Title\n> \\| a \\| b \\| \\<script\\>alert(1)\\</script\\> \\[x\\](javascript:1) \\*\\*bold\\*\\*');
  });
});
