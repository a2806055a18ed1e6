import type { EffectOnDecision } from '#core/price-watch/effect';
import { type Writer, writerFor } from '../locale/writer';
import { sinceSentence } from '../verdict/verdict-words';

/** How long ago a time is: "just now", "5 minutes ago", "3 days ago". */
export function agoWords(at: string, now: string): string {
  const minutes = Math.floor((Date.parse(now) - Date.parse(at)) / 60_000);
  if (minutes < 2) return 'just now';
  if (minutes < 60) return `${minutes} minutes ago`;
  const hours = Math.floor(minutes / 60);
  if (hours < 48) return `${hours} ${hours === 1 ? 'hour' : 'hours'} ago`;
  return `${Math.floor(hours / 24)} days ago`;
}

/** "Marlpit Grow is now 312 dearer; the verdict still holds; its lead is down from 480 to 168." */
export function effectSentence(effect: EffectOnDecision | null, { locale }: Writer): string {
  if (!effect) return 'No candidate can be chosen there, so nothing changes.';
  const write = writerFor(locale, effect.currency);
  const sentence = sinceSentence({ parts: [...effect.parts] }, effect.since, write)
    .replace('costs the same as then', 'costs the same')
    .replace('cost the same as then', 'cost the same');
  return effect.isVerdict
    ? sentence
    : sentence
        .replace('the verdict still holds', 'it still costs least')
        .replace('the verdict does not hold any more', 'it does not cost least any more');
}
