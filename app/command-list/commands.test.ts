import { describe, expect, test } from 'vitest';
import { kiteDecision } from '#core/tests/kite-decision';
import { workbenchOf } from '#core/tests/workbench-of';
import { PLACES } from '../workbench/place-registry';
import { type Command, commandsFor, commandsMeant } from './commands';

const workbench = workbenchOf(kiteDecision());
const all = (changed: Partial<Parameters<typeof commandsFor>[0]> = {}) =>
  commandsFor({ decisionId: 'kites', workbench, undo: null, redo: null, version: 'expected', ...changed });
const names = (commands: readonly Command[]) => commands.map(({ name }) => name);

describe('commandsFor', () => {
  test('begins with what undo and redo would do, where there is something', () => {
    expect(names(all({ undo: 'orders a month', redo: null })).slice(0, 2)).toEqual(['Undo: orders a month', 'Go to Basics']);
    expect(names(all({ redo: 'the horizon' }))[0]).toBe('Redo: the horizon');
    expect(names(all()).filter((name) => /^(Un|Re)do/.test(name))).toEqual([]);
  });

  test('goes to every place and to each of its leaves once', () => {
    const goes = all().flatMap(({ does }) => (does.kind === 'go' ? [does.to] : []));
    for (const { path } of PLACES) expect(goes.filter((to) => to === `/decisions/kites/${path}`)).toHaveLength(1);
    expect(goes).toContain('/decisions/kites/verdict/afterwards');
    expect(new Set(goes).size).toBe(goes.length);
  });

  test('opens the prices of every vendor of the decision by its name', () => {
    const opened = all().filter(({ name }) => name.startsWith('Open the prices of'));
    expect(opened).toHaveLength(workbench.sheets.length);
    expect(opened[0]).toEqual({
      name: 'Open the prices of Alder',
      of: 'price sheet',
      does: { kind: 'go', to: '/decisions/kites/sheets/s0' },
    });
  });

  test('offers the two versions of expected sales that are not looked at', () => {
    expect(names(all({ version: 'cautious' })).filter((name) => name.startsWith('Look at'))).toEqual([
      'Look at the expected sales',
      'Look at the hopeful sales',
    ]);
  });
});

describe('commandsMeant', () => {
  test('finds by the beginnings of words, in any order, whatever the case and the accents', () => {
    expect(names(commandsMeant(all(), 'SAL éxp'))).toContain('Go to Expected sales');
    expect(names(commandsMeant(all(), 'xpected'))).toEqual([]);
  });

  test('those whose own name is meant stand before those that only belong there', () => {
    const found = names(commandsMeant(all(), 'verdict'));
    expect(found[0]).toBe('Go to Verdict');
    expect(found).toContain('Go to Afterwards');
  });

  test('nothing typed finds everything, in its order', () => {
    expect(commandsMeant(all(), '  ')).toEqual(all());
    expect(commandsMeant(all(), '(((')).toEqual([]);
  });
});
