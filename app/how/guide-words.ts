/** What is done, in its order. */
export const GUIDE_STEPS: ReadonlyArray<{ readonly title: string; readonly words: string }> = [
  {
    title: 'Say what you sell',
    words:
      'Orders a week, a month or a year, and what an order is worth. One guess is enough to begin; add cautious and hopeful figures, the season and other channels when they matter.',
  },
  {
    title: 'Put in the pricing pages',
    words:
      'Open a vendor’s pricing page, select all, copy, and paste it under “Price sheets”; or drop the saved page. Each line of the page shows what became of it. Answer the few questions now, or leave them open.',
  },
  {
    title: 'Read the first sentence',
    words:
      'It names the cheapest way of all vendors for your sales and needs: plan, term, add-ons, and a move where it pays. Click any figure to see where it comes from.',
  },
  {
    title: 'Move your sales up and down',
    words: 'Drag along the scale at the top: everything follows. The marks on it are the levels where another one becomes the cheaper.',
  },
  {
    title: 'Say what you need',
    words: 'Musts rule plans out; wishes count for how well a plan fits. What nobody knows yet is listed with what it could change.',
  },
  {
    title: 'Ask what would change it',
    words: 'Under “What if”: break-evens, the month to move, paying ahead, offers that end, a bigger investment, other assumptions.',
  },
  {
    title: 'Give the verdict',
    words:
      'Say why. It is kept as it was, with the conditions under which it holds and the dates to watch. Print it, or take it along as a file.',
  },
  {
    title: 'Look again',
    words:
      'The price watch tells when a page has changed and what that means for your verdicts. “Afterwards” sets what you really paid against what was expected.',
  },
];

/** Words and signs that stand beside figures. */
export const GUIDE_SIGNS: ReadonlyArray<readonly [string, string]> = [
  ['at least', 'something of it is not known yet'],
  ['not known', 'nobody has found out; it never counts as nothing'],
  ['not offered', 'the vendor does not have it'],
  ['can’t be chosen', 'it is outgrown or lacks a must; the reason stands beside it'],
  ['provisional', 'open questions could still turn the verdict'],
  ['set aside', 'no longer considered, with your reason; it is told if it would be the best again'],
];

/** The keys worth knowing. */
export const GUIDE_KEYS: ReadonlyArray<readonly [string, string]> = [
  ['Alt + 0', 'type what you want to do or where to go'],
  ['Alt + 1 to 7', 'the places, from the basics to the verdict'],
  ['Ctrl + Z', 'undo; with Shift: redo'],
  ['arrows', 'on the sales scale: other sales; on a price sheet: another cell'],
  ['?', 'all keys'],
];
