import { Leaves } from '../components/leaves';
import { useWorkbench } from '../workbench/workbench-context';

/** The verdict, what follows from it, and how it turned out. */
export default function VerdictPlace() {
  const given = useWorkbench().state.workbench.decision.verdicts?.length ?? 0;
  return <Leaves place="verdict" counts={{ '': given > 1 ? given : 0 }} />;
}
