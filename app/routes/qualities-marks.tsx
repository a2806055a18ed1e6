import { useState } from 'react';
import { useRouteLoaderData } from 'react-router';
import { Fold } from '../components/fold';
import { NewQuality, UsualQualities } from '../qualities/new-quality';
import { type OpenQuality, QualitiesTable } from '../qualities/qualities-table';
import { QualityForm } from '../qualities/quality-form';
import { StandingForm } from '../qualities/standing-form';
import { useVendors } from '../qualities/vendors';
import { useWorkbench } from '../workbench/workbench-context';

export default function QualitiesMarks() {
  const { decision } = useWorkbench().state.workbench;
  const { today } = useRouteLoaderData<{ today: string }>('routes/needs') ?? { today: '2026-01-01' };
  const vendors = useVendors();
  const [open, setOpen] = useState<OpenQuality | null>(null);
  const { qualities = [] } = decision;
  const quality = qualities.find(({ id }) => id === open?.quality);
  const vendor = vendors.find(({ id }) => id === open?.offer);
  return (
    <>
      <main className="work" aria-label="What counts">
        {qualities.length === 0 ? (
          <>
            <h2>Beyond price money?</h2>
            <p>Each has a weight and a scale of its own. It changes no totals; it is weighed beside them, where you can see it.</p>
            <UsualQualities />
          </>
        ) : (
          <QualitiesTable vendors={vendors} open={open} onOpen={setOpen} />
        )}
        <NewQuality onAdded={(id) => setOpen({ quality: id, offer: null })} />
        {qualities.length > 0 && (
          <Fold summary="More that usually counts">
            <UsualQualities />
          </Fold>
        )}
      </main>
      <aside className="margin" aria-label="Quality" aria-live="polite">
        {quality && vendor && <StandingForm key={`${quality.id} ${vendor.id}`} quality={quality} vendor={vendor} today={today} />}
        {quality && !vendor && <QualityForm key={quality.id} quality={quality} onRemoved={() => setOpen(null)} />}
        {!quality && (
          <>
            <h2>Any figure opens</h2>
            <p>Choose a figure to say it, or to see what it comes from; choose a quality to change its weight and scale.</p>
            <p className="quiet">
              The bar is how far it goes on the scale: all of it is 100 points. What is not known counts as nothing, and the fit then says
              “at least”.
            </p>
          </>
        )}
      </aside>
    </>
  );
}
