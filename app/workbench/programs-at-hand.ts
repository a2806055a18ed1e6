import { fetchChoiceSelect } from '../components/choice-program';
import recordingProgram from '../../workers/read-recording?worker&url';
import whatIfProgram from '../../workers/what-if?worker&url';

/**
 * Has the browser fetch what places load only when they need it: what works beside the interface, charts, the check of
 * drafts, what a figure opens. Fetched once, it is there while the server is away.
 */
export function fetchPrograms(): void {
  for (const address of [whatIfProgram, recordingProgram]) void fetch(address).catch(() => undefined);
  void fetchChoiceSelect();
  void import('../components/chart-engine').catch(() => undefined);
  void import('./draft-schema').catch(() => undefined);
  void import('../command-list/key-list').catch(() => undefined);
  void import('../command-list/command-list').catch(() => undefined);
  void import('./typed-level').catch(() => undefined);
  void import('../line-up/open-panel').catch(() => undefined);
}
