import { setAgainst, type StatedAnswer } from '#core/comparison/pairwise';
import { featureWords } from '#core/wording/need-words';
import { DataTable } from '../components/data-table';
import { CandidateTag } from '../components/candidate-tag';
import { ChoiceField } from '../components/choice-field';
import { useWriter } from '../locale/locale';
import { useLevel } from '../workbench/workbench-context';
import { BUCKET_NAMES } from './bucket-names';
import { sourceWords } from './source-words';
import { pairPanel as words } from './words/pair-panel';

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
      <h2>{words.setAgainstEachOther}</h2>
      <ChoiceField
        label={words.thisOne}
        searchable
        value={a}
        options={options.filter(({ value }) => value !== b)}
        onChange={(next) => onChange(next, b)}
      />
      <ChoiceField
        label={words.andThatOne}
        searchable
        value={b}
        options={options.filter(({ value }) => value !== a)}
        onChange={(next) => onChange(a, next)}
      />
      {!pair && <p>{words.oneOfThemIsNoLonger}</p>}
      {pair && (
        <>
          <p className="panel-amount">{write.difference(pair.total.difference)}</p>
          <p>
            {Number(pair.total.difference) === 0
              ? words.andCostTheSame(nameOf(a), nameOf(b))
              : words.costsThan({
                  name: nameOf(b),
                  price: write.price(pair.total.difference.replace('-', ''), currency),
                  less: Number(pair.total.difference) > 0 ? words.more : words.less,
                  other: nameOf(a),
                })}
          </p>
          <h3>{words.inMoney}</h3>
          {pair.money.length === 0 && <p className="quiet">{words.nothingDiffers}</p>}
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
              { head: words.differs, cell: ({ difference }) => <b>{write.difference(difference)}</b> },
            ]}
          />
          <h3>{words.inAnswers}</h3>
          {pair.answers.length === 0 ? (
            <p className="quiet">{words.bothSayTheSame}</p>
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
                  head: words.need,
                  kind: 'names-row',
                  cell: ({ feature, level }) => (
                    <>
                      {featureWords(feature)} {level === 'must' && <small>{words.must}</small>}
                    </>
                  ),
                },
                { head: words.first, cell: (one) => answerWords(one.a, write) },
                { head: words.second, cell: (one) => answerWords(one.b, write) },
              ]}
            />
          )}
        </>
      )}
    </>
  );
}

function answerWords(answer: StatedAnswer, write: ReturnType<typeof useWriter>): string {
  if (answer.kind === 'amount') return `${write.number(answer.amount)}${answer.isEnough ? '' : words.notEnough}`;
  return { yes: 'yes', no: 'no', 'not-known': words.notKnown }[answer.kind];
}
