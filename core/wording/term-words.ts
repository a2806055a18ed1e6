/**
 * How often a term is paid, in words.
 *
 * @param months - length of the term in months; 0 = once and for good
 * @example termWords(12) // 'by the year'
 */
export function termWords(months: number): string {
  switch (months) {
    case 0:
      return 'once, for good';
    case 1:
      return 'by the month';
    case 3:
      return 'by the quarter';
    case 6:
      return 'by the half-year';
    case 12:
      return 'by the year';
    default:
      return months % 12 === 0 ? `every ${months / 12} years` : `every ${months} months`;
  }
}
