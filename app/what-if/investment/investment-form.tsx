import type { Investment } from '#core/decision/investment-schema';
import { foundOnline } from '#core/what-if/investment';
import { ChoiceField } from '../../components/choice-field';
import { NumberField } from '../../components/number-field';
import { useAskedDecision } from '../asked-decision';
import { investmentForm as words } from './words';

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
      range={{ wanted: words.anAmountIn(file.currency), least: 0, most: 10_000_000 }}
      suffix={file.currency}
      onChange={(value) => typeof value === 'string' && onChange(key, { ...investment, [key]: value })}
    />
  );
  const hours = (key: 'setup' | 'monthly', label: string) => (
    <NumberField
      fieldKey={`investment hours ${key}`}
      label={label}
      value={investment.hours[key]}
      range={{ wanted: words.hours, least: 0, most: 10_000 }}
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
      range={{ wanted: words.percentMoreOrders, least: -100, most: 1000 }}
      suffix="%"
      onChange={(value) =>
        typeof value === 'string' && onChange(`lift.${version}`, { ...investment, lift: { ...investment.lift, [version]: value } })
      }
    />
  );
  return (
    <div className="investment-form">
      <h2>{words.theInvestment}</h2>
      <ChoiceField
        label={words.doingItYourselfWith}
        searchable
        value={investment.instead}
        options={candidates}
        onChange={(instead) => onChange('instead', { ...investment, instead })}
      />
      <ChoiceField
        label={words.theBuildStandsOn}
        searchable
        value={investment.on}
        options={candidates}
        onChange={(on) => onChange('on', { ...investment, on })}
      />
      {money('build', words.designerOrBuildOnce)}
      <div className="pair">
        {money('photographs', words.photographs)}
        {money('texts', words.texts)}
      </div>
      {money('upkeep', words.lookingAfterItAMonth)}
      <div className="pair">
        {hours('setup', words.yourHoursAtFirst)}
        {hours('monthly', words.andAMonth)}
      </div>
      <h3>{words.moreOnlineOrders}</h3>
      <div className="lifts">
        {lift('cautious', words.cautious)}
        {lift('expected', words.expected)}
        {lift('hopeful', words.hopeful)}
      </div>
      <h3>{words.foundOnline}</h3>
      {file.forecast.streams.map((stream) => (
        <NumberField
          key={stream.id}
          fieldKey={`investment found ${stream.id}`}
          label={words.foundOnlineStream(stream.label || words.orders)}
          value={foundOnline(stream, investment)}
          range={{ wanted: words.aPercentageFrom0, least: 0, most: 100 }}
          suffix="%"
          onChange={(value) =>
            typeof value === 'string' &&
            onChange(`found.${stream.id}`, { ...investment, foundOnline: { ...investment.foundOnline, [stream.id]: value } })
          }
        />
      ))}
      <p className="quiet">{words.inPlaceOfTheHours(nameOf(investment.on))}</p>
    </div>
  );
}
