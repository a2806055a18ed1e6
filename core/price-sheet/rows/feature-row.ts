import type { RowKind } from '../../price-phrase/row-kind';
import { featureWords } from '../../wording/need-words';
import { markedNames } from './marked-names';
import { figure, marked, type RowRule } from './row-rule';
import { capital } from '../../wording/capital';

/** What a part has or has not, or how much of it. */
export const featureRow: RowRule<Extract<RowKind, { kind: 'feature' }>> = {
  kinds: ({ sheet, columns }) => {
    if (sheet.kind === 'processor') return [];
    const stated = columns.flatMap(({ features = {} }) => Object.keys(features));
    return [...markedNames(sheet, columns, 'feature'), ...stated].map((feature) => ({ kind: 'feature', feature }));
  },
  heading: ({ feature }) => ({ key: `feature ${feature}`, section: 'features', title: capital(featureWords(feature)), note: '' }),
  place: (_part, kind) => kind,
  cell: ({ features }, { feature }, write) => {
    const value = features?.[feature];
    if (value === undefined) return null;
    if (value === null) return marked('not-known');
    if (value === false) return { state: 'none', text: 'no', edit: 'no', notes: [] };
    return value === true ? figure('yes', 'yes') : figure(write.number(value), write.phrase(value));
  },
  states: ['not-known', 'none', 'unlimited', 'not-offered', 'empty'],
  marks: ['not-offered', 'unlimited'],
  inState: (part, { feature }, state) => {
    const { [feature]: _former, ...others } = part.features ?? {};
    if (state === 'empty') return { ...part, features: others };
    return { ...part, features: { ...part.features, [feature]: state === 'not-known' ? null : state === 'unlimited' } };
  },
};
