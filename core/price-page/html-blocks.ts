import { Parser } from 'htmlparser2';
import { cycleOf, cycleSaid, isIcon, roleOf, signOf, isValueOf } from './html-names';
import { CROSSED_OUT, type LineRole, MOST_LINES, type PageBlock, type PageBlocks, type PageRow } from './page-blocks';

/** No page that states prices nests this deep; one that does is read no further, for every level slows the parser down. */
const DEEPEST = 600;
/** Characters that are read before the depth is looked at again. */
const CHUNK = 16_384;
const MOST_SCRIPT = 2_000_000;

const BLOCK_TAGS = new Set(
  'address article aside blockquote body button caption dd div dl dt fieldset figcaption figure footer form h1 h2 h3 h4 h5 h6 header hr label legend li main nav ol option p section select small summary table tbody tfoot thead tr ul'.split(
    ' ',
  ),
);
const OPENING_TAGS = new Set(['article', 'section', 'header', 'footer', 'main', 'table']);
const SILENT_TAGS = new Set(['style', 'template', 'noscript', 'iframe', 'object']);
const VOID_TAGS = new Set('area base br col embed hr img input link meta source track wbr'.split(' '));
const CROSSED_TAGS = new Set(['del', 's', 'strike']);

interface Open {
  readonly tag: string;
  readonly role?: LineRole | undefined;
  readonly isCrossed: boolean;
  readonly isHidden: boolean;
  readonly isSilent: boolean;
  /** What a hidden element's names say of when its price holds. */
  readonly cycle: string | null;
  readonly isSup: boolean;
  /** How many lines had been read when it opened. */
  readonly line: number;
}

/**
 * Cuts a saved, copied or fetched page into lines and tables in reading order. Nothing of it is ever executed; what is
 * hidden is left out, but for the prices of the other way of paying, which pages hide behind a switch.
 */
export function htmlBlocks(html: string): PageBlocks {
  const reader = new BlockReader();
  const parser = new Parser(
    {
      onopentag: (name, attributes) => reader.open(name, attributes),
      ontext: (text) => reader.say(text),
      onclosetag: (name) => reader.close(name),
    },
    { decodeEntities: true, lowerCaseTags: true, lowerCaseAttributeNames: true },
  );
  let at = 0;
  for (; at < html.length && reader.depth <= DEEPEST && reader.isHungry; at += CHUNK) parser.write(html.slice(at, at + CHUNK));
  if (at >= html.length && reader.depth <= DEEPEST) parser.end();
  return reader.result(at < html.length);
}

class BlockReader {
  private readonly blocks: PageBlock[] = [];
  private readonly stack: Open[] = [];
  private readonly linkedData: string[] = [];
  private readonly scriptData: string[] = [];
  private script: { readonly isLinked: boolean; text: string } | null = null;
  private title = '';
  private siteName = '';
  private text = '';
  private hidden: Array<{ cycle: string; text: string }> = [];
  /** What is hidden under no name that says when it holds; its words may say it. */
  private unnamed = '';
  private line = 0;
  private opens = true;
  /** The line that is a name of a definition list and waits for what it names. */
  private described: number | null = null;
  private readonly tables: Array<{
    line: number;
    caption: string;
    rows: Array<{ line: number; cells: string[]; isGroup: boolean }>;
    span: number;
    /** Of cells that go on below: their text, by column, and for how many rows more. */
    below: Map<number, { text: string; rows: number }>;
    rowSpan: number;
  }> = [];
  /** The cell that is being read; null outside of cells. */
  private cell: string | null = null;

  get depth(): number {
    return this.stack.length;
  }

  get isHungry(): boolean {
    return this.line < MOST_LINES;
  }

  open(tag: string, attributes: Readonly<Record<string, string>>): void {
    if (tag === 'script') {
      const type = (attributes['type'] ?? '').trim().toLowerCase();
      this.script = { isLinked: type === 'application/ld+json', text: '' };
      return;
    }
    if (tag === 'br') return this.breakLine();
    if (tag === 'meta' && attributes['property'] === 'og:site_name') this.siteName = attributes['content'] ?? '';
    const names = `${attributes['class'] ?? ''} ${attributes['data-cycle'] ?? ''} ${attributes['data-period'] ?? ''} ${attributes['data-billing'] ?? ''} ${attributes['id'] ?? ''}`;
    if (BLOCK_TAGS.has(tag)) this.breakLine();
    const parent = this.stack.at(-1);
    // A block within a block that has said nothing yet begins something new.
    const isContainer = parent !== undefined && ['div', 'li'].includes(parent.tag) && parent.line === this.line && BLOCK_TAGS.has(tag);
    if (OPENING_TAGS.has(tag) || isContainer) this.opens = true;
    this.openTable(tag, attributes);
    this.sayIcon(tag, attributes, names);
    if (VOID_TAGS.has(tag)) return;
    const style = attributes['style'] ?? '';
    const isHidden =
      'hidden' in attributes ||
      /display:\s*none|visibility:\s*hidden/.test(style) ||
      (attributes['aria-hidden'] === 'true' && tag !== 'svg');
    this.stack.push({
      tag,
      role: this.isWithin('article', 'section', 'main') && tag === 'header' ? undefined : roleOf(tag, attributes, names),
      isCrossed:
        CROSSED_TAGS.has(tag) || /line-through/.test(style) || /\b(old|was|strike|strikethrough|crossed|price-before)\b/.test(names),
      isHidden,
      isSilent:
        SILENT_TAGS.has(tag) || tag === 'svg' || tag === 'title' || /\b(tip|tooltip|hint|popover|sr-only|visually-hidden)\b/.test(names),
      cycle: cycleOf(names),
      isSup: tag === 'sup',
      line: this.line,
    });
    if (this.stack.at(-1)?.isCrossed) this.say(CROSSED_OUT.open);
  }

