import * as z from 'zod';
import {
  amount,
  currencyCode,
  decimalField,
  label,
  monthField,
  positive,
  share,
  signedDecimal,
  slug,
  wholeNumber,
} from '../fields/amounts';

const growth = decimalField({ least: '-100' });

/** A value for every month (decision file §2): constant, or start, growth, season and single months. */
export const seriesSchema = z.union([
  amount,
  z.strictObject({
    start: amount,
    growth: growth.optional(),
    add: signedDecimal.optional(),
    season: z.array(amount).length(12, 'use twelve factors, January first').optional(),
    set: z.record(monthField, amount).optional(),
  }),
]);

const subscribersSchema = z.strictObject({
  start: amount,
  joins: seriesSchema,
  churn: share,
  every: wholeNumber(1, 120).optional(),
});

/** Orders of a stream by size: so many percent have so many times the average order value, relative to one another. */
const orderSizeSchema = z.strictObject({ share, times: positive });

/** One stream of expected sales (decision file §2). */
export const streamSchema = z.strictObject({
  id: slug,
  label,
  kind: z.enum(['goods', 'digital', 'service', 'subscription']),
  channel: slug.optional(),
  orderValue: seriesSchema,
  orders: seriesSchema.optional(),
  subscribers: subscribersSchema.optional(),
  refunds: share.optional(),
  salesTax: amount.optional(),
  margin: share.optional(),
  cards: z.record(slug, share).optional(),
  orderSizes: z.array(orderSizeSchema).min(1, 'use at least one size').optional(),
});

/** A further quantity: a series, or so many per order, sale, subscriber or other quantity. */
export const driverSchema = z.union([seriesSchema, z.strictObject({ per: slug, ratio: amount, streams: z.array(slug).optional() })]);

export const forecastSchema = z.strictObject({
  streams: z.array(streamSchema),
  drivers: z.record(slug, driverSchema).optional(),
});

/** Base units for one unit of another currency (decision file §1, `rates`). */
export const ratesSchema = z.record(currencyCode, decimalField({ above: '0' }));

export type Series = z.output<typeof seriesSchema>;
export type Stream = z.output<typeof streamSchema>;
export type Driver = z.output<typeof driverSchema>;
export type Forecast = z.output<typeof forecastSchema>;
