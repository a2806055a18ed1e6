const [TWIST, MIX_A, MIX_B] = [0x6d2b_79f5, 0x85eb_ca6b, 0xc2b2_ae35];

/**
 * Standard normal numbers of one future: the same for the same seed and future, on every machine and in whatever order
 * futures are looked at (a 32-bit mixing generator, and the inverse of the normal distribution by Acklam's approximation,
 * whose relative error is below 1.2e-9).
 */
export class NormalNumbers {
  private state = 0;

  begin(seed: number, future: number): void {
    let mixed = (Math.imul(seed + 1, MIX_A) ^ Math.imul(future + 1, MIX_B)) >>> 0;
    mixed = Math.imul(mixed ^ (mixed >>> 16), MIX_A);
    mixed = Math.imul(mixed ^ (mixed >>> 13), MIX_B);
    this.state = (mixed ^ (mixed >>> 16)) >>> 0;
  }

  next(): number {
    return normalAt(this.even());
  }

  /** In (0, 1), as likely everywhere; never an end of it. */
  even(): number {
    this.state = (this.state + TWIST) >>> 0;
    let mixed = Math.imul(this.state ^ (this.state >>> 15), this.state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return (((mixed ^ (mixed >>> 14)) >>> 0) + 0.5) / 4_294_967_296;
  }
}

const A = [-39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239] as const;
const B = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572] as const;
const C = [
  -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968, 2.938163982698783,
] as const;
const D = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416] as const;
const TAIL = 0.02425;

/** Below which a standard normal number lies with this probability. */
export function normalAt(probability: number): number {
  if (probability > 1 - TAIL) return -normalAt(1 - probability);
  if (probability < TAIL) {
    const q = Math.sqrt(-2 * Math.log(probability));
    return (((((C[0] * q + C[1]) * q + C[2]) * q + C[3]) * q + C[4]) * q + C[5]) / ((((D[0] * q + D[1]) * q + D[2]) * q + D[3]) * q + 1);
  }
  const q = probability - 0.5;
  const r = q * q;
  return (
    ((((((A[0] * r + A[1]) * r + A[2]) * r + A[3]) * r + A[4]) * r + A[5]) * q) /
    (((((B[0] * r + B[1]) * r + B[2]) * r + B[3]) * r + B[4]) * r + 1)
  );
}
