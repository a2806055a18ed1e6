import { Button } from 'antd';
import { type RefObject, useEffect, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import { ChoiceField } from '../components/choice-field';
import { useWriter } from '../locale/locale';
import { chromiumPath, prepareToPrint } from '../server/print-pdf.server';
import { partsWords } from '../verdict/verdict-words';
import { useWorkbench } from '../workbench/workbench-context';
import { whileAway } from '../workbench/while-away';
import type { Route } from './+types/report';
import { report as words } from './words/report';

export function loader() {
  prepareToPrint();
  return { canPrint: chromiumPath() !== null };
}

export function clientLoader({ serverLoader }: Route.ClientLoaderArgs) {
  return whileAway(serverLoader, () => ({ canPrint: false }));
}

const PAPERS = [
  { value: 'a4', label: words.a4 },
  { value: 'letter', label: words.letter },
] as const;

/** Where letters are written on other paper than A4. */
const LETTER = /-(US|CA|MX|PH|CL|CO|VE)\b/;

/** The report as it will be printed, and everything that can be taken along as a file. */
export default function ReportPlace({ loaderData: { canPrint } }: Route.ComponentProps) {
  const { decisionId, state } = useWorkbench();
  const write = useWriter();
  const frame = useRef<HTMLIFrameElement>(null);
  const [query, setQuery] = useSearchParams();
  const [paper, setPaper] = useState<'a4' | 'letter'>(LETTER.test(write.locale) ? 'letter' : 'a4');
  const verdicts = state.workbench.decision.verdicts ?? [];
  const asked = query.get('verdict');
  const verdict = verdicts.find(({ id }) => id === asked) ?? verdicts.at(-1);
  const at = `/decisions/${decisionId}`;
  const search = new URLSearchParams({ paper, ...(verdict ? { verdict: verdict.id } : {}) });
  const isWaiting = state.save.kind === 'saving';
  return (
    <>
      <main className="work report" aria-label={words.reportAndFiles}>
        {isWaiting ? (
          <p role="status">{words.theLastChangeIsBeing}</p>
        ) : (
          <ReportPreview key={`${search.toString()} ${state.revision}`} frame={frame} src={`${at}/report/html?${search.toString()}`} />
        )}
      </main>
      <aside className="margin" aria-label={words.takeItAlong}>
        <h2>{words.report}</h2>
        {verdicts.length > 1 && (
          <ChoiceField
            label={words.verdictOf}
            value={verdict?.id}
            options={[...verdicts]
              .reverse()
              .map((one) => ({ value: one.id, label: `${write.day(one.on)}: ${partsWords(one.parts, write)}` }))}
            onChange={(id) => setQuery({ verdict: id })}
          />
        )}
        {verdicts.length === 0 && <p className="quiet">{words.noVerdictIsGiven}</p>}
        <ChoiceField label={words.paper} value={paper} options={PAPERS} onChange={(chosen: 'a4' | 'letter') => setPaper(chosen)} />
        <ul className="plain-list take-along">
          <li>
            <Button onClick={() => frame.current?.contentWindow?.print()} disabled={isWaiting}>
              {words.print}
            </Button>
          </li>
          {canPrint && (
            <li>
              <a href={`${at}/report/pdf?${search.toString()}`} download>
                {words.pdf}
              </a>{' '}
              <small>{words.takesAFewSeconds}</small>
            </li>
          )}
          <li>
            <a href={`${at}/report/html?${search.toString()}&save`} download>
              {words.oneHtmlFile}
            </a>{' '}
            <small>{words.opensAnywhereWithoutANetwork}</small>
          </li>
          <li>
            <a href={`${at}/report/md?${search.toString()}`} download>
              {words.markdown}
            </a>
          </li>
        </ul>
        {!canPrint && <p className="quiet">{words.forAPdfPrint}</p>}
        <h2>{words.figures}</h2>
        <ul className="plain-list take-along">
          <li>
            <a href={`${at}/workbook.xlsx`} download>
              {words.workbook}
            </a>{' '}
            <small>{words.withLiveFormulasChange}</small>
          </li>
          <li>
            <a href={`${at}/line-up.csv`} download>
              {words.comparisonAsCsv}
            </a>
          </li>
          <li>
            <a href={`${at}/ledger.csv`} download>
              {words.ledgerAsCsv}
            </a>{' '}
            <small>{words.everyLineOfEvery}</small>
          </li>
        </ul>
      </aside>
    </>
  );
}

/** The report as it will be printed; it has no scripts. A newer revision is written anew, and until it is there the page says so. */
function ReportPreview({ frame, src }: { readonly frame: RefObject<HTMLIFrameElement | null>; readonly src: string }) {
  const [isWritten, setWritten] = useState(false);
  useEffect(() => {
    // It may have come before the page came to life, and then tells nobody.
    const shown = frame.current?.contentDocument;
    if (shown?.readyState === 'complete' && shown.URL !== 'about:blank') setWritten(true);
  }, [frame]);
  return (
    <>
      {!isWritten && <p role="status">{words.writingTheReportTakes}</p>}
      <iframe ref={frame} title={words.report} sandbox="allow-same-origin allow-modals" src={src} onLoad={() => setWritten(true)} />
    </>
  );
}
