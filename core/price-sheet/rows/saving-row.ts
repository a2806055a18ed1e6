import type { RowKind } from '../../price-phrase/row-kind';
import { figure, type RowRule } from './row-rule';

/** The saving that a page advertises for paying by the year; kept on the sheet to be held against the prices. */
export const savingRow: RowRule<Extract<RowKind, { kind: 'saving' }>> = {
  kinds: () => [],
  heading: () => ({ key: 'saving', section: 'price', title: 'Advertised saving', note: 'by the year' }),
  place: (_part, kind) => kind,
  cell: ({ id }, _kind, write, { savings }) => {
    const percent = savings?.[id];
    return percent === undefined ? null : figure(`${write.number(percent)}%`, `${write.phrase(percent)}%`);
  },
  states: ['empty'],
  marks: ['not-offered', 'unlimited'],
  inState: (part) => part,
};
