import { allOrdersKey } from '#core/what-if/assumption';
import { plain } from '#core/what-if/turns-it';
import { useAskedDecision } from './asked-decision';
import { KeepScenario } from './keep-scenario';

/** Keeps a level of sales as a scenario: so many more or fewer orders of everything. */
export function KeepLevel({ scale, suggestion }: { scale: number; suggestion: string }) {
  const { file } = useAskedDecision();
  const key = allOrdersKey(file);
  if (key === null) return null;
  return (
    <KeepScenario key={suggestion} suggestion={suggestion} changes={[{ key, value: plain(Number(((scale - 1) * 100).toFixed(4))) }]} />
  );
}
