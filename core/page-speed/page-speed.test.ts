import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { differentConditions, pageSpeed } from './compare';
import { measurementSchema } from '../decision/measurement-schema';
import { readRecording, UnreadableRecording } from './read-recording';
import { LARGEST_RECORDING } from './recording-size';

const entry = (url: string, more: object = {}) => ({
  startedDateTime: '2026-11-20T10:00:00Z',
  time: 5,
  request: { method: 'GET', url },
  response: { status: 200, headersSize: 100, bodySize: 900, content: { size: 3000 } },
  ...more,
});
const recording = (entries: unknown[], more: object = {}) =>
  JSON.stringify({
    log: {
      version: '1.2',
      browser: { name: 'Browser', version: '141.0.2' },
      pages: [
        { startedDateTime: '2026-11-20T10:00:00+01:00', id: 'p', title: '<b>x</b>', pageTimings: { onContentLoad: 640.4, onLoad: 1210.6 } },
      ],
      entries,
      ...more,
    },
  });
const read = (text: string) => readRecording(text, 'page.har', 'm1');

describe('reading a recording', () => {
  it('gives load time, bytes, requests and who else is called', () => {
    const measured = read(
      recording([
        entry('https://demo.tidewrack.example/kites'),
        entry('https://static.tidewrack.example/app.js', { response: { status: 200, _transferSize: 5000, headersSize: -1, bodySize: -1 } }),
        entry('https://numbers.example.net/count.js'),
        entry('https://numbers.example.net/more.js', { response: { status: 404, headersSize: 10, bodySize: 0 } }),
        entry('https://demo.tidewrack.example/old.css', {
          _fromCache: 'disk',
          response: { status: 200, _transferSize: 0, headersSize: 10, bodySize: 10 },
        }),
      ]),
    );
    expect(measured).toEqual({
      id: 'm1',
      file: 'page.har',
      page: 'demo.tidewrack.example/kites',
      at: '2026-11-20',
      browser: 'Browser 141',
      loadMs: 1211,
      contentMs: 640,
      requests: 5,
      bytes: 1000 + 5000 + 1000 + 10,
      cached: 1,
      failed: 1,
      thirdParties: [{ host: 'numbers.example.net', requests: 2, bytes: 1010 }],
    });
    expect(() => measurementSchema.parse(measured)).not.toThrow();
  });

  it('counts a site’s other names as its own, also where the ending has two parts', () => {
    expect(
      read(recording([entry('https://a.shop.co.uk/'), entry('https://b.shop.co.uk/x'), entry('https://other.co.uk/y')])).thirdParties.map(
        ({ host }) => host,
      ),
    ).toEqual(['other.co.uk']);
  });

  it('says what is wrong with a file that is none', () => {
    const problem = (text: string) => {
      try {
        return JSON.stringify(read(text));
      } catch (error) {
        return error instanceof UnreadableRecording ? error.message : 'something else';
      }
    };
    expect(problem('{"log": {"entries": [')).toContain('Was the file cut off');
    expect(problem('<html>')).toContain('This is not JSON');
    expect(problem('[]')).toContain('no “log” with “entries”');
    expect(problem(recording([]))).toContain('has no requests');
    expect(problem(recording([{ rubbish: 1 }, null, 7]))).toContain('has no requests');
    expect(problem(recording(Array.from({ length: 20_001 }, () => 1)))).toContain('up to 20000 are read');
    expect(problem(' '.repeat(LARGEST_RECORDING + 1))).toContain('up to 60 MB are read');
    expect(problem('['.repeat(100_000))).toContain('This is not JSON');
  });

  it('takes hostile figures for what they are: not known, or nothing', () => {
    const measured = read(
      recording(
        [
          entry('https://x.example/', { response: { status: 'two', headersSize: -5, bodySize: 'big' } }),
          entry('javascript:alert(1)'),
          entry('file:///etc/passwd'),
          entry(`https://x.example/${'a'.repeat(5000)}`, { response: { status: 200, bodySize: 1e300 } }),
        ],
        {
          pages: [{ startedDateTime: '2026-02-31T00:00', pageTimings: { onLoad: -1, onContentLoad: 'soon' } }],
          browser: { name: 'x'.repeat(5000), version: {} },
        },
      ),
    );
    expect(measured).toMatchObject({ loadMs: null, contentMs: null, at: null, requests: 2, failed: 1, bytes: 1e12 });
    expect(() => measurementSchema.parse(measured)).not.toThrow();
    expect(
      read(recording([entry('https://x.example/')]).replace('"version":"1.2"', '"version":"1.2","__proto__":{"polluted":1}')),
    ).toMatchObject({ requests: 1 });
    expect(({} as Record<string, unknown>)['polluted']).toBeUndefined();
  });
});

