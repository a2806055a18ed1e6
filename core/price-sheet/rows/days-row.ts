import type { RowKind } from '../../price-phrase/row-kind';
import type { Part } from '../parts';
import { figure, type RowHeading, type RowRule } from './row-rule';

type DaysField = 'trialDays' | 'refundDays';

/** The days of a trial or refund window where all terms of a part have the same; undefined otherwise. */
function daysOfAll({ terms }: Part, field: DaysField): number | undefined {
  const [first, ...others] = terms ?? [];
  return first && others.every((term) => term[field] === first[field]) ? first[field] : undefined;
}

/** Days that all terms of a part have alike: a trial, or a window in which money is given back. */
function daysRow<Kind extends Extract<RowKind, { kind: 'trial' | 'refund' }>>(
  kind: Kind,
  field: DaysField,
  heading: RowHeading,
): RowRule<Kind> {
  return {
    kinds: ({ sheet, columns }) =>
      sheet.kind !== 'processor' && columns.some((part) => daysOfAll(part, field) !== undefined) ? [kind] : [],
    heading: () => heading,
    place: (part) => ({ kind: 'term', months: part.terms?.[0]?.months ?? 1 }),
    cell: (part) => {
      const days = daysOfAll(part, field);
      return days === undefined ? null : figure(`${days} days`, String(days));
    },
    states: ['empty'],
    marks: ['not-offered', 'unlimited'],
    inState: (part) => ({ ...part, terms: (part.terms ?? []).map(({ [field]: _former, ...term }) => term) }),
  };
}

export const trialRow = daysRow({ kind: 'trial' }, 'trialDays', {
  key: 'trial',
  section: 'price',
  title: 'Trial',
  note: 'days free first',
});

export const refundRow = daysRow({ kind: 'refund' }, 'refundDays', {
  key: 'refund',
  section: 'price',
  title: 'Money back',
  note: 'within so many days',
});
