import { useMemo } from 'react';
import type { CheckContext } from '#core/price-checks/finding';
import { useWriter } from '../locale/locale';
import type { Writer } from '../locale/writer';
import { useWorkbench } from '../workbench/workbench-context';

let latest: { key: string; context: CheckContext } | null = null;

/** The same for everybody who looks alike, so that what was found is worked out once. */
function contextFor(today: string, base: string, write: Writer): CheckContext {
  const key = `${today} ${base} ${write.locale}`;
  if (latest?.key !== key) latest = { key, context: { today, base, write: (decimal) => write.number(decimal) } };
  return latest.context;
}

/** What the checks of price sheets need besides the sheet. */
export function useCheckContext(today: string): CheckContext {
  const write = useWriter();
  const { currency } = useWorkbench().state.workbench.decision;
  return useMemo(() => contextFor(today, currency, write), [today, currency, write]);
}
