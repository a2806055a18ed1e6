import { NumberField } from '../components/number-field';

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const TALLEST = 44;

interface SeasonFieldsProps {
  streamId: string;
  /** Twelve factors, January first; undefined = the same all year. */
  season: readonly string[] | undefined;
  onChange(season: string[] | undefined): void;
}

/** How strong each month of the year is: 1 is an average month, 1.5 half as much again. */
export function SeasonFields({ streamId, season, onChange }: SeasonFieldsProps) {
  const factors = MONTHS.map((_, month) => season?.[month] ?? '1');
  const most = Math.max(...factors.map(Number), 1);
  const change = (month: number, value: string) => {
    const changed = factors.map((factor, index) => (index === month ? value : factor));
    onChange(changed.every((factor) => Number(factor) === 1) ? undefined : changed);
  };
  return (
    <fieldset className="season">
      <legend>
        Season <span className="quiet">1 is an average month, 1.5 half as many orders again</span>
      </legend>
      <div className="season-months">
        {MONTHS.map((name, month) => (
          <span key={name} className="season-month">
            <span className="season-bar" aria-hidden="true" style={{ height: `${(Number(factors[month]) / most) * TALLEST}px` }} />
            <NumberField
              fieldKey={`stream.${streamId}.season.${month}`}
              label={name}
              value={factors[month]}
              range={{ least: 0, most: 100, wanted: 'a factor such as 1.5' }}
              onChange={(value) => change(month, value ?? '1')}
            />
          </span>
        ))}
      </div>
    </fieldset>
  );
}
