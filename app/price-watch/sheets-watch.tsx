import { Button, Checkbox } from 'antd';
import { useId, useState } from 'react';
import { Link, useFetcher } from 'react-router';
import type { FoundChange } from '#core/price-watch/found-change';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import type { WatchedRow } from '../server/watch-view.server';
import { AddressField } from './address-field';
import { useEffectsOfTicked } from './effects-of-ticked';
import { agoWords, effectSentence } from './watch-words';

interface Answer {
  readonly problem: string | null;
}

/** Every price sheet with where it is looked at again, how that went, and what was found. */
export function SheetsWatch({ sheets, now }: { sheets: readonly WatchedRow[]; now: string }) {
  const looking = useFetcher<Answer>();
  const isLooking = looking.state !== 'idle';
  const watched = sheets.filter(({ address }) => address !== null);
  const isLooked = watched.some(({ triedAt }) => triedAt !== null);
  const found = sheets.filter((sheet) => sheet.found.length > 0);
  const write = useWriter();
  const away = watched.filter(({ problem }) => problem !== null);
  return (
    <section aria-label="Price sheets">
      <p className="says">
        {watchSentence({ sheets: sheets.length, watched: watched.length, changed: found.length, isLooked })}
        {away.length > 0 &&
          ` ${away.length} ${away.length === 1 ? 'page' : 'pages'} could not be read; what was known stands, with its age.`}
      </p>
      <looking.Form method="post">
        <input type="hidden" name="intent" value="look" />
        <Button htmlType="submit" type="primary" disabled={watched.length === 0 || isLooking}>
          {isLooking ? 'Looking …' : 'Look at all pages again'}
        </Button>
      </looking.Form>
      {found.map((sheet) => (
        <FoundOnSheet key={`${sheet.sheetId} ${sheet.found.map((change) => change.id).join(' ')}`} sheet={sheet} />
      ))}
      <DataTable
        className="watched"
        rows={[...watched, ...sheets.filter(({ address }) => address === null)]}
        keyOf={({ sheetId }) => sheetId}
        columns={[
          {
            head: 'Price sheet',
            kind: 'names-row',
            cell: ({ label, seen, decisions }) => (
              <>
                {label}
                <small className="block quiet">
                  {seen ? `figures seen ${write.day(seen)}` : 'figures not dated'} ·{' '}
                  {decisions === 0 ? 'not used' : `in ${decisions} ${decisions === 1 ? 'decision' : 'decisions'}`}
                </small>
              </>
            ),
          },
          {
            head: 'Address of its pricing page',
            cell: ({ sheetId, label, address }) => (
              <AddressField kept={address} label={`Address of ${label}`} submits={{ intent: 'address', sheet: sheetId }} />
            ),
          },
          { head: 'How it stands', cell: (sheet) => <PageStanding sheet={sheet} now={now} /> },
        ]}
      />
    </section>
  );
}

/** How looking at a sheet's page went last. */
function PageStanding({ sheet, now }: { sheet: WatchedRow; now: string }) {
  const { sheetId, seen, address, triedAt, seenAt, problem, found } = sheet;
  if (problem !== null)
    return (
      <span className="problem">
        {triedAt && `${agoWords(triedAt, now)}: `}
        {problem}
        {seenAt ? `; read last ${agoWords(seenAt, now)}` : ''}
      </span>
    );
  if (seenAt === null) return address !== null && triedAt === null ? 'not looked at yet' : null;
  if (found.length > 0) return `${found.length} ${found.length === 1 ? 'change' : 'changes'}, ${agoWords(seenAt, now)}`;
  return (
    <>
      as on the sheet, {agoWords(seenAt, now)}
      {seen !== seenAt.slice(0, 10) && <NoteSeen sheetId={sheetId} />}
    </>
  );
}

