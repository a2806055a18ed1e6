import type { ReactNode } from 'react';
// The words of this place, screen by screen, in the order in which they stand there.

export const askedDecision = {
  whatAnotherVendorCharges: 'what another vendor charges',
  anotherPlan: 'another plan',
  thereIsOnlyOne: (whatAnotherVendor: ReactNode, anotherPlan: ReactNode) => (
    <>
      There is only one candidate so far. Enter {whatAnotherVendor}, or compare it with {anotherPlan} of the same vendor.
    </>
  ),
  sayWhatYouExpect: 'Say what you expect to sell',
  noSalesAreExpected: (sayWhatYou: ReactNode) => (
    <>No sales are expected in any month, so there is no other level to look at. {sayWhatYou}: a single guess will do.</>
  ),
  noCandidateCanBeChosen: 'No candidate can be chosen as it is',
  comparison: 'comparison',
  needs: 'needs',
  eachIsOutgrownLacks: (comparison: ReactNode, needs: ReactNode) => (
    <>
      Each is outgrown, lacks something that must be there, or rests on a price that is not known. The {comparison} says which; change the{' '}
      {needs}, find out the price, or take a larger plan.
    </>
  ),
  thisCouldNotBeWorked: (problem: string) => `This could not be worked out: ${problem}`,
  workingItOutPercent: (round: number) => `working it out, ${round}%`,
  workingItOut: 'working it out',
};

export const keepScenario = {
  theScenario: (called: string) => `the scenario ${called}`,
  keepThisAsAScenario: 'Keep this as a scenario',
  keep: 'Keep',
  isKeptAmongTheScenarios: (kept: string) => `“${kept}” is kept among the scenarios.`,
};

export const kinds = {
  nextPlanUp: 'Next plan up',
  whatWouldChangeIt: 'What would change it',
  payingAhead: 'Paying ahead',
  biggerInvestment: 'Bigger investment',
};

export const rangeFields = {
  from: (assumption: string) => `${assumption}, from`,
  theLowerEnd: 'the lower end',
  to: (assumption: string) => `${assumption}, to`,
  theUpperEnd: 'the upper end',
};

export const useAssumptions = {
  aRange: 'a range',
};
