/** Ways of paying that are no cards, by the name that a forecast and a fee give them; others are called as they are named. */
const WAYS: Readonly<Record<string, string>> = {
  international: 'cards from abroad',
  wallet: 'wallets',
  invoice: 'invoices',
  'payment-link': 'payment links',
  'pay-later': 'instalments',
  'card-on-file': 'saved card',
  keyed: 'typed-in cards',
};
/** Words that name a kind of card. */
const OF_CARDS: Readonly<Record<string, string>> = {
  ...Object.fromEntries(['domestic', 'premium', 'business', 'commercial', 'corporate', 'company'].map((word) => [word, word])),
  uk: 'UK',
  us: 'US',
  europe: 'European',
};

const isOfCards = (kind: string) => kind.split('-').every((word) => OF_CARDS[word] !== undefined);

function words(kind: string): string {
  return kind
    .split('-')
    .map((word) => OF_CARDS[word] ?? word)
    .join(' ');
}

/**
 * What orders are paid with, as one says it.
 *
 * @param kind - a kind of card, a wallet or another way of paying, as a forecast names it
 * @example paidWith('domestic') // 'domestic cards'
 * @example paidWith('direct-debit') // 'direct debit'
 */
export function paidWith(kind: string): string {
  return isOfCards(kind) ? `${words(kind)} cards` : (WAYS[kind] ?? words(kind));
}

/**
 * The kinds that a fee is narrowed to, in words.
 *
 * @example paidWithAny(['domestic', 'premium']) // 'domestic and premium cards'
 */
export function paidWithAny(kinds: readonly string[]): string {
  const cards = kinds.filter(isOfCards).map(words);
  const others = kinds.filter((kind) => !isOfCards(kind)).map(paidWith);
  return [...(cards.length > 0 ? [`${cards.join(' and ')} cards`] : []), ...others].join(' and ');
}
