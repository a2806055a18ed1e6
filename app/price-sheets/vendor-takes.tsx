import type { Offer } from '#core/decision-file/price-sheet-schema';
import { percentOf, withPercent } from '#core/forecast/lift';
import { Fold } from '../components/fold';
import { NumberField } from '../components/number-field';
import { ExtraFields } from '../line-up/extra-fields';
import { vendorTakes as words } from './words/vendor-takes';

interface VendorTakesProps {
  id: string;
  offer: Offer;
  currency: string;
  onChange(key: string, label: string, change: (offer: Offer) => Offer): void;
}

const HOURS = { least: 0, most: 10_000, wanted: words.aNumberOfHours };

/** What a vendor takes of the seller whichever plan it is, and what it brings (decision file §3, `hours`, `extras`, `lift`). */
export function VendorTakes({ id, offer, currency, onChange }: VendorTakesProps) {
  const { hours, extras = [], lift } = offer;
  const setHours = (field: 'setup' | 'monthly', value: string) =>
    onChange(`takes.${field}`, words.yourHoursWithThisVendor, (one) => ({ ...one, hours: { ...one.hours, [field]: value } }));
  return (
    <Fold summary={words.whatThisVendorTakes}>
      <p className="quiet">{words.countedInAllThatIsProposed}</p>
      <div className="form-grid">
        <NumberField
          fieldKey={`sheet.${id}.setup`}
          label={words.yourTimeToSet}
          suffix={words.hours}
          value={hours?.setup ?? '0'}
          range={HOURS}
          onChange={(setup) => setHours('setup', setup ?? '0')}
        />
        <NumberField
          fieldKey={`sheet.${id}.monthly`}
          label={words.yourTimeEachMonth}
          suffix={words.hours}
          value={hours?.monthly ?? '0'}
          range={HOURS}
          onChange={(monthly) => setHours('monthly', monthly ?? '0')}
        />
        <NumberField
          fieldKey={`sheet.${id}.lift`}
          label={words.bringsMoreOrdersThan}
          suffix="%"
          value={percentOf(lift)}
          range={{ least: -100, most: 1000, wanted: words.aPercentage }}
          hint={words.zeroUnlessThereIsReason}
          onChange={(percent) => onChange('takes.lift', words.theLift, (one) => ({ ...one, lift: withPercent(one.lift, percent ?? '0') }))}
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
