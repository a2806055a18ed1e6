import { useState } from 'react';
import { useRouteLoaderData } from 'react-router';
import { Fold } from '../components/fold';
import { NewQuality, UsualQualities } from '../qualities/new-quality';
import { type OpenQuality, QualitiesTable } from '../qualities/qualities-table';
import { QualityForm } from '../qualities/quality-form';
import { StandingForm } from '../qualities/standing-form';
import { useVendors } from '../qualities/vendors';
import { useWorkbench } from '../workbench/workbench-context';
import { qualitiesMarks as words } from './words/qualities-marks';

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
      <main className="work" aria-label={words.whatCounts}>
        {qualities.length === 0 ? (
          <>
            <h2>{words.beyondPriceMoney}</h2>
            <p>{words.eachHasAWeight}</p>
            <UsualQualities />
          </>
        ) : (
          <QualitiesTable vendors={vendors} open={open} onOpen={setOpen} />
        )}
        <NewQuality onAdded={(id) => setOpen({ quality: id, offer: null })} />
        {qualities.length > 0 && (
          <Fold summary={words.moreThatUsuallyCounts}>
            <UsualQualities />
          </Fold>
        )}
      </main>
      <aside className="margin" aria-label={words.quality} aria-live="polite">
        {quality && vendor && <StandingForm key={`${quality.id} ${vendor.id}`} quality={quality} vendor={vendor} today={today} />}
        {quality && !vendor && <QualityForm key={quality.id} quality={quality} onRemoved={() => setOpen(null)} />}
        {!quality && (
          <>
            <h2>{words.anyFigureOpens}</h2>
            <p>{words.chooseAFigureToSay}</p>
            <p className="quiet">{words.theBarIsHow}</p>
          </>
        )}
      </aside>
    </>
  );
}
