import type { CandidateChanceTold, ChanceAnswer } from '#core/chance/chance-answer';
import type { Writer } from '../../locale/writer';

/** "66 of 100", and of what hardly ever happens "fewer than 1 of 100". */
export function ofHundred(part: number): string {
  const hundred = Math.round(part * 100);
  if (hundred === 0 && part > 0) return 'fewer than 1 of 100';
  if (hundred === 100 && part < 1) return 'more than 99 of 100';
  return `${hundred} of 100`;
}

/** "62% ± 1": how often something is so, and how far that may be off for the futures looked at. */
export function shareWords({ first, error }: Pick<CandidateChanceTold, 'first' | 'error'>, write: Writer): string {
  const give = Math.max(first > 0 && first < 1 ? 1 : 0, Math.round(error * 100));
  const share = write.percent(String(Math.round(first * 100)), 0);
  return give === 0 ? share : `${share} ± ${give}`;
}

/** So much further up than the middle lies what is beyond all measure. */
const WILD = 1000;
/** Nobody pays as much as that. */
const BEYOND = 1e12;

/** An amount, as long as it is one that anybody could pay. */
export function costWords(amount: string, write: Writer): string {
  return isBeyondMeasure(amount) ? 'beyond measure' : write.whole(amount);
}

export function isBeyondMeasure(amount: string): boolean {
  return Math.abs(Number(amount)) >= BEYOND;
}

/** Whether futures lie so far apart that averages say nothing. */
function isWild({ middle, high, low }: CandidateChanceTold): boolean {
  return Math.max(Math.abs(Number(high)), Math.abs(Number(low))) > WILD * Math.max(1, Math.abs(Number(middle)));
}

/** The sentence above it all: who to choose, how often that is right, and what it gives away when it is not. */
export function chanceSentence(answer: ChanceAnswer, nameOf: (id: string) => string, write: Writer): string {
  const { candidates, best, safest, isCertain, nobody } = answer;
  const chosen = candidates.find(({ id }) => id === best);
  if (!chosen || nobody === 1) return 'In none of these futures can any candidate be used to the end.';
  const name = nameOf(chosen.id);
  if (isCertain) return `Nothing here is uncertain, so ${name} comes first for sure.`;
  if (candidates.length === 1)
    return `${name} costs between ${write.amount(chosen.low)} and ${write.amount(chosen.high)} in eight of ten futures. With a second candidate you see how often it is the better one.`;
  if (chosen.first === 1) return `${name} comes first in every one of ${write.number(String(answer.futures))} futures.`;
  const first = candidates.find(({ id }) => id !== chosen.id && candidates[0]?.id === id);
  const comes = `${name} comes first in ${ofHundred(chosen.first)} futures`;
  if (candidates.some(isWild))
    return `${comes}. They lie too far apart for averages: in some, costs are more than a thousand times those in the middle. Look at what you called uncertain below.`;
  const gives = givesAwayWords(chosen, write);
  const other = first
    ? ` ${nameOf(first.id)} comes first more often, in ${ofHundred(first.first)}, but gives away more when it does not.`
    : '';
  const safe =
    safest !== null && safest !== chosen.id
      ? ` ${nameOf(safest)} is the safest: ${atWorstWords(
          candidates.find(({ id }) => id === safest),
          write,
        )}.`
      : '';
  return `${comes}. ${gives}${other}${safe}`;
}

/** What choosing it gives away, on average and where it goes worst. */
export function givesAwayWords(one: Pick<CandidateChanceTold, 'givesAway' | 'atWorst'>, write: Writer): string {
  if (Number(one.atWorst) < 0.5 && Number(one.givesAway) < 0.5) return 'Where it does not, hardly anything is lost.';
  const onAverage = `Choosing it gives away ${write.amount(one.givesAway)} on average beside what would have been best`;
  return Number(one.atWorst) < 0.5 ? `${onAverage}.` : `${onAverage}; ${atWorstWords(one, write)}.`;
}

function atWorstWords(one: Pick<CandidateChanceTold, 'atWorst'> | undefined, write: Writer): string {
  return `in one of twenty futures ${write.amount(one?.atWorst ?? '0')} or more`;
}

/** Whether a limit may be reached, and when, and whether it may lack something; empty where it never is. */
export function limitWords({ limit, usable, lacking }: CandidateChanceTold, month: (index: number) => string): string {
  const lacks = lacking > 0 ? `lacks a must in ${ofHundred(lacking)}: nobody has checked` : '';
  if (!limit) return lacks;
  const outgrown =
    usable === 0 && lacking === 0
      ? `always outgrown, half of the time by ${month(limit.month)}`
      : `outgrown in ${ofHundred(limit.part)}, half of these by ${month(limit.month)}`;
  return lacks ? `${outgrown}; ${lacks}` : outgrown;
}

/** What asking for something before you choose would be worth: "knowing it is worth €26". */
export function worthAskingWords(worth: string, hourValue: string | undefined, write: Writer): string {
  return Number(worth) < 0.5 ? 'knowing it would change no choice' : `knowing it is worth ${worthWords(worth, hourValue, write)}`;
}

/** What knowing something would be worth, beside what an hour is worth; null while that is not known. */
export function worthWords(worth: string | null, hourValue: string | undefined, write: Writer): string {
  if (worth === null) return '';
  if (Number(worth) < 0.5) return 'nothing';
  const hour = Number(hourValue ?? '0');
  if (hour > 0 && Number(worth) < hour) return `${write.amount(worth)}: not worth an hour of yours`;
  return write.amount(worth);
}
