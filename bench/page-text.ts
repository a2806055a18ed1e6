/** A pricing page of so many lines: plans with prices, fees and lists, then questions, as a browser copies them. */
export function pageText(lines: number): string {
  const plan = (at: number) => [
    '',
    `Plan ${'ABCDEFGHIJKLMNOP'.charAt(at % 16)}${at}`,
    'For a shop of its size',
    `$${12 + at * 7}`,
    '/month',
    'billed annually',
    'Start free trial',
    ...Array.from({ length: 12 }, (_, item) => (item % 3 === 0 ? `✓ ${(item + 1) * 10} products` : `✓ Feature ${item} of the shop`)),
    '2.9% + 30¢ per card payment',
  ];
  const plans = Array.from({ length: 6 }, (_, at) => plan(at)).flat();
  const questions = Array.from({ length: Math.ceil((lines - plans.length) / 2) }, (_, at) => [
    `What is question ${at} about?`,
    `It is answered here, in some words, with ${at} figures of no kind.`,
  ]).flat();
  return [...plans, 'Frequently asked questions', ...questions].slice(0, lines).join('\n');
}

/** The same page as HTML of about so many bytes: a saved page is mostly markup. */
export function pageHtml(bytes: number): string {
  const cards = pageText(300)
    .split('\n')
    .map((line) => `<div class="a b c" data-x="${'y'.repeat(200)}"><span>${line}</span></div>`)
    .join('\n');
  const filler = `<script>${'var a = 1;'.repeat(1_000)}</script><style>${'.x{color:red}'.repeat(800)}</style>`;
  return `<!doctype html><html><body>${cards}${filler.repeat(Math.max(1, Math.ceil((bytes - cards.length) / filler.length)))}</body></html>`;
}
