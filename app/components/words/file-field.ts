// The words of this screen, in the order in which they stand there.

export const fileField = {
  chooseFiles: 'Choose files',
  chooseAFile: 'Choose a file',
};
