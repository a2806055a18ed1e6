import type { ReactNode } from 'react';
// The words of this screen, in the order in which they stand there.

export const savedSign = {
  saving: 'saving …',
  notSavedChangedElsewhere: 'not saved: changed elsewhere',
  notSaved: (why: string) => `not saved: ${why}`,
  tryAgain: 'try again',
  saved: (savedAt: string) => `saved ${savedAt}`,
  thisPriceSheetWas: 'This price sheet was changed from another decision',
  thisDecisionWasChanged: 'This decision was changed elsewhere',
  at: (at: string, undo: string) => ` at ${at}${undo}`,
  whatYouTypedHere: (thisDecisionWas: ReactNode, whenAndWhat: ReactNode) => (
    <>
      {thisDecisionWas}
      {whenAndWhat}. What you typed here is still here, and not saved yet.
    </>
  ),
  keepMyVersion: 'Keep my version',
  takeTheOtherVersion: 'Take the other version',
  eitherWayUndoBrings: 'Either way, undo brings back the one you did not take.',
};
