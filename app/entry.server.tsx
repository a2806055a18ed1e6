import { PassThrough } from 'node:stream';
import { createReadableStreamFromReadable } from '@react-router/node';
import { createCache, StyleProvider } from '@ant-design/cssinjs';
import { renderToPipeableStream } from 'react-dom/server';
import { type EntryContext, type RouterContextProvider, ServerRouter } from 'react-router';
import { nonceContext } from './server/nonce';

const ABORT_AFTER_MS = 6_000;

/** Renders a page on the server, whole, so that it is styled and complete on the first paint. */
export default function handleRequest(
  request: Request,
  status: number,
  headers: Headers,
  routerContext: EntryContext,
  context: RouterContextProvider,
): Promise<Response> | Response {
  if (request.method === 'HEAD') return new Response(null, { status, headers });
  const nonce = context.get(nonceContext);
  return new Promise((resolve, reject) => {
    let answer = status;
    const { pipe, abort } = renderToPipeableStream(
      <StyleProvider cache={createCache()}>
        <ServerRouter context={routerContext} url={request.url} nonce={nonce} />
      </StyleProvider>,
      {
        nonce,
        onAllReady() {
          const body = new PassThrough();
          headers.set('Content-Type', 'text/html; charset=utf-8');
          headers.set('Cache-Control', 'no-store');
          resolve(new Response(createReadableStreamFromReadable(body), { headers, status: answer }));
          pipe(body);
        },
        onShellError: (error) => reject(error instanceof Error ? error : new Error('The page could not be rendered')),
        onError(error) {
          answer = 500;
          console.error(error);
        },
      },
    );
    setTimeout(abort, ABORT_AFTER_MS).unref();
  });
}

/** Keeps the log to what is worth reading: unexpected errors, not refused requests. */
export function handleError(error: unknown, { request }: { request: Request }): void {
  if (!request.signal.aborted) console.error(error);
}
