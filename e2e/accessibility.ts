import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * What is not accessible on a page (WCAG 2.2 AA), each with the elements it is about; nothing where all is well.
 *
 * It is looked into in the page itself: the usual way opens a window of its own each time, and a run once came to its limit while it waited for one.
 *
 * @param rules only these of axe's rules, where not all have to be looked at again
 */
export async function notAccessible(page: Page, rules?: readonly string[]): Promise<string[]> {
  const axe = new AxeBuilder({ page }).setLegacyMode();
  const { violations } = await (rules ? axe.withRules([...rules]) : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])).analyze();
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`);
}
