import { Button } from 'antd';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { PriceSheet } from '#core/decision/price-sheet';
import { sheetLabel } from '#core/decision/sheet-label';
import { partsOf } from '#core/price-sheet/parts';
import { sentencesOf } from '#core/price-sheet/part-sentences';
import { withFreshIds } from '#core/sheet-import/sheet-file';
import type { SheetSource } from '#core/sheet-import/read-source';
import type { ReadTable } from '#core/sheet-import/table';
import { suggestMapping, type TableMapping, tablePlans } from '#core/sheet-import/table-mapping';
import { counted } from '#core/wording/counted';
import { FileField } from '../components/file-field';
import { useWriter } from '../locale/locale';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useStore } from '../workbench/workbench-context';
import { useKnownQuantities } from './known-quantities';
import { NewFindings } from './new-findings';
import { readPageFiles } from './page-files';
import { PageIntake } from './page-intake';
import { PageReading } from './page-reading';
import { TableMappingForm } from './table-mapping';
import type { Intake } from './use-intake';
import { type Stretch, usePage } from './use-page';
import { sheetIntake as words } from './words/sheet-intake';

interface SheetIntakeProps {
  sheet: PriceSheet;
  today: string;
  intake: Intake;
  /** `currency`: what the decision is compared in from then on. */
  onTakeOver(change: (sheet: PriceSheet) => PriceSheet, currency?: string): void;
}

/** Takes in pasted pages, saved web pages, CSV files or the JSON of a sheet, several after each other, after a look at what each holds. */
export function SheetIntake({ sheet, today, intake, onTakeOver }: SheetIntakeProps) {
  const [problem, setProblem] = useState<string | null>(null);
  const { name, source } = intake;
  const choose = (files: readonly File[]) => {
    const { pages, problem: wrong } = readPageFiles(files);
    setProblem(wrong);
    void pages.then((read) => {
      for (const { text, name: file } of read) intake.read(text, file);
    });
  };
  return (
    <section
      className="intake"
      aria-label={words.pasteOrImport}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        choose([...event.dataTransfer.files]);
      }}
    >
      <FileField
        label={words.orDropSavedPages}
        multiple
        accept=".csv,.tsv,.txt,.html,.htm,.json,text/csv,text/html,application/json"
        onFiles={choose}
      />
      <div aria-live="polite">
        {problem && <p className="problem">{problem}</p>}
        {intake.isReading && <p className="quiet">{words.reading(name)}</p>}
        {intake.waiting > 0 && <p className="quiet">{words.afterThisOne(counted(intake.waiting, words.morePage))}</p>}
        {name !== null && source && (
          <Read
            key={intake.key}
            name={name}
            keptAs={intake.keptAs}
            source={source}
            sheet={sheet}
            today={today}
            onTakeOver={onTakeOver}
            onDone={intake.done}
          />
        )}
      </div>
    </section>
  );
}

interface ReadProps {
  name: string;
  /** Under which key what is chosen about it is kept for a reload. */
  keptAs: string;
  source: SheetSource;
  sheet: PriceSheet;
  today: string;
  onTakeOver: SheetIntakeProps['onTakeOver'];
  onDone(): void;
}

function Read({ name, keptAs, source, sheet, today, onTakeOver, onDone }: ReadProps) {
  switch (source.kind) {
    case 'refused':
      return (
        <div className="problem">
          <p>{words.cantBeRead(name)}</p>
          <ul>
            {source.problems.slice(0, 20).map(({ path, found, wanted }) => (
              <li key={`${path} ${wanted}`}>
                {path && <code>{path}</code>} {found}; {wanted}
              </li>
            ))}
          </ul>
        </div>
      );
    case 'sheet':
      return <WholeSheet name={name} read={source.sheet} today={today} onDone={onDone} />;
    case 'offers':
      return (
        <Stretches
          sheet={sheet}
          today={today}
          stretches={source.offers.plans}
          vendor={source.offers.vendor}
          text={name}
          onTakeOver={onTakeOver}
          onDone={onDone}
        />
      );
    case 'page':
      return <WholePage name={name} keptAs={keptAs} source={source} sheet={sheet} today={today} onTakeOver={onTakeOver} onDone={onDone} />;
    case 'table':
      return <PastedTable table={source} sheet={sheet} today={today} onTakeOver={onTakeOver} onDone={onDone} />;
  }
}

