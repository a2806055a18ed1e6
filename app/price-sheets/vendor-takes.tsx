import type { Offer } from '#core/decision-file/price-sheet-schema';
import { percentOf, withPercent } from '#core/forecast/lift';
import { Fold } from '../components/fold';
import { NumberField } from '../components/number-field';
import { ExtraFields } from '../line-up/extra-fields';

interface VendorTakesProps {
  id: string;
  offer: Offer;
  currency: string;
  onChange(key: string, label: string, change: (offer: Offer) => Offer): void;
}

const HOURS = { least: 0, most: 10_000, wanted: 'a number of hours' };

/** What a vendor takes of the seller whichever plan it is, and what it brings (decision file §3, `hours`, `extras`, `lift`). */
export function VendorTakes({ id, offer, currency, onChange }: VendorTakesProps) {
  const { hours, extras = [], lift } = offer;
  const setHours = (field: 'setup' | 'monthly', value: string) =>
    onChange(`takes.${field}`, 'your hours with this vendor', (one) => ({ ...one, hours: { ...one.hours, [field]: value } }));
  return (
    <Fold summary="What this vendor takes of you, whichever plan it is">
      <p className="quiet">Counted in all that is proposed for this vendor. A candidate you put together yourself states its own.</p>
      <div className="form-grid">
        <NumberField
          fieldKey={`sheet.${id}.setup`}
          label="Your time to set up"
          suffix="hours"
          value={hours?.setup ?? '0'}
          range={HOURS}
          onChange={(setup) => setHours('setup', setup ?? '0')}
        />
        <NumberField
          fieldKey={`sheet.${id}.monthly`}
          label="Your time each month"
          suffix="hours"
          value={hours?.monthly ?? '0'}
          range={HOURS}
          onChange={(monthly) => setHours('monthly', monthly ?? '0')}
        />
        <NumberField
          fieldKey={`sheet.${id}.lift`}
          label="Brings more orders than the forecast"
          suffix="%"
          value={percentOf(lift)}
          range={{ least: -100, most: 1000, wanted: 'a percentage' }}
          hint="0 unless there is reason to think so"
          onChange={(percent) => onChange('takes.lift', 'the lift', (one) => ({ ...one, lift: withPercent(one.lift, percent ?? '0') }))}
        />
      </div>
      <ExtraFields
        extras={extras}
        fieldKey={`sheet.${id}`}
        currency={currency}
        onChange={(key, label, change) => onChange(`takes.${key}`, label, (one) => ({ ...one, extras: change(one.extras ?? []) }))}
      />
    </Fold>
  );
}
