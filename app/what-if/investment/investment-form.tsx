import type { Investment } from '#core/decision/investment-schema';
import { foundOnline } from '#core/what-if/investment';
import { ChoiceField } from '../../components/choice-field';
import { NumberField } from '../../components/number-field';
import { useAskedDecision } from '../asked-decision';

/** What an investment takes, and what it is taken to bring. */
export function InvestmentForm({ investment, onChange }: { investment: Investment; onChange(key: string, investment: Investment): void }) {
  const { file, priced, nameOf } = useAskedDecision();
  const candidates = priced.lineUp.columns.map(({ id }) => ({ value: id, label: `${id} ${nameOf(id)}` }));
  const money = (key: 'build' | 'photographs' | 'texts' | 'upkeep', label: string) => (
    <NumberField
      key={key}
      fieldKey={`investment ${key}`}
      label={label}
      value={investment[key]}
      range={{ wanted: `an amount in ${file.currency}`, least: 0, most: 10_000_000 }}
      suffix={file.currency}
      onChange={(value) => typeof value === 'string' && onChange(key, { ...investment, [key]: value })}
    />
  );
  const hours = (key: 'setup' | 'monthly', label: string) => (
    <NumberField
      fieldKey={`investment hours ${key}`}
      label={label}
      value={investment.hours[key]}
      range={{ wanted: 'hours', least: 0, most: 10_000 }}
      suffix="h"
      onChange={(value) =>
        typeof value === 'string' && onChange(`hours.${key}`, { ...investment, hours: { ...investment.hours, [key]: value } })
      }
    />
  );
  const lift = (version: keyof Investment['lift'], label: string) => (
    <NumberField
      fieldKey={`investment lift ${version}`}
      label={label}
      value={investment.lift[version]}
      range={{ wanted: 'percent more orders', least: -100, most: 1000 }}
      suffix="%"
      onChange={(value) =>
        typeof value === 'string' && onChange(`lift.${version}`, { ...investment, lift: { ...investment.lift, [version]: value } })
      }
    />
  );
  return (
    <div className="investment-form">
      <h2>The investment</h2>
      <ChoiceField
        label="Doing it yourself with"
        searchable
        value={investment.instead}
        options={candidates}
        onChange={(instead) => onChange('instead', { ...investment, instead })}
      />
      <ChoiceField
        label="The build stands on"
        searchable
        value={investment.on}
        options={candidates}
        onChange={(on) => onChange('on', { ...investment, on })}
      />
      {money('build', 'Designer or build, once')}
      <div className="pair">
        {money('photographs', 'Photographs')}
        {money('texts', 'Texts')}
      </div>
      {money('upkeep', 'Looking after it, a month')}
      <div className="pair">
        {hours('setup', 'Your hours at first')}
        {hours('monthly', 'and a month')}
      </div>
      <h3>More online orders</h3>
      <div className="lifts">
        {lift('cautious', 'Cautious')}
        {lift('expected', 'Expected')}
        {lift('hopeful', 'Hopeful')}
      </div>
      <h3>Found online</h3>
      {file.forecast.streams.map((stream) => (
        <NumberField
          key={stream.id}
          fieldKey={`investment found ${stream.id}`}
          label={`${stream.label || 'Orders'}, found online`}
          value={foundOnline(stream, investment)}
          range={{ wanted: 'a percentage from 0 to 100', least: 0, most: 100 }}
          suffix="%"
          onChange={(value) =>
            typeof value === 'string' &&
            onChange(`found.${stream.id}`, { ...investment, foundOnline: { ...investment.foundOnline, [stream.id]: value } })
          }
        />
      ))}
      <p className="quiet">
        In place of the hours that {nameOf(investment.on)} takes now. Only orders of people who find you online grow with the site, wherever
        they buy in the end.
      </p>
    </div>
  );
}
