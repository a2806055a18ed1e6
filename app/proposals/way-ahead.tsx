import { Link } from 'react-router';
import type { Workbench } from '#core/decision/workbench';
import { madeWords } from '#core/proposals/edit-followed';
import type { MakeUp } from '#core/proposals/decision-proposals';
import { nameOf } from '#core/proposals/followed';
import type { WayAhead } from '#core/proposals/decision-ways';
import { useWriter } from '../locale/locale';
import type { Writer } from '../locale/writer';
import { useWorkbench, useWorked } from '../workbench/workbench-context';
import { wayAhead as words } from './words/way-ahead';

/** A way in one sentence: "Begin on Kestrel Seed, by the month; move to Kestrel Grow, by the year, in June 2027." */
export function wayWords(workbench: Workbench, { segments }: Pick<WayAhead, 'segments'>, write: Writer): string {
  return `${segments
    .map(({ made, from }, index) =>
      index === 0 ? words.beginOn(madeWords(workbench, made)) : words.moveToIn(madeWords(workbench, made), write.month(from)),
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
  if (!first || !next) return words.withoutAMove;
  if (others.length > 0) return words.withMovesTheFirst(others.length + 1, write.month(next.from));
  const isOn = (one: MakeUp) => one.plans[0]?.plan === stays;
  if (stays !== undefined && isOn(next.made) && !isOn(first.made))
    return words.begunOnMovedIn(nameOf(workbench, first.made), write.month(next.from));
  return words.withAMoveToIn(nameOf(workbench, next.made), write.month(next.from));
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
      {words.inAll({
        wayWords: wayWords(workbench, way, write),
        total: write.money(way.total, currency),
        whileNothingDoes: way.saves === null ? words.whileNothingDoesWithout : words.lessThanStaying(write.money(way.saves, currency)),
        within: Number(ways.moving.within) > 0 ? words.theMoveIsCounted(write.money(ways.moving.within, currency)) : '.',
      })}
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
    <section aria-label={words.fromOneVendorToAnother}>
      <h2>{words.fromOneVendorToAnother}</h2>
      <p>
        {words.inAllWayWords(
          <b>{wayWords(workbench, across, write)}</b>,
          write.money(across.total, currency),
          across.saves === null ? '.' : words.lessThanAnyVendor(write.money(across.saves, currency)),
        )}
      </p>
      <p className="quiet">
        {words.movingToAnotherVendor(
          write.money(moving.between, currency),
          write.money(moving.within, currency),
          <Link to={`/decisions/${decisionId}/what-if/route`}>{words.changeWhatMovingCosts}</Link>,
        )}
      </p>
    </section>
  );
}
