import { Button } from 'antd';
import type { Place } from '../workbench/places';
import { keyList as words } from './words/key-list';

/** What each key of the workbench does. */
export default function KeyList({ places }: { places: readonly Place[] }) {
  return (
    <>
      <h2>{words.keys}</h2>
      <dl>
        {places.map(({ name }, index) => (
          <div key={name}>
            <dt>{words.alt(index + 1)}</dt>
            <dd>{name}</dd>
          </div>
        ))}
        <div>
          <dt>{words.alt0}</dt>
          <dd>{words.typeWhatYouWant}</dd>
        </div>
        <div>
          <dt>{words.ctrlZ}</dt>
          <dd>{words.undoOutsideTextFields}</dd>
        </div>
        <div>
          <dt>{words.ctrlShiftZ}</dt>
          <dd>{words.redo}</dd>
        </div>
        <div>
          <dt>{words.enter}</dt>
          <dd>{words.onAFigureHow}</dd>
        </div>
        <div>
          <dt>{words.arrowsEnterF2Space}</dt>
          <dd>{words.onAPriceSheet}</dd>
        </div>
        <div>
          <dt>{words.arrowsPageUpAndDown}</dt>
          <dd>{words.onTheSalesScale}</dd>
        </div>
        <div>
          <dt>{words.altArrows}</dt>
          <dd>{words.onACandidatesName}</dd>
        </div>
        <div>
          <dt>?</dt>
          <dd>{words.inAPriceNotKnown}</dd>
        </div>
      </dl>
      <form method="dialog">
        <Button htmlType="submit">{words.close}</Button>
      </form>
    </>
  );
}
