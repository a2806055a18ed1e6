import type { RuleTold } from '#core/worked-examples/worked-examples';

/** What a place is for, before there is anything to show in it. */
export interface PlaceInWords {
  readonly title: string;
  readonly words: string;
  /** The rule whose example shows it in figures. */
  readonly example: RuleTold;
}

// Every place that needs prices before it can show anything; one by one, so that a page fetches only its own.

export const comparison: PlaceInWords = {
  title: 'Your vendors, side by side',
  words:
    'One column for each vendor, at whichever of its plans is best for what you sell. The cheapest comes first, and every figure says where it comes from.',
  example: 'total',
};

export const sheets: PlaceInWords = {
  title: 'What vendors charge',
  words:
    'One line for each vendor: its price now and at renewal, its card and sales fees, and what an average order costs you with all of it.',
  example: 'fees',
};

export const breakEven: PlaceInWords = {
  title: 'When the dearer plan pays',
  words: 'For any two candidates, the sales at which they cost the same, and the month in which you would get there.',
  example: 'breakEven',
};

export const map: PlaceInWords = {
  title: 'Who is best at which sales',
  words: 'A map of two things that you are unsure about, orders and their value for example, coloured by who is best where.',
  example: 'breakEven',
};

export const chance: PlaceInWords = {
  title: 'How sure is it?',
  words:
    'Ten thousand ways in which the months to come may turn out: how often each candidate is best in them, what it costs, and what is worth finding out first.',
  example: 'breakEven',
};

export const turnsIt: PlaceInWords = {
  title: 'What would change the answer',
  words: 'Everything that you assume, the most decisive first: how far it can be off before another candidate is best.',
  example: 'sizes',
};

export const route: PlaceInWords = {
  title: 'Begin small, move up later',
  words: 'The cheapest way through all the months: where to begin, when to move, and what moving may cost before it no longer pays.',
  example: 'moving',
};

export const nextPlan: PlaceInWords = {
  title: 'What the next plan up brings',
  words: 'Step by step up each vendor’s plans: what you would get, what it costs more, and from which sales on it pays.',
  example: 'limits',
};

export const offers: PlaceInWords = {
  title: 'What hangs on special offers',
  words: 'The answer with introductory prices and without them, and what they are worth to you over the whole time.',
  example: 'introduction',
};

export const payingAhead: PlaceInWords = {
  title: 'Whether to pay ahead',
  words: 'What paying by the year saves, from which month you are ahead, and the most you could lose by leaving early.',
  example: 'spread',
};

export const investment: PlaceInWords = {
  title: 'Whether a dearer start pays off',
  words: 'A site built for you costs more at first and may bring more sales: how many more it has to bring, and by when.',
  example: 'kept',
};

export const verdict: PlaceInWords = {
  title: 'Which one, and why',
  words:
    'The answer in a sentence, the conditions under which it holds, and what to watch. Kept with its reasons, so that you still know in a year.',
  example: 'unknown',
};

export const afterwards: PlaceInWords = {
  title: 'How it turned out',
  words: 'Your real months and bills beside the forecast, and whether it pays to move now.',
  example: 'total',
};
