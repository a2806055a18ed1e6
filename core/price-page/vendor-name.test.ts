import { describe, expect, it } from 'vitest';
import type { PlainLine } from './plain-line';
import { vendorOf } from './vendor-name';

const lines = (...texts: readonly string[]) => texts.map((text, at): PlainLine => ({ kind: 'line', line: at + 1, text, plain: text }));

describe('whose page it is', () => {
  it.each([
    ['the name that its title has, too', lines('Teach', 'Plumbrook'), 'Pricing | Plumbrook', 'Plumbrook'],
    [
      'else the name that other lines say again',
      lines('24/7 support', 'Fast hosting', 'Pebblewick', '© 2026 Pebblewick'),
      '',
      'Pebblewick',
    ],
    ['but not one that is only the beginning of another word', lines('Plumbrook', 'Teach', 'You may try Teacher'), '', 'Plumbrook'],
    [
      'the first line rather than one of the site’s links',
      lines('Ruddock Hosting', 'Hosting', 'Domains', 'Hosting plans'),
      '',
      'Ruddock Hosting',
    ],
    ['no link that is said again', lines('24/7 support', 'Events', 'Siskin', 'Events and chat'), '', 'Siskin'],
    ['its title without what the page is about', lines('Host your videos'), 'Grebe Video pricing', 'Grebe Video'],
    ['the first line without what it is about', lines('Limpet Lane pricing 2026', '9.90 a month'), '', 'Limpet Lane'],
    ['no praise of the prices', lines('Simple pricing', '9.90 a month'), '', ''],
    ['nothing where no line reads as a name', lines('12 plans', 'for all of you'), '', ''],
  ])('%s', (_case, page, title, expected) => expect(vendorOf(page, title, [])).toBe(expected));

  it('is no plan of it, and nothing that a plan has', () => {
    expect(vendorOf(lines('Solo', 'Oakmere'), '', ['Solo'])).toBe('Oakmere');
    const [plan, ...others] = lines('Klein', 'Unbegrenzte Produkte');
    expect(vendorOf(plan ? [plan, ...others.map((line) => ({ ...line, plain: 'unlimited products' }))] : [], '', ['Klein'])).toBe('');
  });
});
