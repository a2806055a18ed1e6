import type { Workbench } from '#core/decision/workbench';
import { askedVendors, unansweredOf } from '#core/needs/answers';
import { standingOf } from '#core/qualities/standing';
import { gapsOf } from '#core/price-sheet/gaps';
import { verdictName } from '#core/verdict/verdict-name';
import type { Writer } from '../locale/writer';
import type { Priced } from './workbench-context';

/** A place on the workbench, with what it holds or lacks in a few words. */
export interface Place {
  readonly path: string;
  readonly name: string;
  readonly holds: string;
  /** Whether something is missing there. */
  readonly lacks: boolean;
}

const count = (number: number, one: string, many: string) => `${number} ${number === 1 ? one : many}`;

/** The places of the workbench in the order in which people mostly go through them. */
export function placesOf({ decision, sheets }: Workbench, { average, lineUp, heldBack }: Priced, write: Writer): Place[] {
  const { currency, months, forecast, verdicts } = decision;
  const streams = count(forecast.streams.length, 'stream', 'streams');
  const noSales = Number(average.sales) === 0;
  const rateMissing = heldBack.some(({ obstacle }) => obstacle.kind === 'rate');
  const gaps = sheets.reduce((sum, { sheet }) => sum + gapsOf(sheet), 0);
  return [
    { path: 'frame', name: 'Frame', holds: rateMissing ? 'a rate is wanted' : `${months} months, ${currency}`, lacks: rateMissing },
    {
      path: 'sales',
      name: 'Expected sales',
      holds: noSales ? 'nothing yet' : `${streams} · ${write.whole(average.sales)} a month`,
      lacks: noSales,
    },
    { path: 'needs', name: 'Needs', ...needsHold(decision, sheets) },
    {
      path: 'sheets',
      name: 'Price sheets',
      holds:
        sheets.length === 0
          ? 'none yet'
          : `${count(sheets.length, 'sheet', 'sheets')}${gaps > 0 ? ` · ${count(gaps, 'gap', 'gaps')}` : ''}`,
      lacks: sheets.length === 0 || gaps > 0,
    },
    { path: 'qualities', name: 'Qualities', ...qualitiesHold(decision, sheets) },
    { path: 'candidates', name: 'Candidates', holds: candidatesHold(decision), lacks: decision.candidates.length === 0 },
    {
      path: 'line-up',
      name: 'Line-up',
      holds: lineUp.leader ? `${lineUp.leader.label}: ${write.whole(lineUp.leader.result.total)}` : 'nothing to choose yet',
      lacks: lineUp.columns.length === 0,
    },
    { path: 'fit', name: 'Fit and cost', ...fitHolds(decision) },
    { path: 'what-if', name: 'What if', holds: scenariosHold(decision), lacks: false },
    { path: 'verdict', name: 'Verdict', holds: verdictName(verdicts) ?? 'open', lacks: false },
  ];
}

/** How many needs there are, and how many answers are wanting. */
function needsHold({ needs = [] }: Workbench['decision'], sheets: Workbench['sheets']): Pick<Place, 'holds' | 'lacks'> {
  const open = askedVendors(sheets).reduce((sum, { plans }) => sum + unansweredOf(needs, plans), 0);
  if (needs.length === 0) return { holds: 'none yet', lacks: false };
  return { holds: `${count(needs.length, 'need', 'needs')}${open > 0 ? ` · ${open} to find out` : ''}`, lacks: open > 0 };
}

/** How many qualities are weighed, and how many figures of vendors are wanting. */
function qualitiesHold(decision: Workbench['decision'], sheets: Workbench['sheets']): Pick<Place, 'holds' | 'lacks'> {
  const { qualities = [] } = decision;
  if (qualities.length === 0) return { holds: 'none yet', lacks: false };
  const offers = sheets.flatMap(({ sheet }) => (sheet.kind === 'offer' ? [sheet.offer.id] : []));
  const open = offers.reduce((sum, offer) => sum + qualities.filter((quality) => standingOf(quality, offer, decision) === null).length, 0);
  return { holds: `${count(qualities.length, 'quality', 'qualities')}${open > 0 ? ` · ${open} not known` : ''}`, lacks: false };
}

/** How many candidates there are, and how many of them follow a proposal. */
function candidatesHold({ candidates, followed = [] }: Workbench['decision']): string {
  const following = followed.filter(({ candidate, pinned }) => !pinned && candidates.some(({ id }) => id === candidate)).length;
  if (candidates.length === 0) return 'none yet';
  return `${candidates.length}${following > 0 ? `, ${following} ${following === 1 ? 'follows' : 'follow'} a proposal` : ' put together'}`;
}

/** How many scenarios were kept. */
function scenariosHold({ whatIf }: Workbench['decision']): string {
  const kept = whatIf?.scenarios?.length ?? 0;
  return kept === 0 ? 'break-evens, map, route' : count(kept, 'scenario kept', 'scenarios kept');
}

/** How many things fit is weighed by. */
function fitHolds({ needs = [], qualities = [] }: Workbench['decision']): Pick<Place, 'holds' | 'lacks'> {
  const weighed = [...needs.filter(({ level }) => level === 'want'), ...qualities].filter(({ weight = '1' }) => Number(weight) > 0).length;
  return { holds: weighed === 0 ? 'nothing weighed yet' : `${count(weighed, 'thing', 'things')} weighed`, lacks: false };
}
