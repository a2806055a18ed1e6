/** The name under which a window holds its mark; others see by it that the window is open. */
const markOf = (window: string) => `venalis.window.${window}`;

/**
 * Marks a window as open, for as long as its page lives: the browser drops the mark by itself when the page ends,
 * however it ends. Without such marks (an address without TLS in a network) nothing is marked.
 */
export function markAsOpen(window: string): void {
  void lockManager()
    ?.request(markOf(window), () => new Promise<never>(() => undefined))
    .catch(() => undefined);
}

/**
 * The windows that are open now.
 *
 * @returns null where the browser does not say
 */
export async function openWindows(): Promise<ReadonlySet<string> | null> {
  const locks = lockManager();
  if (!locks) return null;
  try {
    const { held = [] } = await locks.query();
    const prefix = markOf('');
    return new Set(held.flatMap(({ name = '' }) => (name.startsWith(prefix) ? [name.slice(prefix.length)] : [])));
  } catch {
    return null;
  }
}

function lockManager(): LockManager | undefined {
  return typeof navigator === 'undefined' ? undefined : (navigator as Partial<Navigator>).locks;
}
