// The words of this screen, in the order in which they stand there.

export const putTogether = {
  putTogether: 'Put together',
  beingCompared: 'Being compared',
  itsVendorIsSet: 'its vendor is set aside',
  withoutAName: 'without a name',
  atLeast: 'at least ',
  copyCandidate: (candidate: string) => `Copy ${candidate}`,
  copied: (candidate: string) => `${candidate} copied`,
  copy: 'copy',
  pinnedStaysAsItIsWhatever: 'pinned: stays as it is whatever is proposed',
  followsWhatIsProposed: 'follows what is proposed',
  yourOwnHoursAreNotStated: 'your own hours are not stated for it; the others count theirs',
  couldGoTheRest: (superfluous: string) => `${superfluous} could go: the rest meets every need that it meets`,
  oneOfTheseCould: (superfluous: string) => `one of these could go, as the rest meets every need that it meets: ${superfluous}`,
  twiceInIt: (twice: string) => `twice in it: ${twice}`,
  aCandidate: 'a candidate',
  putTogetherByHand: 'Put together by hand',
  buildYourOwn: 'Build your own',
};
