import * as z from 'zod';
import { decimal } from '../amount/decimal';
import { salesScale } from '../comparison/sales-scale';
import type { DecisionFile } from '../decision-file/schema';
import { workbenchInVersion, type Workbench } from '../decision/workbench';
import { decisionProposals, type DecisionProposals } from '../proposals/decision-proposals';
import { betterWay } from '../proposals/better-way';
import { decisionWays } from '../proposals/decision-ways';
import { nameOf } from '../proposals/followed';
import { comesTo, chosenThere, type ComesTo } from '../verdict/comes-to';
import { choiceOf, since } from '../verdict/since';
import { verdictName } from '../verdict/verdict-name';
import { judge } from './work-out';

const chosenBest = z.strictObject({ candidate: z.string(), label: z.string(), total: z.string(), margin: z.string() }).nullable();

/** What a decision comes to, as the list of decisions says it; amounts in its currency. */
export const decisionSummarySchema = z.strictObject({
  candidates: z.number(),
  /** By what it is compared. */
  by: z.enum(['cost', 'keep']),
  /** The best candidate, its total and its lead before the next; null without an answer. */
  leader: z.string().nullable(),
  total: z.string().nullable(),
  margin: z.string().nullable(),
  /** A way with moves that costs less: its plans, each from a month on, and by how much less. */
  way: z
    .strictObject({ parts: z.array(z.strictObject({ label: z.string(), from: z.string() })), total: z.string(), less: z.string() })
    .nullable(),
  /** Over how many months. */
  months: z.number(),
  currency: z.string(),
  /** Who is best at which level of sales; scales, 1 is the forecast. */
  scale: z
    .strictObject({
      from: z.number(),
      to: z.number(),
      stretches: z.array(z.strictObject({ candidate: z.string().nullable(), label: z.string(), from: z.number(), to: z.number() })),
    })
    .nullable(),
  /** What is open and could still change the answer. */
  toFindOut: z.number(),
  /** The newest verdict, by name, with what has become of it since. */
  verdict: z
    .strictObject({
      name: z.string(),
      on: z.string(),
      /** Two together, and not a way of one after the other. */
      isTwo: z.boolean(),
      comparedBy: z.literal('keep').optional(),
      since: z.strictObject({
        standing: z.enum(['holds', 'overtaken', 'gone', 'unusable']),
        dearer: z.string().nullable(),
        then: chosenBest,
        now: chosenBest,
        isOtherMeasure: z.boolean(),
      }),
    })
    .nullable(),
});

export type DecisionSummary = z.output<typeof decisionSummarySchema>;

/** Sums up a decision: its answer, who is best at which sales, what is open, and what has become of its verdict. */
export function summaryOf(stored: Workbench): DecisionSummary {
  const now = comesTo(stored);
  const proposals = decisionProposals(stored);
  const { leader, runnerUp, by, columns } = now.lineUp;
  const scale = salesScale(now.priced.pricing);
  const labelOf = (id: string | null) => columns.find((column) => column.id === id)?.label ?? '';
  const { currency, months } = now.workbench.decision;
  return {
    candidates: columns.length,
    by,
    leader: leader?.label ?? null,
    total: leader?.result.total ?? null,
    margin: runnerUp?.margin ?? null,
    way: wayOf(now, proposals),
    months,
    currency,
    scale: scale && {
      from: scale.from,
      to: scale.to,
      stretches: scale.stretches.map(({ candidate, from, to }) => ({ candidate, label: labelOf(candidate), from, to })),
    },
    toFindOut: judge(now.workbench, proposals).questions.length,
    verdict: verdictOf(stored),
  };
}

function wayOf({ workbench, priced, lineUp: { leader, by } }: ComesTo, proposals: DecisionProposals): DecisionSummary['way'] {
  const plan = priced.pricing.file.candidates.find(({ id }) => id === leader?.id)?.plans[0]?.plan;
  if (!leader || by === 'keep' || plan === undefined || !isQuicklySearched(priced.pricing.file)) return null;
  const found = betterWay(decisionWays(workbench, proposals), proposals, priced.pricing.plan(plan).offer.id);
  if (!found || decimal(found.less).lt('0.5')) return null;
  const { way, less } = found;
  return {
    parts: way.segments.map(({ made, from }) => ({ label: nameOf(workbench, made), from })),
    total: decimal(leader.result.total).minus(less).toFixed(),
    less,
  };
}

/** So many choices of plans, terms and add-ons a list can wait for; what has more is worked out where it is opened. */
const MOST_CHOICES = 2_000;

function isQuicklySearched({ offers }: DecisionFile): boolean {
  const choicesOf = ({ plans, addons = [] }: DecisionFile['offers'][number]) =>
    plans.reduce((sum, { terms }) => sum + terms.length, 0) * 2 ** addons.length;
  return offers.reduce((sum, offer) => sum + choicesOf(offer), 0) <= MOST_CHOICES;
}

function verdictOf(stored: Workbench): DecisionSummary['verdict'] {
  const { verdicts, forecast } = stored.decision;
  const newest = verdicts?.at(-1);
  const name = verdictName(verdicts);
  if (!newest || name === null) return null;
  const now = comesTo(workbenchInVersion(stored, newest.version));
  return {
    name,
    on: newest.on,
    isTwo: newest.kind === 'together',
    ...(newest.comparedBy ? { comparedBy: newest.comparedBy } : {}),
    since: since(newest, chosenThere(now, choiceOf(newest, forecast.streams)), now.priced.pricing.file),
  };
}
