import { SteadyButton as Button } from '../components/steady-button';
import { useState } from 'react';
import { decimal } from '#core/amount/decimal';
import type { Stream } from '#core/decision-file/forecast-schema';
import { withChannelShares } from '#core/decision/edit-streams';
import { NumberField } from '../components/number-field';
import { useWriter } from '../locale/locale';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useUnreadTexts } from '../workbench/workbench-context';
import { CHANNELS, channelWords } from '#core/wording/channel-words';
import { channelSplit as words } from './words';

const SHARE = { least: 0, most: 100, wanted: words.aPercentageFrom0 };

/** One total split by where it is sold: each part becomes a stream of its own, with fees and fields of its own. */
export function ChannelSplit({ stream }: { stream: Stream }) {
  const edits = useEdits();
  const write = useWriter();
  const unread = useUnreadTexts();
  const [shares, setShares] = useState<Readonly<Record<string, string>>>({});
  const here = stream.channel ?? 'own-site';
  const others = CHANNELS.filter(({ value }) => value !== here);
  const asked = others.map(({ value }) => ({ channel: value, percent: shares[value] ?? '0' }));
  const rest = asked.reduce((left, { percent }) => left.minus(percent), decimal(100));
  const name = stream.label || words.thisStream;
  const keyOf = (channel: string) => `stream.${stream.id}.split.${channel}`;
  const isUnread = others.some(({ value }) => unread[keyOf(value)] !== undefined);
  const split = () => {
    edits.decision(`stream.${stream.id}.split`, words.splitByWhereItIsSold(name), (one) => withChannelShares(one, stream.id, asked, newId));
    setShares({});
  };
  return (
    <fieldset className="card-fields">
      <legend>{words.whereItIsSold}</legend>
      <div className="form-grid">
        {others.map(({ value, label }) => (
          <NumberField
            key={value}
            fieldKey={keyOf(value)}
            label={words.ofTheseOrders(label)}
            suffix="%"
            value={shares[value] ?? '0'}
            range={SHARE}
            onChange={(percent) => setShares({ ...shares, [value]: percent ?? '0' })}
          />
        ))}
        <span className="field card-rest">
          <span className="field-label">{channelWords(here)}</span>
          <b>{write.percent(rest.toFixed())}</b> <span className="quiet">{words.theRest}</span>
        </span>
      </div>
      <p>
        <Button size="small" onClick={split} disabled={isUnread || rest.lt(0) || rest.eq(100)}>
          {words.split(name)}
        </Button>{' '}
        <span className="quiet" role="status">
          {statusWords(isUnread, rest.lt(0))}
        </span>
      </p>
    </fieldset>
  );
}

function statusWords(isUnread: boolean, isTooMuch: boolean): string {
  if (isUnread) return words.putThePercentagesRight;
  return isTooMuch ? words.togetherTheseAreMore : words.eachPartBecomesALine;
}
