// The words of this screen, in the order in which they stand there.

export const places = {
  exchangeRateMissing: 'exchange rate missing',
  monthsIn: (months: number, currency: string) => `${months} months, ${currency}`,
  nothingYet: 'nothing yet',
  noneYet: 'none yet',
  streams: (number: number) => `${number} ${number === 1 ? 'stream' : 'streams'}`,
  needs: (number: number) => `${number} ${number === 1 ? 'need' : 'needs'}`,
  qualities: (number: number) => `${number} ${number === 1 ? 'quality' : 'qualities'}`,
  toFindOut: (number: number) => ` · ${number} to find out`,
  sheets: (number: number) => `${number} ${number === 1 ? 'sheet' : 'sheets'}`,
  gaps: (number: number) => ` · ${number} ${number === 1 ? 'gap' : 'gaps'}`,
  nothingToChooseYet: 'nothing to choose yet',
  leads: (label: string, total: string) => `${label}: ${total}`,
  open: 'open',
  aMonth: (streams: string, sales: string) => `${streams} · ${sales} a month`,
  breakEvensMapRoute: 'break-evens, map, route',
  scenariosKept: (number: number) => `${number} ${number === 1 ? 'scenario kept' : 'scenarios kept'}`,
};
