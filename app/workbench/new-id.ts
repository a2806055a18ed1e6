const ALPHABET = 'abcdefghijklmnopqrstuvwxyz0123456789';

/** A fresh identifier, random enough never to meet another in one person's data. */
export function newId(): string {
  const bytes = crypto.getRandomValues(new Uint8Array(12));
  return `x${Array.from(bytes, (byte) => ALPHABET[byte % ALPHABET.length]).join('')}`;
}
