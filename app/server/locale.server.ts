/**
 * The person's locale from the browser's `Accept-Language`, the first that numbers and dates can be written in.
 *
 * @example localeOf('de-AT,de;q=0.9,en;q=0.8') // 'de-AT'
 */
export function localeOf(acceptLanguage: string | null): string {
  const wanted = (acceptLanguage ?? '')
    .split(',')
    .map((part) => part.split(';')[0]?.trim() ?? '')
    .filter((tag) => /^[A-Za-z]{2,3}(-[A-Za-z0-9]{2,8})*$/.test(tag));
  return Intl.NumberFormat.supportedLocalesOf(wanted)[0] ?? 'en-GB';
}
