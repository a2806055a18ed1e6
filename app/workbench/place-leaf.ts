/** A leaf of a place: below its address, empty for the first. */
export interface PlaceLeaf {
  readonly path: string;
  readonly name: string;
  /** The module that shows it. */
  readonly module: `routes/${string}` | `what-if/${string}`;
}
