import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const pastOrders = {
  pastOrders: 'Past orders',
  whatYourOwnOrders: 'What your own orders would have cost',
  dropTheOrdersOfTheLast:
    'Drop the orders of the last months, as your shop exports them. Every one of them is charged as each plan would have charged it, and what they say about the orders to come stands beside what you typed.',
  whatStandsBelowWas: 'What stands below was worked out before.',
  stopped: (answer: ReactNode) => <>Stopped. {answer}</>,
  workItOut: 'Work it out',
  whereTheyComeFrom: 'Where they come from',
  workingOutWhatYourOrders: 'Working out what your orders would have cost …',
  stop: 'Stop',
};
