import { Button } from 'antd';
import Input from 'antd/es/input/Input';
import { useState } from 'react';
import { readTypedNumber } from '#core/amount/typed-number';
import { decimal } from '#core/amount/decimal';
import { useWriter } from '../locale/locale';
import { useLevel, useWorkbench } from './workbench-context';

/** The level of monthly sales being looked at, in figures; it can be typed. */
export function LevelField({ typing, onTyping }: { typing: string | null; onTyping(text: string | null): void }) {
  const { atForecast, salesScale, version } = useWorkbench();
  const { priced, scale, setScale } = useLevel();
  const write = useWriter();
  const [problem, setProblem] = useState<string | null>(null);
  const isTrying = scale !== 1;
  const forecast = decimal(atForecast.average.sales);
  if (typing !== null && salesScale) {
    const [least, most] = [forecast.times(salesScale.from).ceil().toNumber(), forecast.times(salesScale.to).floor().toNumber()];
    const take = () => {
      const typed = readTypedNumber(typing, { wanted: 'sales a month', least, most });
      if (!typed.ok) return setProblem(typed.problem);
      setScale(decimal(typed.value).div(forecast).toNumber());
      leave();
    };
    const leave = () => {
      setProblem(null);
      onTyping(null);
    };
    return (
      <>
        <Input
          aria-label="Try sales a month"
          variant="underlined"
          inputMode="decimal"
          autoComplete="off"
          autoFocus
          value={typing}
          {...(problem ? { status: 'error' as const, 'aria-invalid': true } : {})}
          onChange={({ target }) => onTyping(target.value)}
          onBlur={() => (typing.trim() === '' ? leave() : take())}
          onKeyDown={(event) => {
            if (event.key === 'Enter') take();
            if (event.key !== 'Escape') return;
            event.preventDefault();
            leave();
          }}
        />
        <span className={problem ? 'field-problem' : ''} role={problem ? 'alert' : undefined}>
          {problem ?? 'a month; Enter tries it'}
        </span>
      </>
    );
  }
  return (
    <>
      {salesScale ? (
        <button type="button" className="level" title="Type another level" onClick={() => onTyping('')}>
          <b>{write.whole(priced.average.sales)}</b>
        </button>
      ) : (
        <b>{write.whole(priced.average.sales)}</b>
      )}
      {isTrying ? (
        <span>
          a month, tried;{' '}
          <Button type="link" size="small" onClick={() => setScale(1)}>
            back to {write.whole(atForecast.average.sales)}
          </Button>
        </span>
      ) : (
        <span>{version === 'expected' ? 'sales a month, on average' : `sales a month, ${version}`}</span>
      )}
    </>
  );
}
