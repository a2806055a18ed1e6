// The words of this screen, in the order in which they stand there.

export const ownWaysLine = {
  waysOfYourOwn: 'Ways of your own',
  changeIt: 'change it',
};