/** The JSON of a sheet comes in as a sheet of its own, beside the one that is open. */
function WholeSheet({ name, read, today, onDone }: { name: string; read: PriceSheet; today: string; onDone(): void }) {
  const write = useWriter();
  const edits = useEdits();
  const navigate = useNavigate();
  const { decisionId } = useStore();
  const take = () => {
    const id = edits.addSheet(withFreshIds(read, newId));
    onDone();
    void navigate(`/decisions/${decisionId}/sheets/${id}`);
  };
  return (
    <div className="phrase-read">
      <p>
        {words.holdsThePriceSheet(
          name,
          <b>{sheetLabel(read) || words.aVendorWithoutAName}</b>,
          read.seen && words.seen(write.day(read.seen)),
        )}
      </p>
      <div className="stretches are-several">
        {partsOf(read).map((part) => (
          <div key={part.id}>
            <b className="stretch-plan">{part.label}</b>
            <ul className="clauses">
              {sentencesOf(part, (decimal) => write.field(decimal)).map((sentence) => (
                <li key={sentence}>{sentence}</li>
              ))}
            </ul>
          </div>
        ))}
      </div>
      <NewFindings before={{ kind: 'processor', processor: { id: 'none', label: '', currency: 'EUR' } }} after={read} today={today} />
      <p className="phrase-take">
        <Button type="primary" size="small" onClick={take}>
          {words.addAsASeparate}
        </Button>
        <Button type="text" size="small" onClick={onDone}>
          {words.discard}
        </Button>
      </p>
    </div>
  );
}

/** A page, with its columns named by hand where somebody wants that. */
function WholePage({ name, keptAs, source, ...rest }: Omit<ReadProps, 'source'> & { source: Extract<SheetSource, { kind: 'page' }> }) {
  const [isByHand, setIsByHand] = useState(false);
  const { reading, table } = source;
  if (isByHand && table) return <PastedTable table={table} {...rest} />;
  return <PageIntake name={name} keptAs={keptAs} reading={reading} onByHand={table ? () => setIsByHand(true) : null} {...rest} />;
}

function PastedTable({ table: source, ...rest }: Omit<ReadProps, 'name' | 'keptAs' | 'source'> & { table: ReadTable }) {
  const known = useKnownQuantities();
  const { table, rowsLeftOut, columnsLeftOut } = source;
  const suggested = useMemo(() => suggestMapping(table, known), [table, known]);
  const [chosen, setChosen] = useState<TableMapping | null>(null);
  const mapping = chosen ?? suggested;
  const stretches = useMemo(() => tablePlans(table, mapping, known), [table, mapping, known]);
  const leftOut = [
    ...(rowsLeftOut > 0 ? [words.moreRows(rowsLeftOut)] : []),
    ...(columnsLeftOut > 0 ? [words.moreColumns(columnsLeftOut)] : []),
  ];
  return (
    <>
      {leftOut.length > 0 && <p className="problem">{words.leftOut(table.length, table[0]?.length ?? 0, leftOut.join(' and '))}</p>}
      <TableMappingForm table={table} mapping={mapping} onChange={setChosen} />
      <Stretches {...rest} stretches={stretches} vendor="" text={JSON.stringify(mapping)} />
    </>
  );
}

interface StretchesProps {
  sheet: PriceSheet;
  today: string;
  stretches: readonly Stretch[];
  vendor: string;
  /** Changes when answers given so far do not hold any more. */
  text: string;
  onTakeOver: SheetIntakeProps['onTakeOver'];
  onDone(): void;
}

function Stretches({ sheet, today, stretches, vendor, text, onTakeOver, onDone }: StretchesProps) {
  const page = usePage(sheet, stretches, [], text);
  const group = useRef<HTMLDivElement>(null);
  // What was read is taken over from the keyboard as it appears.
  useEffect(() => group.current?.focus(), []);
  const take = () => {
    onTakeOver((one) => withVendor(page.apply(one).sheet, vendor));
    onDone();
  };
  return (
    <div
      ref={group}
      className="phrase-read"
      tabIndex={0}
      role="group"
      aria-label={words.whatWasRead}
      onKeyDown={(event) => {
        if (event.target !== event.currentTarget || page.press(event)) return;
        if (event.key === 'Enter' && page.isReady) take();
      }}
    >
      {page.isEmpty ? <p>{words.nothingInItReads}</p> : <PageReading page={page} sheet={sheet} today={today} onTakeOver={take} />}
      <Button type="text" size="small" onClick={onDone}>
        {words.discard}
      </Button>
    </div>
  );
}

function withVendor(sheet: PriceSheet, vendor: string): PriceSheet {
  return sheet.kind === 'offer' && sheet.offer.label === '' && vendor !== ''
    ? { ...sheet, offer: { ...sheet.offer, vendor, label: vendor } }
    : sheet;
}
