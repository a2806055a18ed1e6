import { SteadyButton as Button } from '../components/steady-button';
import { useState } from 'react';
import type { Stream } from '#core/decision-file/forecast-schema';
import { chargedKinds } from '#core/price-sheet/charged-kinds';
import { cardShares, mostForCard, restKind, withCardShare } from '#core/decision/edit-cards';
import { slugOf } from '#core/price-phrase/vocabulary';
import { paidWith } from '#core/wording/paid-with';
import { NumberField } from '../components/number-field';
import { TextField } from '../components/text-field';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';
import { cardFields as words } from './words';

interface CardFieldsProps {
  stream: Stream;
  onChange(field: string, change: (stream: Stream) => Stream): void;
}

/** With what orders are paid: one kind has the remainder, so that it always adds up to 100%. */
export function CardFields({ stream, onChange }: CardFieldsProps) {
  const write = useWriter();
  const [name, setName] = useState('');
  const rest = restKind(stream);
  const shares = cardShares(stream);
  const kinds =
    shares.some(({ kind }) => kind === 'international') || rest !== 'domestic'
      ? shares
      : [...shares, { kind: 'international', percent: '0' }];
  const kind = slugOf(name);
  const { sheets } = useWorkbench().state.workbench;
  const charged = chargedKinds(sheets.map(({ sheet }) => sheet)).filter((one) => !kinds.some((known) => known.kind === one));
  return (
    <fieldset className="card-fields">
      <legend>{words.cardsAndWallets}</legend>
      <div className="form-grid">
        {kinds.map(({ kind: one, percent }) =>
          one === rest ? (
            <span key={one} className="field card-rest">
              <span className="field-label">{paidWith(one)}</span>
              <b>{write.percent(percent)}</b> <span className="quiet">{words.theRemainder}</span>
            </span>
          ) : (
            <span key={one} className="card-share">
              <NumberField
                fieldKey={`stream.${stream.id}.card.${one}`}
                label={words.paidWith(paidWith(one))}
                suffix={words.percentOfOrders}
                value={percent}
                range={{ least: 0, most: Number(mostForCard(stream, one)), wanted: words.aPercentage }}
                onChange={(next) => onChange(`card.${one}`, (found) => withCardShare(found, one, next ?? '0'))}
              />
              {one !== 'international' && (
                <Button
                  type="text"
                  size="small"
                  aria-label={words.removeOne(paidWith(one))}
                  onClick={() => onChange(`card.${one}`, (found) => withCardShare(found, one, null))}
                >
                  {words.remove}
                </Button>
              )}
            </span>
          ),
        )}
      </div>
      <form
        className="add-row"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '') return;
          onChange(`card.${kind}`, (found) => withCardShare(found, kind, '0'));
          setName('');
        }}
      >
        <TextField label={words.anotherKindOfCard} value={name} placeholder={words.wallet} onChange={setName} />
        <Button htmlType="submit" disabled={name.trim() === '' || shares.some((one) => one.kind === kind)}>
          {words.add}
        </Button>
      </form>
      {charged.length > 0 && (
        <p className="quiet charged-kinds">
          {words.vendorsChargeTheirOwn}{' '}
          {charged.map((one) => (
            <Button key={one} type="text" size="small" onClick={() => onChange(`card.${one}`, (found) => withCardShare(found, one, '0'))}>
              {paidWith(one)} +
            </Button>
          ))}
        </p>
      )}
    </fieldset>
  );
}
