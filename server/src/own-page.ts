import type { RequestHandler } from 'express';
import { isIP } from 'node:net';

/**
 * Lets through only what our own page asks for: the name it was reached by is this machine's and no foreign one that
 * was bent to point here, and a page that asks is of that very name.
 * @param host the name one was told to listen on, which is trusted too
 */
export function ownPageOnly(host: string): RequestHandler {
  return (request, response, next) => {
    const asked = request.headers.host ?? '';
    const { origin } = request.headers;
    // A picture or a script that a foreign page asks for carries no origin, but says from where it is asked.
    const site = request.headers['sec-fetch-site'] ?? 'none';
    const own = origin === undefined ? OWN_SITES.includes(site) : hostOf(origin) === asked;
    if (isOurs(asked, host) && own) next();
    else response.status(403).json({ problem: 'Devices answer the page of this server only.' });
  };
}

/** Asked by our own page, or by hand. */
const OWN_SITES = ['same-origin', 'none'];

/** Loopback by name, an address as numbers, or the name it listens on: none of these can be rebound. */
function isOurs(asked: string, host: string): boolean {
  const name = asked.replace(/:\d+$/, '').replace(/^\[(.*)\]$/, '$1');
  return name === 'localhost' || name === host || isIP(name) !== 0;
}

function hostOf(origin: string): string | null {
  try {
    return new URL(origin).host;
  } catch {
    return null;
  }
}
