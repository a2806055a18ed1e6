import type { Caveats } from '#core/judgement/caveats';
import type { ComparedWords } from '../locale/compared-words';
import type { Writer } from '../locale/writer';

/** "Without its special offer, which ends on 31 December 2026, Marlpit Grow costs least." */
export function caveatWords(
  { otherBasis, offer }: Caveats,
  nameOf: (id: string | null) => string,
  write: Writer,
  { leads, by }: ComparedWords,
): string {
  const sentences: string[] = [];
  if (offer) {
    const ends = offer.ends === null ? '' : `, which ends on ${write.day(offer.ends)}`;
    const who = offer.candidate === null ? 'no candidate can be chosen' : `${nameOf(offer.candidate)} ${leads}`;
    sentences.push(`Without its special offer${ends}, ${who}.`);
  }
  if (otherBasis) {
    const counted =
      otherBasis.basis === 'spread' ? 'With payments spread over the months they cover' : 'With payments counted when they are made';
    sentences.push(`${counted}, ${nameOf(otherBasis.candidate)} ${leads}: ${write.amount(otherBasis.by)} ${by}.`);
  }
  return sentences.join(' ');
}
