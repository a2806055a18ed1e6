// Requests of every kind, most of them wrong.
import { Buffer } from 'node:buffer';
import { demoFile } from './growth.mjs';

const PLACES = [
  '',
  'frame',
  'sales',
  'needs',
  'needs/answers',
  'sheets',
  'sheets/SHEET',
  'sheets/none',
  'needs/qualities',
  'needs/diary',
  'needs/speed',
  'line-up/candidates',
  'line-up',
  'line-up/fit',
  'what-if',
  'what-if/map',
  'what-if/route',
  'what-if/turns-it',
  'what-if/paying-ahead',
  'what-if/offers',
  'what-if/investment',
  'what-if/scenarios',
  'verdict',
  'verdict/dates',
  'verdict/report',
  'verdict/afterwards',
  'export',
  'export?all',
  'stored',
  'save',
  'step',
  'workbook.xlsx',
  'line-up.csv',
  'ledger.csv',
  'dates.ics',
  'report/html',
  'report/md',
  'report/odd',
  'sheets/SHEET/export',
  'nowhere',
];
const ADDRESSES = [
  '',
  'decisions',
  'decisions?deleted=x',
  'watch',
  'watch/effects',
  'data',
  'data/export',
  'data/export?history',
  'data/import',
  'decisions/import',
  'decisions/import?intent=keep',
  'read-source',
  'read-actuals',
  'sign-in',
  'sign-out',
  'favicon.svg',
  'assets/none.js',
  'assets',
  '__manifest',
  'nowhere',
  '_root.data',
  'decisions.data',
  ...PLACES.map((place) => `decisions/DECISION/${place}`),
  ...PLACES.map((place) => `decisions/DECISION/${place}.data`),
];
const METHODS = ['GET', 'GET', 'GET', 'GET', 'GET', 'POST', 'POST', 'HEAD', 'OPTIONS', 'PUT', 'TRACE'];
/** What takes something in is asked more often than there are addresses of it, by POST. */
const TAKING_IN = [
  'decisions/DECISION/save',
  'decisions/DECISION/save',
  'decisions/DECISION/step',
  'decisions/import',
  'decisions/import?intent=keep',
  'read-source',
  'read-actuals',
  'watch',
  'watch/effects',
  'decisions',
  'data',
  'data/import',
  'sign-in',
];
const ODD_TEXTS = [
  '',
  '0',
  '-1',
  '1e99',
  'NaN',
  'null',
  'x'.repeat(5_000),
  '🪁',
  '\u0000',
  '\r\nSet-Cookie: a=b',
  '%00',
  '%E0%A4%A',
  '../../etc/passwd',
  '..%2f..%2fetc%2fpasswd',
  '{}',
  '[]',
  '"',
  "' or 1=1 --",
  '<script>alert(1)</script>',
  '__proto__',
  'constructor',
  '٣',
  '1,5',
  '2027-13',
  '9'.repeat(400),
  '\ud800',
  'en-aa-aa',
  '°',
];
const HEADERS = {
  'accept-language': [
    'en-aa-aa',
    'de-AT',
    '*',
    'x'.repeat(3_000),
    ';;;q=',
    '🪁'.codePointAt(0)?.toString(),
    'en_US',
    'a-b-c-d',
    'root',
    'und',
  ],
  accept: ['*/*', 'text/html', 'application/json', '🙂'.length.toString(), ''],
  'content-type': [
    'application/json',
    'text/plain',
    'application/x-www-form-urlencoded',
    'multipart/form-data',
    'multipart/form-data; boundary=x',
    'text/html',
    'nonsense',
    '',
    'application/json; charset=utf-99',
  ],
  cookie: ['a=b', 'venalis-session=x', ';;;', '='],
  'x-forwarded-proto': ['https', 'gopher', ''],
  'accept-encoding': ['gzip', 'br', 'identity;q=0', '*;q=0', 'x'],
  range: ['bytes=0-1', 'bytes=9-1', 'x'],
  'if-none-match': ['*', 'x'],
  'sec-fetch-site': ['same-origin', 'cross-site', 'x'],
  'content-encoding': ['gzip', 'x'],
  expect: ['x'],
};

