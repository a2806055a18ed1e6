/** What a column of an export of orders says, as far as it is of use here. */
export type ColumnRole =
  | 'date'
  | 'total'
  | 'subtotal'
  | 'shipping'
  | 'tax'
  | 'discount'
  | 'refunded'
  | 'currency'
  | 'country'
  | 'means'
  | 'channel'
  | 'number'
  | 'status'
  /** Is read by nobody, and kept nowhere. */
  | 'left-out';

/** Roles by the words in a column's name, the surer first; English, German, French, Spanish and Dutch as shops write them. */
const WORDS: ReadonlyArray<readonly [role: ColumnRole, words: RegExp]> = [
  // Whoever ordered is nobody's business here.
  [
    'left-out',
    /\b(e-?mail|first name|last name|surname|full name|phone|telephone|street|address(?! country)|city|zip|post ?code|postal|company|note|notes|ip)\b/,
  ],
  ['left-out', /\b(vorname|nachname|stra(ss|ß)e|telefon|ort|plz|firma|pr[eé]nom|nom|rue|ville|nombre|apellido|calle)\b/],
  ['left-out', /\b(customer|kunde|client|cliente|recipient) ?(name|id|nummer|number)?$|\b(billing|shipping) (name|id)$/],
  ['status', /\b(status|state|bestellstatus|statut|estado|cancell?ed|test)\b/],
  ['refunded', /\b(refund(ed|s)?|returned|erstattet|erstattung|rembours[eé]|reembols\w+|terugbetaald)\b/],
  ['currency', /\b(currency|w[aä]hrung|devise|moneda|valuta)\b/],
  ['country', /\b(country|land|lieferland|rechnungsland|pays|pa[ií]s)\b/],
  [
    'means',
    /\b(payment (method|type|means|gateway)|paid (with|by)|gateway|tender|card type|zahlungs(art|weise|mittel)|moyen de paiement|forma de pago|betaalmethode)\b/,
  ],
  ['channel', /\b(channel|source|sold (at|in|on)|point of sale|location|kanal|verkaufskanal|canal|kanaal)\b/],
  ['subtotal', /\b(sub ?total|net (amount|total)|goods|items? total|zwischensumme|warenwert|sous-total)\b/],
  ['shipping', /\b(shipping|postage|delivery|freight|versand(kosten)?|porto|livraison|env[ií]o|verzending)\b/],
  ['tax', /\b(tax(es)?|vat|gst|mwst|ust|umsatzsteuer|mehrwertsteuer|tva|iva|btw)\b/],
  ['discount', /\b(discount|coupon|voucher|rabatt|gutschein|remise|descuento|korting)\b/],
  ['total', /\b(total|gross|amount|paid|price|value|revenue|sum|gesamt(betrag|summe)?|betrag|summe|brutto|montant|importe|bedrag)\b/],
  [
    'number',
    /^order$|\b(order (number|no|nr|id|name|ref\w*)|number|no|nr|id|reference|invoice|receipt|bestell(nummer|nr)|auftrags(nummer|nr)|belegnummer|commande|pedido|bestelnummer)\b/,
  ],
  ['date', /\b(date|day|time|created|placed|paid|ordered|datum|bestelldatum|zeitpunkt|fecha)\b/],
];

/** Names that say when, whatever else they say: “Paid at”, “Created”. */
const WHEN = /\b(at|on|date|datum|created|placed)$|^(date|day|datum|created)\b/;

/**
 * What a column's name says it is.
 *
 * @example roleOfName('Order total') // 'total'
 */
export function roleOfName(name: string): ColumnRole {
  const plain = plainName(name);
  if (plain === '') return 'left-out';
  const [role] = WORDS.find(([, words]) => words.test(plain)) ?? (['left-out'] as const);
  if ((role === 'total' || role === 'number' || role === 'left-out' || role === 'means') && WHEN.test(plain) && !/#/.test(name))
    return 'date';
  return role;
}

/** A name in small letters with single spaces: `orderTotal`, `Order_Total` and `Order total` are the same. */
function plainName(name: string): string {
  return name
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .replace(/#/g, ' number ')
    .replace(/[_./:()-]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase();
}

/** Roles that one column alone can have; the first column of such a role has it. */
const SINGLE: ReadonlySet<ColumnRole> = new Set<ColumnRole>([
  'date',
  'total',
  'subtotal',
  'shipping',
  'tax',
  'discount',
  'refunded',
  'currency',
  'country',
  'means',
  'channel',
  'number',
]);

/** Names of a role that say it better than others that are taken for it as well. */
const BETTER: Partial<Record<ColumnRole, RegExp>> = {
  date: /order|created|placed|bestell|^date$|^datum$/i,
  total: /total|gesamt/i,
  number: /order|bestell|auftrag/i,
  country: /billing|rechnung/i,
};

/** The role of every column of a header; each of the single ones is given once, to the name that says it best. */
export function rolesOf(names: readonly string[]): ColumnRole[] {
  const roles = names.map(roleOfName);
  for (const role of SINGLE) {
    const having = roles.flatMap((one, at) => (one === role ? [at] : []));
    const kept = having.find((at) => BETTER[role]?.test(names[at] ?? '')) ?? having[0];
    for (const at of having) if (at !== kept) roles[at] = 'left-out';
  }
  return roles;
}