  say(text: string): void {
    if (this.script) {
      if (this.script.text.length < MOST_SCRIPT) this.script.text += text;
      return;
    }
    const inside = this.stack.at(-1);
    if (inside?.tag === 'title' && this.isWithin('svg')) {
      // The title of a drawing is what a tick or a cross is called.
      this.text += signOf(text);
      return;
    }
    if (inside?.tag === 'title') this.title += text;
    if (this.stack.some(({ isSilent }) => isSilent)) return;
    const hiding = this.stack.find(({ isHidden }) => isHidden);
    if (hiding) {
      const cycle = [...this.stack].reverse().find((one) => one.cycle !== null)?.cycle;
      if (cycle) this.hidden.push({ cycle, text });
      else this.unnamed += `${/\p{L}$/u.test(this.unnamed) && /^\p{L}/u.test(text) ? ' ' : ''}${text}`;
      return;
    }
    if (inside?.isSup) return this.sayRaised(text);
    // "Monthly" and "Yearly" side by side are two words, whatever lies between them on the screen.
    const areTwo =
      (/\p{Ll}$/u.test(this.text) && /^\p{Lu}\p{Ll}/u.test(text)) || (/\d$/.test(this.text) && /^(?:a|per|each|every) \p{L}/iu.test(text));
    // A name and its price side by side are two lines.
    if (inside?.tag === 'span' && this.cell === null && /\p{L}$/u.test(this.text) && /^[€$£¥]\s?\d/.test(text)) this.breakLine();
    this.text += areTwo ? ` ${text}` : text;
  }

  close(tag: string): void {
    if (tag === 'script') return this.closeScript();
    if (VOID_TAGS.has(tag)) return;
    const at = this.stack.map((one) => one.tag).lastIndexOf(tag);
    if (at < 0) return;
    if (this.stack[at]?.isCrossed) this.say(CROSSED_OUT.close);
    if (this.stack[at]?.isHidden) this.closeHidden();
    if (BLOCK_TAGS.has(tag) || tag === 'td' || tag === 'th') this.breakLine();
    // An empty block is a gap.
    if (tag === 'div' || tag === 'p') this.opens ||= this.stack[at]?.line === this.line && this.cell === null;
    this.stack.length = at;
    this.closeTable(tag);
  }

  result(isCut: boolean): PageBlocks {
    this.breakLine();
    while (this.tables.length > 0) this.endTable();
    const leftOut = isCut ? 'the rest of the page, which is longer or nests deeper than any page with prices' : null;
    return {
      blocks: this.blocks,
      linkedData: this.linkedData,
      scriptData: this.scriptData,
      title: (this.siteName || this.title).replace(/\s+/g, ' ').trim().slice(0, 200),
      leftOut,
    };
  }

  private isWithin(...tags: readonly string[]): boolean {
    return this.stack.some(({ tag }) => tags.includes(tag));
  }

  /** "9" raised behind "19" are its cents; a single figure is a footnote's. */
  private sayRaised(text: string): void {
    const raised = text.trim();
    if (/^\d{2}$/.test(raised) && /\d$/.test(this.text)) this.text += `.${raised}`;
    else if (!/^(\d|[*†‡])$/.test(raised)) this.text += text;
  }

  private sayIcon(tag: string, attributes: Readonly<Record<string, string>>, names: string): void {
    const isCell = tag === 'td' || tag === 'th';
    if (!isCell && !['img', 'svg', 'i', 'span', 'use'].includes(tag)) return;
    const label = attributes['aria-label'] ?? attributes['alt'] ?? (tag === 'i' || isIcon(names) ? names.replace(/[-_]/g, ' ') : '');
    if (label === '' || (tag === 'span' && label.length > 20)) return;
    this.text += signOf(label);
  }

