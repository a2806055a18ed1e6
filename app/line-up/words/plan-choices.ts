// The words of this screen, in the order in which they stand there.

export const planChoices = {
  withoutAName: 'without a name',
  thePlans: 'the plans',
  plans: 'Plans',
  aPlanThatIsNoLonger: 'A plan that is no longer on a price sheet of this decision. Choose another, or undo what took it off.',
  plan: 'Plan',
  and: 'And',
  chooseAPlan: 'choose a plan',
  thePlan: 'The plan',
  isPaid: (name: string) => `${name} is paid`,
  chooseATerm: 'choose a term',
  thisPlan: 'this plan',
  without: (found: string) => `Without ${found}`,
  withoutIt: 'without it',
  withAPlanOfAnother: 'With a plan of another vendor',
  hostingAMailingTool: 'hosting, a mailing tool …',
};
