import type { Workbench } from '#core/decision/workbench';
import { VERSION_NAMES, type VersionName } from '#core/forecast/versions';
import { sheetLabel } from '#core/decision/sheet-label';
import { PLACES } from '../workbench/place-registry';
import { commands as texts } from './words/commands';

/** What somebody can do or where they can go by typing its name. */
export interface Command {
  /** As it is read and found. */
  readonly name: string;
  /** Where it belongs, in a word or two; it is searched as well. */
  readonly of: string;
  readonly does: CommandEffect;
}

/** What choosing a command does. */
export type CommandEffect =
  | { readonly kind: 'go'; readonly to: string }
  | { readonly kind: 'download'; readonly from: string }
  | { readonly kind: 'step'; readonly step: 'undo' | 'redo' }
  | { readonly kind: 'version'; readonly version: VersionName }
  | { readonly kind: 'keys' };

interface Looked {
  readonly decisionId: string;
  readonly workbench: Workbench;
  /** What undo and redo would do, in words; null where there is nothing. */
  readonly undo: string | null;
  readonly redo: string | null;
  readonly version: VersionName;
}

/** Everything that can be done or gone to from a decision, the nearest first. */
export function commandsFor({ decisionId, workbench, undo, redo, version }: Looked): Command[] {
  const at = `/decisions/${decisionId}`;
  const go = (name: string, of: string, to: string): Command => ({ name, of, does: { kind: 'go', to } });
  const steps = [
    ...(undo === null ? [] : [{ name: texts.undo(undo), of: texts.lastChange, does: { kind: 'step', step: 'undo' } as const }]),
    ...(redo === null ? [] : [{ name: texts.redo(redo), of: texts.lastChange, does: { kind: 'step', step: 'redo' } as const }]),
  ];
  const places = PLACES.flatMap((place) => [
    go(texts.goTo(place.name), texts.place, `${at}/${place.path}`),
    ...('leaves' in place
      ? place.leaves
          .filter(({ path }) => path !== '')
          .map(({ path, name }) => go(texts.goToName(name), place.name, `${at}/${place.path}/${path}`))
      : []),
  ]);
  const sheets = workbench.sheets.map(({ id, sheet }) =>
    go(texts.openThePricesOf(sheetLabel(sheet)), texts.priceSheet, `${at}/sheets/${id}`),
  );
  const versions = VERSION_NAMES.filter((name) => name !== version).map((name): Command => ({
    name: texts.lookAtTheSales(name),
    of: texts.expectedSales,
    does: { kind: 'version', version: name },
  }));
  return [
    ...steps,
    ...places,
    ...sheets,
    ...versions,
    { name: texts.takeTheFiguresAlong, of: texts.file, does: { kind: 'download', from: `${at}/workbook.xlsx` } },
    { name: texts.takeThisDecisionAlong, of: texts.file, does: { kind: 'download', from: `${at}/export` } },
    { name: texts.putTheDatesInYourCalendar, of: texts.file, does: { kind: 'download', from: `${at}/dates.ics` } },
    go(texts.goToAllYourDecisions, 'Venalis', '/decisions'),
    go(texts.lookWhetherPricesHave, texts.priceWatch, '/watch'),
    go(texts.backUpOrBring, texts.yourData, '/data'),
    go(texts.readHowItIsWorked, texts.help, '/how'),
    { name: texts.showTheKeys, of: 'help', does: { kind: 'keys' } },
  ];
}

/**
 * The commands that are meant by what was typed: each of its words begins a word of the name or of where it belongs;
 * those whose name begins so come first.
 *
 * @example commandsMeant(all, 'exp sal') // “Go to Expected sales” and what else is about it
 */
export function commandsMeant(commands: readonly Command[], typed: string): Command[] {
  const words = wordsOf(typed);
  if (words.length === 0 && typed.trim() !== '') return [];
  const meant = commands.filter(({ name, of }) => {
    const searched = wordsOf(`${name} ${of}`);
    return words.every((word) => searched.some((one) => one.startsWith(word)));
  });
  const nearness = ({ name }: Command) => (words.every((word) => wordsOf(name).some((one) => one.startsWith(word))) ? 0 : 1);
  return meant.toSorted((a, b) => nearness(a) - nearness(b));
}

function wordsOf(text: string): string[] {
  return text
    .normalize('NFD')
    .replaceAll(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean);
}
