import { CATALOGUE, type PublishedPage, type PublishedPlan, type PublishedPrice } from './catalogue';

const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('"', '&quot;');
const UNIT = { 1: 'MON', 12: 'ANN' } as const;

/** A vendor's pricing page: a table for people, and the same prices as schema.org data. */
export function pricingPage(page: PublishedPage): string {
  const { vendor, plans, currency } = page;
  const fees = [...new Set(plans.flatMap((plan) => Object.keys(plan.fees)))];
  const row = (head: string, cell: (plan: PublishedPlan) => string) =>
    `<tr><th>${escaped(head)}</th>${plans.map((plan) => `<td>${escaped(cell(plan))}</td>`).join('')}</tr>`;
  const price = (months: 1 | 12) => (plan: PublishedPlan) =>
    priceWords(
      plan.prices.find((one) => one.months === months),
      currency,
    );
  // Data in a page must not be able to end it.
  const data = JSON.stringify(linkedData(page)).replaceAll('<', '\\u003c');
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>${escaped(vendor)}: plans and prices</title><script type="application/ld+json">${data}</script></head>
<body><h1>${escaped(vendor)}</h1><p>Plans and prices. A made-up vendor of Venalis’s worked example.</p>
<table><tr><th></th>${plans.map(({ name }) => `<th>${escaped(name)}</th>`).join('')}</tr>
${row('By the month', price(1))}
${row('By the year', price(12))}
${fees.map((fee) => row(fee, (plan) => plan.fees[fee] ?? '–')).join('\n')}
</table></body></html>
`;
}

function priceWords(price: PublishedPrice | undefined, currency: string): string {
  if (!price) return '–';
  const { intro } = price;
  return `${price.price} ${currency}${intro ? `, the first ${intro.payments} payments ${intro.price} each${intro.until ? ` if you join until ${intro.until}` : ''}` : ''}`;
}

function linkedData({ vendor, currency, plans }: PublishedPage): object {
  return {
    '@context': 'https://schema.org',
    '@type': 'Product',
    name: vendor,
    brand: { '@type': 'Brand', name: vendor },
    offers: plans.map(({ name, prices }) => ({
      '@type': 'Offer',
      name,
      priceCurrency: currency,
      priceSpecification: prices.flatMap(({ months, price, intro }) => {
        const unit = { '@type': 'UnitPriceSpecification', priceCurrency: currency, unitCode: UNIT[months] };
        return intro
          ? [
              { ...unit, price: intro.price, billingStart: 0, billingDuration: intro.payments * months },
              { ...unit, price, billingStart: intro.payments },
            ]
          : [{ ...unit, price }];
      }),
    })),
  };
}

/** Rates of a day in the open XML form that central banks publish. */
export function ratesFile(day: string, rates: Readonly<Record<string, string>>): string {
  return `<?xml version="1.0" encoding="UTF-8"?>
<gesmes:Envelope xmlns:gesmes="http://www.gesmes.org/xml/2002-08-01" xmlns="urn:venalis:made-up-rates">
  <gesmes:subject>Reference rates</gesmes:subject>
  <Cube>
    <Cube time="${day}">
${Object.entries(rates)
  .map(([currency, rate]) => `      <Cube currency="${currency}" rate="${rate}"/>`)
  .join('\n')}
    </Cube>
  </Cube>
</gesmes:Envelope>
`;
}

export const FAULTS = ['none', 'away', 'slow', 'half-written', 'hostile'] as const;
export type Fault = (typeof FAULTS)[number];

/** Where a shop offers its past orders as a download. */
export const ORDERS_PATH = '/orders/larkfell-kites.csv';

/** The front page of the outside world: its clock, and how it behaves. */
export function frontPage(day: string, faults: Readonly<Record<string, Fault>>): string {
  const paths = [...Object.keys(CATALOGUE).map((vendor) => `/vendors/${vendor}`), '/rates/daily.xml', ORDERS_PATH];
  const option = (fault: Fault, chosen: Fault) => `<option${fault === chosen ? ' selected' : ''}>${fault}</option>`;
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><title>The outside world, made up</title></head><body>
<h1>The outside world, made up</h1>
<p>It is <b>${day}</b> here. Move the clock on, then look again in Venalis: prices rise on 2027-01-15, an offer ends on 2026-12-31, a plan is split on 2027-02-01.</p>
<form method="post" action="/clock"><label>Move on to <input type="date" name="to" value="${day}"></label> <button>Move</button></form>
<form method="post" action="/clock"><input type="hidden" name="days" value="30"><button>30 days on</button></form>
<ul>${paths.map((path) => `<li><a href="${path}">${path}</a> <form method="post" action="/faults" style="display:inline"><input type="hidden" name="path" value="${path}"><select name="fault" aria-label="How ${path} behaves">${FAULTS.map((fault) => option(fault, faults[path] ?? 'none')).join('')}</select> <button>Set</button></form></li>`).join('')}</ul>
</body></html>
`;
}
