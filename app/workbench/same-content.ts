import type { Workbench } from '#core/decision/workbench';

/** Whether two benches hold the same, whatever the revisions of their sheets and verdicts and the order of their fields. */
export function isSameContent(a: Workbench, b: Workbench): boolean {
  return contentText(a) === contentText(b);
}

function contentText({ decision, sheets }: Workbench): string {
  return JSON.stringify([decision, sheets.map(({ id, sheet }) => [id, sheet])], (key, value: unknown) =>
    key === 'madeFrom' ? undefined : inOrder(value),
  );
}

/** A record with its fields in the order of their names; anything else as it is. */
function inOrder(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(Object.entries(value).sort(([one], [other]) => (one < other ? -1 : 1)));
}
