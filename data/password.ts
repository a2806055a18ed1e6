import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import * as z from 'zod';

/** Cost of a guess: about 128 MB of memory and a quarter of a second (scrypt, RFC 7914). */
const COST = { N: 2 ** 17, r: 8, p: 1, maxmem: 256 * 1024 * 1024 };
const KEY_BYTES = 32;
export const SHORTEST_PASSWORD = 10;
const LONGEST_PASSWORD = 500;

const keptSchema = z.strictObject({ salt: z.base64(), key: z.base64() });

/** Why a text is no password to be set; null if it is one. */
export function passwordProblem(text: string): string | null {
  if (text.length < SHORTEST_PASSWORD) return `Enter at least ${SHORTEST_PASSWORD} characters.`;
  return text.length > LONGEST_PASSWORD ? `Enter at most ${LONGEST_PASSWORD} characters.` : null;
}

/** Keeps a password, as a hash that only its owner can read. */
export async function keepPassword(file: string, password: string): Promise<void> {
  const salt = randomBytes(16);
  const key = await keyOf(password, salt);
  writeFileSync(file, `${JSON.stringify({ salt: salt.toString('base64'), key: key.toString('base64') })}\n`, {
    mode: 0o600,
  });
}

/** Whether a password is set. */
export function hasPassword(file: string): boolean {
  return existsSync(file);
}

/** Whether this is the password; never where none is set or its file cannot be read. */
export async function isPassword(file: string, guess: string): Promise<boolean> {
  const kept = keptIn(file);
  if (!kept || guess.length > LONGEST_PASSWORD) return false;
  const key = await keyOf(guess, Buffer.from(kept.salt, 'base64'));
  const expected = Buffer.from(kept.key, 'base64');
  return key.length === expected.length && timingSafeEqual(key, expected);
}

function keptIn(file: string): z.output<typeof keptSchema> | null {
  try {
    return keptSchema.parse(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    return null;
  }
}

function keyOf(password: string, salt: Buffer): Promise<Buffer> {
  return new Promise((resolve, reject) =>
    scrypt(password.normalize('NFKC'), salt, KEY_BYTES, COST, (error, key) => (error ? reject(error) : resolve(key))),
  );
}
