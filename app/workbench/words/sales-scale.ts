// The words of this screen, in the order in which they stand there.

export const salesScale = {
  theSalesScaleAppears: 'The sales scale appears once you have a priced plan and some sales.',
  yourForecast: 'your forecast',
  salesAMonth: 'Sales a month',
  arrowKeysAndPage: 'Arrow keys and Page up or down try another level, digits type one, Escape goes back to your forecast.',
  aMonth: (sales: string) => `${sales} a month`,
  noCandidateCanBeChosen: (level: string) => `${level}: no candidate can be chosen`,
  than: (margin: string, by: string, name: string) => `, ${margin} ${by} than ${name}`,
};
