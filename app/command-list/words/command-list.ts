// The words of this screen, in the order in which they stand there.

export const commandList = {
  whatDoYouWant: 'What do you want to do, or where to go?',
  whatCanBeDone: 'What can be done',
  nothingIsCalledThatTry: 'Nothing is called that; try one word of it.',
  toChooseFromEnter: (found: number) => `${found} to choose from; Enter does the marked one.`,
};
