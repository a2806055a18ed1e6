import { describe, expect, it } from 'vitest';
import { liftKey, liftOf, percentOf, withPercent, withStreamsLifted } from './lift';

const some = { percent: '12.5', streams: ['kites', 'books'] };

describe('a lift', () => {
  it('multiplies the streams it is about, and no other', () => {
    expect(liftOf(undefined, 'kites').toFixed()).toBe('1');
    expect(liftOf('10', 'kites').toFixed()).toBe('1.1');
    expect(liftOf('-10', 'kites').toFixed()).toBe('0.9');
    expect(liftOf(some, 'kites').toFixed()).toBe('1.125');
    expect(liftOf(some, 'courses').toFixed()).toBe('1');
  });

  it('has one key however it is written, and none where it lifts nothing', () => {
    expect(liftKey(undefined)).toBe('');
    expect(liftKey('0.0')).toBe('');
    expect(liftKey({ percent: '5', streams: [] })).toBe('');
    expect(liftKey('5.0')).toBe(liftKey('5'));
    expect(liftKey(some)).toBe(liftKey({ percent: '12.50', streams: ['books', 'kites'] }));
    expect(new Set([liftKey('5'), liftKey('6'), liftKey({ percent: '5', streams: ['kites'] }), liftKey(some)]).size).toBe(4);
    // The order in which streams are written stays as it is.
    expect(some.streams).toEqual(['kites', 'books']);
  });

  it('has a percentage that can be changed, with the same streams', () => {
    expect([percentOf(undefined), percentOf('7'), percentOf(some)]).toEqual(['0', '7', '12.5']);
    expect(withPercent(some, '3')).toEqual({ percent: '3', streams: ['kites', 'books'] });
    expect(withPercent('7', '3')).toBe('3');
    expect(withPercent(undefined, '3')).toBe('3');
  });

  it('can be of other streams, with the same percentage; of all where none is named', () => {
    expect(withStreamsLifted('7', ['kites'])).toEqual({ percent: '7', streams: ['kites'] });
    expect(withStreamsLifted(some, [])).toBe('12.5');
    expect(withStreamsLifted(undefined, ['kites'])).toEqual({ percent: '0', streams: ['kites'] });
  });
});