/** A request by chance: to somewhere, with something, most of it wrong. */
export function oddRequest(luck, known) {
  const takesIn = luck.next() < 0.35;
  const method = takesIn ? 'POST' : luck.one(METHODS);
  const address = luck
    .one(takesIn ? TAKING_IN : ADDRESSES)
    .replace('DECISION', luck.next() < 0.8 ? known.decision : encodeURIComponentSafely(luck.one(ODD_TEXTS)))
    .replace('SHEET', luck.next() < 0.7 ? known.sheet : 'x');
  const query =
    luck.next() < 0.25
      ? `${address.includes('?') ? '&' : '?'}${luck.one(['deleted', 'verdict', 'paper', 'zone', 'form', 'intent', '_routes', 'index', 'p', 'day'])}=${encodeURIComponentSafely(luck.one(ODD_TEXTS))}`
      : '';
  const path = `/${address}${query}`;
  const headers = {};
  for (const [name, values] of Object.entries(HEADERS))
    if (luck.next() < (name === 'expect' ? 0.01 : 0.12)) headers[name] = luck.one(values) ?? '';
  const body = method === 'POST' || luck.next() < 0.05 ? oddBody(luck, known, path, headers) : Buffer.alloc(0);
  return { method, path, headers, body };
}

function encodeURIComponentSafely(text) {
  try {
    return encodeURIComponent(text).slice(0, 2_000);
  } catch {
    return '%ED%A0%80';
  }
}

/** Something that an address could take, mostly changed somewhere. */
function oddBody(luck, known, path, headers) {
  const draw = luck.next();
  if (draw < 0.1) return Buffer.from(luck.one(ODD_TEXTS));
  if (draw < 0.15) return Buffer.from(Array.from({ length: luck.upTo(200) }, () => luck.upTo(255)));
  if (/save|step|import|effects/.test(path) && draw < 0.75) {
    headers['content-type'] ??= 'application/json';
    return Buffer.from(JSON.stringify(changed(luck, validBody(luck, known, path))));
  }
  headers['content-type'] ??= 'application/x-www-form-urlencoded';
  const fields = [
    'intent',
    'id',
    'sheet',
    'address',
    'changes',
    'decisions',
    'hosts',
    'rate',
    'currency',
    'decision',
    'password',
    'text',
    'file',
    'name',
  ];
  const values = [
    'begin',
    'duplicate',
    'archive',
    'unarchive',
    'delete',
    'bring-back',
    'remove',
    'address',
    'accept',
    'leave',
    'rates-address',
    'accept-rate',
    'private-hosts',
    known.sheet,
    ...ODD_TEXTS.filter((text) => text.length < 500),
  ];
  return Buffer.from(
    Array.from({ length: 1 + luck.upTo(4) }, () => `${luck.one(fields)}=${encodeURIComponentSafely(luck.one(values))}`).join('&'),
  );
}

function validBody(luck, { decision, document }, path) {
  const { sheets, ...rest } = document;
  if (path.includes('step')) return { direction: luck.one(['undo', 'redo']), revision: 1 };
  if (path.includes('import')) return JSON.parse(demoFile());
  if (path.includes('effects')) return { sheet: sheets[0]?.sheet, changes: [] };
  return {
    key: 'k',
    label: 'l',
    revision: 1 + luck.upTo(3),
    decision: rest,
    sheets: sheets.map(({ sheet, revision }) => ({ id: sheet, revision })),
    of: luck.next() < 0.02 ? decision : undefined,
  };
}

/** A document with one to three of its places changed into something that does not belong there. */
function changed(luck, value) {
  const copy = structuredClone(value);
  for (let turn = luck.upTo(3); turn > 0; turn--) {
    let [place, key] = [null, null];
    for (let at = copy; typeof at === 'object' && at !== null && Object.keys(at).length > 0; at = at[key]) {
      [place, key] = [at, luck.one(Object.keys(at))];
      if (luck.next() < 0.25) break;
    }
    if (!place) return luck.one([null, [], 7, 'x']);
    const draw = luck.next();
    if (draw < 0.2) delete place[key];
    else
      place[key] = luck.one([
        null,
        0,
        -1,
        1e308,
        '0',
        '-0',
        '1e400',
        [],
        {},
        [[[[[]]]]],
        true,
        '999999999999999',
        '2027-01',
        'EUR',
        'XXX',
        ...ODD_TEXTS,
      ]);
  }
  return copy;
}
