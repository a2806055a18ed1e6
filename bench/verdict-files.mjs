// Measures what a decision is taken along as: report, PDF, workbook, tables.
import { median, report } from './measure.mjs';

const ROUNDS = 7;

/** From the request to the last byte, median of several; the first answer is left out. */
async function answer(path) {
  const times = [];
  let bytes = 0;
  for (let round = 0; round <= ROUNDS; round++) {
    const begun = performance.now();
    const response = await fetch(path);
    if (!response.ok) throw new Error(`${path} answered with ${response.status}`);
    bytes = (await response.arrayBuffer()).byteLength;
    if (round > 0) times.push(performance.now() - begun);
  }
  return { time: median(times), bytes };
}

/**
 * @param {string} demo - address of the demo's decision
 * @param {string} wide - address of one with twenty candidates over 36 months
 */
export async function verdictFiles(demo, wide) {
  for (const [name, at] of [
    ['the demo', demo],
    ['20 candidates × 36 months', wide],
  ]) {
    report(`report, ${name}`, (await answer(`${at}/report/html`)).time, 2000, 'ms');
    report(`report as PDF, ${name}`, (await answer(`${at}/report/pdf`)).time, 2000, 'ms');
    const workbook = await answer(`${at}/workbook.xlsx`);
    report(`workbook, ${name}`, workbook.time, 3000, 'ms');
    report(`workbook, ${name}, size`, workbook.bytes / 1e6, 5, 'MB');
    report(`ledger as CSV, ${name}`, (await answer(`${at}/ledger.csv`)).time, 1000, 'ms');
  }
}
