// The words of this screen, in the order in which they stand there.

export const needsList = {
  aNeed: 'a need',
  whatIsNeeded: 'What is needed',
  whatMustItDo: 'What must it do?',
  sayWhatYouSell: 'Say what you sell and how. You get a list to begin with, and remove what doesn’t matter to you.',
  itMust: 'It must',
  aCandidateThatDoes: 'A candidate that does not is never proposed, and is shown in grey, with the reason.',
  niceToHave: 'Nice to have',
  whatIsMetCounts: 'What is met counts for fit, by its weight. It changes no totals.',
  moreToBeginWithByWhat: 'More to begin with, by what you sell',
  limits: 'Limits',
};
