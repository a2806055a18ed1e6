/** What a call of the `price` command asks for. */
export interface Asked {
  readonly files: readonly string[];
  /** A table for a person instead of one JSON result a line. */
  readonly table: boolean;
  /** The ledger of one candidate's month in sentences. */
  readonly explain: { readonly candidate: string; readonly month: string } | null;
  /** A CSV file of past orders in the place of the forecast; null for none. */
  readonly orders: string | null;
  /** The format's JSON Schema instead of any prices. */
  readonly schema: boolean;
}

const USAGE = [
  'npm run --silent price -- [--table | --explain CANDIDATE MONTH | --orders ORDERS.csv] FILE…',
  '  prices decision files, one JSON result a line; - reads standard input',
  '  --table                    a table for a person',
  '  --explain CANDIDATE MONTH  how a month came about, such as: --explain A 2027-07',
  '  --orders ORDERS.csv        what past orders would have cost, instead of what is expected',
  '  --schema                   the JSON Schema of decision files',
].join('\n');

/** Reads the words of a call. */
export function readArguments(args: readonly string[]): Asked | { problem: string } {
  const files: string[] = [];
  let table = false;
  let schema = false;
  let explain: Asked['explain'] = null;
  let orders: string | null = null;
  for (let at = 0; at < args.length; at++) {
    const word = args[at] ?? '';
    if (word === '--table') table = true;
    else if (word === '--schema') schema = true;
    else if (word === '--explain') {
      const [candidate, month] = [args[at + 1], args[at + 2]];
      if (candidate === undefined || month === undefined || !/^\d{4}-\d{2}$/.test(month))
        return { problem: `--explain wants a candidate and a month, such as: --explain A 2027-07\n${USAGE}` };
      explain = { candidate, month };
      at += 2;
    } else if (word === '--orders') {
      const path = args[at + 1];
      if (path === undefined || path.startsWith('--')) return { problem: `--orders wants a CSV file of past orders\n${USAGE}` };
      orders = path;
      at += 1;
    } else if (word.startsWith('--')) return { problem: `${word} is not known.\n${USAGE}` };
    else files.push(word);
  }
  if (files.length === 0 && !schema) return { problem: `Name a file.\n${USAGE}` };
  if (orders !== null && (table || explain)) return { problem: `--orders gives a JSON result: leave --table and --explain out\n${USAGE}` };
  return { files, table, explain, orders, schema };
}
