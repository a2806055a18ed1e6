import { Button, Checkbox } from 'antd';
import { useId, useState } from 'react';
import { Link, useFetcher } from 'react-router';
import type { FoundChange } from '#core/price-watch/found-change';
import { DataTable } from '../components/data-table';
import { Fold } from '../components/fold';
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
  const away = watched.filter(({ problem }) => problem !== null);
  return (
    <section aria-label="Price sheets">
      <p className="says">
        {watchSentence({ sheets: sheets.length, watched: watched.length, changed: found.length, isLooked })}
        {away.length > 0 && ` ${away.length} ${away.length === 1 ? 'page' : 'pages'} could not be read: the prices last seen still stand.`}
      </p>
      <looking.Form method="post">
        <input type="hidden" name="intent" value="look" />
        <Button htmlType="submit" type="primary" disabled={watched.length === 0 || isLooking}>
          {isLooking ? 'Checking …' : 'Check all pages'}
        </Button>
      </looking.Form>
      {found.map((sheet) => (
        <FoundOnSheet key={`${sheet.sheetId} ${sheet.found.map((change) => change.id).join(' ')}`} sheet={sheet} />
      ))}
      {watched.length > 0 && (
        <DataTable
          className="watched"
          rows={watched}
          keyOf={({ sheetId }) => sheetId}
          columns={[
            { head: 'Vendor', kind: 'names-row', cell: (sheet) => <SheetName sheet={sheet} /> },
            { head: 'Pricing page', cell: (sheet) => <PageAddress sheet={sheet} /> },
            { head: 'Last check', cell: (sheet) => <PageStanding sheet={sheet} now={now} /> },
            { head: <span className="visually-hidden">Check</span>, cell: (sheet) => <CheckOne sheet={sheet} /> },
          ]}
        />
      )}
      <NotWatched sheets={sheets.filter(({ address }) => address === null)} />
    </section>
  );
}

function SheetName({ sheet: { label, seen, decisions } }: { sheet: WatchedRow }) {
  const write = useWriter();
  return (
    <>
      {label}
      <small className="block quiet">
        {seen ? `prices of ${write.day(seen)}` : 'prices not dated'} ·{' '}
        {decisions === 0 ? 'not used' : `in ${decisions} ${decisions === 1 ? 'decision' : 'decisions'}`}
      </small>
    </>
  );
}

/** Where a page is; changing that is a step of its own. */
function PageAddress({ sheet: { sheetId, label, address } }: { sheet: WatchedRow }) {
  const [isChanging, setChanging] = useState(false);
  if (isChanging || address === null)
    return (
      <AddressField
        kept={address}
        label={`Address of ${label}`}
        submits={{ intent: 'address', sheet: sheetId }}
        isFirst={isChanging}
        onKept={() => setChanging(false)}
      />
    );
  return (
    <span className="page-address">
      <a href={address} target="_blank" rel="noreferrer">
        {address.replace(/^https?:\/\//, '')}
      </a>{' '}
      <Button type="link" size="small" aria-label={`Change the address of ${label}`} onClick={() => setChanging(true)}>
        change
      </Button>
    </span>
  );
}

function CheckOne({ sheet: { sheetId, label } }: { sheet: WatchedRow }) {
  const fetcher = useFetcher<Answer>();
  return (
    <fetcher.Form method="post">
      <input type="hidden" name="intent" value="look" />
      <input type="hidden" name="sheet" value={sheetId} />
      <Button size="small" htmlType="submit" aria-label={`Check ${label}`} disabled={fetcher.state !== 'idle'}>
        Check
      </Button>
    </fetcher.Form>
  );
}

/** Sheets nobody has given an address for: out of the way, an address away from being watched. */
function NotWatched({ sheets }: { sheets: readonly WatchedRow[] }) {
  if (sheets.length === 0) return null;
  return (
    <Fold summary={`${sheets.length} ${sheets.length === 1 ? 'price sheet is' : 'price sheets are'} not watched yet: add an address`}>
      <ul className="plain-list not-watched">
        {sheets.map((sheet) => (
          <li key={sheet.sheetId}>
            <div>
              <SheetName sheet={sheet} />
            </div>
            <PageAddress sheet={sheet} />
          </li>
        ))}
      </ul>
    </Fold>
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
  if (seenAt === null) return address !== null && triedAt === null ? 'not checked yet' : null;
  if (found.length > 0) return `${found.length} ${found.length === 1 ? 'change' : 'changes'}, ${agoWords(seenAt, now)}`;
  return (
    <>
      no change, {agoWords(seenAt, now)}
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
        mark as seen today
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
            head: 'Use',
            cell: (change) => (
              <Checkbox
                aria-label={`Use: ${change.plan}, ${change.what}`}
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
                {chosen.length === 0 ? 'Nothing is ticked, so nothing changes.' : effectSentence(effect, write)}
              </p>
            </li>
          ))}
        </ul>
      )}
      <p>
        <Button type="primary" disabled={chosen.length === 0 || fetcher.state !== 'idle'} onClick={() => decide('accept', chosen)}>
          {chosen.length === found.length ? 'Use new prices' : `Use ${chosen.length} of ${found.length} new prices`}
        </Button>{' '}
        <Button disabled={chosen.length === 0 || fetcher.state !== 'idle'} onClick={() => decide('leave', chosen)}>
          Keep the old prices
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
  if (sheets === 0) return 'There is no price sheet yet. Once a vendor’s prices are in a decision, its page can be watched here.';
  if (watched === 0)
    return 'Nothing is watched yet. Add the address of a pricing page below, and check it whenever you like: what changed is shown price by price, with what it does to each decision.';
  if (changed > 0) return `Prices have changed on ${changed} of ${watched} pages.`;
  if (isLooked) return 'No prices have changed.';
  return `${watched} ${watched === 1 ? 'page' : 'pages'} to check.`;
}
