import Input from 'antd/es/input/Input';
import { useState } from 'react';
import { decimal } from '#core/amount/decimal';
import { readTypedNumber } from '#core/amount/typed-number';
import type { SalesScale } from '#core/comparison/sales-scale';
import { useLevel, useWorkbench } from './workbench-context';
import { typedLevel as words } from './words/typed-level';

interface TypedLevelProps {
  typing: string;
  salesScale: SalesScale;
  onTyping(text: string | null): void;
}

/** Another level of monthly sales, typed. */
export default function TypedLevel({ typing, salesScale, onTyping }: TypedLevelProps) {
  const { atForecast } = useWorkbench();
  const { setScale } = useLevel();
  const [problem, setProblem] = useState<string | null>(null);
  const forecast = decimal(atForecast.average.sales);
  const [least, most] = [forecast.times(salesScale.from).ceil().toNumber(), forecast.times(salesScale.to).floor().toNumber()];
  const take = () => {
    const typed = readTypedNumber(typing, { wanted: words.salesAMonth, least, most });
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
        aria-label={words.trySalesAMonth}
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
        {problem ?? words.aMonthEnterTries}
      </span>
    </>
  );
}
