import { mkdtempSync, writeFileSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createApp } from './app';

describe('the server', () => {
  let server: Server;
  let address: string;

  beforeAll((done) => {
    const folder = mkdtempSync(join(tmpdir(), 'hypogeon-'));
    writeFileSync(join(folder, 'index.html'), '<title>Hypogeon</title>');
    writeFileSync(join(folder, 'chunk-ABCDEFGH.js'), 'export {};'.repeat(500));
    server = createApp({ folder, demo: true }).listen(0, () => {
      address = `http://localhost:${(server.address() as AddressInfo).port}`;
      done();
    });
  });

  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });

  it('serves the app for every path without an extension, and never from a stale cache', async () => {
    for (const path of ['/', '/round', '/bench/b-1']) {
      const answer = await fetch(address + path);
      expect(await answer.text()).toContain('Hypogeon');
      expect(answer.headers.get('cache-control')).toBe('no-cache');
    }
  });

  it('keeps hashed files for good, and compresses them', async () => {
    const answer = await fetch(`${address}/chunk-ABCDEFGH.js`, {
      headers: { 'accept-encoding': 'br' },
    });
    expect(answer.headers.get('cache-control')).toContain('immutable');
    expect(answer.headers.get('content-encoding')).toBe('br');
  });

  it('says that a file is not there, and lets no page run foreign script', async () => {
    const answer = await fetch(`${address}/missing.js`);
    expect(answer.status).toBe(404);
    expect(answer.headers.get('content-security-policy')).toContain("default-src 'self'");
  });

  it('answers an address that cannot be read with a sentence, and never with where in the code', async () => {
    const answer = await fetch(`${address}/%ff`);
    expect(answer.status).toBe(400);
    expect(await answer.text()).toBe('This address cannot be read.');
  });

  it('keeps the headers of a page that trusts nobody', async () => {
    const { headers } = await fetch(address);
    expect(headers.get('content-security-policy')).toBe(
      "default-src 'self';style-src 'self' 'unsafe-inline';img-src 'self' data: blob:;object-src 'none';base-uri 'self';frame-ancestors 'none'",
    );
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('referrer-policy')).toBe('no-referrer');
    expect(headers.get('x-powered-by')).toBeNull();
  });

  it('tells a fresh browser whether to open the demo', async () => {
    expect(await (await fetch(`${address}/start.json`)).json()).toEqual({ demo: true });
  });
});
