// The words of this screen, in the order in which they stand there.

export const foldedColumns = {
  notAmongTheColumns: 'Not among the columns',
  everyVendorStandsAbove: 'Every vendor stands above with its best plan for you. These cost more, or cannot be chosen.',
  atLeast: 'at least ',
  putAmongTheColumns: (label: string) => `Put ${label} among the columns`,
  amongTheColumns: (label: string) => `${label} among the columns`,
  putItBeside: 'Put it beside',
};