  private openTable(tag: string, { colspan, rowspan }: Readonly<Record<string, string>>): void {
    if (tag === 'table') this.tables.push({ line: this.line + 1, caption: '', rows: [], span: 1, below: new Map(), rowSpan: 1 });
    const table = this.tables.at(-1);
    if (!table) return;
    if (tag === 'tr') table.rows.push({ line: ++this.line, cells: [], isGroup: false });
    if (tag === 'td' || tag === 'th') {
      table.span = Math.min(20, Math.max(1, Number(colspan) || 1));
      table.rowSpan = Math.min(50, Math.max(1, Number(rowspan) || 1));
      this.text = '';
      this.cell = '';
    }
  }

  private closeTable(tag: string): void {
    const table = this.tables.at(-1);
    if (!table) return;
    if (tag === 'td' || tag === 'th') {
      this.goOnBelow();
      const row = table.rows.at(-1);
      const text = (this.cell ?? '').trim();
      if (row && table.rowSpan > 1) table.below.set(row.cells.length, { text, rows: table.rowSpan - 1 });
      // A cell over several columns is a heading of its rows, or holds for all of them.
      row?.cells.push(text, ...Array<string>(table.span - 1).fill(''));
      this.cell = null;
    } else if (tag === 'tr') this.goOnBelow();
    else if (tag === 'caption') table.caption = this.blocks.at(-1)?.kind === 'line' ? takeText(this.blocks) : '';
    else if (tag === 'table') this.endTable();
  }

  /** Cells over several rows stand in each of them. */
  private goOnBelow(): void {
    const table = this.tables.at(-1);
    const row = table?.rows.at(-1);
    for (let above = table?.below.get(row?.cells.length ?? 0); table && row && above; above = table.below.get(row.cells.length)) {
      if (above.rows > 1) table.below.set(row.cells.length, { ...above, rows: above.rows - 1 });
      else table.below.delete(row.cells.length);
      row.cells.push(above.text);
    }
  }

  private endTable(): void {
    const table = this.tables.pop();
    if (!table) return;
    const rows: PageRow[] = table.rows.filter(({ cells }) => cells.some((cell) => cell !== ''));
    if (rows.length > 0 && rows.some(({ cells }) => cells.length > 1))
      this.blocks.push({ kind: 'table', line: table.line, rows, ...(table.caption === '' ? {} : { caption: table.caption }) });
    else for (const { line, cells } of rows) this.blocks.push({ kind: 'line', line, text: cells.join(' ').trim() });
  }

  private closeHidden(): void {
    const cycle = cycleSaid(this.unnamed);
    if (cycle !== null) this.hidden.push({ cycle, text: this.unnamed });
    this.unnamed = '';
  }

  private closeScript(): void {
    if (this.script?.isLinked) this.linkedData.push(this.script.text);
    else if (this.script && /[{[]/.test(this.script.text)) this.scriptData.push(this.script.text);
    this.script = null;
  }

  private breakLine(): void {
    const shown = this.text.replace(/\s+/g, ' ').trim();
    const cycles = new Map<string, string>();
    for (const { cycle, text } of this.hidden) cycles.set(cycle, `${cycles.get(cycle) ?? ''}${text}`);
    const besides = [...cycles].map(([cycle, text]) => `${cycle}: ${text.replace(/\s+/g, ' ').trim()}`).filter((one) => /\d/.test(one));
    this.hidden = [];
    this.text = '';
    for (const text of [shown, ...besides]) if (text.replace(/[\uE000\uE001\s]/g, '') !== '') this.addLine(text);
  }

  /** "RAM" and "2 GB" of a definition list are one item; a price below its name is told apart. */
  private isDescribed(text: string): boolean {
    const last = this.blocks.at(-1);
    if (last?.kind !== 'line' || this.described !== last.line || !isValueOf(last.text, text)) return false;
    this.blocks[this.blocks.length - 1] = { ...last, text: `${last.text.replace(/:$/, '')}: ${text}`, role: 'item' };
    return true;
  }

  private addLine(text: string): void {
    if (this.cell !== null) {
      this.cell += `${this.cell === '' ? '' : '\n'}${text}`;
      return;
    }
    const roles = this.stack.flatMap(({ role: one }) => (one ? [one] : []));
    const role = roles.find((one) => one === 'navigation' || one === 'footer') ?? roles.at(-1);
    if (this.stack.at(-1)?.tag === 'dd' && this.isDescribed(text)) return;
    this.line += 1;
    this.blocks.push({ kind: 'line', line: this.line, text, ...(role ? { role } : {}), ...(this.opens ? { opens: true } : {}) });
    this.opens = false;
    this.described = this.stack.at(-1)?.tag === 'dt' ? this.line : null;
  }
}

function takeText(blocks: PageBlock[]): string {
  const last = blocks.pop();
  return last?.kind === 'line' ? last.text : '';
}
