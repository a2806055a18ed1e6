import { Writable } from 'node:stream';
import { isMainThread } from 'node:worker_threads';
import { createCache, extractStyle, StyleProvider } from '@ant-design/cssinjs';
import { renderToPipeableStream } from 'react-dom/server';
import { type EntryContext, isRouteErrorResponse, type RouterContextProvider, ServerRouter } from 'react-router';
import { failuresContext, nonceContext } from './server/request-context';

const ABORT_AFTER_MS = 6_000;

/** The theme is the same for everybody, so its variables and styles are worked out once. */
const styles = createCache();

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
      <StyleProvider cache={styles}>
        <ServerRouter context={routerContext} url={request.url} nonce={nonce} />
      </StyleProvider>,
      {
        nonce,
        onAllReady() {
          headers.set('Content-Type', 'text/html; charset=utf-8');
          headers.set('Cache-Control', 'no-store');
          const whole = collect((html) => {
            // The theme's variables are known only now; without them the first paint would be unstyled.
            const page = html.replace('</head>', () => `${extractStyle(styles)}</head>`);
            resolve(new Response(page, { headers, status: answer }));
          });
          pipe(whole);
        },
        onShellError: (error) => reject(error instanceof Error ? error : new Error('The page could not be rendered')),
        onError(error) {
          answer = 500;
          context.get(failuresContext).push(error);
        },
      },
    );
    setTimeout(abort, ABORT_AFTER_MS).unref();
  });
}

/** A stream that gives all that was written to it at its end. */
function collect(done: (text: string) => void): Writable {
  const chunks: Buffer[] = [];
  return new Writable({
    write(chunk: Buffer, _encoding, next) {
      chunks.push(Buffer.from(chunk));
      next();
    },
    final(next) {
      done(Buffer.concat(chunks).toString('utf8'));
      next();
    },
  });
}

/** Notes an unexpected error for whoever answers the request; without anybody to do so, says it. */
export function handleError(error: unknown, { request, context }: { request: Request; context: Readonly<RouterContextProvider> }): void {
  // A refusal, such as of a method that an address has no use for, is an answer.
  if (request.signal.aborted || (isRouteErrorResponse(error) && error.status < 500)) return;
  if (isMainThread) console.error(error);
  else context.get(failuresContext).push(error);
}
