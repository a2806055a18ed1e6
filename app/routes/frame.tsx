import { Checkbox } from 'antd';
import { useState } from 'react';
import { orderFiles } from '#data/past-orders';
import { useWriter } from '../locale/locale';
import { database } from '../server/database.server';
import { whileAway } from '../workbench/while-away';
import type { Route } from './+types/frame';
import { CURRENCY_OPTIONS } from '../price-sheets/currency-options';
import { OwnedThings } from '../frame/owned-things';
import { ChoiceField } from '../components/choice-field';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

export const handle = { place: 'frame' };

export async function loader({ params: { decisionId } }: Route.LoaderArgs) {
  const files = await orderFiles(await database(), decisionId);
  return { orders: files.reduce((sum, { file }) => sum + file.orders, 0) };
}

export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return whileAway(serverLoader, () => ({ orders: 0 }));
}

export default function Frame({ loaderData: { orders } }: Route.ComponentProps) {
  const { state, decisionId } = useWorkbench();
  const edits = useEdits();
  const write = useWriter();
  const [withOrders, setWithOrders] = useState(false);
  const { decision } = state.workbench;
  const [year = '', month = ''] = decision.start.split('-');
  return (
    <main className="work" aria-label="Basics">
      <h2>What is being decided</h2>
      <div className="form-grid">
        <TextField
          className="wide"
          label="The question"
          value={decision.name}
          onChange={(name) => edits.decision('name', 'the question', (one) => ({ ...one, name }))}
        />
        <ChoiceField
          label="Base currency"
          value={decision.currency}
          options={CURRENCY_OPTIONS}
          searchable
          onChange={(currency) => edits.decision('currency', 'the base currency', (one) => ({ ...one, currency }))}
        />
        <NumberField
          fieldKey="months"
          label="Horizon"
          suffix="months"
          value={String(decision.months)}
          range={{ least: 1, most: 120, whole: true, wanted: 'a number of months from 1 to 120' }}
          hint="over which everything is totalled"
          onChange={(months) => edits.decision('months', 'the horizon', (one) => ({ ...one, months: Number(months) }))}
        />
        <ChoiceField
          label="First month"
          value={month}
          options={MONTHS.map((name, index) => ({ value: String(index + 1).padStart(2, '0'), label: name }))}
          onChange={(next) => edits.decision('start', 'the first month', (one) => ({ ...one, start: `${year}-${next}` }))}
        />
        <NumberField
          fieldKey="start-year"
          label="Year"
          value={year}
          range={{ least: 2000, most: 2100, whole: true, wanted: 'a year from 2000 to 2100' }}
          onChange={(next) => edits.decision('start', 'the first month', (one) => ({ ...one, start: `${next}-${month}` }))}
        />
      </div>
      <h2>What counts</h2>
      <div className="form-grid">
        <NumberField
          fieldKey="hour-value"
          label="An hour of your own time"
          suffix={decision.currency}
          value={decision.hourValue ?? '0'}
          range={{ least: 0, most: 100_000, wanted: `an amount in ${decision.currency}` }}
          hint="0 leaves your own hours out of the totals"
          onChange={(hourValue) =>
            edits.decision('hour-value', 'the value of your time', (one) => ({ ...one, hourValue: hourValue ?? '0' }))
          }
        />
        <NumberField
          fieldKey="fee-tax"
          label="Tax on fees that you cannot reclaim"
          suffix="%"
          value={decision.feeTax ?? '0'}
          range={{ least: 0, most: 100, wanted: 'a percentage from 0 to 100' }}
          hint="added to what vendors quote without tax"
          onChange={(feeTax) => edits.decision('fee-tax', 'the tax on fees', (one) => ({ ...one, feeTax: feeTax ?? '0' }))}
        />
        <ChoiceField
          className="wide"
          label="Payments count"
          value={decision.basis ?? 'paid'}
          options={[
            { value: 'paid', label: 'in the month in which they are paid' },
            { value: 'spread', label: 'in equal parts over the months they pay for' },
          ]}
          onChange={(basis) => edits.decision('basis', 'when payments count', (one) => ({ ...one, basis }))}
        />
      </div>
      <Rates />
      <OwnedThings />
      <p className="frame-export">
        <a href={`/decisions/${decisionId}/export`} download>
          Export this decision as a file
        </a>{' '}
        <span className="quiet">
          with the price sheets it uses; it can be opened again from the list of decisions, or priced from the shell
        </span>
        <br />
        <a href={`/decisions/${decisionId}/export?all${withOrders ? '&orders' : ''}`} download>
          Export everything
        </a>{' '}
        <span className="quiet">
          also the reasons of needs, qualities, the trial diary, what you own, and the evidence on price sheets; to keep, or to open
          elsewhere
        </span>
        {orders > 0 && (
          <>
            <br />
            <Checkbox checked={withOrders} onChange={({ target }) => setWithOrders(target.checked)}>
              with {write.number(String(orders))} past {orders === 1 ? 'order' : 'orders'}
            </Checkbox>{' '}
            <span className="quiet">their days, amounts, countries and means of payment; no names</span>
          </>
        )}
      </p>
    </main>
  );
}

function Rates() {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { decision, sheets } = state.workbench;
  const used = sheets.flatMap(({ sheet }) => {
    if (sheet.kind === 'processor') return [sheet.processor.currency];
    if (sheet.kind === 'addon') return [sheet.addon.currency];
    return [...sheet.offer.plans, ...(sheet.offer.addons ?? [])].map(({ currency }) => currency);
  });
  const foreign = [...new Set([...used, ...Object.keys(decision.rates ?? {})])].filter((code) => code !== decision.currency).sort();
  if (foreign.length === 0) return null;
  return (
    <>
      <h2>Exchange rates</h2>
      <p className="quiet">Prices in another currency count at these rates over the whole horizon.</p>
      <div className="form-grid">
        {foreign.map((code) => (
          <NumberField
            key={code}
            fieldKey={`rate.${code}`}
            label={`1 ${code} is worth`}
            suffix={decision.currency}
            value={decision.rates?.[code]}
            range={{ least: 0.000001, most: 1_000_000, wanted: `a rate in ${decision.currency}` }}
            onChange={(rate) =>
              edits.decision(`rate.${code}`, `the rate of ${code}`, (one) => ({
                ...one,
                rates: { ...one.rates, ...(rate ? { [code]: rate } : {}) },
              }))
            }
          />
        ))}
      </div>
    </>
  );
}
