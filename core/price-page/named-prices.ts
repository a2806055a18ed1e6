import { type PricePiece, pricePieces } from './price-pieces';
import { soldOnPlan } from './sold-on-plan';
import { wholeWords } from './whole-words';

/** A price that a sentence states of a plan. */
export interface NamedPrice {
  readonly plan: string;
  readonly pieces: readonly PricePiece[];
}

/**
 * Prices that a sentence states by the plans' names ("Booth is $44, Arcade $112 a month when billed monthly"), or one
 * for each plan in the page's order ("14, 25 and 50 a month").
 *
 * @param priced - names of the plans that cost something, in the page's order
 * @param question - the question that the sentence answers; '' without one
 */
export function namedPrices(
  plain: string,
  line: number,
  names: readonly string[],
  priced: readonly string[],
  question: string,
): NamedPrice[] {
  const text = plain;
  if (!/¤\d/.test(text) || /%\s*\+|(?<!\p{L})\+\s*¤/u.test(text) || soldOnPlan(text, names) !== null) return [];
  // "Free from Plus up, afterwards ¤17 per year" prices something that such plans have.
  const places = placesOf(text, names).filter(({ name, from }) => !/^ (?:up|on|onwards?|upwards?)\b/.test(text.slice(from + name.length)));
  // "Backups (Small and Large) ¤2 a month" is sold on them.
  if (/^\p{L}[^¤(]*\([^¤)]*\) ?¤/u.test(text) && places.every(({ from }) => from > text.indexOf('(') && from < text.indexOf(')')))
    return [];
  const around = wordsAround(text, question);
  const before = pricesBefore(text, line, places, around.all);
  if (before.length > 0) return before;
  const isForGood = /\b(?:lifetime|for life|for good|pay once)\b/i.test(text.slice(0, places[0]?.from ?? 0));
  const found = places.flatMap(({ name, from }, index): NamedPrice[] => {
    const segment = text.slice(from + name.length, places[index + 1]?.from ?? text.length);
    if (!/¤\d/.test(segment) || /\d%|\bup to \d|\bfor up to\b|\bfor (?:every|each) \d{2,}/.test(segment)) return [];
    const isLast = index === places.length - 1;
    const usual = isLast ? around.question : around.all;
    return [{ plan: name, pieces: piecesIn(segment, line, isForGood ? ' once' : usual) }];
  });
  const lead = text.slice(0, places[0]?.from ?? text.length);
  const [first] = priced;
  if (found.length > 0) {
    const begins =
      /\b(?:plans?|prices?) (?:begin|start)s? (?:at|from)\b/i.test(lead) &&
      first !== undefined &&
      !found.some(({ plan }) => plan === first);
    return begins ? [{ plan: first, pieces: piecesIn(lead, line, '') }, ...found] : found;
  }
  return inOrder(text, line, priced, around.all);
}

/** "¤240 for Teach and ¤640 for School": each name behind its price. */
function pricesBefore(text: string, line: number, places: ReadonlyArray<{ name: string; from: number }>, usual: string): NamedPrice[] {
  const found = places.flatMap(({ name, from }, index): NamedPrice[] => {
    const former = places[index - 1];
    const segment = text.slice(former ? former.from + former.name.length : 0, from);
    const price = /¤\d+(?:\.\d+)?(?: ?(?:\/|a|per) ?(?:month|mo|year|yr))? (?:for|on|with|in) (?:the )?$/.exec(segment)?.[0];
    const isOnly = segment.split('¤').length === 2 && !/\d%/.test(segment);
    return price !== undefined && isOnly
      ? [{ plan: name, pieces: piecesIn(price.replace(/ (?:for|on|with|in) (?:the )?$/, ''), line, usual) }]
      : [];
  });
  return found.length === places.length && found.length >= 2 ? found : [];
}

function placesOf(text: string, names: readonly string[]): Array<{ name: string; from: number }> {
  const found = [...names]
    .sort((a, b) => b.length - a.length)
    .flatMap((name) => [...text.matchAll(wholeWords(name, 'g'))].map((match) => ({ name, from: match.index })));
  const apart = found.filter(
    ({ name, from }) =>
      !found.some((other) => other.name.length > name.length && other.from <= from && other.from + other.name.length >= from + name.length),
  );
  return apart.sort((a, b) => a.from - b.from);
}

const MONTHLY =
  /\b(?:month[- ]to[- ]month|monthly billing|by the month|billed monthly|pa(?:y|ying|id) monthly|monthly (?:plan|price|billing))/;
const YEARLY =
  /^ ?(?:yearly|by the year|per year)(?: prices?)?:|\b(?:yearly (?:plan|billing|prices?)|by the year|annual (?:plans?|billing|prices?)|billed (?:yearly|annually)|pa(?:y|id|ying) (?:yearly|annually)|in advance|(?:per|a) year\b[^?]*\?)/;

/** How a price is paid may be said once for all of them, at the end or in the question. */
function wordsAround(text: string, question: string): { all: string; question: string } {
  const end = text.slice(text.lastIndexOf('¤')).replace(/^¤[\d.]+/, '');
  const asked = `${question} ${text.slice(0, text.indexOf('¤'))}`.toLowerCase();
  const bill = MONTHLY.test(asked) ? ' per month billed monthly' : '';
  const year = YEARLY.test(asked) ? ' per year' : '';
  const period = /\b(?:a|per|each|\/) ?(?:month|year)\b|\bbilled \w+|\bmonthly\b|\byearly\b|\bpaid \w+/i.test(end)
    ? ` ${end.replace(/[.!]+$/, '')}`
    : '';
  const begun = /\b(?:a month|per month|a year|per year)(?: when paid [\p{L} ]+| when billed \p{L}+)?/iu.exec(
    text.slice(0, text.lastIndexOf('¤')),
  )?.[0];
  return {
    all: period || bill || year || (begun === undefined ? '' : ` ${begun}`),
    question: bill || year || (begun === undefined ? '' : ` ${begun}`),
  };
}

function piecesIn(segment: string, line: number, usual: string): PricePiece[] {
  const own = segment.replace(/[.,;]?\s*(?:and|,)?\s*$/, '');
  const isSaid =
    /\b(?:a|per|each) (?:month|year)\b|\/ ?(?:month|mo|year|yr)\b|\bonce\b|\bone-time\b|\blife(?:time)?\b|\bbilled\b|\bmonthly\b|\byearly\b/i.test(
      own,
    );
  return pricePieces([{ line, plain: isSaid ? own : `${own}${usual}` }]);
}

/** As many amounts as plans that cost something: one for each, in order. */
function inOrder(text: string, line: number, priced: readonly string[], usual: string): NamedPrice[] {
  const amounts = [...text.matchAll(/¤(\d+(?:\.\d+)?)/g)];
  if (priced.length < 2 || amounts.length !== priced.length) return [];
  if (!/¤[\d.]+(?:, ¤[\d.]+)*,? (?:and|or) ¤[\d.]+/.test(text)) return [];
  const begin = text.slice(0, amounts[0]?.index ?? 0);
  const tail = text.slice((amounts.at(-1)?.index ?? 0) + (amounts.at(-1)?.[0].length ?? 0));
  return priced.map((plan, index) => ({
    plan,
    pieces: pricePieces([{ line, plain: `${begin.slice(-40)}${amounts[index]?.[0] ?? ''}${tail.split(/[;.]/)[0] ?? ''}${usual}` }]),
  }));
}
