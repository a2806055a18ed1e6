import * as z from 'zod';

/** So many different values make a column a list of names; what tells orders apart has few. */
export const MOST_VALUES = 60;
const MOST_CHARACTERS = 60;
const names = z.array(z.string().max(MOST_CHARACTERS)).max(MOST_VALUES + 1);

/** What an order's places in columns stand for. */
const wordsSchema = z.strictObject({ currency: names, country: names, means: names, channel: names });

/** So many orders at a time are sent and kept. */
export const ORDERS_A_PART = 20_000;
const column = (schema: z.ZodNumber) => z.array(schema).max(ORDERS_A_PART);
const place = z.number().int().min(0).max(MOST_VALUES);

/**
 * What is kept of orders, in columns as long as each other: nothing of who ordered. Numbers of orders are kept as a whole
 * number that is worked out from them, by which the same order is known again.
 */
export const keptPartSchema = z
  .strictObject({
    /** Days since 1 January 1970. */
    day: column(z.number().int().min(0).max(90_000)),
    /** What the customer paid, in ten-thousandths of the currency. */
    value: column(z.number().int().min(1).max(1e13)),
    /** What was given back of it. */
    refunded: column(z.number().int().min(0).max(1e13)),
    /** 0 where orders have no number. */
    number: column(z.number().int().min(0)),
    currency: column(place),
    country: column(place),
    means: column(place),
    channel: column(place),
  })
  .refine((part) => Object.values(part).every((one) => one.length === part.day.length), 'use columns of the same length');

/** What is kept of a file of orders. */
export const keptFileSchema = z.strictObject({
  name: z.string().min(1).max(200),
  orders: z.number().int().min(1),
  /** `YYYY-MM-DD`, the earliest and the latest order. */
  from: z.iso.date(),
  to: z.iso.date(),
  words: wordsSchema,
});

export type KeptPart = z.output<typeof keptPartSchema>;
export type KeptFile = z.output<typeof keptFileSchema>;
export type KeptWords = z.output<typeof wordsSchema>;
export type WordColumn = keyof KeptWords;

/** Past orders as they were kept: some files, each in parts. */
export interface KeptOrders {
  readonly file: KeptFile;
  readonly parts: readonly KeptPart[];
}
