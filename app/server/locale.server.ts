/** Nobody has so many languages. */
const LONGEST = 500;

/**
 * The person's locale from the browser's `Accept-Language`, the first that numbers and dates can be written in.
 *
 * @example localeOf('de-AT,de;q=0.9,en;q=0.8') // 'de-AT'
 */
export function localeOf(acceptLanguage: string | null): string {
  const wanted = (acceptLanguage ?? '')
    .slice(0, LONGEST)
    .split(',')
    .map((part) => part.split(';')[0]?.trim() ?? '')
    .filter((tag) => /^[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*$/.test(tag));
  return wanted.flatMap(supported)[0] ?? 'en-GB';
}

/** Some tags have the form of one and are none, such as `en-aa-aa`. */
function supported(tag: string): string[] {
  try {
    return Intl.NumberFormat.supportedLocalesOf(tag);
  } catch {
    return [];
  }
}
