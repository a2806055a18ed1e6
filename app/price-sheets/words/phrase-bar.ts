// The words of this screen, in the order in which they stand there.

export const phraseBar = {
  typeItAsThePage: 'Type it as the page says it',
  whatThePageSays: 'What the page says',
  of27MoOr258: '27/mo or 258 billed yearly, 2.7% + 25c, up to 2 seats',
  forWhichPlan: 'For which plan',
  plan: (index: number) => `plan ${index}`,
  for: (label: string) => `for ${label}`,
  forAllPlans: 'for all plans',
  pasteAVendorsWhole:
    'Paste a vendor’s whole pricing page here (on it: select all, copy), or type a line as the page says it. Enter adds what you typed; Shift + Enter begins a line, “Basic:” a plan; “Seats: 2 | 5” states one thing of every plan.',
  readItAsAWhole: 'Read it as a whole page',
  notAdded: (problem: string) => `Not added: ${problem}.`,
};
