// The words of this screen, in the order in which they stand there.

export const useEdits = {
  aPriceSheetAdded: 'a price sheet added',
  removed: (label: string) => `${label} removed`,
};
