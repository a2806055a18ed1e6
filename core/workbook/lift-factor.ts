import type { Candidate } from '../decision-file/candidate-schema';
import type { AssumptionPlaces } from './assumptions-sheet';

/** The factor of a candidate's lift on a stream's orders (decision file §5); empty for none. */
export function liftFactor({ id, lift }: Candidate, stream: string, assumed: AssumptionPlaces): string {
  const isLifted = lift !== undefined && (typeof lift === 'string' || lift.streams.includes(stream));
  const cell = isLifted ? assumed.candidate.get(id)?.lift : undefined;
  return cell === undefined ? '' : `*(1+${cell}/100)`;
}
