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

const CHANNELS = ['mail', 'chat', 'telephone', 'forum', 'on site'];

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
    <section aria-label="Standing" className="quality-form">
      <h2>
        {quality.label}, {vendor.label}
      </h2>
      <p>
        {standing ? (
          <>
            <b>{standingWords(quality, standing, write)}</b>: {Math.round(standing.points)} of 100 on a scale from{' '}
            {write.number(quality.worst)} to {write.number(quality.best)}.
          </>
        ) : (
          <span className="is-not-known">Not known yet; it counts as nothing until it is.</span>
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
      const [low, high] = [Number(quality.worst), Number(quality.best)].sort((a, b) => a - b);
      return (
        <>
          <NumberField
            fieldKey={`${key}.mark.${quality.id}`}
            label="Your mark"
            optional
            value={mark?.value}
            range={{ least: low ?? 0, most: high ?? 10, wanted: `a mark from ${low} to ${high}` }}
            onChange={(value) => onChange(`mark.${quality.id}`, (one) => withMarkGiven(one, quality.id, value ?? undefined, today))}
          />
          {mark && (
            <LongTextField
              label="Because"
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
            label="Uptime"
            suffix="%"
            optional
            value={notes.uptime}
            range={{ least: 0, most: 100, wanted: 'a percentage up to 100' }}
            hint="as promised, or better as measured"
            onChange={(uptime) => onChange('uptime', ({ uptime: _former, ...one }) => (uptime ? { ...one, uptime } : one))}
          />
          {notes.uptime && <p className="method">That leaves {hoursWords(hoursDown(notes.uptime))} a year in which nothing can be sold.</p>}
        </>
      );
    case 'support': {
      const support = notes.support ?? { channels: [] };
      return (
        <>
          <NumberField
            fieldKey={`${key}.support`}
            label="Somebody answers"
            suffix="hours a week"
            optional
            value={support.hoursAWeek}
            range={{ least: 0, most: 168, wanted: 'hours from 0 to 168' }}
            hint="168 is always"
            onChange={(hours) =>
              onChange('support', ({ support: { hoursAWeek: _former, ...kept } = { channels: [] }, ...one }) => ({
                ...one,
                support: hours ? { ...kept, hoursAWeek: hours } : kept,
              }))
            }
          />
          <fieldset className="channels">
            <legend>by</legend>
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
      return (
        <p>
          Marks come from the <Link to={`/decisions/${decisionId}/needs/diary`}>trial diary</Link>: their mean over all tasks tried.
        </p>
      );
    case 'speed':
      return (
        <p>
          Measured from recordings under <Link to={`/decisions/${decisionId}/needs/speed`}>page speed</Link>: the middle one of several.
        </p>
      );
  }
}
