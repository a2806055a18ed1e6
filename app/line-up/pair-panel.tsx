import { setAgainst, type StatedAnswer } from '#core/comparison/pairwise';
import { featureWords } from '#core/wording/need-words';
import { DataTable } from '../components/data-table';
import { CandidateTag } from '../components/candidate-tag';
import { ChoiceField } from '../components/choice-field';
import { useWriter } from '../locale/locale';
import { useLevel } from '../workbench/workbench-context';
import { BUCKET_NAMES } from './bucket-names';
import { sourceWords } from './source-words';

/** Two candidates set against each other: only what differs, in money and in answers, the largest effect first. */
export function PairPanel({ a, b, onChange }: { a: string; b: string; onChange(a: string, b: string): void }) {
  const { priced } = useLevel();
  const write = useWriter();
  const { columns } = priced.lineUp;
  const { pricing } = priced.priced;
  const { currency } = pricing.file;
  const nameOf = (id: string) => columns.find((column) => column.id === id)?.label ?? id;
  const options = columns.map(({ id, label }) => ({ value: id, label: `${id} ${label}` }));
  const pair = setAgainst(priced.priced, a, b);
  const partOf = (of: 'a' | 'b') => pricing.file.candidates.find(({ id }) => id === (of === 'a' ? a : b));
  return (
    <>
      <h2>Set against each other</h2>
      <ChoiceField
        label="This one"
        searchable
        value={a}
        options={options.filter(({ value }) => value !== b)}
        onChange={(next) => onChange(next, b)}
      />
      <ChoiceField
        label="and that one"
        searchable
        value={b}
        options={options.filter(({ value }) => value !== a)}
        onChange={(next) => onChange(a, next)}
      />
      {!pair && <p>One of them is no longer being compared.</p>}
      {pair && (
        <>
          <p className="panel-amount">{write.difference(pair.total.difference)}</p>
          <p>
            {Number(pair.total.difference) === 0
              ? `${nameOf(a)} and ${nameOf(b)} cost the same.`
              : `${nameOf(b)} costs ${write.price(pair.total.difference.replace('-', ''), currency)} ${Number(pair.total.difference) > 0 ? 'more' : 'less'} than ${nameOf(a)}.`}
          </p>
          <h3>In money</h3>
          {pair.money.length === 0 && <p className="quiet">Nothing differs.</p>}
          <DataTable
            hasOwnLook
            className="pair-differences"
            frame={null}
            rows={pair.money}
            keyOf={({ bucket }) => bucket}
            rowClass={() => 'has-lines'}
            belowClass="lines"
            below={({ lines }) =>
              lines.map(({ of, source, amount }) => {
                const candidate = partOf(of);
                if (!candidate) return null;
                const { name, rate } = sourceWords(pricing, candidate, source, write);
                return (
                  <small key={`${of} ${JSON.stringify(source)}`} className="block">
                    {of === 'a' ? a : b}: {name}
                    {rate && `, ${rate}`} = {write.money(amount, currency)}
                  </small>
                );
              })
            }
            columns={[
              { key: 'bucket', head: null, kind: 'names-row', cell: ({ bucket }) => BUCKET_NAMES[bucket].name },
              { key: 'a', head: <CandidateTag id={a} />, cell: ({ a: first }) => write.whole(first) },
              { key: 'b', head: <CandidateTag id={b} />, cell: ({ b: second }) => write.whole(second) },
              { head: 'differs', cell: ({ difference }) => <b>{write.difference(difference)}</b> },
            ]}
          />
          <h3>In answers</h3>
          {pair.answers.length === 0 ? (
            <p className="quiet">Both say the same to everything that is needed.</p>
          ) : (
            <DataTable
              hasOwnLook
              className="pair-differences"
              hideHead
              frame={null}
              rows={pair.answers}
              keyOf={({ feature }) => feature}
              columns={[
                {
                  head: 'Need',
                  kind: 'names-row',
                  cell: ({ feature, level }) => (
                    <>
                      {featureWords(feature)} {level === 'must' && <small>must</small>}
                    </>
                  ),
                },
                { head: 'First', cell: (one) => answerWords(one.a, write) },
                { head: 'Second', cell: (one) => answerWords(one.b, write) },
              ]}
            />
          )}
        </>
      )}
    </>
  );
}

function answerWords(answer: StatedAnswer, write: ReturnType<typeof useWriter>): string {
  if (answer.kind === 'amount') return `${write.number(answer.amount)}${answer.isEnough ? '' : ', not enough'}`;
  return { yes: 'yes', no: 'no', 'not-known': 'not known' }[answer.kind];
}
