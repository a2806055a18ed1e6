import type { DecisionFile } from '../decision-file/schema';
import { type FutureDrawer, futureDrawer } from './draw-future';
import { type FuturePricing, futurePricing } from './future-pricing';
import type { Uncertain } from './uncertain';

/** What all candidates come to in many futures, the same ones for all. */
export interface Futures {
  readonly ids: readonly string[];
  /** Whether it may be chosen, by candidate; see `FuturePricing`. */
  readonly canBeChosen: readonly boolean[];
  readonly uncertain: readonly Uncertain[];
  /** How many futures were looked at. */
  readonly count: number;
  /** By future and candidate: unrounded, base currency; by what is kept, the cost less what is left of sales. */
  readonly totals: Float64Array;
  /** By future and candidate: the month in which a limit is first exceeded; `USABLE` for none, `LACKING` where a must is not met. */
  readonly outgrown: Int16Array;
  /** By future and uncertain thing: what it came out as, see `FutureDrawer`. */
  readonly drawn: Float32Array;
}

/** Looks at more and more futures; each is the same whenever and wherever it is looked at. */
export class FutureRun {
  private readonly pricing: FuturePricing;
  private readonly drawer: FutureDrawer;
  private readonly totals: Float64Array;
  private readonly outgrown: Int16Array;
  private readonly drawn: Float32Array;
  private count = 0;

  /**
   * @param most - how many futures there are in the end
   * @param scale - multiplies expected orders and subscribers
   */
  constructor(
    file: DecisionFile,
    private readonly uncertain: readonly Uncertain[],
    seed: number,
    readonly most: number,
    scale = 1,
  ) {
    this.pricing = futurePricing(file);
    this.drawer = futureDrawer(file, this.pricing, uncertain, seed, scale);
    const width = this.pricing.ids.length;
    this.totals = new Float64Array(most * width);
    this.outgrown = new Int16Array(most * width);
    this.drawn = new Float32Array(most * uncertain.length);
  }

  /** Looks at so many more futures. */
  add(futures: number): void {
    const { pricing, drawer, uncertain } = this;
    const width = pricing.ids.length;
    const drawn = new Float32Array(uncertain.length);
    const end = Math.min(this.most, this.count + futures);
    for (; this.count < end; this.count++) {
      drawer.draw(this.count, drawn);
      pricing.run();
      this.drawn.set(drawn, this.count * uncertain.length);
      this.totals.set(pricing.totals, this.count * width);
      this.outgrown.set(pricing.outgrown, this.count * width);
    }
  }

  /** What has been looked at so far. */
  sofar(): Futures {
    const { ids, canBeChosen } = this.pricing;
    const { uncertain, count, totals, outgrown, drawn } = this;
    return { ids, canBeChosen, uncertain, count, totals, outgrown, drawn };
  }

  /** What a candidate has cost by the end of each month, in the first so many futures: by future and month. */
  coursesOf(place: number, futures: number): Float64Array {
    const { months } = this.pricing.world;
    const courses = new Float64Array(futures * months);
    const drawn = new Float32Array(this.uncertain.length);
    const into = new Float64Array(months);
    for (let future = 0; future < futures; future++) {
      this.drawer.draw(future, drawn);
      this.pricing.run();
      this.pricing.monthsOf(place, into);
      let sum = 0;
      for (let month = 0; month < months; month++) courses[future * months + month] = sum += into[month] ?? 0;
    }
    return courses;
  }
}
