import type { Decimal } from '../amount/decimal';
import type { Month } from '../calendar/month';

/** An order that was placed (decision file §11). */
export interface PastOrder {
  readonly month: Month;
  /** What the customer paid, base currency. */
  readonly value: Decimal;
  /** Place of its stream in the forecast. */
  readonly stream: number;
  /** Kind of card or wallet it was paid with. */
  readonly card: string;
  readonly refunded: boolean;
}
