import { Button } from 'antd';
import TextArea from 'antd/es/input/TextArea';
import { useId, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { newOffer } from '#core/price-sheet/edit-offer';
import { type PageFile, readPageFiles } from '../price-sheets/page-files';
import { pastedPage } from '../price-sheets/pasted-page';
import { handOver } from '../price-sheets/use-intake';
import { keptText } from '../workbench/draft-storage';
import { useKeptText } from '../workbench/use-kept-text';
import { newId } from '../workbench/new-id';
import { useEdits } from '../workbench/use-edits';
import { useWorkbench } from '../workbench/workbench-context';
import { priceBox as words } from './words';

/** Takes pricing pages, pasted or dropped: each becomes the sheet of a vendor, with what was read beside it. */
export function PriceBox({ today }: { today: string }) {
  const { state, decisionId } = useWorkbench();
  const edits = useEdits();
  const navigate = useNavigate();
  const id = useId();
  const files = useRef<HTMLInputElement>(null);
  const [text, setText] = useKeptText(`start.${decisionId}`);
  const [problem, setProblem] = useState<string | null>(null);
  const newSheet = () => edits.addSheet({ kind: 'offer', seen: today, offer: newOffer(newId, state.workbench.decision.currency) });
  const open = (pages: readonly PageFile[]) => {
    const sheets = pages.map((page) => {
      const sheet = newSheet();
      handOver(sheet, page.text, page.name);
      return sheet;
    });
    setText('');
    if (sheets[0] !== undefined) void navigate(`/decisions/${decisionId}/sheets/${sheets[0]}`);
  };
  const readTyped = () => {
    if (text.trim().includes('\n')) return open([{ text, name: words.whatWasTyped }]);
    // A single line says what one plan costs: it stands in the sheet’s line for prices.
    const sheet = newSheet();
    keptText(`phrases.${sheet}`).keep(text.trim());
    setText('');
    void navigate(`/decisions/${decisionId}/sheets/${sheet}`);
  };
  const readFiles = (chosen: readonly File[]) => {
    const { pages, problem: wrong } = readPageFiles(chosen);
    setProblem(wrong);
    void pages.then((read) => read.length > 0 && open(read));
  };
  return (
    <div
      className="price-box"
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        readFiles([...event.dataTransfer.files]);
      }}
    >
      <label htmlFor={id} className="field-label">
        {words.selectAllOfAVendors}
      </label>
      <TextArea
        id={id}
        autoSize={{ minRows: 5, maxRows: 12 }}
        spellCheck={false}
        value={text}
        placeholder={words.starter12MoOr120}
        onChange={({ target }) => setText(target.value)}
        onPaste={(event) => {
          // A line or two can go on being typed; a page is read at once.
          const page = pastedPage(event.clipboardData);
          if (page === null) return;
          event.preventDefault();
          open([{ text: page, name: words.whatWasPasted }]);
        }}
      />
      <p className="price-box-tools">
        <Button type="primary" disabled={text.trim() === ''} onClick={readTyped}>
          {words.readPrices}
        </Button>
        <Button type="text" onClick={() => files.current?.click()}>
          {words.chooseSavedPages}
        </Button>
        <input
          ref={files}
          type="file"
          multiple
          hidden
          aria-label={words.savedPages}
          accept=".csv,.txt,.html,.htm,.json"
          onChange={({ target }) => readFiles([...(target.files ?? [])])}
        />
        <Button type="text" onClick={() => void navigate(`/decisions/${decisionId}/sheets/${newSheet()}`)}>
          {words.typeThemIn}
        </Button>
      </p>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <p className="quiet">{words.twoVendorsAreEnough(<Link to={`/decisions/${decisionId}/sheets`}>{words.priceSheetsYouHave}</Link>)}</p>
    </div>
  );
}
