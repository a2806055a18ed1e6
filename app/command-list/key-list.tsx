import { Button } from 'antd';
import type { Place } from '../workbench/places';

/** What each key of the workbench does. */
export default function KeyList({ places }: { places: readonly Place[] }) {
  return (
    <>
      <h2>Keys</h2>
      <dl>
        {places.map(({ name }, index) => (
          <div key={name}>
            <dt>Alt + {index + 1}</dt>
            <dd>{name}</dd>
          </div>
        ))}
        <div>
          <dt>Alt + 0</dt>
          <dd>type what you want to do or where to go</dd>
        </div>
        <div>
          <dt>Ctrl + Z</dt>
          <dd>undo, outside text fields</dd>
        </div>
        <div>
          <dt>Ctrl + Shift + Z</dt>
          <dd>redo</dd>
        </div>
        <div>
          <dt>Enter</dt>
          <dd>on a figure: how it came about</dd>
        </div>
        <div>
          <dt>arrows, Enter, F2, Space</dt>
          <dd>on a price sheet: move, edit a cell, go through not known, nothing, no limit, not offered; typing begins a figure</dd>
        </div>
        <div>
          <dt>arrows, Page up and down, digits</dt>
          <dd>on the sales scale: another level of sales; Escape goes back to your forecast</dd>
        </div>
        <div>
          <dt>Alt + arrows</dt>
          <dd>on a candidate’s name in the comparison: move it to the left or right</dd>
        </div>
        <div>
          <dt>?</dt>
          <dd>in a price: not known; outside text fields: this list</dd>
        </div>
      </dl>
      <form method="dialog">
        <Button htmlType="submit">Close</Button>
      </form>
    </>
  );
}
