import { Fragment } from 'react';
import { standingOf } from '#core/qualities/standing';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';
import { standingWords } from './quality-words';
import type { NamedOffer } from './vendors';

/** What is open beside the table: a quality itself, or a vendor's standing on it. */
export interface OpenQuality {
  readonly quality: string;
  readonly offer: string | null;
}

interface QualitiesTableProps {
  vendors: readonly NamedOffer[];
  open: OpenQuality | null;
  onOpen(open: OpenQuality): void;
}

/** Qualities by vendors: each figure in its own unit, and how far it goes on the quality's scale. */
export function QualitiesTable({ vendors, open, onOpen }: QualitiesTableProps) {
  const { decision } = useWorkbench().state.workbench;
  const write = useWriter();
  const { qualities = [] } = decision;
  return (
    <div className="qualities-scroll">
      <table className="qualities">
        <thead>
          <tr>
            <th scope="col">What counts</th>
            {vendors.map(({ id, label }) => (
              <th key={id} scope="col">
                {label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {qualities.map((quality) => (
            <tr key={quality.id}>
              <th scope="row">
                <button
                  type="button"
                  className="figure quality-name"
                  aria-expanded={open?.quality === quality.id && open.offer === null}
                  onClick={() => onOpen({ quality: quality.id, offer: null })}
                >
                  {quality.label || 'without a name'}
                </button>
                <small>
                  weight {write.number(quality.weight)}, {write.number(quality.worst)} to {write.number(quality.best)}
                </small>
              </th>
              {vendors.map(({ id, label }) => {
                const standing = standingOf(quality, id, decision);
                return (
                  <td key={id}>
                    <button
                      type="button"
                      className={`figure ${standing ? '' : 'is-not-known'}`}
                      aria-expanded={open?.quality === quality.id && open.offer === id}
                      aria-label={`${quality.label}, ${label}: ${standing ? `${standingWords(quality, standing, write)}, ${Math.round(standing.points)} of 100` : 'not known'}`}
                      onClick={() => onOpen({ quality: quality.id, offer: id })}
                    >
                      {standing ? (
                        <Fragment>
                          {standingWords(quality, standing, write)}
                          {quality.source === 'reviews' && (
                            <small>
                              from{' '}
                              {write.number(String((decision.vendors?.[id]?.reviews ?? []).reduce((sum, { count }) => sum + count, 0)))}
                            </small>
                          )}
                          <i className="points" aria-hidden="true">
                            <i style={{ width: `${standing.points}%` }} />
                          </i>
                        </Fragment>
                      ) : (
                        '?'
                      )}
                    </button>
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
