import { setAgainst, type StatedAnswer } from '#core/comparison/pairwise';
import { featureWords } from '#core/wording/need-words';
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
      {!pair && <p>One of them is not in the line-up any more.</p>}
      {pair && (
        <>
          <p className="panel-amount">{write.difference(pair.total.difference)}</p>
          <p>
            {Number(pair.total.difference) === 0
              ? `${nameOf(a)} and ${nameOf(b)} cost the same.`
              : `${nameOf(b)} costs ${write.money(pair.total.difference.replace('-', ''), currency)} ${Number(pair.total.difference) > 0 ? 'more' : 'less'} than ${nameOf(a)}.`}
          </p>
          <h3>In money</h3>
          {pair.money.length === 0 && <p className="quiet">Nothing differs.</p>}
          <table className="pair-differences">
            <thead>
              <tr>
                <td />
                <th scope="col">
                  <CandidateTag id={a} />
                </th>
                <th scope="col">
                  <CandidateTag id={b} />
                </th>
                <th scope="col">differs</th>
              </tr>
            </thead>
            <tbody>
              {pair.money.flatMap(({ bucket, a: first, b: second, difference, lines }) => [
                <tr key={bucket} className="has-lines">
                  <th scope="row">{BUCKET_NAMES[bucket].name}</th>
                  <td>{write.whole(first)}</td>
                  <td>{write.whole(second)}</td>
                  <td>
                    <b>{write.difference(difference)}</b>
                  </td>
                </tr>,
                <tr key={`${bucket} lines`}>
                  <td colSpan={4} className="lines">
                    {lines.map(({ of, source, amount }) => {
                      const candidate = partOf(of);
                      if (!candidate) return null;
                      const { name, rate } = sourceWords(pricing, candidate, source, write);
                      return (
                        <small key={`${of} ${JSON.stringify(source)}`} className="block">
                          {of === 'a' ? a : b}: {name}
                          {rate && `, ${rate}`} = {write.money(amount, currency)}
                        </small>
                      );
                    })}
                  </td>
                </tr>,
              ])}
            </tbody>
          </table>
          <h3>In answers</h3>
          {pair.answers.length === 0 ? (
            <p className="quiet">Both say the same to everything that is needed.</p>
          ) : (
            <table className="pair-differences">
              <tbody>
                {pair.answers.map(({ feature, level, a: first, b: second }) => (
                  <tr key={feature}>
                    <th scope="row">
                      {featureWords(feature)} {level === 'must' && <small>must</small>}
                    </th>
                    <td>{answerWords(first, write)}</td>
                    <td>{answerWords(second, write)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
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
