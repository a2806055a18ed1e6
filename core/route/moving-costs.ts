/** What one move takes: own hours, and money on top. */
export interface MoveEffort {
  readonly hours: string;
  /** Base currency. */
  readonly money: string;
}

/** What moving takes between plans of one vendor and from one vendor to another, and how often one would. */
export interface MovingCosts {
  readonly within: MoveEffort;
  readonly between: MoveEffort;
  /** Most moves to another vendor. */
  readonly moves: number;
  /** Percent of the subscribers that a move to another vendor loses; none where nobody says. */
  readonly loses?: string | undefined;
  /** Whether ways are compared by what is paid (as long as nobody says otherwise) or by what is kept. */
  readonly by?: 'cost' | 'keep' | undefined;
  /** Candidates that take no part; undefined for those that {@link leftOutOf} names. */
  readonly without?: readonly string[] | undefined;
}

/** What moving is taken to be as long as nobody says otherwise. */
export const USUAL_MOVING: MovingCosts = { within: { hours: '1', money: '0' }, between: { hours: '20', money: '100' }, moves: 2 };
