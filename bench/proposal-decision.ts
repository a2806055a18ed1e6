/** A made-up decision that asks for proposals: 30 platforms of 5 plans with 4 terms each, and 8 add-ons, over 36 months. */
export function proposalBenchDecision(): object {
  const quantities = ['staff', 'products', 'contacts', 'labels'];
  const wanted = ['gift-cards', 'bookings', 'club', 'reminders'];
  const plan = (offer: number, at: number) => ({
    id: `o${offer}-p${at}`,
    label: `Plan ${at}`,
    currency: offer % 5 === 0 ? 'USD' : 'EUR',
    taxExcluded: offer % 2 === 0,
    terms: [1, 6, 12, 24].map((months) => ({
      id: `t${months}`,
      months,
      price: String(((9 + offer) * (at + 1) * months * (100 - months)) / 100),
    })),
    charges: [
      { id: `o${offer}-p${at}-card`, label: 'Card fee', bucket: 'payment', how: 'per-order', percent: `${3 - at * 0.3}`, each: '0.25' },
      { id: `o${offer}-p${at}-fee`, label: 'Sales fee', how: 'per-order', percent: `${Math.max(0, 2 - at * 0.5)}` },
    ],
    limits: Object.fromEntries(quantities.map((name, index) => [name, String((at + 1) * (index + 2) * 2)])),
    features: Object.fromEntries(wanted.slice(0, at).map((name) => [name, true])),
  });
  const addon = (offer: number, at: number) => ({
    id: `o${offer}-a${at}`,
    label: `Add-on ${at}`,
    currency: 'EUR',
    taxExcluded: offer % 3 === 0,
    terms: [1, 12].map((months) => ({ id: `t${months}`, months, price: String((3 + at) * months) })),
    ...(at < 4 ? { features: { [wanted[at] ?? '']: true } } : { raises: { [quantities[at - 4] ?? '']: String(at - 2) } }),
  });
  return {
    format: 'venalis.decision',
    version: 1,
    name: 'Proposals',
    currency: 'EUR',
    start: '2027-01',
    months: 36,
    feeTax: '19',
    rates: { USD: '0.92' },
    forecast: {
      streams: [{ id: 's', label: 'Goods', kind: 'goods', orders: { start: '120', growth: '1' }, orderValue: '42' }],
      drivers: { staff: { start: '4', add: '0.1' }, products: '14', contacts: '19', labels: '25' },
    },
    needs: wanted.map((feature) => ({ feature, level: 'must' })),
    offers: Array.from({ length: 30 }, (_, offer) => ({
      id: `o${offer}`,
      vendor: `Vendor ${offer}`,
      label: `Vendor ${offer}`,
      kind: 'store-platform',
      plans: [0, 1, 2, 3, 4].map((at) => plan(offer, at)),
      addons: [0, 1, 2, 3, 4, 5, 6, 7].map((at) => addon(offer, at)),
    })),
    candidates: [],
    propose: {},
  };
}
