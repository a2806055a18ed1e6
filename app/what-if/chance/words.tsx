import type { ReactNode } from 'react';
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

export const fanChart = {
  costSoFarInEight: 'Cost so far in eight of ten futures; the figures stand in the table below',
  theSameInFigures: 'The same in figures',
  byTheEndOf: 'By the end of',
};

export const screen = {
  chance: 'Chance',
  costSoFarInEight: 'Cost so far, in eight of ten futures',
  howItIsWorked: 'How it is worked out',
  futuresAreDrawnTheSame: (number: string) =>
    `${number} futures are drawn, the same for every candidate. Cautious and hopeful sales are one in ten either way; all streams rise and fall together, and each a little on its own; single months scatter as counts do. A candidate that is outgrown in a future is not the best in it.`,
  first: 'First',
  middle: 'Middle',
  eightOfTen: 'eight of ten',
  givesAway: 'Gives away',
  oneInTwenty: 'one in twenty',
  inHowManyFutures: ({
    first,
    middle,
    eightOfTen,
    givesAway,
    oneInTwenty,
  }: {
    first: ReactNode;
    middle: ReactNode;
    eightOfTen: ReactNode;
    givesAway: ReactNode;
    oneInTwenty: ReactNode;
  }) => (
    <>
      {first}: in how many futures it is the best. {middle} and {eightOfTen}: what it comes to. {givesAway}: how much more it comes to than
      the best one of the same future, on average; {oneInTwenty}: that much or more in the worst of them.
    </>
  ),
  aPriceThatNobody:
    'A price that nobody knows is anything in its range; what a plan does not say is as likely there as not. Candidates with two or more unknown figures in one fee are left out.',
  howOftenEachComes: 'How often each comes first',
  candidate: 'Candidate',
  theSafest: 'the safest',
  middleCurrency: (currency: string) => `Middle, ${currency}`,
  eightOfTenHead: 'Eight of ten',
  oneInTwentyHead: 'One in twenty',
  atOtherLevelsOfSales: 'At other levels of sales',
  howOftenEachComesFirst: 'How often each comes first, by the level of sales',
  salesAMonth: (currency: string) => `Sales a month, ${currency}`,
  yourForecast: ', your forecast',
  seedAnotherOneDraws: 'Seed: another one draws other futures',
  aWholeNumberFrom0: 'a whole number from 0 to 999,999',
  theSeed: 'the seed',
};

export const uncertainTable = {
  howLikelyItIsFrom0: 'how likely it is, from 0 to 100',
  percentLikely: '% likely',
  howFarOffItMay: 'how far off it may be, from 0 to 1,000',
  howSureItIs: 'how sure it is',
  whatToFindOut: 'What to find out first',
  whatMayComeOut:
    'What may come out otherwise, by what knowing it before you choose would be worth: by so much less the choice would give away on average. One time in ten it is further off than what stands beside it; a price that nobody knows lies anywhere between its two figures.',
  whatMayComeOutOtherwise: 'What may come out otherwise',
  what: 'What',
  howUncertain: 'How uncertain',
  worthKnowing: 'Worth knowing',
  asUsual: 'As usual',
  asUncertainAsUsual: (label: string) => `${label}: as uncertain as usual`,
  asUsualAgain: 'as usual',
  andThatChangeNoChoice: (uncertain: number) => `And ${uncertain} that change no choice`,
  belowAbove: (below: string, above: string) => `${below} below, ${above} above`,
  howLikelyItIsThere: (label: string) => `${label}: how likely it is there`,
  oneInTenIsFurther: (label: string) => `${label}: one in ten is further off than`,
};

export const waitingSection = {
  whatWaitingIsWorth: 'What waiting is worth',
  workingItOut: 'Working it out …',
  otherMonthsToDecide: 'Other months to decide in',
  whatDecidingLaterSaves: 'What deciding later saves, by month',
  decideIn: 'Decide in',
  beginWith: 'Begin with',
  savesOnAverage: 'Saves on average',
  byWhatYouveSeen: 'By what you’ve seen',
  youThenSwitch: 'You then switch',
};
