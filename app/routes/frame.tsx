import { Checkbox } from 'antd';
import { Suspense, useState } from 'react';
import { Await } from 'react-router';
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
import { frame as words } from './words/frame';

const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

export const handle = { place: 'frame' };

export async function loader({ params: { decisionId } }: Route.LoaderArgs) {
  const files = await orderFiles(await database(), decisionId);
  return { orders: files.reduce((sum, { file }) => sum + file.orders, 0) };
}

/** The place opens at once; how many past orders there are is only needed at its end. */
export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  const counted = whileAway(serverLoader, () => ({ orders: 0 }));
  return { orders: counted.then(({ orders }) => orders) };
}

export default function Frame({ loaderData: { orders } }: Route.ComponentProps) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const { decision } = state.workbench;
  const [year = '', month = ''] = decision.start.split('-');
  return (
    <main className="work" aria-label={words.basics}>
      <h2>{words.whatIsBeingDecided}</h2>
      <div className="form-grid">
        <TextField
          className="wide"
          label={words.theQuestion}
          value={decision.name}
          onChange={(name) => edits.decision('name', words.changeOfQuestion, (one) => ({ ...one, name }))}
        />
        <ChoiceField
          label={words.baseCurrency}
          value={decision.currency}
          options={CURRENCY_OPTIONS}
          searchable
          onChange={(currency) => edits.decision('currency', words.theBaseCurrency, (one) => ({ ...one, currency }))}
        />
        <NumberField
          fieldKey="months"
          label={words.horizon}
          suffix={words.months}
          value={String(decision.months)}
          range={{ least: 1, most: 120, whole: true, wanted: words.aNumberOfMonths }}
          hint={words.overWhichEverythingIsTotalled}
          onChange={(months) => edits.decision('months', words.theHorizon, (one) => ({ ...one, months: Number(months) }))}
        />
        <ChoiceField
          label={words.firstMonth}
          value={month}
          options={MONTHS.map((name, index) => ({ value: String(index + 1).padStart(2, '0'), label: name }))}
          onChange={(next) => edits.decision('start', words.theFirstMonth, (one) => ({ ...one, start: `${year}-${next}` }))}
        />
        <NumberField
          fieldKey="start-year"
          label={words.year}
          value={year}
          range={{ least: 2000, most: 2100, whole: true, wanted: words.aYearFrom2000 }}
          onChange={(next) => edits.decision('start', words.theFirstMonth, (one) => ({ ...one, start: `${next}-${month}` }))}
        />
      </div>
      <h2>{words.whatCounts}</h2>
      <div className="form-grid">
        <NumberField
          fieldKey="hour-value"
          label={words.anHourOfYourOwn}
          suffix={decision.currency}
          value={decision.hourValue ?? '0'}
          range={{ least: 0, most: 100_000, wanted: words.anAmountIn(decision.currency) }}
          hint={words.zeroLeavesYourOwn}
          onChange={(hourValue) =>
            edits.decision('hour-value', words.theValueOfYourTime, (one) => ({ ...one, hourValue: hourValue ?? '0' }))
          }
        />
        <NumberField
          fieldKey="fee-tax"
          label={words.taxOnFeesThatYou}
          suffix="%"
          value={decision.feeTax ?? '0'}
          range={{ least: 0, most: 100, wanted: words.aPercentageFrom0 }}
          hint={words.addedToWhatVendors}
          onChange={(feeTax) => edits.decision('fee-tax', words.theTaxOnFees, (one) => ({ ...one, feeTax: feeTax ?? '0' }))}
        />
        <ChoiceField
          className="wide"
          label={words.paymentsCount}
          value={decision.basis ?? 'paid'}
          options={[
            { value: 'paid', label: words.inTheMonthInWhich },
            { value: 'spread', label: words.inEqualPartsOver },
          ]}
          onChange={(basis) => edits.decision('basis', words.whenPaymentsCount, (one) => ({ ...one, basis }))}
        />
      </div>
      <Rates />
      <OwnedThings />
      <Exports orders={orders} />
    </main>
  );
}

/** The decision as files: what it needs, or all of it, with the past orders if the person wants. */
function Exports({ orders }: { orders: number | Promise<number> }) {
  const { decisionId } = useWorkbench();
  const write = useWriter();
  const [withOrders, setWithOrders] = useState(false);
  return (
    <p className="frame-export">
      <a href={`/decisions/${decisionId}/export`} download>
        {words.exportThisDecisionAsAFile}
      </a>{' '}
      <span className="quiet">{words.withThePriceSheets}</span>
      <br />
      <a href={`/decisions/${decisionId}/export?all${withOrders ? '&orders' : ''}`} download>
        {words.exportEverything}
      </a>{' '}
      <span className="quiet">{words.alsoTheReasonsOfNeeds}</span>
      <Suspense>
        <Await resolve={orders}>
          {(number) =>
            number > 0 && (
              <>
                <br />
                <Checkbox checked={withOrders} onChange={({ target }) => setWithOrders(target.checked)}>
                  {words.withPast(write.number(String(number)), number === 1 ? words.order : words.orders)}
                </Checkbox>{' '}
                <span className="quiet">{words.theirDaysAmountsCountries}</span>
              </>
            )
          }
        </Await>
      </Suspense>
    </p>
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
      <h2>{words.exchangeRates}</h2>
      <p className="quiet">{words.pricesInAnotherCurrency}</p>
      <div className="form-grid">
        {foreign.map((code) => (
          <NumberField
            key={code}
            fieldKey={`rate.${code}`}
            label={words.oneIsWorth(code)}
            suffix={decision.currency}
            value={decision.rates?.[code]}
            range={{ least: 0.000001, most: 1_000_000, wanted: words.aRateIn(decision.currency) }}
            onChange={(rate) =>
              edits.decision(`rate.${code}`, words.theRateOf(code), (one) => ({
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
