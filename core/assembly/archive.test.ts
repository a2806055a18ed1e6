import { describe, expect, it } from 'vitest';
import { RefusedFileError } from '../fields/problems';
import { smallDecision } from '../tests/small-decision';
import { typedSheet } from '../tests/typed-sheet';
import { archiveOf, isArchive, readArchive } from './archive';
import type { Workbench } from '../decision/workbench';

const workbench: Workbench = {
  decision: smallDecision({
    needs: [{ feature: 'gift-cards', level: 'want', weight: '2', why: 'asked for', from: '2027-03' }],
    qualities: [{ id: 'ease', label: 'Ease', weight: '3', source: 'trial', worst: '0', best: '10' }],
    tasks: [{ id: 't', label: 'Try it' }],
    vendors: { tidewrack: { tried: { t: { mark: '7', minutes: '12' } }, uptime: '99.9' } },
    owned: [{ id: 'mail', label: 'Mailing tool', features: ['mailings'], amount: '20', months: 1 }],
    candidates: [{ id: 'A', label: 'A', plans: [{ plan: 'tidewrack-small', term: 'tidewrack-0' }] }],
    lineUp: { baseline: 'A', pinned: ['A'] },
    whatIf: {
      moving: { within: { hours: '1', money: '0' }, between: { hours: '20', money: '100' }, moves: 2, without: ['A'] },
      ranges: { orders: ['-10', '10'] },
      investment: {
        instead: 'A',
        on: 'A',
        build: '900',
        photographs: '0',
        texts: '0',
        upkeep: '5',
        hours: { setup: '3', monthly: '0' },
        lift: { cautious: '0', expected: '10', hopeful: '20' },
      },
      scenarios: [{ id: 's', name: 'A bad year', changes: [{ key: 'orders', value: '-25' }], offersOff: ['tidewrack-small tidewrack-0'] }],
    },
  }),
  sheets: [
    {
      id: 'x',
      revision: 7,
      sheet: { ...typedSheet('Tidewrack', { Small: '10/mo' }), figures: { 'tidewrack-small term 1': { where: 'a quote', sure: 'guess' } } },
    },
  ],
};

describe('a decision with everything that is kept about it', () => {
  it('comes back as it was, its sheets as new ones', () => {
    const document: unknown = JSON.parse(JSON.stringify(archiveOf(workbench)));
    expect(isArchive(document)).toBe(true);
    expect(readArchive(document, () => 'new')).toEqual({
      decision: workbench.decision,
      sheets: [{ id: 'new', revision: 0, sheet: workbench.sheets[0]?.sheet }],
    });
  });

  it('is refused with the place of what is wrong', () => {
    const problems = (document: unknown) => {
      try {
        readArchive(document, () => 'new');
        return [];
      } catch (error) {
        return error instanceof RefusedFileError ? error.problems.map(({ path }) => path) : ['something else'];
      }
    };
    const archive = archiveOf(workbench);
    expect(problems({ ...archive, decision: { ...workbench.decision, vendors: { tidewrack: { uptime: '101' } } } })).toEqual([
      'decision.vendors.tidewrack.uptime',
    ]);
    expect(
      problems({
        ...archive,
        decision: {
          ...workbench.decision,
          forecast: { streams: [{ ...workbench.decision.forecast.streams[0], cards: { domestic: '50' } }] },
        },
      }),
    ).toEqual([expect.stringContaining('cards')]);
    expect(isArchive({ format: 'venalis.decision' })).toBe(false);
    expect(isArchive(null)).toBe(false);
  });
});
