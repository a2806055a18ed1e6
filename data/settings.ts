import type { Kysely } from 'kysely';
import * as z from 'zod';
import { dailyRatesSchema } from '#core/exchange-rates/daily-rates';
import type { Database } from './schema';

/** An address that can be looked at: http or https, without a name and password in it. */
export const addressSchema = z
  .string()
  .max(500, 'use an address of at most 500 characters')
  .refine(
    (text) => URL.canParse(text) && /^https?:$/.test(new URL(text).protocol) && new URL(text).username === '',
    'use an address that begins with http:// or https://',
  );

/** What is kept for all decisions. */
export const SETTINGS = {
  /** Where daily exchange rates are published. */
  ratesAddress: addressSchema.nullable(),
  /** How looking at them went last. */
  ratesLooked: z.strictObject({
    triedAt: z.string(),
    seenAt: z.string().nullable(),
    problem: z.string().nullable(),
    rates: dailyRatesSchema.nullable(),
  }),
  /** Hosts with their ports on this computer or in a private network that may be looked at, such as `127.0.0.1:4180`. */
  privateHosts: z
    .array(
      z
        .string()
        .regex(/^[a-z0-9.:[\]-]+:\d{1,5}$/i, 'use a host with its port, such as 127.0.0.1:4180')
        .max(300),
    )
    .max(50),
  /** Where the demo's outside world stood last, so that its addresses can follow when its port changes. */
  worldAddress: addressSchema,
} as const;

export type SettingName = keyof typeof SETTINGS;
export type Setting<Name extends SettingName> = z.output<(typeof SETTINGS)[Name]>;

/** A setting, or undefined where none is kept or it cannot be read any more. */
export async function readSetting<Name extends SettingName>(db: Kysely<Database>, name: Name): Promise<Setting<Name> | undefined> {
  const row = await db.selectFrom('settings').select('value').where('key', '=', name).executeTakeFirst();
  const read = row && SETTINGS[name].safeParse(JSON.parse(row.value));
  return read?.success ? (read.data as Setting<Name>) : undefined;
}

export async function keepSetting<Name extends SettingName>(db: Kysely<Database>, name: Name, value: Setting<Name>): Promise<void> {
  const row = { key: name, value: JSON.stringify(value) };
  await db
    .insertInto('settings')
    .values(row)
    .onConflict((conflict) => conflict.column('key').doUpdateSet(row))
    .execute();
}
