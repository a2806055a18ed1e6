import type { LineUpColumn } from '#core/comparison/line-up';
import type { Bucket } from '#core/pricing/ledger-line';

/** The buckets of a total as parts of a bar; all bars of a line-up share one scale. */
export function BucketBar({ column, buckets, largest }: { column: LineUpColumn; buckets: readonly Bucket[]; largest: number }) {
  return (
    <span className="bucket-bar" aria-hidden="true">
      {buckets.map((bucket) => {
        const share = Number(column.result.buckets[bucket] ?? 0) / largest;
        return share > 0 ? <i key={bucket} className={`bucket-${bucket}`} style={{ width: `${share * 100}%` }} /> : null;
      })}
    </span>
  );
}
