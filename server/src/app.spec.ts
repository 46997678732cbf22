import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
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
    mkdirSync(join(folder, 'media'));
    mkdirSync(join(folder, 'icons'));
    writeFileSync(join(folder, 'chunk-ABCDEFGH.js'), 'export {};'.repeat(500));
    for (const name of [
      'chunk-46MXmf6t.js',
      'chunk-B1m2XYh_.js',
      'chunk-12JT-4YF.js',
      'main-Dv8aB3x9.js',
      'styles-AbCdEf12.css',
      'worker-QRSTUVWX.js',
      'media/text-latin-AbCd_f-2.woff2',
      'offline-worker.js',
      'ngsw.json',
      'icons/icon-192.png',
    ])
      writeFileSync(join(folder, name), 'x');
    server = createApp({ folder, demo: true }).listen(0, () => {
      address = `http://localhost:${(server.address() as AddressInfo).port}`;
      done();
    });
  });

  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });

  it('serves the app, and never from a stale cache', async () => {
    const answer = await fetch(`${address}/`);
    expect(await answer.text()).toContain('Hypogeon');
    expect(answer.headers.get('cache-control')).toBe('no-cache');
  });

  it('leads an address without a # where it says', async () => {
    for (const path of ['/plan', '/bench/b-1', '/plan?mother=m-1']) {
      const answer = await fetch(address + path, { redirect: 'manual' });
      expect(answer.status).toBe(302);
      expect(answer.headers.get('location')).toBe(`/#${path}`);
    }
    // No other site can be led to by it.
    const foreign = await fetch(`${address}//evil.example/x`, { redirect: 'manual' });
    expect(new URL(foreign.headers.get('location') ?? '/', address).host).toBe(
      new URL(address).host,
    );
  });

  it('keeps hashed files for good, and compresses them', async () => {
    const answer = await fetch(`${address}/chunk-ABCDEFGH.js`, {
      headers: { 'accept-encoding': 'br' },
    });
    expect(answer.headers.get('cache-control')).toContain('immutable');
    expect(answer.headers.get('content-encoding')).toBe('br');
  });

  it.each([
    ['chunk-46MXmf6t.js', true],
    ['chunk-B1m2XYh_.js', true],
    ['chunk-12JT-4YF.js', true],
    ['main-Dv8aB3x9.js', true],
    ['styles-AbCdEf12.css', true],
    ['worker-QRSTUVWX.js', true],
    ['media/text-latin-AbCd_f-2.woff2', true],
    ['offline-worker.js', false],
    ['index.html', false],
    ['ngsw.json', false],
    ['icons/icon-192.png', false],
  ])('%s is kept for good: %s', async (name, forGood) => {
    const answer = await fetch(`${address}/${name}`);
    expect(answer.status).toBe(200);
    expect(answer.headers.get('cache-control')).toBe(
      forGood ? 'public, max-age=31536000, immutable' : 'no-cache',
    );
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
      "default-src 'self';style-src 'self' 'unsafe-inline';img-src 'self' data: blob:;object-src 'none';base-uri 'self';form-action 'self';frame-ancestors 'none'",
    );
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('x-frame-options')).toBe('DENY');
    expect(headers.get('referrer-policy')).toBe('no-referrer');
    expect(headers.get('x-powered-by')).toBeNull();
  });

  it('leads a browser that asks for an icon by habit to the one there is', async () => {
    const answer = await fetch(`${address}/favicon.ico`, { redirect: 'manual' });
    expect(answer.status).toBe(301);
    expect(answer.headers.get('location')).toBe('/favicon.svg');
  });

  it('tells a fresh browser whether to open the demo', async () => {
    expect(await (await fetch(`${address}/start.json`)).json()).toEqual({ demo: true });
  });
});
