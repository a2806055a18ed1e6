// The words of this screen, in the order in which they stand there.

export const questionList = {
  questions: 'Questions',
  question: 'question',
  questionsOpen: 'questions',
  settledSettled: (settled: number) => `${settled} settled`,
  askAgain: 'ask again',
  markAsAnswered: 'mark as answered',
  whyItIsRight: 'Why it is right as it is',
  settled: 'Settled',
};
