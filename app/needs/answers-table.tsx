import { type KeyboardEvent, useLayoutEffect, useMemo, useRef } from 'react';
import { type Asked, type AskedVendor, answerOf, unansweredOf } from '#core/needs/answers';
import type { GivenAnswer } from '#core/needs/edit-answers';
import type { DecisionNeed } from '#core/decision/need-schema';
import { needKey, needWords } from '#core/wording/need-words';
import { type GridPoint, movedTo, within } from '../components/grid-keys';
import { useWriter } from '../locale/locale';
import { answerText } from './answer-words';
import { answersTable as words } from './words';

/** A plan of the matrix with the sheet that its answers are kept on. */
export interface AnswerColumn {
  readonly vendor: AskedVendor;
  readonly asked: Asked;
}

interface AnswersTableProps {
  needs: readonly DecisionNeed[];
  vendors: readonly AskedVendor[];
  focus: GridPoint;
  onFocus(point: GridPoint): void;
  onAnswer(need: DecisionNeed, column: AnswerColumn, answer: GivenAnswer): void;
  /** Enter: the focus goes to where more can be said about the cell. */
  onOpen(): void;
}

const KEYS: Readonly<Record<string, GivenAnswer>> = { y: { kind: 'yes' }, n: { kind: 'no' }, '?': { kind: 'not-known' } };
const NEXT = { met: 'no', 'not-met': 'not-known', 'not-known': 'yes' } as const;

/** All columns of the matrix, by vendor. */
export function columnsOf(vendors: readonly AskedVendor[]): AnswerColumn[] {
  return vendors.flatMap((vendor) => vendor.plans.map((asked) => ({ vendor, asked })));
}

/** Needs by plans: arrow keys move, y, n and ? answer, the space bar goes through them. */
export function AnswersTable({ needs, vendors, focus, onFocus, onAnswer, onOpen }: AnswersTableProps) {
  const write = useWriter();
  const table = useRef<HTMLTableElement>(null);
  const wantsFocus = useRef(false);
  const columns = useMemo(() => columnsOf(vendors), [vendors]);
  const cells = useMemo(
    () => needs.map((need) => columns.map(({ asked }) => answerText(answerOf(need, asked), need, write))),
    [needs, columns, write],
  );
  const point = within(focus, needs.length, columns.length);
  useLayoutEffect(() => {
    if (!wantsFocus.current) return;
    wantsFocus.current = false;
    table.current?.querySelector<HTMLElement>(`[data-at="${point.row} ${point.column}"]`)?.focus();
  }, [point.row, point.column]);

  const press = (event: KeyboardEvent) => {
    const [need, column] = [needs[point.row], columns[point.column]];
    if (!need || !column) return;
    const to = movedTo(event, point, needs.length, columns.length);
    const key = event.ctrlKey || event.metaKey || event.altKey ? undefined : KEYS[event.key];
    if (to) {
      wantsFocus.current = true;
      onFocus(to);
    } else if (key) onAnswer(need, column, key);
    else if (event.key === ' ') onAnswer(need, column, { kind: NEXT[cells[point.row]?.[point.column]?.state ?? 'not-known'] });
    else if (event.key === 'Enter') onOpen();
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  return (
    <div className="answers-scroll">
      <table className="answers" role="grid" aria-label={words.whatPlansSayToNeeds} ref={table} onKeyDown={press}>
        <thead>
          <tr>
            <td />
            {vendors.map(({ sheetId, offer, plans }) => {
              const open = unansweredOf(needs, plans);
              return (
                <th key={sheetId} scope="colgroup" colSpan={Math.max(1, plans.length)}>
                  {offer.label || offer.vendor || words.withoutAName}
                  <small className={open > 0 ? 'lacks' : ''}>{open > 0 ? words.toFindOut(open) : words.allAnswered}</small>
                </th>
              );
            })}
          </tr>
          <tr>
            <td />
            {vendors.map(({ sheetId, plans }) =>
              plans.length === 0 ? (
                <th key={sheetId} />
              ) : (
                plans.map(({ plan }, at) => (
                  <th key={plan.id} scope="col" className={at === 0 ? 'is-first' : ''}>
                    {plan.label || words.aPlan}
                  </th>
                ))
              ),
            )}
          </tr>
        </thead>
        <tbody>
          {needs.map((need, row) => (
            <tr key={needKey(need)} className={need.level === 'must' && needs[row + 1]?.level === 'want' ? 'is-last-must' : ''}>
              <th scope="row">
                {needWords(need)}
                <small>{need.level === 'must' ? words.must : words.weight(write.number(need.weight ?? '1'))}</small>
              </th>
              {columns.map(({ asked, vendor }, column) => {
                const cell = cells[row]?.[column];
                const isFocused = row === point.row && column === point.column;
                return (
                  <td
                    key={asked.plan.id}
                    role="gridcell"
                    data-at={`${row} ${column}`}
                    tabIndex={isFocused ? 0 : -1}
                    aria-selected={isFocused}
                    aria-label={`${vendor.offer.label} ${asked.plan.label}, ${needWords(need)}: ${cell?.state === 'not-known' ? words.notKnown : `${cell?.text ?? ''} ${cell?.note ?? ''}`}`}
                    className={`is-${cell?.state ?? ''} ${asked === vendor.plans[0] ? 'is-first' : ''}`}
                    onClick={() => {
                      wantsFocus.current = true;
                      onFocus({ row, column });
                    }}
                  >
                    {cell?.text}
                    {cell?.note && <small>{cell.note}</small>}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
