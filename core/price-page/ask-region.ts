import type { StatedFee } from './fees';
import type { PageOption } from './page-reading';
import type { ReadingBuilder } from './reading-builder';

/** A fee of a region's cards on a plan. */
export interface RegionalFee {
  readonly plan: string;
  readonly statement: StatedFee['statement'];
}

/** Asks once for all plans whether a region's cards are those of all customers or of the seller's own country. */
export function askRegion(builder: ReadingBuilder, fees: readonly RegionalFee[], lines: readonly number[]): void {
  const option = (label: string, only: { cards: string[] } | null): PageOption => ({
    label,
    statements: fees.map(({ plan, statement }) => ({
      plan,
      statement: { ...statement, charge: { ...statement.charge, ...(only ? { only, label: 'Domestic cards' } : {}) } },
    })),
  });
  builder.ask(
    'Whose cards are these, seen from your shop?',
    lines,
    fees.map(({ plan }) => plan),
    [
      option('those of all my customers, unless another fee is named', null),
      option('those from my own country; others have another fee', { cards: ['domestic'] }),
    ],
  );
}
