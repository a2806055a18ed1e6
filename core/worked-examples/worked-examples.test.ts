import { describe, expect, test } from 'vitest';
import { type RuleTold, WORKED_EXAMPLES } from './worked-examples';

const write = { number: String, money: (amount: string) => amount, month: String };
const told = (rule: RuleTold) => WORKED_EXAMPLES[rule].told(write);

/** By hand, from what each example says is given. */
const BY_HAND: Readonly<Record<RuleTold, readonly RegExp[]>> = {
  // 18.00 + 2% of 4,000.00, twelve times.
  total: [/18\.00 by the month = 18\.00\.$/, /2%.* = 80\.00\.$/, /^All 12 months together: 1176\.00\.$/],
  // Paid in January and twelve months later; 6 of the second 12 months lie past the 18.
  terms: [/^2027-01\. .*216\.00/, /^2028-01\. .*216\.00/, /^All 18 months together: 432\.00\.$/, /^Of that, 108\.00 is for months past/],
  // 3 × 3.20 + 9 × 11.40.
  introduction: [/^2027-03\. .*introductory price, payment 3 of 3, 3\.20/, /^2027-04\. .*11\.40/, /112\.20\.$/],
  // 100 × (1.04 + 0.25).
  fees: [/ = 129\.00\.$/],
  // 80 × 0.70 + 20 × (2.34 + 0.25); 100 × (0.78 + 0.25).
  sizes: [/: 107\.80 for 100 orders/, /be 103\.00: 4\.80 too little/],
  // 200 to be paid for: two packs.
  allowance: [/ = 10\.00\.$/],
  // 120 × 0.10 + 180 × 0.06.
  bands: [/ = 22\.80\.$/],
  caps: [/ = 50\.00\.$/],
  // 9.99 × 0.92 = 9.1908, twelve times 9.19.
  currencies: [/9\.99 USD, × 0\.92 = 9\.19 EUR\.$/, /110\.28\.$/],
  // 19% of 18.00 is 3.42.
  tax: [/18\.00\.$/, /19% of 18\.00 .* = 3\.42\.$/, /257\.04\.$/],
  // 7.5 hours in January, then 1.5: 150 + 11 × 30 + 12 × 18.
  time: [/18\.00/, /6 hours to set up and 1\.5 for the month, each worth 20\.00 = 150\.00\.$/, /696\.00\.$/],
  spread: [/^2027-01\. .*part 1 of 12 = 18\.00/, /^2027-02\. .*part 2 of 12 = 18\.00/, /216\.00\.$/],
  // 160 orders in July.
  limits: [/outgrown in 2027-07/],
  unknown: [/at least 216\.00/],
  // 4% of sales is 20.00.
  breakEven: [/sales of 500\.00 a month/, /Below that the first/],
  // Seed 17.00 + 2.40 each month later, Grow 22.00 + 0.80: Grow is cheaper from May on.
  moving: [/^Seed throughout costs 362\.40, Grow throughout 316\.80\.$/, /Seed for 4 months and Grow from 2027-05 on: 311\.40/],
  // 12 × (2,100 − 18) and 12 × (2,000 − 18).
  kept: [/keep 24984\.00/, /be 23784\.00: the lift is worth 1200\.00/],
};

describe('worked examples', () => {
  test.each(Object.keys(WORKED_EXAMPLES) as RuleTold[])('%s says what it comes to by hand', (rule) => {
    const sentences = told(rule);
    expect(sentences).toHaveLength(BY_HAND[rule].length);
    BY_HAND[rule].forEach((pattern, index) => expect(sentences[index]).toMatch(pattern));
  });
});