describe('comparing recordings', () => {
  const base = read(recording([entry('https://x.example/')]));
  it('takes the middle one of several', () => {
    expect(
      pageSpeed([
        { ...base, loadMs: 900 },
        { ...base, loadMs: 5000 },
        { ...base, loadMs: 1000 },
      ]),
    ).toMatchObject({ recordings: 3, loadMs: 1000, bytes: 1000 });
    expect(
      pageSpeed([
        { ...base, loadMs: 900 },
        { ...base, loadMs: 1000 },
      ])?.loadMs,
    ).toBe(950);
    expect(pageSpeed([{ ...base, loadMs: null }])?.loadMs).toBeNull();
    expect(pageSpeed([])).toBeNull();
  });

  it('warns where conditions differ, and says nothing where they do not', () => {
    const vendor = (label: string, change: object) => ({ label, measurements: [{ ...base, ...change }] });
    expect(differentConditions([vendor('A', {}), vendor('B', { at: '2026-11-30' })])).toEqual([]);
    expect(differentConditions([vendor('A', {}), vendor('B', { at: '2026-12-31' })])).toEqual(['Recorded up to 41 days apart.']);
    expect(differentConditions([vendor('A', {}), vendor('B', { browser: 'Other 9' })])[0]).toContain(
      'different browsers: Browser 141, Other 9',
    );
    expect(differentConditions([vendor('A', { cached: 1 }), vendor('B', { loadMs: null })])).toEqual([
      expect.stringContaining('first visit: A'),
      expect.stringContaining('had loaded: B'),
    ]);
    expect(differentConditions([vendor('A', { failed: 1, at: null })])).toEqual([
      'More than a tenth of the requests failed: A.',
      'Without a date: A.',
    ]);
    expect(differentConditions([])).toEqual([]);
  });
});

describe('any file at all', () => {
  const rubbish = fc.oneof(
    fc.string(),
    fc.json(),
    fc.jsonValue().map((log) => JSON.stringify({ log })),
    fc.array(fc.jsonValue(), { maxLength: 6 }).map((entries) => recording(entries)),
  );
  const entries = fc.array(
    fc.record({
      request: fc.record({ url: fc.oneof(fc.webUrl(), fc.string()) }),
      response: fc.oneof(
        fc.jsonValue(),
        fc.record({ status: fc.anything(), _transferSize: fc.double(), bodySize: fc.double(), headersSize: fc.integer() }),
      ),
      _fromCache: fc.anything({ maxDepth: 1 }),
    }),
    { minLength: 1, maxLength: 6 },
  );

  it('is read as figures that can be kept, or refused in words', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          rubbish,
          entries.map((all) => recording(all)),
        ),
        (text) => {
          try {
            const measured = read(text);
            expect(measurementSchema.safeParse(measured).success).toBe(true);
            expect(pageSpeed([measured])?.requests).toBe(measured.requests);
          } catch (error) {
            expect(error).toBeInstanceOf(UnreadableRecording);
          }
        },
      ),
      { numRuns: 500 },
    );
  });
});
