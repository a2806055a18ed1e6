import type { RowKind } from '../../price-phrase/row-kind';
import { figure, isNothing, nothing, type RowRule } from './row-rule';

const USUAL_LABEL = 'Joining fee';

/** What is paid on joining, once. */
export const joiningRow: RowRule<Extract<RowKind, { kind: 'joining' }>> = {
  kinds: ({ sheet, columns }) =>
    sheet.kind !== 'processor' && columns.some(({ once = [] }) => once.length > 0) ? [{ kind: 'joining' }] : [],
  heading: () => ({ key: 'joining', section: 'price', title: 'Paid on joining', note: 'once' }),
  place: (_part, kind) => kind,
  cell: ({ once = [], currency }, _kind, write) => {
    const [fee, ...others] = once;
    if (!fee) return null;
    const notes = [
      ...(fee.label === USUAL_LABEL ? [] : [fee.label]),
      ...others.map((other) => `${other.label} ${write.money(other.amount, currency)}`),
    ];
    return isNothing(fee.amount) ? nothing('0', notes) : figure(write.money(fee.amount, currency), write.phrase(fee.amount), notes);
  },
  states: ['none', 'not-known', 'empty'],
  marks: ['not-known', 'not-offered', 'unlimited'],
  inState: ({ once: _former, ...part }, _kind, state) =>
    state === 'none' ? { ...part, once: [{ label: USUAL_LABEL, amount: '0' }] } : part,
  retyped: (part, _kind, statement) => {
    const [fee, ...others] = part.once ?? [];
    return statement.kind === 'joining' && fee ? { ...part, once: [{ ...fee, amount: statement.amount }, ...others] } : null;
  },
};
