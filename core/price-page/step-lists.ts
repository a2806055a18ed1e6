import { isUsualQuantity } from '../price-phrase/vocabulary';
import { bareNoun } from './counted-things';
import type { LineGrid } from './line-grid';
import type { TableRow } from './page-tables';
import type { PlainLine } from './plain-line';
import { nameWords } from './plan-names';

const LEAST_STEPS = 2;
const A_LIST = /^(\p{L}[\p{L}\d ]*?):\s+(\S.*)$/u;
/** Between the entries of a list in one line. */
const APART = /\s+\/\s+|\s+[·|]\s+/;

/**
 * Finds steps of a price of which each plan has a line: "Contacts: 2500 / 5000" and below it "Lite: ¤22 / ¤39" and so on for every
 * plan that has some.
 *
 * @param names - of the page's plans
 */
export function findStepLists(lines: readonly PlainLine[], names: readonly string[]): LineGrid[] {
  return lines.flatMap((heading, at): LineGrid[] => {
    const [, counted = '', list = ''] = A_LIST.exec(heading.plain) ?? [];
    const counts = list.split(APART);
    const areGrowing = counts.every((count, step) => /^\d+$/.test(count) && (step === 0 || Number(count) > Number(counts[step - 1])));
    if (counts.length < LEAST_STEPS || !areGrowing || !isUsualQuantity(bareNoun(counted))) return [];
    const priced: Array<{ readonly name: string; readonly prices: readonly string[]; readonly line: number }> = [];
    for (const { plain, line } of lines.slice(at + 1)) {
      const [, said = '', told = ''] = A_LIST.exec(plain) ?? [];
      const name = names.find((one) => one.toLowerCase() === nameWords(said).toLowerCase());
      const prices = told.split(APART);
      if (name === undefined || prices.length !== counts.length || !prices.every((price) => /^¤[\d.]+$/.test(price))) break;
      priced.push({ name, prices, line });
    }
    if (priced.length === 0) return [];
    const rows = counts.map((count, step): TableRow => ({
      heading: count,
      line: heading.line,
      cells: priced.map(({ prices, line }) => ({ plain: prices[step] ?? '', line })),
    }));
    const table = {
      names: priced.map(({ name }) => name),
      nameLines: priced.map(({ line }) => line),
      heads: priced.map(() => []),
      rows,
      line: heading.line,
    };
    return [{ table, from: at, to: at + 1 + priced.length, head: counted, groups: priced.map(({ line }) => line) }];
  });
}
