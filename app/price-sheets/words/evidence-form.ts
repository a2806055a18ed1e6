// The words of this screen, in the order in which they stand there.

export const evidenceForm = {
  sure: 'sure',
  likely: 'likely',
  aGuess: 'a guess',
  whereItWasSeen: 'Where it was seen',
  pricingPage: 'pricing page',
  on: 'On',
  byWhom: 'By whom',
  howSure: 'How sure',
  notSaid: 'not said',
  theOfferHoldsUntil: 'The offer holds until',
  forWhom: 'For whom',
  everybody: 'everybody',
  thePagesOwnWords: 'The page’s own words',
  elsewhereItSays: 'Elsewhere it says',
  thisSourceEarnsACommission: 'this source earns a commission',
};
