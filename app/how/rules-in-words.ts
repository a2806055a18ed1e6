import type { RuleTold } from '#core/worked-examples/worked-examples';

/** A rule in plain words, in the order in which they are read. */
export interface RuleInWords {
  readonly rule: RuleTold;
  readonly title: string;
  readonly words: string;
}

/** Groups of rules, as the page has them. */
export const RULES_IN_WORDS: ReadonlyArray<{ readonly group: string; readonly rules: readonly RuleInWords[] }> = [
  {
    group: 'What a plan costs',
    rules: [
      {
        rule: 'total',
        title: 'The total',
        words:
          'Everything you would pay from the first month to the last: plan, add-ons, fees on every order, what is paid once, your own time if you price it. ' +
          'Each line is a payment or a month’s fee, and every total is the sum of its lines.',
      },
      {
        rule: 'terms',
        title: 'Paying by the month or ahead',
        words:
          'The first payment falls in the month you join, or after the trial; the next follow as often as the term says. A payment counts whole in the month it is paid, ' +
          'even where it pays for months after the last one you look at.',
      },
      {
        rule: 'introduction',
        title: 'Introductory and renewal price',
        words:
          'The first payments cost the introductory price, as many as the page says; all later ones cost the renewal price, from the month it begins.',
      },
      {
        rule: 'spread',
        title: 'Payments spread over the months they pay for',
        words:
          'If you choose so, a payment counts in equal parts. The parts always add up to what is paid, to the cent. Nothing is spread unless you choose it.',
      },
      {
        rule: 'time',
        title: 'Your own time',
        words:
          'Hours to set something up and to look after it cost what an hour of yours is worth. They stand in a line of their own, so you can see the total without them.',
      },
    ],
  },
  {
    group: 'Fees that follow your sales',
    rules: [
      {
        rule: 'fees',
        title: 'Fees on every order',
        words:
          'A share of the order, an amount for each, or both, on the orders it is meant for: some sales channels, some kinds of card, some products. Expected orders are not rounded to whole ones.',
      },
      {
        rule: 'sizes',
        title: 'Small and large orders',
        words:
          'Where a fee has a least or a most, the average order hides what small and large ones cost. If you say how your orders are spread, each size is charged by itself.',
      },
      {
        rule: 'allowance',
        title: 'What is free, and packs',
        words: 'What is included costs nothing; only the rest counts. What is sold in packs is sold in whole packs.',
      },
      {
        rule: 'bands',
        title: 'Prices that change with the quantity',
        words:
          'Some prices hold for each step by itself, as here; others hold for everything once a step is reached. The price sheet says which.',
      },
      {
        rule: 'caps',
        title: 'The least and the most',
        words: 'A month’s fee is first brought up to the least, then down to the most a month, then to what is left of the most in all.',
      },
    ],
  },
  {
    group: 'Cents, currencies and tax',
    rules: [
      {
        rule: 'currencies',
        title: 'Rounding and currencies',
        words:
          'Figures are exact inside a line. A line is rounded once in the vendor’s currency, halves away from zero, then turned into yours at the rate you gave and rounded again. Totals add up rounded lines.',
      },
      {
        rule: 'tax',
        title: 'Tax on what is quoted without it',
        words:
          'Only tax you cannot claim back costs you anything. It is taken on all of a month’s lines that are quoted without tax, and rounded once a month.',
      },
    ],
  },
  {
    group: 'What can be chosen',
    rules: [
      {
        rule: 'limits',
        title: 'Limits and needs',
        words:
          'A plan that does not allow what you expect, or lacks something you must have, can’t be chosen in that month. An add-on that raises the limit, or brings what is lacking, makes it possible.',
      },
      {
        rule: 'unknown',
        title: 'What is not known',
        words:
          'Not known is not nothing. What has an open price costs at least the rest, is never said to cost least, and is listed as something to find out.',
      },
    ],
  },
  {
    group: 'Which is best, and when',
    rules: [
      {
        rule: 'breakEven',
        title: 'When the dearer plan pays',
        words:
          'All your orders are made more or fewer together, and every level is found at which another one becomes the cheaper, however close they lie.',
      },
      {
        rule: 'moving',
        title: 'Starting small and moving up',
        words:
          'Every way through the months is looked at, with each month as a possible month to move. Who moves inside a vendor gets no second introductory price; what is paid ahead is lost, unless the vendor pays it back.',
      },
      {
        rule: 'kept',
        title: 'What you keep',
        words:
          'Your sales without tax and refunds, less the goods, less the total. A vendor that brings more orders can cost more and leave you more.',
      },
    ],
  },
];
