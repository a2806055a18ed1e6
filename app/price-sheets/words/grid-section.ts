// The words of this screen, in the order in which they stand there.

export const gridSection = {
  whatThePlanCosts: 'What the plan costs',
  whatEachSaleCosts: 'What each sale costs',
  usageFees: 'Usage fees',
  whatIsInIt: 'What is in it',
};
