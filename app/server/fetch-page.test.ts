import { createServer, type RequestListener, type Server } from 'node:http';
import { type AddressInfo, createServer as createRawServer } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { fetchPage, isPrivateAddress } from './fetch-page.server';

let servers: Server[] = [];
afterEach(() => {
  for (const server of servers) {
    server.close();
    server.closeAllConnections();
  }
  servers = [];
});

/** A server on this computer; its host is what the person may have allowed. */
async function serving(listener: RequestListener): Promise<{ address: string; host: string }> {
  const server = createServer(listener);
  servers.push(server);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const host = `127.0.0.1:${(server.address() as AddressInfo).port}`;
  return { address: `http://${host}/`, host };
}

const limits = (privateHosts: string[], timeoutMs = 2_000) => ({ privateHosts, timeoutMs, mostBytes: 1_000 });

describe('a page from outside', () => {
  it('is fetched where its host is allowed, also behind a redirect on it', async () => {
    const { address, host } = await serving((request, response) => {
      if (request.url === '/') response.writeHead(302, { Location: '/there' }).end();
      else response.end('prices – ä');
    });
    expect(await fetchPage(address, limits([host]))).toEqual({ ok: true, text: 'prices – ä' });
  });

  it('is not fetched from a private network that nobody allowed', async () => {
    let asked = 0;
    const { address, host } = await serving((_request, response) => {
      asked += 1;
      response.end('secret');
    });
    expect(await fetchPage(address, limits([]))).toMatchObject({
      ok: false,
      problem: expect.stringContaining('private network') as string,
    });
    // The name of this computer resolves to it; a port that is allowed allows no other.
    expect(await fetchPage(address.replace('127.0.0.1', 'localhost'), limits([host]))).toMatchObject({ ok: false });
    expect(await fetchPage(address, limits([host.replace(/\d+$/, '1')]))).toMatchObject({ ok: false });
    expect(asked).toBe(0);
  });

  it('does not follow into a private network', async () => {
    let asked = 0;
    const secret = await serving((_request, response) => {
      asked += 1;
      response.end('secret');
    });
    const { address, host } = await serving((_request, response) => response.writeHead(302, { Location: secret.address }).end());
    expect(await fetchPage(address, limits([host]))).toMatchObject({ ok: false, problem: expect.stringContaining(secret.host) as string });
    expect(asked).toBe(0);
  });

  it('is asked for again where its server is only busy, and not where it says no', async () => {
    const asked: Record<string, number> = {};
    const { address, host } = await serving(({ url = '' }, response) => {
      asked[url] = (asked[url] ?? 0) + 1;
      if (url === '/none') response.writeHead(404).end();
      else if (asked[url] < 3) response.writeHead(503).end();
      else response.end('prices');
    });
    expect(await fetchPage(`${address}busy`, limits([host], 10_000))).toEqual({ ok: true, text: 'prices' });
    expect(await fetchPage(`${address}none`, limits([host], 10_000))).toEqual({ ok: false, problem: 'it answered with 404' });
    expect(asked).toEqual({ '/busy': 3, '/none': 1 });
  });

  it.each([
    ['another protocol', 'file:///etc/passwd', /file:/],
    ['no address', 'no address', /cannot be read/],
    ['an address that redirects to none', 'http://[', /cannot be read/],
  ])('%s is refused', async (_what, address, problem) => {
    const page = await fetchPage(address, limits([]));
    expect(page.ok ? '' : page.problem).toMatch(problem);
  });

  it.each<[string, RequestListener, RegExp]>([
    ['away', (_request, response) => response.writeHead(503).end(), /answered with 503/],
    ['too large', (_request, response) => response.end('x'.repeat(2_000)), /larger/],
    [
      'half-written',
      (_request, response) => {
        response.writeHead(200, { 'Content-Length': 500 });
        response.write('half');
        setImmediate(() => response.destroy());
      },
      /broke off/,
    ],
    ['leading round in circles', (_request, response) => response.writeHead(302, { Location: '/' }).end(), /without end/],
    ['leading elsewhere', (_request, response) => response.writeHead(302, { Location: 'ftp://example.invalid/' }).end(), /ftp:/],
  ])('%s is said in words', async (_what, listener, problem) => {
    const { address, host } = await serving(listener);
    const page = await fetchPage(address, limits([host]));
    expect(page.ok ? '' : page.problem).toMatch(problem);
  });

  it('is not waited for longer than the whole time, even if it goes on a little at a time', async () => {
    const { address, host } = await serving((_request, response) => {
      response.write('a');
      const timer = setInterval(() => response.write('a'), 20);
      response.once('close', () => clearInterval(timer));
    });
    expect(await fetchPage(address, limits([host], 200))).toMatchObject({
      ok: false,
      problem: expect.stringContaining('no whole answer') as string,
    });
  });

  it.each([
    ['changes to another protocol', 'HTTP/1.1 101 Switching Protocols\r\nUpgrade: x\r\nConnection: Upgrade\r\n\r\n', /no page/],
    ['only ever promises an answer', 'HTTP/1.1 103 Early Hints\r\nLink: </a.css>\r\n\r\n', /no whole answer/],
    ['says nothing at all', '', /no whole answer/],
  ])('that %s is not waited for', async (_what, raw, problem) => {
    const server = createRawServer((socket) => socket.once('data', () => socket.write(raw)).on('error', () => undefined));
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const host = `127.0.0.1:${(server.address() as AddressInfo).port}`;
    const page = await fetchPage(`http://${host}/`, limits([host], 300));
    server.close();
    expect(page.ok ? '' : page.problem).toMatch(problem);
  });

  it('of which our own time limit cut off the rest is not taken for whole', async () => {
    // Without a length or an end that is told, only the connection’s end says where the page ends.
    const server = createRawServer((socket) =>
      socket
        .once('data', () => socket.write('HTTP/1.1 200 OK\r\nContent-Type: text/html\r\n\r\n<p>27 a month, and'))
        .on('error', () => undefined),
    );
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const host = `127.0.0.1:${(server.address() as AddressInfo).port}`;
    expect(await fetchPage(`http://${host}/`, limits([host], 200))).toMatchObject({ ok: false });
    server.close();
  });

  it('is said to be nobody’s where nobody answers', async () => {
    const { address, host } = await serving((_request, response) => response.end());
    await new Promise((resolve) => servers[0]?.close(resolve));
    expect(await fetchPage(address, limits([host]))).toMatchObject({ ok: false, problem: 'nobody answers there' });
  });
});

describe('private addresses', () => {
  it.each([
    '127.0.0.1',
    '10.1.2.3',
    '172.16.0.1',
    '172.31.255.255',
    '192.168.1.1',
    '169.254.169.254',
    '100.64.0.1',
    '0.0.0.0',
    '224.0.0.1',
    '::1',
    '::',
    'fc00::1',
    'fd12::1',
    'fe80::1',
    '::ffff:127.0.0.1',
    '::ffff:7f00:1',
    '64:ff9b::a00:1',
    '::127.0.0.1',
    '::7f00:1',
    '64:ff9b:1::1',
    '2002:7f00:1::',
    '2001:0:1::1',
    'fec0::1',
    '2001:db8::1',
  ])('%s is one', (address) => {
    expect(isPrivateAddress(address)).toBe(true);
  });

  it.each(['8.8.8.8', '172.32.0.1', '192.169.0.1', '2606:4700::1111', '1.1.1.1'])('%s is none', (address) => {
    expect(isPrivateAddress(address)).toBe(false);
  });
});
