// The words of this screen, in the order in which they stand there.

export const setVendorAside = {
  setAside: (name: string) => `Set ${name} aside`,
  doneWith: (name: string) => `Done with ${name}?`,
  whyItIsOut: 'Why it is out',
  noStockForTheStall: 'no stock for the stall',
  itIsKeptWithTheReason: 'It is kept with the reason, and comes back by itself if it ever becomes the best.',
  setAsideName: (name: string) => `${name} set aside`,
};
