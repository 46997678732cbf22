import compression from 'compression';
import staticGzip from 'express-static-gzip';
import express, { type ErrorRequestHandler, type Express } from 'express';
import type { ServerResponse } from 'node:http';
import { extname } from 'node:path';
import { deviceRoutes, type DevicesOptions } from './devices/routes';
import { headers } from './headers';
import { ownPageOnly } from './own-page';

export interface ServerOptions {
  /** The built web app. */
  readonly folder: string;
  /** Whether a browser that has no journal yet opens the demo. */
  readonly demo: boolean;
  /** Simulated devices, unless told otherwise once every two seconds. */
  readonly devices?: DevicesOptions;
  /** The name or address it listens on. */
  readonly host?: string;
}

/** Nobody else on the network reaches it unless that is asked for. */
export const LOOPBACK = '127.0.0.1';
const REAL_TIME: DevicesOptions = { now: () => Date.now() / 1000, everyMs: 2000 };

/** Serves the built app. It holds nothing of the grower's data: that stays in the browser. */
export function createApp({
  folder,
  demo,
  devices = REAL_TIME,
  host = LOOPBACK,
}: ServerOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(compression());
  app.use(headers);
  app.get('/start.json', (_request, response) => {
    response.set('Cache-Control', 'no-cache').json({ demo });
  });
  // Browsers ask for it by habit where what they show, a table or a picture, names no icon.
  app.get('/favicon.ico', (_request, response) => response.redirect(301, '/favicon.svg'));
  app.use('/devices', deviceRoutes(devices, ownPageOnly(host)));
  // What serves the files would answer an address that cannot be decoded with words of its own.
  app.use((request, _response, next) => {
    try {
      decodeURIComponent(request.path);
      next();
    } catch {
      next(Object.assign(new Error('an address that cannot be decoded'), { status: 400 }));
    }
  });
  // The build leaves a brotli of every text file beside it; what has none is squeezed on the way.
  app.use(
    staticGzip(folder, {
      enableBrotli: true,
      orderPreference: ['br'],
      index: 'index.html',
      serveStatic: { setHeaders: cacheByName },
    }),
  );
  app.get('/{*path}', (request, response) => {
    if (extname(request.path)) response.status(404).type('text').send('No such file.');
    // An address without “#”, as one types or passes it on, leads where it says: the pages live behind it, so that
    // they are found wherever the files are served from.
    else response.set('Cache-Control', 'no-cache').redirect(`/#${request.originalUrl}`);
  });
  app.use(sayWhat);
  return app;
}

/** What went wrong in a sentence, and never where in the code. */
const sayWhat: ErrorRequestHandler = (error: unknown, _request, response, next) => {
  if (response.headersSent) return next(error);
  const status = statusOf(error);
  if (status >= 500) console.error(error);
  response
    .status(status)
    .type('text')
    .send(status < 500 ? 'This address cannot be read.' : 'Something went wrong here.');
};

function statusOf(error: unknown): number {
  const status =
    typeof error === 'object' && error !== null && 'status' in error ? error.status : 500;
  return typeof status === 'number' && status >= 400 && status < 600 ? status : 500;
}

/** As the build names what never changes: a word, then eight signs of its own alphabet; fonts have a folder. */
const HASHED = /[\\/](chunk|main|styles|polyfills|worker|media[\\/].+)-[\w-]{8}\.\w+(\.br)?$/;

/** A hashed name never changes its content; everything else is asked for again. */
function cacheByName(response: ServerResponse, path: string): void {
  const hashed = HASHED.test(path);
  response.setHeader('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
}
