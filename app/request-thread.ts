import { setPriority } from 'node:os';
import { workerData } from 'node:worker_threads';
import { createRequestHandler, RouterContextProvider } from 'react-router';
import * as build from 'virtual:react-router/server-build';
import { dataProblemKind } from '#data/data-problem';
import { UnreadableDocument } from '#data/unreadable';
import { takeSettings } from './server/database.server';
import { failuresContext, nonceContext, onlyLookingContext, signedInContext } from './server/request-context';
import type { AskedRequest, GivenAnswer, ThreadSettings } from './server/request-messages';
import { requestThread as words } from './words';

/** A niceness: 0 is the usual, 19 the least urgent. */
const GIVES_WAY = 5;

const answer = createRequestHandler(build, 'production');
const settings = workerData as ThreadSettings;
takeSettings(settings);
giveWay(settings);

/**
 * Answers a request as the application does, in a thread of its own: whatever takes long here keeps nobody else waiting,
 * and can be ended.
 */
export default async function answerRequest({ url, method, headers, body, nonce, isSignedIn }: AskedRequest): Promise<GivenAnswer> {
  const context = new RouterContextProvider();
  const failures: unknown[] = [];
  context.set(nonceContext, nonce);
  context.set(signedInContext, isSignedIn);
  context.set(failuresContext, failures);
  context.set(onlyLookingContext, settings.isReadOnly);
  const request = new Request(url, {
    method,
    headers: headers.map(([name, value]): [string, string] => [name, value]),
    body: body && body.length > 0 ? Buffer.from(body) : null,
  });
  const response = await answer(request, context);
  const bytes = response.body === null ? null : new Uint8Array(await response.arrayBuffer());
  return { status: response.status, headers: [...response.headers], body: bytes, failure: failureOf(failures) };
}

/** A report that is being written, or an application that is being loaded for one, takes no processor from those who look at a page. */
function giveWay({ isForLong = false }: ThreadSettings): void {
  // On Linux this is the thread's own priority; elsewhere it would be the whole server's.
  if (isForLong && process.platform === 'linux') setPriority(GIVES_WAY);
}

function failureOf([first]: readonly unknown[]): GivenAnswer['failure'] {
  if (first === undefined) return null;
  const error = first instanceof Error ? first : new Error(typeof first === 'string' ? first : words.somethingWasThrownThatIsNo);
  return {
    message: error.message,
    stack: error.stack,
    data: error instanceof UnreadableDocument ? 'unreadable' : dataProblemKind(error),
  };
}
