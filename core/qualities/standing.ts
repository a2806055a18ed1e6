import { pageSpeed } from '../page-speed/compare';
import type { Quality, Task, VendorNotes } from '../decision/quality-schema';
import { averageReview, reviewScore } from './reviews';
import { trialResult } from './trial';
import { hoursDown } from './uptime';

/** A vendor's figure on a quality: in its own unit, and as points from 0 to 100 on the quality's scale. */
export interface Standing {
  readonly figure: number;
  readonly points: number;
}

/** Everything that vendors are judged by. */
export interface QualityData {
  readonly tasks?: readonly Task[] | undefined;
  readonly vendors?: Readonly<Record<string, VendorNotes>> | undefined;
}

/** A vendor's figure on a quality, from where the quality takes it; null if it is not known. */
export function standingOf(quality: Quality, offer: string, data: QualityData): Standing | null {
  const figure = figureOf(quality, offer, data);
  return figure === null ? null : { figure, points: pointsOf(quality, figure) };
}

/** Points from 0 to 100; beyond the ends of the scale it is no worse than 0 and no better than 100. */
export function pointsOf({ worst, best }: Pick<Quality, 'worst' | 'best'>, figure: number): number {
  const [from, to] = [Number(worst), Number(best)];
  return Math.min(100, Math.max(0, ((figure - from) / (to - from)) * 100));
}

function figureOf({ id, source }: Quality, offer: string, { tasks = [], vendors = {} }: QualityData): number | null {
  const notes = vendors[offer];
  switch (source) {
    case 'mark':
      return notes?.marks?.[id] === undefined ? null : Number(notes.marks[id].value);
    case 'trial':
      return trialResult(tasks, notes).mark;
    case 'reviews': {
      const average = averageReview(Object.values(vendors).map(({ reviews = [] }) => reviews));
      return average === null ? null : (reviewScore(notes?.reviews ?? [], average)?.counts ?? null);
    }
    case 'uptime':
      return notes?.uptime === undefined ? null : Number(hoursDown(notes.uptime));
    case 'speed': {
      const load = pageSpeed(notes?.measurements ?? [])?.loadMs;
      return load === null || load === undefined ? null : load / 1000;
    }
    case 'support':
      return notes?.support?.hoursAWeek === undefined ? null : Number(notes.support.hoursAWeek);
  }
}
