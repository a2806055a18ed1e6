/** "A", "A and B", "A, B and C". */
export function listed(items: readonly string[]): string {
  return joined(items, 'and');
}

/** "A", "A or B", "A, B or C". */
export function anyOf(items: readonly string[]): string {
  return joined(items, 'or');
}

function joined(items: readonly string[], word: string): string {
  const last = items.at(-1) ?? '';
  return items.length < 2 ? last : `${items.slice(0, -1).join(', ')} ${word} ${last}`;
}
