import { createRequestHandler } from '@react-router/express';
import compression from 'compression';
import express from 'express';
import { RouterContextProvider } from 'react-router';
import * as build from 'virtual:react-router/server-build';
import { database } from './server/database.server';
import { nonceContext } from './server/nonce';
import { refuseForeignRequests, refuseLargeBodies, securityHeaders } from './server/security';

/** Where the built client files lie; set by the script that starts the server. */
const clientFolder = process.env['VENALIS_CLIENT'] ?? 'build/client';

/** The web application: guards, built files, then React Router. */
export const app = express();
app.disable('x-powered-by');
app.set('query parser', 'simple');
app.use(securityHeaders);
app.use(refuseForeignRequests);
app.use(refuseLargeBodies);
app.use(compression());
app.use('/assets', express.static(`${clientFolder}/assets`, { immutable: true, maxAge: '1y', fallthrough: false }));
app.use(express.static(clientFolder, { maxAge: '1h' }));
app.use(
  createRequestHandler({
    // Not as a function: then the routes would be worked out anew for every request.
    build,
    getLoadContext: (_request, response) => {
      const context = new RouterContextProvider();
      context.set(nonceContext, String(response.locals['nonce'] ?? ''));
      return context;
    },
  }),
);

/** Opens the database before the first request, so that a problem with it is seen at the start. */
export async function prepare(): Promise<void> {
  await database();
}
