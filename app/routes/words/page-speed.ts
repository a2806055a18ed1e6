// The words of this screen, in the order in which they stand there.

export const pageSpeed = {
  notKnown: 'not known',
  mb: (number: string) => `${number} MB`,
  pageSpeed: 'Page speed',
  openAVendorsDemo:
    'Open a vendor’s demo shop, record the page in the browser’s network panel, and save it as a HAR file. Only its figures are kept; the file itself goes nowhere.',
  aRecordingOf: 'A recording of',
  harFiles: 'HAR files',
  reading: 'Reading …',
  thereIsNoVendor: 'There is no vendor yet to measure.',
  theMiddleOf: (recordings: number) => `the middle of ${recordings}`,
  vendor: 'Vendor',
  loadedAfter: 'Loaded after',
  contentAfter: 'Content after',
  overTheNetwork: 'Over the network',
  requests: 'Requests',
  fromItsOwnStore: (cached: number) => `${cached} from its own store`,
  failed: (failed: number) => `${failed} failed`,
  otherSitesCalled: 'Other sites called',
  recorded: 'Recorded',
  notDated: 'not dated',
  removeTheRecordingOf: (file: string, label: string) => `Remove the recording ${file} of ${label}`,
  aRecordingRemoved: 'a recording removed',
  remove: 'remove',
};
