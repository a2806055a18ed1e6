import type { ComparedBy } from '#core/decision-file/compared-by';

/** How it is said that a candidate is better than others: by what it costs, or by what it leaves. */
export interface ComparedWords {
  /** "Alder costs least." */
  readonly leads: string;
  readonly stillLeads: string;
  readonly leadsNoMore: string;
  /** "Alder is cheapest here." */
  readonly isBest: string;
  readonly staysBest: string;
  /** "Alder is cheaper below 500 a month." */
  readonly isBetter: string;
  readonly isAlwaysBetter: string;
  readonly wouldBeBetter: string;
  /** By how much, written out. */
  wouldBeBy(amount: string): string;
  /** "Quillmoor would now cost least" */
  readonly wouldNowBeBetter: string;
  readonly mayBeBetter: string;
  /** "205 less than Birch", where Alder is the better one; and where it is the worse. */
  readonly by: string;
  readonly byWorse: string;
  /** "the cheapest" */
  readonly best: string;
  /** In a word under a total. */
  readonly mark: string;
}

export const COMPARED_WORDS: Readonly<Record<ComparedBy, ComparedWords>> = {
  cost: {
    leads: 'costs least',
    stillLeads: 'still costs least',
    leadsNoMore: 'does not cost least any more',
    isBest: 'is cheapest',
    staysBest: 'stays cheapest',
    isBetter: 'is cheaper',
    isAlwaysBetter: 'is always cheaper',
    wouldBeBetter: 'would cost less',
    wouldBeBy: (amount) => `would cost ${amount} less`,
    wouldNowBeBetter: 'would now cost least',
    mayBeBetter: 'may cost less',
    by: 'less',
    byWorse: 'more',
    best: 'the cheapest',
    mark: 'cheapest',
  },
  keep: {
    leads: 'leaves you most',
    stillLeads: 'still leaves you most',
    leadsNoMore: 'does not leave you most any more',
    isBest: 'leaves you most',
    staysBest: 'still leaves you most',
    isBetter: 'leaves you more',
    isAlwaysBetter: 'always leaves you more',
    wouldBeBetter: 'would leave you more',
    wouldBeBy: (amount) => `would leave you ${amount} more`,
    wouldNowBeBetter: 'would now leave you most',
    mayBeBetter: 'may leave you more',
    by: 'more',
    byWorse: 'less',
    best: 'the one that leaves you most',
    mark: 'leaves most',
  },
};
