import type { Quality } from '#core/decision/quality-schema';
import type { Standing } from '#core/qualities/standing';
import { hoursWords } from '#core/qualities/uptime';
import type { Writer } from '../locale/writer';

/** Where figures come from, for choosing. */
export const SOURCES: ReadonlyArray<{ value: Quality['source']; label: string }> = [
  { value: 'mark', label: 'marks you give' },
  { value: 'trial', label: 'the trial diary, mean mark' },
  { value: 'reviews', label: 'reviews, points of 100' },
  { value: 'uptime', label: 'downtime, hours a year' },
  { value: 'speed', label: 'page speed, seconds' },
  { value: 'support', label: 'support, hours a week' },
];

/** A vendor's figure in its own unit. */
export function standingWords({ source }: Quality, { figure }: Standing, write: Writer): string {
  const text = (most: number) => write.number(String(figure), most);
  switch (source) {
    case 'uptime':
      return hoursWords(String(figure));
    case 'speed':
      return `${text(1)} s`;
    case 'support':
      return figure >= 168 ? 'always' : `${text(0)} h`;
    case 'reviews':
      return text(0);
    default:
      return text(1);
  }
}
