import { describe, expect, it } from 'vitest';
import type { Workbench } from '#core/decision/workbench';
import type { Reason } from '#core/proposals/passed-over';
import { writerFor } from '../locale/writer';
import { firstReason, lackWords, namesIn, reasonWords, renewalWords, standingWords, unclearWords } from './reason-words';

const write = writerFor('en-GB');
const names = { nameOf: (id: string) => ({ club: 'Club', seat: 'Seat', fee: 'With an outside processor' })[id] ?? id, proposed: 'Plus' };
const words = (reason: Reason) => reasonWords(reason, names, write);

describe('a renewal price that is not known', () => {
  const open = { plan: 'seed', atLeast: '36.20', months: 12, currency: 'USD', below: '90.5' };

  it('says what the plan costs at least, and below which price it costs less', () => {
    expect(renewalWords(open, 'Plus', write)).toBe(
      'at least 36; its renewal price is not known. Below $90.50 by the year it costs less than Plus',
    );
    expect(renewalWords(open, null, write)).toMatch(/Below \$90\.50 by the year nothing else costs less$/);
  });

  it('says where no price would make it the cheaper one, or there is nothing to set it against', () => {
    expect(renewalWords({ ...open, below: null }, 'Plus', write)).toBe(
      'at least 36; its renewal price is not known, but Plus costs less whatever it is',
    );
    expect(renewalWords({ ...open, below: null }, null, write)).toBe('at least 36; its renewal price is not known');
  });
});

describe('why a plan is passed over', () => {
  it('says what it lacks, and what nobody knows', () => {
    expect(words({ kind: 'missing', features: ['gift-cards', 'video'], unclear: [] })).toBe('no gift cards, no video');
    expect(words({ kind: 'missing', features: ['gift-cards'], unclear: ['export'] })).toBe('no gift cards; not known: export');
    expect(words({ kind: 'missing', features: [], unclear: [] })).toBe('cannot be used');
  });

  it('says by how much it is dearer, and with what', () => {
    expect(words({ kind: 'dearer', by: '34.20', addons: [], lacks: [] })).toBe('34 dearer than Plus');
    expect(words({ kind: 'dearer', by: '34.20', addons: ['club', 'seat'], lacks: ['gift-cards'] })).toBe(
      'no gift cards; with Club and Seat 34 dearer than Plus',
    );
    expect(words({ kind: 'dearer', by: '0.00', addons: [], lacks: [] })).toBe('as dear as Plus');
    expect(words({ kind: 'dearer', by: '0.00', addons: ['seat'], lacks: [] })).toBe('with Seat as dear as Plus');
  });

  it('says when it is outgrown and by how much of what', () => {
    expect(words({ kind: 'outgrown', month: '2027-06', limit: 'visits', quantity: 'visits', reaches: '27000.4' })).toBe(
      'outgrown in June 2027: 27,000 visits',
    );
  });

  it('says which price is not known', () => {
    expect(words({ kind: 'not-known', charges: [] })).toBe('not known: what it costs');
    expect(words({ kind: 'not-known', charges: ['fee'] })).toBe('not known: with an outside processor');
  });

  it('speaks of what must not be there, and of connections, as people do', () => {
    expect(lackWords('without-platform-adverts')).toBe('has platform adverts');
    expect(lackWords('gives-bookkeeping')).toBe('hands no data on to bookkeeping');
    expect(lackWords('takes-stock-list')).toBe('takes no data from stock list');
    expect(unclearWords('without-adverts')).toBe('whether it has adverts');
    expect(unclearWords('gives-bookkeeping')).toBe('gives data to bookkeeping');
  });
});

describe('why a candidate cannot be used', () => {
  it('says all of it, and nothing where it can', () => {
    const standing = { outgrown: { month: '2028-06', limit: 'video-hours' }, missing: ['own-domain'], unclear: ['export'] };
    expect(standingWords(standing, (month) => write.month(month))).toBe(
      'no own domain; not known: export; outgrown in June 2028: video hours',
    );
    expect(standingWords({ outgrown: null, missing: [], unclear: [] }, (month) => month)).toBe('');
    expect(firstReason(standing, (month) => write.month(month))).toBe('no own domain and 2 more');
    expect(firstReason({ ...standing, missing: [], unclear: [] }, (month) => write.month(month))).toBe('outgrown in June 2028');
    expect(firstReason({ outgrown: null, missing: [], unclear: [] }, (month) => month)).toBe('');
  });
});

describe('names', () => {
  it('of add-ons and charges come from the sheets, whatever kind of sheet it is', () => {
    const sheets: Workbench['sheets'] = [
      {
        id: 's',
        revision: 1,
        sheet: {
          kind: 'offer',
          offer: {
            id: 'o',
            vendor: 'V',
            label: 'V',
            kind: 'k',
            plans: [
              {
                id: 'p',
                label: 'Plus',
                currency: 'EUR',
                terms: [],
                charges: [{ id: 'c', label: 'Card fee', how: 'per-order', percent: '1' }],
              },
            ],
            addons: [{ id: 'a', label: 'Club', currency: 'EUR' }],
          },
        },
      },
      {
        id: 't',
        revision: 1,
        sheet: {
          kind: 'processor',
          processor: {
            id: 'x',
            label: 'Tally',
            currency: 'EUR',
            charges: [{ id: 'y', label: 'Tally fee', how: 'per-order', percent: '1' }],
          },
        },
      },
    ];
    const nameOf = namesIn({ sheets });
    expect(['p', 'c', 'a', 'x', 'y', 'elsewhere'].map(nameOf)).toEqual(['Plus', 'Card fee', 'Club', 'Tally', 'Tally fee', 'elsewhere']);
  });
});
