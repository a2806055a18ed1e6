import { describe, expect, it } from 'vitest';
import { pastedPage } from './pasted-page';

const pasted = (text: string, html = '') => pastedPage({ getData: (type) => (type === 'text/html' ? html : text) });
const PAGE = ['Seed', '19/mo', '', 'Grow', '59/mo', 'Card fee 1.9%'].join('\n');

describe('what is pasted', () => {
  it('is a page from five lines on, as markup where there is any', () => {
    expect(pasted(PAGE)).toBe(PAGE);
    expect(pasted(PAGE, '<h2>Seed</h2>')).toBe('<h2>Seed</h2>');
    expect(pasted('Seed\n\n19/mo\n\nGrow\n59/mo')).toBeNull();
  });

  it('is a line to go on typing where it is short, also out of a page', () => {
    expect(pasted('19/mo')).toBeNull();
    expect(pasted('19/mo', '<b>19/mo</b>')).toBeNull();
  });

  it('is a table however short it is', () => {
    expect(pasted('Seats\t2\t5\nPrice\t19\t59')).toBe('Seats\t2\t5\nPrice\t19\t59');
    expect(pasted('Seats\t2\t5')).toBeNull();
    expect(pasted('2', '<TABLE ><tr><td>2</td></tr></table>')).toContain('<td>2</td>');
  });
});
