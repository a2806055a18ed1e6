import type { NextFunction, Request as ExpressRequest, Response as ExpressResponse } from 'express';
import { describe, expect, it } from 'vitest';
import { newStream } from '#core/decision/edit-forecast';
import type { Decision } from '#core/decision/decision-schema';
import type { UsedSheet } from '#core/decision/workbench';
import { readBody, refusalOf, saveRequestSchema, stepRequestSchema } from './save-request.server';
import { accessFrom } from './access';
import { refuseForeignRequests, refuseLargeBodies, refuseUnknownRequests } from './security';

/** What a guard does with a request: lets it pass, or answers it with a status and a page. */
function guarded(
  guard: (request: ExpressRequest, response: ExpressResponse, next: NextFunction) => void,
  method: string,
  headers: Record<string, string>,
  url = '/',
) {
  let passed = false;
  const answer = { status: 200, page: '' };
  const response = {
    status: (code: number) => ((answer.status = code), response),
    type: () => response,
    set: () => response,
    send: (page: string) => ((answer.page = page), response),
    end: () => response,
  };
  guard({ method, headers, url, path: url } as unknown as ExpressRequest, response as unknown as ExpressResponse, () => (passed = true));
  return { passed, ...answer };
}

describe('refuseForeignRequests', () => {
  const own = { host: '127.0.0.1:4173' };
  it.each([
    ['GET', own, true],
    ['POST', { ...own, origin: 'http://127.0.0.1:4173' }, true],
    ['POST', own, true],
    ['POST', { ...own, origin: 'http://127.0.0.1:5000' }, false],
    ['POST', { ...own, origin: 'https://elsewhere.example' }, false],
    ['POST', { ...own, origin: 'null' }, false],
    ['DELETE', { ...own, 'sec-fetch-site': 'cross-site' }, false],
    ['GET', { host: 'elsewhere.example' }, false],
    ['GET', { host: '127.0.0.1.elsewhere.example:4173' }, false],
    ['GET', { host: 'localhost:4173' }, true],
    ['GET', { host: '[::1]:4173' }, true],
  ])('%s with %j passes: %s', (method, headers, passes) => {
    const { passed, status, page } = guarded(
      refuseForeignRequests(accessFrom({}), () => false),
      method,
      headers,
    );
    expect(passed).toBe(passes);
    if (!passes) expect([403, 421]).toContain(status);
    if (!passes) expect(page).toContain('Back to your decisions');
  });

  it.each([
    [{ HOST: '127.0.0.1' }, 'elsewhere.example:4173', false, 421],
    [{ HOST: '0.0.0.0' }, 'elsewhere.example', true, 421],
    [{ HOST: '0.0.0.0' }, '127.0.0.1:4173', true, 200],
    [{ HOST: '192.168.7.7' }, '192.168.7.7:4173', true, 200],
    [{ HOST: '192.168.7.7' }, '192.168.7.8:4173', true, 421],
    [{ HOST: '192.168.7.7' }, '192.168.7.7:4173', false, 403],
    [{ ALLOWED_HOSTS: 'kites.example, other.example' }, 'Kites.example', true, 200],
    [{ ALLOWED_HOSTS: 'kites.example' }, 'kites.example', false, 403],
    [{ ALLOWED_HOSTS: 'kites.example' }, 'not-kites.example', true, 421],
    [{ HOST: '::1' }, '[::1]:4173', false, 200],
    [{}, '', false, 421],
  ])('with %j, under %j, password set: %s → %i', (environment, host, isSet, expected) => {
    expect(
      guarded(
        refuseForeignRequests(accessFrom(environment), () => isSet),
        'GET',
        { host },
      ).status,
    ).toBe(expected);
  });

  it('whatever came through a proxy needs a password, also under the computer’s own name', () => {
    const through = (isSet: boolean) =>
      guarded(
        refuseForeignRequests(accessFrom({}), () => isSet),
        'GET',
        { host: 'localhost', 'x-forwarded-for': '203.0.113.7' },
      ).status;
    expect([through(false), through(true)]).toEqual([403, 200]);
  });
});

