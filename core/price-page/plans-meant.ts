import type { Statement } from '../price-phrase/statement';
import type { SectionKind } from './line-kinds';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';
import { wholeWords } from './whole-words';

/** Where on a page a line stands, as far as that says what it is about. */
export interface Place {
  section: SectionKind | null;
  /** The last heading, in plain figures. */
  heading: string;
  question: string;
  /** The plan whose name stood alone on the line before. */
  about: string | null;
  /** What the sentence before charged for each of something, and its line. */
  unit?: { readonly line: number; readonly statement: Extract<Statement, { kind: 'charge' }> };
}

/** What a sentence is about that names no plan: plans with a price, or every one. */
export type Scope = 'priced' | 'every';

const OF_ALL = /\b(?:any|all|every|each|both|whichever) (?:of (?:our|the) )?(?:\w+ )?(?:plans?|packages?|servers?|prices)\b|\bon every\b/i;

/** Whether a line says that it is about all plans, wherever it stands. */
export function isOfAll(plain: string): boolean {
  return OF_ALL.test(plain) || /\bpaid plans\b/i.test(plain);
}

/** The plans that a sentence is about: those it names, all, all that are paid for; else those that are priced, or all. */
export function plansFor(plain: string, place: Pick<Place, 'about' | 'question'>, builder: ReadingBuilder, usual: Scope): PlanBeingRead[] {
  const { plans } = builder;
  if (place.about !== null && !isOfAll(plain)) return plans.filter(({ name }) => name === place.about);
  const named = namedIn(plain, plans);
  // "Plus and higher" names the plans behind it, too.
  const [lowest] = named.length === 1 && /\b(?:and|or) (?:higher|up|upwards?|above|bigger|larger)\b/i.test(plain) ? named : [];
  if (lowest) return plans.slice(plans.indexOf(lowest));
  if (named.length > 0) return named;
  // "May I try Plus first?", "Yes, for 30 days": an answer is about the plan that its question names.
  const asked = /^(?:yes|no)\b/i.test(plain) ? namedIn(place.question, plans) : [];
  if (asked.length > 0) return asked;
  if (/\b(?:paid|paying) plans?\b/i.test(plain)) return plans.filter((plan) => !isFree(plan));
  // "Monthly plans" have a price by the month.
  const isPriced = ({ pieces }: PlanBeingRead) => pieces.some(({ amount }) => Number(amount) > 0);
  if (/\bmonthly plans\b/i.test(plain) && plans.some(isPriced)) return plans.filter(isPriced);
  if (OF_ALL.test(plain)) return [...plans];
  return usual === 'every' ? [...plans] : plans.filter((plan) => !isFree(plan) && !isAskedFor(plan));
}

/** The plans that words name, by their whole names or, where all begin with the vendor's, by what is behind it. */
function namedIn(plain: string, plans: readonly PlanBeingRead[]): PlanBeingRead[] {
  const whole = plans.filter(({ name }) => isNamed(name, plain));
  const [first = ''] = plans[0]?.name.split(' ') ?? [];
  if (whole.length > 0 || plans.length < 2 || !plans.every(({ name }) => name.startsWith(`${first} `))) return whole;
  const short = ({ name }: PlanBeingRead) => name.slice(first.length + 1);
  const found = plans.filter((plan) => isNamed(short(plan), plain));
  // "Pro" is in "Pro Plus".
  return found.filter((plan) => !found.some((other) => other !== plan && wholeWords(short(plan)).test(short(other))));
}

function isNamed(name: string, plain: string): boolean {
  if (name.length < 2) return false;
  const isCommon = /^(?:free|basic|plus|pro|start|plan|small|medium|large)$/i.test(name);
  // "Free 7-day trial of Plus" names no plan called Free.
  return wholeWords(name, isCommon ? '' : 'i').test(plain.replace(/\bFree (?=\d|trial\b)/g, ''));
}

export function isFree({ pieces, facts }: PlanBeingRead): boolean {
  // "¤12 per user per month" is paid for whoever uses it.
  if (
    facts.some(
      ({ statement }) => statement.kind === 'charge' && statement.charge.how === 'per-unit' && !statement.beyond && !statement.charge.free,
    )
  )
    return false;
  const isNothing = ({ amount }: (typeof pieces)[number]) => amount !== null && Number(amount) === 0;
  // What is paid once beside a plan does not make it a paid one; a plan that is paid once is.
  return pieces.some((piece) => isNothing(piece) && !piece.isOnce) && pieces.every((piece) => isNothing(piece) || piece.isOnce);
}

export function isAskedFor({ pieces }: PlanBeingRead): boolean {
  return pieces.length > 0 && pieces.every(({ amount }) => amount === null);
}
