// The words of this screen, in the order in which they stand there.

export const dayField = {
  chooseFromACalendar: 'Choose from a calendar',
};
