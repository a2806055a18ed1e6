import { Parser } from 'htmlparser2';
import { type ReadTable, tableOf } from './table';

/** What a saved web page or a copied piece of one holds that can be read; nothing of it is ever executed. */
export interface WebPage {
  readonly title: string;
  readonly tables: readonly ReadTable[];
  /** Texts of JSON-LD scripts. */
  readonly linkedData: readonly string[];
}

const MOST_TABLES = 20;

/** No page that states prices nests this deep; one that does is read no further, for every level slows the parser down. */
const DEEPEST = 600;

/** Characters that are read before the depth is looked at again. */
const CHUNK = 16_384;
const CELL_TAGS = new Set(['td', 'th']);
const SILENT_TAGS = new Set(['script', 'style', 'template', 'noscript', 'svg']);
const SIGNS: Readonly<Record<string, string>> = { yes: '✓', check: '✓', tick: '✓', no: '✗', cross: '✗' };

/** Reads the tables and the JSON-LD of a page; broken markup is read as far as it goes. */
export function readWebPage(html: string): WebPage {
  const tables: string[][][] = [];
  const linkedData: string[] = [];
  const open: Array<{ rows: string[][]; spans: number }> = [];
  let [title, inTitle, silent, data] = ['', false, 0, null as string | null];
  let cell: string[] | null = null;
  let depth = 0;
  const say = (text: string) => {
    if (data !== null) data += text;
    else if (inTitle) title += text;
    else if (silent === 0 && cell) cell[cell.length - 1] += text;
  };
  const parser = new Parser(
    {
      onopentag(name, { type, colspan, alt, 'aria-label': label }) {
        depth += 1;
        if (name === 'script' && type?.trim().toLowerCase() === 'application/ld+json') data = '';
        else if (SILENT_TAGS.has(name)) silent += 1;
        else if (name === 'title') inTitle = true;
        else if (name === 'table') open.push({ rows: [], spans: 1 });
        else if (name === 'tr') open.at(-1)?.rows.push([]);
        else if (CELL_TAGS.has(name)) {
          cell = open.at(-1)?.rows.at(-1) ?? null;
          cell?.push('');
          const top = open.at(-1);
          if (top) top.spans = Math.min(20, Math.max(1, Number(colspan) || 1));
        } else if (name === 'br') say(' ');
        const words = (label ?? alt ?? '').toLowerCase();
        const sign = Object.entries(SIGNS).find(([word]) => new RegExp(`\\b${word}\\b`).test(words))?.[1];
        if ((name === 'img' || name === 'svg' || name === 'i' || name === 'span') && sign && cell) cell[cell.length - 1] += sign;
      },
      ontext: say,
      onclosetag(name) {
        depth -= 1;
        if (name === 'script' && data !== null) {
          linkedData.push(data);
          data = null;
        } else if (SILENT_TAGS.has(name)) silent = Math.max(0, silent - 1);
        else if (name === 'title') inTitle = false;
        else if (CELL_TAGS.has(name)) {
          for (let more = 1; more < (open.at(-1)?.spans ?? 1); more += 1) cell?.push(cell.at(-1) ?? '');
          cell = null;
        } else if (name === 'table') {
          const closed = open.pop();
          if (closed && tables.length < MOST_TABLES) tables.push(closed.rows);
        }
      },
    },
    { decodeEntities: true, lowerCaseTags: true, lowerCaseAttributeNames: true },
  );
  for (let at = 0; at < html.length && depth <= DEEPEST; at += CHUNK) parser.write(html.slice(at, at + CHUNK));
  if (depth <= DEEPEST) parser.end();
  const left = open.slice(0, MOST_TABLES).map(({ rows }) => rows);
  const read = [...tables, ...left].map(tableOf).filter(({ table }) => table.length > 0 && (table[0]?.length ?? 0) > 1);
  return { title: title.replace(/\s+/g, ' ').trim().slice(0, 200), tables: read.sort((a, b) => size(b) - size(a)), linkedData };
}

function size({ table }: ReadTable): number {
  return table.length * (table[0]?.length ?? 0);
}
