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
import { sheetsWatch as words } from './words';

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
    <section aria-label={words.priceSheets}>
      <p className="says">
        {watchSentence({ sheets: sheets.length, watched: watched.length, changed: found.length, isLooked })}
        {away.length > 0 && words.couldNotBeRead(away.length, away.length === 1 ? words.page : words.pages)}
      </p>
      <looking.Form method="post">
        <input type="hidden" name="intent" value="look" />
        <Button htmlType="submit" type="primary" disabled={watched.length === 0 || isLooking}>
          {isLooking ? words.checking : words.checkAllPages}
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
            { head: words.vendor, kind: 'names-row', cell: (sheet) => <SheetName sheet={sheet} /> },
            { head: words.pricingPage, cell: (sheet) => <PageAddress sheet={sheet} /> },
            { head: words.lastCheck, cell: (sheet) => <PageStanding sheet={sheet} now={now} /> },
            { head: <span className="visually-hidden">{words.check}</span>, cell: (sheet) => <CheckOne sheet={sheet} /> },
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
        {seen ? words.pricesOf(write.day(seen)) : words.pricesNotDated} ·{' '}
        {decisions === 0 ? words.notUsed : words.in(decisions, decisions === 1 ? words.decision : words.decisions)}
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
        label={words.addressOf(label)}
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
      <Button type="link" size="small" aria-label={words.changeTheAddressOf(label)} onClick={() => setChanging(true)}>
        {words.change}
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
      <Button size="small" htmlType="submit" aria-label={words.checkLabel(label)} disabled={fetcher.state !== 'idle'}>
        {words.check}
      </Button>
    </fetcher.Form>
  );
}

/** Sheets nobody has given an address for: out of the way, an address away from being watched. */
function NotWatched({ sheets }: { sheets: readonly WatchedRow[] }) {
  if (sheets.length === 0) return null;
  return (
    <Fold summary={words.notWatchedYetAdd(sheets.length, sheets.length === 1 ? words.priceSheetIs : words.priceSheetsAre)}>
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
        {seenAt ? words.readLast(agoWords(seenAt, now)) : ''}
      </span>
    );
  if (seenAt === null) return address !== null && triedAt === null ? words.notCheckedYet : null;
  if (found.length > 0) return words.changes(found.length, agoWords(seenAt, now));
  return (
    <>
      {words.noChange(agoWords(seenAt, now))}
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
        {words.markAsSeenToday}
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
            head: words.use,
            cell: (change) => (
              <Checkbox
                aria-label={words.usePlan(change.plan, change.what)}
                checked={!left.has(change.id)}
                onChange={() => setLeft((before) => toggled(before, change.id))}
              />
            ),
          },
          { head: words.figure, kind: 'names-row', cell: ({ plan, what }) => `${plan}, ${what}` },
          { head: words.onTheSheet, cell: ({ before }) => before },
          { head: words.onThePage, cell: ({ after }) => <b>{after}</b> },
        ]}
      />
      {effects.length > 0 && (
        <ul className="plain-list effects" aria-label={words.whatItDoesToDecisions} aria-busy={isAsking}>
          {effects.map(({ id, name, effect }) => (
            <li key={id}>
              <Checkbox checked={!notIn.has(id)} onChange={() => setNotIn((before) => toggled(before, id))}>
                {words.useIn(<Link to={`/decisions/${id}/verdict`}>{name || words.anUntitledDecision}</Link>)}
              </Checkbox>
              <p className={chosen.length > 0 && effect && effect.since.standing !== 'holds' ? 'problem' : ''}>
                {chosen.length === 0 ? words.nothingIsTickedSo : effectSentence(effect, write)}
              </p>
            </li>
          ))}
        </ul>
      )}
      <p>
        <Button type="primary" disabled={chosen.length === 0 || fetcher.state !== 'idle'} onClick={() => decide('accept', chosen)}>
          {chosen.length === found.length ? words.useNewPrices : words.useOfNewPrices(chosen.length, found.length)}
        </Button>{' '}
        <Button disabled={chosen.length === 0 || fetcher.state !== 'idle'} onClick={() => decide('leave', chosen)}>
          {words.keepTheOldPrices}
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
  if (sheets === 0) return words.thereIsNoPrice;
  if (watched === 0) return words.nothingIsWatchedYet;
  if (changed > 0) return words.pricesHaveChangedOnOfPages(changed, watched);
  if (isLooked) return words.noPricesHaveChanged;
  return words.toCheck(watched, watched === 1 ? words.page : words.pages);
}