describe('whom the server is open to', () => {
  it.each([
    [{}, '127.0.0.1', false],
    [{ HOST: ' ' }, '127.0.0.1', false],
    [{ HOST: 'localhost' }, 'localhost', false],
    [{ HOST: '127.4.5.6' }, '127.4.5.6', false],
    [{ HOST: '[::1]' }, '[::1]', false],
    [{ HOST: '0.0.0.0' }, '0.0.0.0', true],
    [{ HOST: '::' }, '::', true],
    [{ HOST: '127.0.0.1.elsewhere.example' }, '127.0.0.1.elsewhere.example', true],
    [{ HOST: '10.0.0.5' }, '10.0.0.5', true],
  ])('%j: at %s, beyond this computer: %s', (environment, host, isOpen) => {
    expect(accessFrom(environment)).toMatchObject({ host, isOpen });
  });
});

describe('refuseUnknownRequests', () => {
  it.each([
    ['GET', '/decisions', 200],
    ['TRACE', '/decisions', 405],
    ['PUT', '/decisions', 405],
    ['GET', '/decisions/%E0%A4%A', 400],
    ['GET', '//elsewhere.example/', 400],
    ['GET', `/${'x'.repeat(9_000)}`, 400],
    ['GET', '/decisions/%F0%9F%AA%81/frame', 200],
  ])('%s %s → %i', (method, url, expected) => {
    expect(guarded(refuseUnknownRequests, method, {}, url).status).toBe(expected);
  });
});

describe('refuseLargeBodies', () => {
  it.each([
    [{ 'content-length': String(5 * 1024 * 1024) }, true, 200],
    [{ 'content-length': String(5 * 1024 * 1024 + 1) }, false, 413],
    [{ 'transfer-encoding': 'chunked' }, false, 411],
    [{}, true, 200],
  ])('%j passes: %s', (headers, passes, status) => {
    expect(guarded(refuseLargeBodies, 'POST', headers)).toMatchObject({ passed: passes, status });
  });
});

describe('what is sent to be saved', () => {
  const decision: Decision = {
    name: 'q',
    currency: 'EUR',
    start: '2027-01',
    months: 12,
    forecast: { streams: [newStream('s', 'Sales')] },
    candidates: [],
  };
  const post = (body: string) => new Request('http://127.0.0.1/', { method: 'POST', body });

  it('is read as what it should be, or says what is wrong where', async () => {
    const whole = { key: 'k', label: 'l', revision: 3, decision, sheets: [] };
    expect(await readBody(post(JSON.stringify(whole)), saveRequestSchema)).toEqual({ value: whole });
    const wrong = { ...whole, decision: { ...decision, months: 500, currency: undefined } };
    expect(await readBody(post(JSON.stringify(wrong)), saveRequestSchema)).toEqual({
      why: 'decision.currency: found nothing; use a currency code such as EUR (and 1 more)',
    });
    expect(await readBody(post('not json'), stepRequestSchema)).toMatchObject({
      why: expect.stringContaining('use an object') as string,
    });
  });

  it('is refused if it could never be computed', () => {
    const sheet = (id: string): UsedSheet => ({
      id: `sheet-${id}`,
      revision: 1,
      sheet: {
        kind: 'offer',
        offer: { id, vendor: 'v', label: 'v', kind: 'x', plans: [{ id: 'same', label: 'p', currency: 'EUR', terms: [] }] },
      },
    });
    expect(refusalOf(decision, [sheet('a')])).toBeNull();
    expect(refusalOf(decision, [sheet('a'), sheet('b')])).toBe('offers[1].plans[0].id: found "same"; use an id that is not used yet');
  });

  it('is kept although something cannot be priced yet', () => {
    const foreign: UsedSheet = {
      id: 's',
      revision: 1,
      sheet: {
        kind: 'offer',
        offer: {
          id: 'a',
          vendor: 'v',
          label: 'v',
          kind: 'x',
          plans: [{ id: 'p', label: 'p', currency: 'GBP', terms: [{ id: 't', months: 1, price: '5' }] }],
        },
      },
    };
    expect(refusalOf({ ...decision, candidates: [{ id: 'A', label: 'A', plans: [{ plan: 'p', term: 't' }] }] }, [foreign])).toBeNull();
  });
});
