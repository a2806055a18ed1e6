/**
 * A count with its noun: one of it, or several.
 *
 * @example counted(1, 'plan') // '1 plan'
 * @example counted(3, 'plan') // '3 plans'
 */
export function counted(count: number, noun: string): string {
  return `${count} ${noun}${count === 1 ? '' : 's'}`;
}
