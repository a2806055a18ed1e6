import { describe, expect, it } from 'vitest';
import type { Stream } from '../decision-file/forecast-schema';
import { isHomeAndAbroad, newStream, shaped, shareAbroad, withKind, withSeries, withShareAbroad, withStream } from './edit-forecast';

describe('withSeries', () => {
  it('is written as plainly as it can be', () => {
    expect(withSeries('96', { start: '120' })).toBe('120');
    expect(withSeries('96', { growth: '1.2' })).toEqual({ start: '96', growth: '1.2' });
    expect(withSeries({ start: '96', growth: '1.2' }, { growth: undefined })).toBe('96');
    expect(withSeries(undefined, { start: '5' })).toBe('5');
  });

  it('keeps what is not changed', () => {
    const season = Array.from({ length: 12 }, () => '1.1');
    expect(withSeries({ start: '96', season }, { start: '10' })).toEqual({ start: '10', season });
    expect(shaped(withSeries({ start: '96', season }, { season: undefined }))).toEqual({ start: '96' });
  });
});

describe('streams', () => {
  const stream: Stream = newStream('s', 'Kites');

  it('change kind without losing their first figure', () => {
    const club = withKind({ ...stream, orders: { start: '15', growth: '2' } }, 'subscription');
    expect(club).toMatchObject({ kind: 'subscription', subscribers: { start: '15', joins: '0', churn: '0' } });
    expect(club).not.toHaveProperty('orders');
    expect(withKind(club, 'goods')).toMatchObject({ kind: 'goods', orders: '15' });
  });

  it('split their cards into home and abroad, adding up to 100', () => {
    const abroad = withShareAbroad(stream, '33.4');
    expect(abroad.cards).toEqual({ domestic: '66.6', international: '33.4' });
    expect(shareAbroad(abroad)).toBe('33.4');
    expect(shareAbroad(stream)).toBe('0');
    expect(isHomeAndAbroad(abroad)).toBe(true);
    expect(isHomeAndAbroad({ ...stream, cards: { domestic: '90', wallet: '10' } })).toBe(false);
  });

  it('are changed and removed by their id', () => {
    const forecast = { streams: [stream, newStream('t', 'Plans')] };
    expect(withStream(forecast, 't', (one) => ({ ...one, label: 'Patterns' })).streams.map(({ label }) => label)).toEqual(['Kites', 'Patterns']);
    expect(withStream(forecast, 's', () => null).streams.map(({ id }) => id)).toEqual(['t']);
  });
});
