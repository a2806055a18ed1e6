// The words of this screen, in the order in which they stand there.

export const versionSwitch = {
  expectedSalesWhichVersion: 'Expected sales: which version',
};
