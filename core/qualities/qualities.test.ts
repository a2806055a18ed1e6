import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Quality, reviewSchema, type VendorNotes, vendorNotesSchema } from '../decision/quality-schema';
import { averageReview, reviewPoints, reviewScore } from './reviews';
import { pointsOf, standingOf } from './standing';
import { trialResult } from './trial';
import { hoursDown, hoursWords } from './uptime';

const stars = (score: string, count: number) => ({ id: `r${score}`, source: 'a shop directory', score, least: '1', most: '5', count });
const counts = (vendors: ReadonlyArray<ReturnType<typeof stars>>, of: number) =>
  reviewScore(
    [vendors[of]].flatMap((one) => one ?? []),
    averageReview(vendors.map((one) => [one])) ?? 0,
  )?.counts ?? -1;

describe('review scores', () => {
  it('are put on one scale, whatever the place counts in', () => {
    expect(reviewPoints(stars('4.6', 1))).toBeCloseTo(90);
    expect(reviewPoints({ score: '9.2', least: '0', most: '10' })).toBeCloseTo(92);
  });

  it('of 4.9 from 11 do not beat 4.6 from 240, whoever else is in the decision', () => {
    const [few, many] = [stars('4.9', 11), stars('4.6', 240)];
    expect(counts([few, many], 0)).toBeLessThan(counts([few, many], 1));
    for (const other of ['1', '3.5', '4.9'])
      for (const number of [1, 300, 9000]) {
        const all = [few, many, stars(other, number)];
        expect(counts(all, 0), `beside ${other} from ${number}`).toBeLessThan(counts(all, 1));
      }
  });

  it('say more the more people gave them, and never less for being better', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 50 }),
        fc.integer({ min: 1, max: 5000 }),
        fc.integer({ min: 1, max: 5000 }),
        (tenths, count, more) => {
          const score = String(tenths / 10);
          const average = reviewPoints(stars(score, 1));
          const [fewer, many] = [
            reviewScore([stars(score, count)], average)?.counts ?? 0,
            reviewScore([stars(score, count + more)], average)?.counts ?? 0,
          ];
          expect(many).toBeGreaterThanOrEqual(fewer - 1e-9);
          if (tenths < 50)
            expect(reviewScore([stars(String((tenths + 1) / 10), count)], average)?.counts ?? 0).toBeGreaterThanOrEqual(fewer - 1e-9);
        },
      ),
    );
  });

  it('of several places count together by their number', () => {
    expect(reviewScore([stars('5', 30), { ...stars('0', 10), least: '0', most: '10' }], 75)).toMatchObject({
      given: 75,
      count: 40,
      pulled: 75,
    });
    expect(reviewScore([], 75)).toBeNull();
    expect(averageReview([[stars('4', 0)]])).toBeNull();
  });

  it('beyond their scale are refused, with what is wanted', () => {
    expect(reviewSchema.safeParse(stars('5.1', 3)).error?.issues[0]).toMatchObject({
      path: ['score'],
      message: 'use a score within its scale',
    });
    expect(reviewSchema.safeParse({ ...stars('4', 3), most: '1' }).error?.issues[0]?.message).toContain('upper end');
    expect(vendorNotesSchema.safeParse({ uptime: '101' }).success).toBe(false);
  });
});

describe('uptime', () => {
  it('is said in hours a year', () => {
    expect(hoursDown('99.9')).toBe('8.76');
    expect(hoursWords(hoursDown('99.9'))).toBe('8 h 46 min');
    expect(hoursWords(hoursDown('99.99'))).toBe('53 min');
    expect(hoursWords(hoursDown('100'))).toBe('0 min');
  });
});

describe('the trial diary', () => {
  const tasks = ['first', 'second', 'third'].map((id) => ({ id, label: id }));
  it('sums up minutes and marks of what was tried', () => {
    const notes: VendorNotes = {
      tried: { first: { minutes: '12.5', mark: '8' }, second: { minutes: '30' }, third: { note: 'not yet' }, gone: { mark: '1' } },
    };
    expect(trialResult(tasks, notes)).toEqual({ tried: 2, tasks: 3, minutes: 42.5, mark: 8 });
    expect(trialResult(tasks, undefined)).toEqual({ tried: 0, tasks: 3, minutes: null, mark: null });
  });
});

describe('standing on a quality', () => {
  const quality = (source: Quality['source'], worst: string, best: string): Quality => ({
    id: 'q',
    label: 'q',
    weight: '1',
    source,
    worst,
    best,
  });
  const vendors: Record<string, VendorNotes> = {
    a: {
      marks: { q: { value: '4' } },
      uptime: '99.9',
      support: { channels: ['mail'], hoursAWeek: '42' },
      tried: { t: { mark: '7' } },
      reviews: [stars('4.6', 240)],
    },
    b: {},
  };
  const data = { vendors, tasks: [{ id: 't', label: 't' }] };
  it('comes from where the quality takes it, on its own scale', () => {
    expect(standingOf(quality('mark', '1', '5'), 'a', data)).toEqual({ figure: 4, points: 75 });
    expect(standingOf(quality('uptime', '24', '0'), 'a', data)?.points).toBeCloseTo(63.5);
    expect(standingOf(quality('support', '0', '168'), 'a', data)?.points).toBe(25);
    expect(standingOf(quality('trial', '0', '10'), 'a', data)?.points).toBe(70);
    expect(standingOf(quality('reviews', '0', '100'), 'a', data)?.points).toBeCloseTo(90 - (1.645 * 30) / Math.sqrt(250));
  });
  it('is not known where nobody said anything', () => {
    for (const source of ['mark', 'trial', 'reviews', 'uptime', 'speed', 'support'] as const)
      expect(standingOf(quality(source, '0', '1'), 'b', data)).toBeNull();
    expect(standingOf(quality('mark', '0', '1'), 'elsewhere', {})).toBeNull();
  });
  it('ends at the ends of the scale', () => {
    expect(pointsOf({ worst: '24', best: '0' }, 30)).toBe(0);
    expect(pointsOf({ worst: '24', best: '0' }, -1)).toBe(100);
  });
});
