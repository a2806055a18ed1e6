import { Link } from 'react-router';
import type { Workbench } from '#core/decision/workbench';
import { madeWords } from '#core/proposals/edit-followed';
import type { MakeUp } from '#core/proposals/decision-proposals';
import { nameOf } from '#core/proposals/followed';
import type { WayAhead } from '#core/proposals/decision-ways';
import { useWriter } from '../locale/locale';
import type { Writer } from '../locale/writer';
import { useWorkbench, useWorked } from '../workbench/workbench-context';

/** A way in one sentence: "Begin on Kestrel Seed, by the month; move to Kestrel Grow, by the year, in June 2027." */
export function wayWords(workbench: Workbench, { segments }: Pick<WayAhead, 'segments'>, write: Writer): string {
  return `${segments
    .map(({ made, from }, index) =>
      index === 0 ? `Begin on ${madeWords(workbench, made)}` : `move to ${madeWords(workbench, made)}, in ${write.month(from)}`,
    )
    .join('; ')}.`;
}

/**
 * The moves of a way in a few words, beside the plan that one stays on otherwise: "with a move to Kestrel Grow in June
 * 2027", or beside Kestrel Grow "begun on Kestrel Seed, moved in June 2027".
 *
 * @param stays - id of the plan that the figure beside is of
 */
export function moveWords(workbench: Workbench, { segments }: Pick<WayAhead, 'segments'>, write: Writer, stays?: string): string {
  const [first, next, ...others] = segments;
  if (!first || !next) return 'without a move';
  if (others.length > 0) return `with ${others.length + 1} moves, the first in ${write.month(next.from)}`;
  const isOn = (one: MakeUp) => one.plans[0]?.plan === stays;
  if (stays !== undefined && isOn(next.made) && !isOn(first.made))
    return `begun on ${nameOf(workbench, first.made)}, moved in ${write.month(next.from)}`;
  return `with a move to ${nameOf(workbench, next.made)} in ${write.month(next.from)}`;
}

/** Beside a vendor's proposal, the way inside the vendor that is cheaper. */
export function VendorWay({ offer }: { offer: string }) {
  const { state } = useWorkbench();
  const { ways } = useWorked();
  const write = useWriter();
  const way = ways?.ofVendors[offer];
  if (!ways || !way) return null;
  const { workbench } = state;
  const { currency } = workbench.decision;
  return (
    <p className="vendor-way">
      {wayWords(workbench, way, write)} {write.money(way.total, currency)} in all
      {way.saves === null ? ', while nothing does without a move' : `, ${write.money(way.saves, currency)} less than staying`}
      {Number(ways.moving.within) > 0 ? `; the move is counted at ${write.money(ways.moving.within, currency)}.` : '.'}
    </p>
  );
}

/** The way from one vendor to another that is cheaper than any on one alone. */
export function WayAcross() {
  const { state, decisionId } = useWorkbench();
  const { ways } = useWorked();
  const write = useWriter();
  if (!ways?.across) return null;
  const { workbench } = state;
  const { currency } = workbench.decision;
  const { across, moving } = ways;
  return (
    <section aria-label="From one vendor to another">
      <h2>From one vendor to another</h2>
      <p>
        <b>{wayWords(workbench, across, write)}</b> {write.money(across.total, currency)} in all
        {across.saves === null ? '.' : `, ${write.money(across.saves, currency)} less than any vendor alone.`}
      </p>
      <p className="quiet">
        Moving to another vendor is counted at {write.money(moving.between, currency)}, to another plan of the same vendor at{' '}
        {write.money(moving.within, currency)}; <Link to={`/decisions/${decisionId}/what-if/route`}>change what moving costs</Link>.
      </p>
    </section>
  );
}
