import { brand as words } from './words/brand';

/** The name of the application, as it stands at the head of every page. */
export function Brand() {
  return (
    <>
      {words.name}
      <i>.</i>
    </>
  );
}
