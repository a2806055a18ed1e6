import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const candidates = {
  candidates: 'Candidates',
  proposed: 'Proposed',
  proposedForEveryVendor: 'Proposed for every vendor',
  must: 'must',
  updating: ' Updating …',
  theCheapestPlanTerm: (must: ReactNode, months: number, updating: string) => (
    <>
      The cheapest plan, term, add-ons and way of taking payments that meet every {must} and every limit over {months} months of expected
      sales; without your own hours and extras.{updating}
    </>
  ),
  thisCouldNotBeWorked: (problem: string) => `This could not be worked out: ${problem}`,
  workingItOut: 'Working it out …',
  enterWhatPlansCost: 'Enter what plans cost',
  thereIsNoPrice: (enterWhatPlans: ReactNode) => (
    <>There is no price sheet of a vendor yet. {enterWhatPlans}, and what is cheapest for you stands here.</>
  ),
  twoTogether: 'Two together',
  ofTheVendorsThatDo: 'Of the vendors that do not do it alone, the cheapest two that do it together.',
  whatItIsPut: 'What it is put together from',
  nothingIsDroppedInSilence: 'Nothing is dropped in silence',
  everyPlanThatIsPassed:
    'Every plan that is passed over says why. A candidate that lacks a must stays in the comparison, below the others, with the reason.',
  aCandidateThatFollows:
    'A candidate that follows a proposal updates automatically when sales, needs or price sheets change, and says what has changed. Editing it pins it.',
};
