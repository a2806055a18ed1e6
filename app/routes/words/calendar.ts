// The words of this screen, in the order in which they stand there.

export const calendar = {
  useATimeZone: 'use a time zone such as Europe/Lisbon',
  useAnHourSuch: 'use an hour such as 09:00',
  thisCannotBeRead: 'This cannot be read',
  thereIsNoSuch: 'There is no such date',
  whereToSell: 'Where to sell',
  decision: 'decision',
  dates: (decision: string) => `${decision} dates`,
};
