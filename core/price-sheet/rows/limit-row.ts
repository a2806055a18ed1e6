import type { RowKind } from '../../price-phrase/row-kind';
import { limitOf } from '../parts';
import { markedNames } from './marked-names';
import { figure, isNothing, nothing, type RowRule } from './row-rule';
import { capital } from '../../wording/capital';

/** The most that a part allows of a quantity, a month or in twelve. */
export const limitRow: RowRule<Extract<RowKind, { kind: 'limit' }>> = {
  kinds: ({ sheet, columns }) => {
    if (sheet.kind === 'processor') return [];
    const stated = columns.flatMap(({ limits = {} }) => Object.keys(limits));
    return [...stated, ...markedNames(sheet, columns, 'limit')].map((quantity) => ({ kind: 'limit', quantity }));
  },
  heading: ({ quantity: name }) => {
    const { quantity, yearly } = limitOf(name);
    return {
      key: `limit ${name}`,
      section: 'extent',
      title: capital(`${quantity.replaceAll('-', ' ')}${yearly ? ' a year' : ''}`),
      note: yearly ? 'at most, in twelve months' : 'at most, in any month',
    };
  },
  place: (_part, kind) => kind,
  cell: ({ limits }, { quantity }, write) => {
    const most = limits?.[quantity];
    if (most === undefined) return null;
    return isNothing(most) ? nothing('0') : figure(write.number(most), write.phrase(most));
  },
  states: ['not-known', 'none', 'unlimited', 'not-offered', 'empty'],
  marks: ['not-known', 'not-offered', 'unlimited'],
  inState: (part, { quantity }, state) => {
    const { [quantity]: _former, ...others } = part.limits ?? {};
    return { ...part, limits: state === 'none' || state === 'not-offered' ? { ...others, [quantity]: '0' } : others };
  },
};
