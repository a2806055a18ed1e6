import { useMemo } from 'react';
import { decimal } from '#core/amount/decimal';
import type { CheckContext } from '#core/price-checks/finding';
import { useWriter } from '../locale/locale';
import type { Writer } from '../locale/writer';
import { useWorkbench } from '../workbench/workbench-context';

let latest: { key: string; context: CheckContext } | null = null;

/** The same for everybody who looks alike, so that what was found is worked out once. */
function contextFor(today: string, base: string, monthlySales: string, write: Writer): CheckContext {
  const key = `${today} ${base} ${monthlySales} ${write.locale}`;
  const sales = decimal(monthlySales).times(12);
  if (latest?.key !== key)
    latest = {
      key,
      context: { today, base, ...(sales.isZero() ? {} : { salesAYear: sales.toFixed() }), write: (text) => write.number(text) },
    };
  return latest.context;
}

/** What the checks of price sheets need besides the sheet. */
export function useCheckContext(today: string): CheckContext {
  const write = useWriter();
  const { state, atForecast } = useWorkbench();
  const { currency } = state.workbench.decision;
  const { sales } = atForecast.average;
  return useMemo(() => contextFor(today, currency, sales, write), [today, currency, sales, write]);
}
