import { useMemo } from 'react';
import * as z from 'zod';
import type { PageReading } from '#core/price-page/page-reading';
import type { Differing, ReadingAnswers } from '#core/price-sheet/apply-reading';
import { useKeptText } from '../workbench/use-kept-text';

const choicesSchema = z.object({
  /** Of which reading they are. */
  of: z.string(),
  answers: z.record(z.string(), z.number()),
  differing: z.enum(['take', 'keep']),
  currency: z.string().nullable(),
  comparesIn: z.boolean(),
});

/** What somebody has chosen about a page that was read, before it is added. */
export interface PageChoices {
  readonly answers: ReadingAnswers;
  /** Of figures that the page and the sheet state differently. */
  readonly differing: Differing;
  /** What the page's prices are in; null as long as nobody has said. */
  readonly currency: string | null;
  /** Whether all is compared in that currency from now on, where that can be chosen. */
  readonly comparesIn: boolean;
}

const NOTHING_CHOSEN: PageChoices = { answers: {}, differing: 'take', currency: null, comparesIn: true };

/**
 * What is chosen about a page that was read; a reload does not lose it.
 *
 * @param key - unique among all texts of the application
 * @returns the choices, how to change some, and how to forget them once the page has been added or left
 */
export function usePageChoices(
  key: string,
  reading: PageReading,
): readonly [choices: PageChoices, change: (some: Partial<PageChoices>) => void, forget: () => void] {
  const [kept, keep] = useKeptText(key);
  const of = useMemo(
    () => JSON.stringify([reading.vendor, reading.lines.length, reading.asked.map(({ question, text }) => [question, text])]),
    [reading],
  );
  const choices = useMemo(() => choicesIn(kept, of), [kept, of]);
  return [choices, (some) => keep(JSON.stringify({ ...choices, ...some, of })), () => keep('')];
}

/** What was kept of this very reading; of another one nothing holds. */
function choicesIn(kept: string, of: string): PageChoices {
  if (kept === '') return NOTHING_CHOSEN;
  try {
    const { data } = choicesSchema.safeParse(JSON.parse(kept));
    return data?.of === of ? data : NOTHING_CHOSEN;
  } catch {
    return NOTHING_CHOSEN;
  }
}