/** Nothing changed: the sheet's figures count as seen on that day. */
function NoteSeen({ sheetId }: { sheetId: string }) {
  const fetcher = useFetcher<Answer>();
  return (
    <fetcher.Form method="post">
      <input type="hidden" name="intent" value="accept" />
      <input type="hidden" name="sheet" value={sheetId} />
      <Button type="link" size="small" htmlType="submit" disabled={fetcher.state !== 'idle'}>
        note that on the sheet
      </Button>
    </fetcher.Form>
  );
}

/** What was found on a sheet's page, figure by figure, and what it would do to the decisions. */
function FoundOnSheet({ sheet }: { sheet: WatchedRow }) {
  const { sheetId, label, found } = sheet;
  const write = useWriter();
  const fetcher = useFetcher<Answer>();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [notIn, setNotIn] = useState<ReadonlySet<string>>(new Set());
  const heading = useId();
  const chosen = found.filter(({ id }) => !left.has(id));
  const { effects, isAsking } = useEffectsOfTicked(sheet, chosen);
  const decide = (intent: 'accept' | 'leave', changes: readonly FoundChange[]) => {
    const form = new FormData();
    form.set('intent', intent);
    form.set('sheet', sheetId);
    for (const { id } of changes) form.append('changes', id);
    if (intent === 'accept') for (const { id } of effects) if (!notIn.has(id)) form.append('decisions', id);
    void fetcher.submit(form, { method: 'post' });
  };
  const toggled = (set: ReadonlySet<string>, id: string) =>
    set.has(id) ? new Set([...set].filter((one) => one !== id)) : new Set([...set, id]);
  return (
    <section className="found" aria-labelledby={heading}>
      <h2 id={heading}>{label}</h2>
      <DataTable
        rows={found}
        keyOf={({ id }) => id}
        columns={[
          {
            head: 'Take over',
            cell: (change) => (
              <Checkbox
                aria-label={`Take over: ${change.plan}, ${change.what}`}
                checked={!left.has(change.id)}
                onChange={() => setLeft((before) => toggled(before, change.id))}
              />
            ),
          },
          { head: 'Figure', kind: 'names-row', cell: ({ plan, what }) => `${plan}, ${what}` },
          { head: 'On the sheet', cell: ({ before }) => before },
          { head: 'On the page', cell: ({ after }) => <b>{after}</b> },
        ]}
      />
      {effects.length > 0 && (
        <ul className="plain-list effects" aria-label="What it does to decisions" aria-busy={isAsking}>
          {effects.map(({ id, name, effect }) => (
            <li key={id}>
              <Checkbox checked={!notIn.has(id)} onChange={() => setNotIn((before) => toggled(before, id))}>
                use in <Link to={`/decisions/${id}/verdict`}>{name || 'an untitled decision'}</Link>
              </Checkbox>
              <p className={chosen.length > 0 && effect && effect.since.standing !== 'holds' ? 'problem' : ''}>
                {chosen.length === 0 ? 'Nothing is ticked, and nothing changes.' : effectSentence(effect, write)}
              </p>
            </li>
          ))}
        </ul>
      )}
      <p>
        <Button type="primary" disabled={chosen.length === 0 || fetcher.state !== 'idle'} onClick={() => decide('accept', chosen)}>
          Take over {chosen.length === found.length ? '' : `${chosen.length} of ${found.length}`}
        </Button>{' '}
        <Button disabled={chosen.length === 0 || fetcher.state !== 'idle'} onClick={() => decide('leave', chosen)}>
          Leave as it is on the sheet
        </Button>
      </p>
    </section>
  );
}

interface WatchState {
  readonly sheets: number;
  readonly watched: number;
  readonly changed: number;
  readonly isLooked: boolean;
}

function watchSentence({ sheets, watched, changed, isLooked }: WatchState): string {
  if (sheets === 0) return 'There is no price sheet yet.';
  if (watched === 0) return 'No price sheet has an address yet. Enter where a vendor states its prices, and look again whenever you like.';
  if (changed > 0) return `Prices have changed on ${changed} of ${watched} pages.`;
  if (isLooked) return 'Nothing has changed on the pages that were looked at.';
  return `${watched} ${watched === 1 ? 'page' : 'pages'} can be looked at again.`;
}
