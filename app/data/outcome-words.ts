import type { ImportOutcome } from '#data/import-everything';

const counted = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

/** What became of an import, in sentences. */
export function outcomeWords({ added, there, beside, sheets }: ImportOutcome): string {
  return [
    `${counted(added + beside, 'decision', 'decisions')} and ${counted(sheets, 'price sheet', 'price sheets')} imported.`,
    ...(beside > 0
      ? [`${counted(beside, 'decision of the file differs', 'decisions of the file differ')} from the one here, so both are kept.`]
      : []),
    ...(there > 0 ? [`${counted(there, 'decision was', 'decisions were')} here already, exactly as in the file.`] : []),
  ].join(' ');
}
