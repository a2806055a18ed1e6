import type { StatedCharge } from '../price-phrase/statement';
import { askRegion } from './ask-region';
import { feesIn, noFee, type StatedFee } from './fees';
import { isAbroad } from './ways-of-paying';
import type { PlainLine } from './plain-line';
import { type Place, plansFor } from './plans-meant';
import type { PlanBeingRead, ReadingBuilder } from './reading-builder';
import { wholeWords } from './whole-words';

/**
 * Reads the fees that a line outside the plans states: of the plans it names, or of all that take payments.
 *
 * @returns false where it states none
 */
export function readFees({ plain, line }: PlainLine, place: Place, builder: ReadingBuilder): boolean {
  const heading = place.about !== null || place.section === 'fees' || place.question === '' ? place.heading : subjectOf(place.question);
  const isMeant =
    place.section === 'fees' ||
    place.about !== null ||
    FEES_ASKED.test(place.question) ||
    /\b(?:cards?|processing|processor|commission|transaction|payments?|fees?|per sale|(?:each|every) sale|share of|revenue|wallets?|amex|debit|pay(?:ment)? later|instal?ments|(?:we (?:take|keep|charge)|you (?:get|receive|earn)|keeps?) \d+(?:\.\d+)?%|keeps? (?:everything|every penny|every cent))(?!\w)/i.test(
      plain,
    ) ||
    (/\d%/.test(plain) && OF_PAYMENTS.test(place.heading) && (namesSeveral(plain, builder) || isNamedFirst(plain, builder)));
  if (!isMeant || OF_OTHERS.test(plain)) return false;
  if (askPlace({ plain, line }, place, builder)) return true;
  if (
    (place.about === null || namesSeveral(plain, builder)) &&
    readRatesByName(
      { plain, line },
      place.section === 'fees' || FEES_ASKED.test(place.question) || OF_PAYMENTS.test(heading) ? heading : '',
      builder,
    )
  )
    return true;
  const isOfAbroad = /\bcards?\b/i.test(place.question) && isAbroad(place.question.toLowerCase());
  const isAsked = isOfAbroad || (FEES_ASKED.test(place.question) && /^(?:yes|you can|of course|sure)\b|^\d/i.test(plain));
  const fees = feesIn(plain, { heading: place.section === 'fees' || place.about !== null || isAsked ? heading : '' });
  if (fees.length === 0) return false;
  const included = INCLUDED_ON.exec(plain)?.[1];
  const named = included === undefined ? plansFor(plain, place, builder, 'every') : builder.plans;
  const plans = named.filter(
    (plan) =>
      !(included !== undefined && wholeWords(plan.name).test(included)) &&
      !takesNothing(plan) &&
      !fees.every((fee) => isSaid(plan, fee.statement)),
  );
  const regional = fees.filter(({ isRegional }) => isRegional);
  for (const { statement, isRegional } of fees)
    if (!isRegional)
      for (const plan of plans)
        if (ON_TOP.test(plain) || !hasOwnFee(plan, statement.charge.only, statement.charge.bucket ?? 'transaction', line))
          builder.state(plan, statement, line);
  for (const { statement } of regional)
    askRegion(
      builder,
      plans.map(({ name }) => ({ plan: name, statement })),
      [line],
    );
  if (!builder.isUsed(line)) leaveOrPutAside(line, fees, named, builder);
  return true;
}

/** What somebody else takes, or is said to take as a rule, is no fee of this vendor. */
const OF_OTHERS =
  /\b(?:typically|usually|approximately|roughly|for example|e\.g\.|in most countries|(?:is|are) (?:not ours|theirs)|between you and them|agreed? with them)/i;

/** A heading above a rate for each plan: "Third-party payment providers". */
const OF_PAYMENTS = /\b(?:payments?|fees?|commission|providers?|processors?|gateways?)\b/;

function namesSeveral(plain: string, builder: ReadingBuilder): boolean {
  return builder.names().filter((name) => wholeWords(name).test(plain)).length > 1;
}

/** "Starter: 3.5% + ¤0.3 online, 3.5% in person". */
function isNamedFirst(plain: string, builder: ReadingBuilder): boolean {
  return builder.names().some((name) => plain.startsWith(`${name}: `));
}

/** What repeats a rate is put aside; another rate for the same, as of a wallet with a name of its own, stays open. */
function leaveOrPutAside(line: number, fees: readonly StatedFee[], plans: readonly PlanBeingRead[], builder: ReadingBuilder): void {
  const isRepeated = fees.every(({ statement }) => plans.some((plan) => isSaid(plan, statement)));
  if (isRepeated) builder.putAside(line, 'said of the plan already');
  else builder.leaveOpen(line);
}

/** "2.9% + ¤0.3 in the US and 2.1% + ¤0.2 in the UK": it depends on where the shop is. */
function askPlace({ plain, line }: Pick<PlainLine, 'plain' | 'line'>, place: Place, builder: ReadingBuilder): boolean {
  const found = [...plain.matchAll(new RegExp(`(${A_RATE}) in ((?:the )?(?:\\p{Lu}[\\p{L}]+)(?: \\p{Lu}\\p{L}+)?)`, 'gu'))];
  if (found.length < 2) return false;
  const plans = plansFor(plain, place, builder, 'every').filter((plan) => !takesNothing(plan));
  const options = found.map(([, rate = '', where = '']) => ({
    label: `in ${where}`,
    statements: plans.flatMap(({ name }) =>
      feesIn(`card payments ${rate}`, { heading: '' }).map(({ statement }) => ({ plan: name, statement })),
    ),
  }));
  builder.ask(
    'Where is your shop?',
    [line],
    plans.map(({ name }) => name),
    options,
  );
  return true;
}

