import { noun, whole } from './amount-rules';
import type { Qualifier } from './charge-draft';
import { first, made, many, optional, type Rule, sequence, sign, word, words } from './grammar';
import { nameOf } from './vocabulary';

/** What says which orders a charge counts: who processes them, by which card, channel, kind or stream. */

const OUTSIDE = first(
  words('with an outside processor', 'for an outside processor', 'through an outside processor', 'only with an outside processor'),
  made(
    sequence(
      words('if you use', 'when you use', 'when using', 'if using', 'using', 'with', 'for', 'through', 'on'),
      words(
        'another',
        'an outside',
        'any other',
        'other',
        'outside',
        'an external',
        'external',
        'a third party',
        'third party',
        'your own',
        'a different',
        'an other',
      ),
      optional(word('payment')),
      word('processor', 'processors', 'provider', 'providers', 'gateway', 'gateways', 'processing'),
    ),
    () => 'outside',
  ),
);
const OWN = words(
  'with own processing',
  "with the platform's own processing",
  "with the platform's own payments",
  'with our payments',
  'through our payments',
  'with our own payments',
  'with built in payments',
);

/** "with Tidewrack Pay": platforms call their own processing by a name of their own. */
const NAMED_OWN = made(sequence(words('with', 'through', 'via', 'only with'), optional(word('the')), noun), ([, , name]) =>
  /\b(pay|payments|checkout)$/.test(name) ? name : null,
);

export const payments = first<Qualifier>(
  made(OUTSIDE, () => ({ only: { payments: 'outside' } })),
  made(OWN, () => ({ only: { payments: 'own' } })),
  made(NAMED_OWN, () => ({ only: { payments: 'own' } })),
);

/** Names joined by "and" or commas, each a slug written as words or quoted. */
const names = (stop: Rule<unknown>) => {
  const one: Rule<string> = (tokens, at) => (stop(tokens, at) ? null : made(noun, (found) => found)(tokens, at));
  return many(one, first<unknown>(sequence(sign(','), word('and')), word('and'), sign(',')));
};
const nothingStops: Rule<unknown> = () => null;

const asSlugs = (list: readonly string[]) => (list.length === 0 ? null : list.map(nameOf));
const CARD_KINDS: Readonly<Record<string, string>> = {
  foreign: 'international',
  overseas: 'international',
  eu: 'eu',
  local: 'domestic',
  national: 'domestic',
  home: 'domestic',
};

export const cards = first<Qualifier>(
  made(sequence(words('only with cards', 'with cards', 'only cards'), names(nothingStops)), ([, list]) => cardsOf(list)),
  made(
    sequence(
      words('for', 'on', 'with', 'only with', 'only for'),
      word('domestic', 'international', 'foreign', 'overseas', 'local', 'national'),
      word('cards', 'card'),
    ),
    ([, kind]) => cardsOf([kind]),
  ),
  made(
    sequence(word('domestic', 'international', 'foreign', 'overseas', 'local', 'national'), word('cards', 'card'), optional(word('only'))),
    ([kind]) => cardsOf([kind]),
  ),
  made(sequence(optional(words('for', 'on')), whole(word('domestic', 'international'))), ([, kind]) => cardsOf([kind])),
  made(words('cards from abroad', 'for cards from abroad', 'with cards from abroad', 'on cards from abroad'), () => ({
    only: { cards: ['international'] },
  })),
);

function cardsOf(list: readonly string[]): Qualifier | null {
  const slugs = asSlugs(list.map((kind) => CARD_KINDS[kind] ?? kind));
  return slugs && { only: { cards: slugs } };
}

const CHANNELS: Readonly<Record<string, string>> = {
  'in person': 'in-person',
  'at the till': 'in-person',
  'at the stall': 'in-person',
  online: 'own-site',
  'on your site': 'own-site',
  'on marketplaces': 'marketplace',
  'on the marketplace': 'marketplace',
};
export const channels = first<Qualifier>(
  made(sequence(words('only through', 'through channels'), names(nothingStops)), ([, list]) => {
    const slugs = asSlugs(list);
    return slugs && { only: { channels: slugs } };
  }),
  made(sequence(optional(word('for', 'only', 'when')), words(...Object.keys(CHANNELS)), optional(word('only'))), ([, words]) => ({
    only: { channels: [CHANNELS[words] ?? words] },
  })),
);

const KINDS: Readonly<Record<string, string>> = {
  goods: 'goods',
  'physical goods': 'goods',
  downloads: 'digital',
  digital: 'digital',
  'digital goods': 'digital',
  courses: 'digital',
  services: 'service',
  service: 'service',
  subscriptions: 'subscription',
  subscription: 'subscription',
};
const oneKind = made(words(...Object.keys(KINDS)), (found) => KINDS[found] ?? found);
export const kinds = first<Qualifier>(
  made(sequence(words('only for kinds'), names(nothingStops)), ([, list]) => (list.length === 0 ? null : { only: { kinds: list } })),
  made(sequence(words('only for', 'for', 'on'), many(oneKind, first<unknown>(word('and'), sign(',')))), ([, list]) =>
    list.length === 0 ? null : { only: { kinds: list } },
  ),
);
export const streams = made(
  sequence(words('only for streams', 'only for the streams', 'only for the stream'), names(nothingStops)),
  ([, list]): Qualifier | null => {
    const slugs = asSlugs(list);
    return slugs && { only: { streams: slugs } };
  },
);
