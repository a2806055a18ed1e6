import { Checkbox } from 'antd';
import { Link } from 'react-router';
import { withMarkGiven, withVendor } from '#core/qualities/edit-qualities';
import type { Quality, VendorNotes } from '#core/decision/quality-schema';
import { standingOf } from '#core/qualities/standing';
import { hoursDown, hoursWords } from '#core/qualities/uptime';
import { NumberField } from '../components/number-field';
import { LongTextField } from '../components/long-text-field';
import { useWriter } from '../locale/locale';
import { useEdits } from '../workbench/use-edits';
import { useStore, useWorkbench } from '../workbench/workbench-context';
import { standingWords } from './quality-words';
import { ReviewFields } from './review-fields';
import type { NamedOffer } from './vendors';
import { standingForm as words } from './words';

const CHANNELS = ['mail', 'chat', 'telephone', 'forum', words.onSite];

interface StandingFormProps {
  quality: Quality;
  vendor: NamedOffer;
  today: string;
}

/** A vendor's figure on one quality, and what it comes from. */
export function StandingForm({ quality, vendor, today }: StandingFormProps) {
  const { state } = useWorkbench();
  const edits = useEdits();
  const write = useWriter();
  const { decision } = state.workbench;
  const notes = decision.vendors?.[vendor.id] ?? {};
  const standing = standingOf(quality, vendor.id, decision);
  const change = (field: string, recipe: (one: VendorNotes) => VendorNotes) =>
    edits.decision(`vendor.${vendor.id}.${field}`, `${quality.label}, ${vendor.label}`, (one) => withVendor(one, vendor.id, recipe));
  return (
    <section aria-label={words.standing} className="quality-form">
      <h2>
        {quality.label}, {vendor.label}
      </h2>
      <p>
        {standing ? (
          <>
            {words.of100OnAScale({
              quality: <b>{standingWords(quality, standing, write)}</b>,
              points: Math.round(standing.points),
              worst: write.number(quality.worst),
              best: write.number(quality.best),
            })}
          </>
        ) : (
          <span className="is-not-known">{words.notKnownYetItCounts}</span>
        )}
      </p>
      <Source quality={quality} notes={notes} vendor={vendor} today={today} onChange={change} />
    </section>
  );
}

interface SourceProps extends StandingFormProps {
  notes: VendorNotes;
  onChange(field: string, recipe: (one: VendorNotes) => VendorNotes): void;
}

function Source({ quality, notes, vendor, today, onChange }: SourceProps) {
  const { decisionId } = useStore();
  const key = `vendor.${vendor.id}`;
  switch (quality.source) {
    case 'mark': {
      const mark = notes.marks?.[quality.id];
      const [low = 0, high = 10] = [Number(quality.worst), Number(quality.best)].sort((a, b) => a - b);
      return (
        <>
          <NumberField
            fieldKey={`${key}.mark.${quality.id}`}
            label={words.yourMark}
            optional
            value={mark?.value}
            range={{ least: low, most: high, wanted: words.aMarkFromTo(low, high) }}
            onChange={(value) => onChange(`mark.${quality.id}`, (one) => withMarkGiven(one, quality.id, value ?? undefined, today))}
          />
          {mark && (
            <LongTextField
              label={words.because}
              value={mark.note ?? ''}
              onChange={(note) =>
                onChange(`mark.${quality.id}.note`, (one) => ({
                  ...one,
                  marks: {
                    ...one.marks,
                    [quality.id]: { value: mark.value, ...(mark.on ? { on: mark.on } : {}), ...(note === '' ? {} : { note }) },
                  },
                }))
              }
            />
          )}
        </>
      );
    }
    case 'reviews':
      return <ReviewFields notes={notes} onChange={onChange} />;
    case 'uptime':
      return (
        <>
          <NumberField
            fieldKey={`${key}.uptime`}
            label={words.uptime}
            suffix="%"
            optional
            value={notes.uptime}
            range={{ least: 0, most: 100, wanted: words.aPercentageUpTo100 }}
            hint={words.asPromisedOrBetter}
            onChange={(uptime) => onChange('uptime', ({ uptime: _former, ...one }) => (uptime ? { ...one, uptime } : one))}
          />
          {notes.uptime && <p className="method">{words.thatLeavesAYear(hoursWords(hoursDown(notes.uptime)))}</p>}
        </>
      );
    case 'support': {
      const support = notes.support ?? { channels: [] };
      return (
        <>
          <NumberField
            fieldKey={`${key}.support`}
            label={words.somebodyAnswers}
            suffix={words.hoursAWeek}
            optional
            value={support.hoursAWeek}
            range={{ least: 0, most: 168, wanted: words.hoursFrom0To168 }}
            hint={words.of168IsAlways}
            onChange={(hours) =>
              onChange('support', ({ support: { hoursAWeek: _former, ...kept } = { channels: [] }, ...one }) => ({
                ...one,
                support: hours ? { ...kept, hoursAWeek: hours } : kept,
              }))
            }
          />
          <fieldset className="channels">
            <legend>{words.by}</legend>
            {CHANNELS.map((channel) => (
              <Checkbox
                key={channel}
                checked={support.channels.includes(channel)}
                onChange={({ target }) =>
                  onChange(`channel.${channel}`, (one) => ({
                    ...one,
                    support: {
                      ...support,
                      channels: target.checked ? [...support.channels, channel] : support.channels.filter((other) => other !== channel),
                    },
                  }))
                }
              >
                {channel}
              </Checkbox>
            ))}
          </fieldset>
        </>
      );
    }
    case 'trial':
      return <p>{words.marksComeFromTheTheirMean(<Link to={`/decisions/${decisionId}/needs/diary`}>{words.trialDiary}</Link>)}</p>;
    case 'speed':
      return <p>{words.measuredFromRecordingsUnder(<Link to={`/decisions/${decisionId}/needs/speed`}>{words.pageSpeed}</Link>)}</p>;
  }
}
