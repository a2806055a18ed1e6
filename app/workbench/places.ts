import type { Workbench } from '#core/decision/workbench';
import { askedVendors, unansweredOf } from '#core/needs/answers';
import { gapsOf } from '#core/price-sheet/gaps';
import { verdictName } from '#core/verdict/verdict-name';
import type { Writer } from '../locale/writer';
import { type PlacePath, PLACES } from './place-registry';
import type { Priced } from './workbench-context';
import { places as words } from './words/places';

/** What a place holds or lacks, in a few words. */
interface Holding {
  readonly holds: string;
  /** Whether something is missing there. */
  readonly lacks: boolean;
}

/** A place on the workbench, with what it holds. */
export interface Place extends Holding {
  readonly path: PlacePath;
  readonly name: string;
}

interface Looked {
  readonly workbench: Workbench;
  readonly priced: Priced;
  readonly write: Writer;
}

const full = (holds: string): Holding => ({ holds, lacks: false });

/** What each place says of itself. */
const HOLDS = {
  frame({ workbench: { decision }, priced: { heldBack } }) {
    const rateMissing = heldBack.some(({ obstacle }) => obstacle.kind === 'rate');
    return { holds: rateMissing ? words.exchangeRateMissing : words.monthsIn(decision.months, decision.currency), lacks: rateMissing };
  },
  sales({ workbench: { decision }, priced: { average }, write }) {
    if (Number(average.sales) === 0) return { holds: words.nothingYet, lacks: true };
    return full(words.aMonth(words.streams(decision.forecast.streams.length), write.amount(average.sales)));
  },
  needs: ({ workbench: { decision, sheets } }) => needsHold(decision, sheets),
  sheets({ workbench: { sheets } }) {
    if (sheets.length === 0) return { holds: words.noneYet, lacks: true };
    const gaps = sheets.reduce((sum, { sheet }) => sum + gapsOf(sheet), 0);
    return {
      holds: `${words.sheets(sheets.length)}${gaps > 0 ? words.gaps(gaps) : ''}`,
      lacks: gaps > 0,
    };
  },
  'line-up': ({ priced: { lineUp }, write }) => ({
    holds: lineUp.leader ? words.leads(lineUp.leader.label, write.amount(lineUp.leader.result.total)) : words.nothingToChooseYet,
    lacks: lineUp.columns.length === 0,
  }),
  'what-if': ({ workbench: { decision } }) => full(scenariosHold(decision)),
  verdict: ({ workbench: { decision } }) => full(verdictName(decision.verdicts) ?? words.open),
} satisfies Record<PlacePath, (looked: Looked) => Holding>;

/** The places of the workbench in their order, each with what it holds. */
export function placesOf(workbench: Workbench, priced: Priced, write: Writer): Place[] {
  return PLACES.map(({ path, name }) => ({ path, name, ...HOLDS[path]({ workbench, priced, write }) }));
}

/** How many needs and qualities there are, and how many answers are missing. */
function needsHold({ needs = [], qualities = [] }: Workbench['decision'], sheets: Workbench['sheets']): Holding {
  const open = askedVendors(sheets).reduce((sum, { plans }) => sum + unansweredOf(needs, plans), 0);
  if (needs.length + qualities.length === 0) return { holds: words.noneYet, lacks: false };
  const held = needs.length > 0 ? words.needs(needs.length) : words.qualities(qualities.length);
  return { holds: `${held}${open > 0 ? words.toFindOut(open) : ''}`, lacks: open > 0 };
}

/** How many scenarios were kept. */
function scenariosHold({ whatIf }: Workbench['decision']): string {
  const kept = whatIf?.scenarios?.length ?? 0;
  return kept === 0 ? words.breakEvensMapRoute : words.scenariosKept(kept);
}
