// The words of this screen, in the order in which they stand there.

export const columnDrag = {
  pressSpaceToLift: 'Press Space to lift the column, the arrow keys to move it, Space to put it down, Escape to leave it where it was.',
  moved: (moved: string) => `${moved} moved`,
  placeOf: (place: number, columns: number) => `place ${place} of ${columns}`,
  isLiftedFrom: (name: string, place: string) => `${name} is lifted from ${place}.`,
  isOver: (name: string, place: string) => `${name} is over ${place}.`,
  nowStandsAt: (name: string, place: string) => `${name} now stands at ${place}.`,
  staysAt: (name: string, place: string) => `${name} stays at ${place}.`,
};
