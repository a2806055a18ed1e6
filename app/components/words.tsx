import type { ReactNode } from 'react';
// The words of this place, screen by screen, in the order in which they stand there.

export const dayField = {
  chooseFromACalendar: 'Choose from a calendar',
};

export const fileField = {
  chooseFiles: 'Choose files',
  chooseAFile: 'Choose a file',
};

export const listPage = {
  venalisAllDecisions: 'Venalis, all decisions',
  venalis: (i: ReactNode) => <>Venalis{i}</>,
};

export const problemPage = {
  backToYourDecisions: 'Back to your decisions',
};