const ON_TOP = /\bon top\b|\bin addition\b|\bcomes? to that\b/i;

/** "Do you take a fee of my sales?" asks about what the vendor keeps, whoever takes the payments. */
function subjectOf(question: string): string {
  const text = question.toLowerCase();
  return /\bdo(?:es)? (?:you|it|\p{L}+) (?:take|charge|keep|want)\b(?!.*\b(?:cards?|processing)\b)/u.test(text) ? 'sales fee' : text;
}

/** "Card fees are included on Basic and added on all other plans." */
const INCLUDED_ON =
  /\bincluded (?:on|in|with) ([^.,;]+?),? (?:and|but) (?:are |is |come |comes )?(?:added|charged|extra|on top)\b[^.]*\bother\b/i;

const FEES_ASKED =
  /\b(?:fees?|charges?|commission|share|cut|percentage|(?:another|other|own|different) (?:payment )?(?:provider|processor|gateway))\b/i;
const A_RATE = String.raw`\d+(?:\.\d+)?%(?:\s*\+\s*¤\d+(?:\.\d+)?)?`;

const OF_A_SALE = String.raw`(?: (?:of|per) (?:each |every |a )?sale| fee| of (?:(?! on | nothing)[^,;.%¤]){3,40}?)?`;

/** "Other providers: 2% on Basic, 1% on Plus": each plan's own rate of the same fee. */
function readRatesByName({ plain, line }: Pick<PlainLine, 'plain' | 'line'>, heading: string, builder: ReadingBuilder): boolean {
  const behind = builder.plans.flatMap((plan) => {
    const named = wholeWords(plan.name);
    const rate = new RegExp(
      `${named.source}(?: plan)?:?(?: we (?:take|keep|charge))? (${A_RATE}(?: of [^,;.]+)?|nothing\\b)`,
      named.flags,
    ).exec(plain);
    return rate ? [{ plan, rate: rate[1] ?? '', from: rate.index }] : [];
  });
  // "Nothing on Grow and Scale" is said of both.
  const others = builder.names().map((name) => wholeWords(name).source);
  const before = builder.plans.flatMap((plan) => {
    const named = wholeWords(plan.name);
    const rate = new RegExp(
      `((?:${A_RATE}|nothing)${OF_A_SALE})\\s*(?:\\(|(?:on|for|with|in)\\s+(?:the\\s+)?)(?:(?:${others.join('|')})(?:, | and |, and ))*${named.source}`,
      named.flags,
    ).exec(plain);
    return rate ? [{ plan, rate: rate[1] ?? '', from: rate.index }] : [];
  });
  const found = before.length >= 2 ? before : behind;
  const areOthersFree = /\b(?:paid|other|higher) (?:plans|ones)?,? ?(?:we take |it is |it’s )?(?:nothing|none|no fee|zero)\b/i.test(plain);
  if (found.length < (areOthersFree ? 1 : 2)) return false;
  const lead = plain.slice(0, Math.min(...found.map(({ from }) => from)));
  for (const { plan, rate } of found)
    for (const { statement } of /^nothing/i.test(rate) ? [noFee()] : feesIn(`${lead}${rate}`, { heading }))
      builder.state(plan, statement, line);
  if (areOthersFree)
    for (const plan of builder.plans) if (!found.some((one) => one.plan === plan)) builder.state(plan, noFee().statement, line);
  return builder.isUsed(line);
}

/** Whether a plan has the very rate already, as answers repeat it. */
function isSaid({ facts }: PlanBeingRead, { charge }: ReturnType<typeof feesIn>[number]['statement']): boolean {
  const rate = (one: StatedCharge) => (one.how === 'per-order' ? `${one.percent ?? '0'} ${one.each ?? '0'}` : '');
  const bucket = (one: StatedCharge) => one.bucket ?? 'transaction';
  return facts.some(
    ({ statement }) =>
      statement.kind === 'charge' && rate(statement.charge) === rate(charge) && bucket(statement.charge) === bucket(charge),
  );
}

/** A plan with a fee of its own for the same thing does not get the page's general one. */
function hasOwnFee({ facts }: PlanBeingRead, only: unknown, bucket: string, line: number): boolean {
  return facts.some(
    ({ statement, lines }) =>
      statement.kind === 'charge' &&
      !lines.includes(line) &&
      statement.charge.how === 'per-order' &&
      (statement.charge.bucket ?? 'transaction') === bucket &&
      JSON.stringify(statement.charge.only ?? null) === JSON.stringify(only ?? null),
  );
}

/** A plan on which nothing is sold has no fees of sales. */
export function takesNothing({ facts }: PlanBeingRead): boolean {
  return facts.some(({ statement }) => statement.kind === 'limit' && statement.quantity === 'orders' && statement.most === '0');
}
