// The words of this screen, in the order in which they stand there.

export const extraFields = {
  otherCosts: 'Other costs',
  theNameOfACost: 'the name of a cost',
  howOftenACostIsPaid: 'how often a cost is paid',
  aCostRemoved: 'a cost removed',
  what: 'What',
  themeDomainPlugIn: 'theme, domain, plug-in',
  it: 'it',
  costOf: (extra: string) => `Cost of ${extra}`,
  anAmountIn: (currency: string) => `an amount in ${currency}`,
  anotherCost: 'another cost',
  howOftenIsPaid: (extra: string) => `How often ${extra} is paid`,
  once: 'once',
  thisCost: 'this cost',
  removeExtra: (extra: string) => `Remove ${extra}`,
  remove: 'remove',
  costSuchAsATheme: '+ cost, such as a theme',
};
