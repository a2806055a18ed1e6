import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const furtherSentences = {
  aMove: 'a move',
  lessThanThroughoutWithout: ({
    wayWords,
    total,
    over,
    less,
    leader,
    move,
  }: {
    wayWords: string;
    total: string;
    over: string;
    less: string;
    leader: string;
    move: ReactNode;
  }) => (
    <>
      {wayWords}: {total} {over}, {less} less than {leader} throughout. Without {move},
    </>
  ),
  couldBeChosen: 'could be chosen',
  amongTheColumns: (candidates: string) => `${candidates} among the columns`,
  putItBeside: 'Put it beside',
  couldBeChosenNow: 'could be chosen now',
  setAsideIn: ({ month, reason, back, couldBeChosen }: { month: string; reason: string; back: string; couldBeChosen: string }) =>
    `Set aside in ${month}${reason}: ${back} ${couldBeChosen}.`,
};
