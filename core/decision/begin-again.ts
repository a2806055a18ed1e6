import type { Month } from '../calendar/month';
import type { Workbench } from './workbench';

/**
 * A new decision about the same vendors and needs, to be filled with new sales. What was decided, asked “what if” of,
 * arranged, and what really happened, stays with the earlier one.
 *
 * @param start - the first month of the new horizon
 */
export function beginAgain({ decision, sheets }: Workbench, start: Month): Workbench {
  const {
    verdicts: _verdicts,
    choice: _choice,
    actuals: _actuals,
    dates: _dates,
    whatIf: _whatIf,
    lineUp: _lineUp,
    versions: _versions,
    ...kept
  } = decision;
  return { decision: { ...kept, start }, sheets };
}
