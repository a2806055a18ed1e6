// The words of this screen, in the order in which they stand there.

export const ownWays = {
  aWayAdded: 'a way added',
  waysOfYourOwn: 'Ways of your own',
  aWayOfYourOwn: 'A way of your own',
  oneMonthFirstThen:
    'One month first, then the year; the small plan now, the big one in spring. Open another plan or term of a vendor in the comparison to have it here.',
  putAWayTogether: 'Put a way together',
  workingItOut: 'Working it out …',
  beginWith: 'Begin with',
  then: 'Then',
  noLongerCompared: 'no longer compared',
  whoIsOnTheWay: 'who is on the way',
  from: 'from',
  whenTheWayMoves: 'when the way moves',
  aMoveAdded: 'a move added',
  moveOnceMore: 'move once more',
  aMoveRemoved: 'a move removed',
  leaveOutTheLast: 'leave out the last move',
  aWayRemoved: 'a way removed',
  removeThisWay: 'remove this way',
};
