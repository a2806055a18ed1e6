/** What is noted of a real month, see `actualMonthSchema`. */
export type ActualFigure = 'orders' | 'sales' | 'fees' | 'fixed' | 'surprises';

const MOST = 1_000_000_000;
const SOLD = { least: 0, most: MOST };
/** Bills can be credits. */
const BILLED = { least: -MOST, most: MOST };

/** The least and most that a typed or read figure of a real month can be; orders, or base currency. */
export const ACTUAL_BOUNDS: Readonly<Record<ActualFigure, { readonly least: number; readonly most: number }>> = {
  orders: SOLD,
  sales: SOLD,
  fees: BILLED,
  fixed: BILLED,
  surprises: BILLED,
};
