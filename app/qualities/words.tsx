import type { ReactNode } from 'react';
// The words of this place, screen by screen, in the order in which they stand there.

export const diaryCell = {
  theTask: 'the task',
  minutesWhat: (what: string) => `Minutes, ${what}`,
  min: 'min',
  minutes: 'minutes',
  mark: (what: string) => `Mark, ${what}`,
  of10: 'of 10',
  aMarkFrom0: 'a mark from 0 to 10',
  noteWhat: (what: string) => `Note, ${what}`,
  note: 'note',
};

export const newQuality = {
  qualitiesToBeginWith: 'Qualities to begin with',
  marks1To5: 'marks, 1 to 5',
  changeOfQualities: 'qualities to begin with',
  takeThese: (chosen: number) => `Take these ${chosen}`,
  aQuality: 'a quality',
  somethingElseThatCounts: 'Something else that counts',
  howItFeelsToWork: 'how it feels to work with',
  add: 'Add',
};

export const qualitiesTable = {
  whatCounts: 'What counts',
  withoutAName: 'without a name',
  weightTo: (weight: string, worst: string, best: string) => `weight ${weight}, ${worst} to ${best}`,
  of100: (quality: string, points: number) => `${quality}, ${points} of 100`,
  notKnown: 'not known',
  from: (number: string) => `from ${number}`,
};

export const qualityForm = {
  aNumber: 'a number',
  aQuality: 'a quality',
  quality: 'Quality',
  unnamedQuality: 'A quality',
  name: 'Name',
  weight: 'Weight',
  aWeight1To5: 'a weight, 1 to 5 as a rule',
  zeroLeavesItOut: '0 leaves it out',
  figuresComeFrom: 'Figures come from',
  noPointsAt: 'No points at',
  fullPointsAt: 'Full points at',
  withSeveralVendorsUse: 'With several vendors, use',
  theWeakest: 'the weakest',
  theStrongest: 'the strongest',
  whyItCounts: 'Why it counts',
  leaveItOut: 'leave it out',
};

export const reviewFields = {
  aNumberOfReviews: 'a number of reviews',
  aScore: 'a score',
  reviewsFromOneMore: 'Reviews from one more place',
  person: 'person',
  people: 'people',
  of100FromFew: ({
    given,
    count,
    people,
    addedReviews,
    average,
    pulled,
    counts,
  }: {
    given: string;
    count: number;
    people: string;
    addedReviews: number;
    average: string;
    pulled: string;
    counts: ReactNode;
  }) => (
    <>
      {given} of 100 from {count} {people}. Few opinions say little: the score is taken as if {addedReviews} more people had given the
      average of all reviews here ({average}), which makes it {pulled}; and of where it then most likely lies the lower end counts: {counts}
      .
    </>
  ),
  onePlace: 'one place',
  theReviewsOf: (source: string) => `the reviews of ${source}`,
  where: 'Where',
  sellersForum: 'sellers’ forum',
  peopleLabel: 'People',
  seenOn: 'Seen on',
  thisSourceEarnsACommission: 'this source earns a commission',
  thisPlace: 'this place',
  removeTheReviewsOf: (source: string) => `Remove the reviews of ${source}`,
  remove: 'remove',
};

export const standingForm = {
  onSite: 'on site',
  standing: 'Standing',
  of100OnAScale: ({ quality, points, worst, best }: { quality: ReactNode; points: number; worst: string; best: string }) => (
    <>
      {quality}: {points} of 100 on a scale from {worst} to {best}.
    </>
  ),
  notKnownYetItCounts: 'Not known yet; it counts as nothing until it is.',
  aMarkFromTo: (low: number, high: number) => `a mark from ${low} to ${high}`,
  yourMark: 'Your mark',
  because: 'Because',
  uptime: 'Uptime',
  aPercentageUpTo100: 'a percentage up to 100',
  asPromisedOrBetter: 'as promised, or better as measured',
  thatLeavesAYear: (hoursWords: string) => `That leaves ${hoursWords} a year in which nothing can be sold.`,
  somebodyAnswers: 'Somebody answers',
  hoursAWeek: 'hours a week',
  hoursFrom0To168: 'hours from 0 to 168',
  of168IsAlways: '168 is always',
  by: 'by',
  trialDiary: 'trial diary',
  marksComeFromTheTheirMean: (trialDiary: ReactNode) => <>Marks come from the {trialDiary}: their mean over all tasks tried.</>,
  pageSpeed: 'page speed',
  measuredFromRecordingsUnder: (pageSpeed: ReactNode) => <>Measured from recordings under {pageSpeed}: the middle one of several.</>,
};

export const useRecordings = {
  aRecordingOf: (vendor: string) => `a recording of ${vendor}`,
  theFileCouldNotBeRead: 'The file could not be read.',
};

export const vendors = {
  withoutAName: 'without a name',
};
