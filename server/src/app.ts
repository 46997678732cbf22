import compression from 'compression';
import express, { type Express, type Response } from 'express';
import { extname, join } from 'node:path';
import { deviceRoutes, type DevicesOptions } from './devices/routes';

export interface ServerOptions {
  /** The built web app. */
  readonly folder: string;
  /** Whether a browser that has no journal yet opens the demo. */
  readonly demo: boolean;
  /** Simulated devices, unless told otherwise once every two seconds. */
  readonly devices?: DevicesOptions;
}

const REAL_TIME: DevicesOptions = { now: () => Date.now() / 1000, everyMs: 2000 };

/** Serves the built app. It holds nothing of the grower's data: that stays in the browser. */
export function createApp({ folder, demo, devices = REAL_TIME }: ServerOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(compression());
  app.use((_request, response, next) => {
    response.set({
      'Content-Security-Policy':
        "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; object-src 'none'; base-uri 'self'; frame-ancestors 'none'",
      'X-Content-Type-Options': 'nosniff',
      'Referrer-Policy': 'no-referrer',
    });
    next();
  });
  app.get('/start.json', (_request, response) => {
    response.set('Cache-Control', 'no-cache').json({ demo });
  });
  app.use('/devices', deviceRoutes(devices));
  app.use(express.static(folder, { setHeaders: cacheByName, index: 'index.html' }));
  app.get('/{*path}', (request, response) => {
    if (extname(request.path)) response.status(404).type('text').send('No such file.');
    else response.set('Cache-Control', 'no-cache').sendFile(join(folder, 'index.html'));
  });
  return app;
}

/** A hashed name never changes its content; everything else is asked for again. */
function cacheByName(response: Response, path: string): void {
  const hashed = /-[A-Z0-9]{8}\.\w+$/.test(path);
  response.set('Cache-Control', hashed ? 'public, max-age=31536000, immutable' : 'no-cache');
}
