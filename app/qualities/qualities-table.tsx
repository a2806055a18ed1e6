import type { Quality } from '#core/decision/quality-schema';
import { standingOf } from '#core/qualities/standing';
import { DataTable } from '../components/data-table';
import { useWriter } from '../locale/locale';
import { useWorkbench } from '../workbench/workbench-context';
import { standingWords } from './quality-words';
import type { NamedOffer } from './vendors';
import { qualitiesTable as texts } from './words';

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
    <DataTable
      hasOwnLook
      className="qualities"
      frame="qualities-scroll"
      rows={qualities}
      keyOf={({ id }) => id}
      columns={[
        {
          head: texts.whatCounts,
          kind: 'names-row',
          cell: (quality) => (
            <>
              <button
                type="button"
                className="figure quality-name"
                aria-expanded={open?.quality === quality.id && open.offer === null}
                onClick={() => onOpen({ quality: quality.id, offer: null })}
              >
                {quality.label || texts.withoutAName}
              </button>
              <small>{texts.weightTo(write.number(quality.weight), write.number(quality.worst), write.number(quality.best))}</small>
            </>
          ),
        },
        ...vendors.map((vendor) => ({
          key: vendor.id,
          head: vendor.label,
          cell: (quality: Quality) => (
            <QualityFigure
              quality={quality}
              vendor={vendor}
              isOpen={open?.quality === quality.id && open?.offer === vendor.id}
              onOpen={() => onOpen({ quality: quality.id, offer: vendor.id })}
            />
          ),
        })),
      ]}
    />
  );
}

interface QualityFigureProps {
  quality: Quality;
  vendor: NamedOffer;
  isOpen: boolean;
  onOpen(): void;
}

/** How a vendor stands on a quality, and how far that goes on its scale. */
function QualityFigure({ quality, vendor: { id, label }, isOpen, onOpen }: QualityFigureProps) {
  const { decision } = useWorkbench().state.workbench;
  const write = useWriter();
  const standing = standingOf(quality, id, decision);
  const words = standing ? texts.of100(standingWords(quality, standing, write), Math.round(standing.points)) : texts.notKnown;
  const reviews = (decision.vendors?.[id]?.reviews ?? []).reduce((sum, { count }) => sum + count, 0);
  return (
    <button
      type="button"
      className={`figure ${standing ? '' : 'is-not-known'}`}
      aria-expanded={isOpen}
      aria-label={`${quality.label}, ${label}: ${words}`}
      onClick={onOpen}
    >
      {!standing && '?'}
      {standing && (
        <>
          {standingWords(quality, standing, write)}
          {quality.source === 'reviews' && <small>{texts.from(write.number(String(reviews)))}</small>}
          <i className="points" aria-hidden="true">
            <i style={{ width: `${standing.points}%` }} />
          </i>
        </>
      )}
    </button>
  );
}
