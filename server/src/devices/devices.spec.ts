import { readSenml, type Measurement } from '@hypogeon/core/formats';
import express from 'express';
import { request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Device, DEVICES } from './device';
import { ownPageOnly } from '../own-page';
import { deviceRoutes } from './routes';
import { truthAt } from './truth';

const NOON = Date.UTC(2026, 3, 9, 12) / 1000;
const info = (kind: string) => DEVICES.find((d) => d.kind === kind)!;

function values(pack: readonly object[] | null): Readonly<Record<string, number>> {
  const read = readSenml(pack, null);
  if (!read.ok) throw new Error(read.problem);
  return Object.fromEntries(
    read.measurements.map((m: Measurement) => [m.name.split(':').at(-1)!, Number(m.value)]),
  );
}

/** Readings that did not get lost. */
function sampled(device: Device, from: number, count: number, step: number) {
  return Array.from({ length: count }, (_, i) => device.sample(from + i * step)).flatMap((p) =>
    p ? [values(p)] : [],
  );
}

describe('the simulated bench is physically consistent', () => {
  it('is warm and dry by day, dark by night, and its air keeps its moisture', () => {
    const noon = truthAt(NOON);
    const night = truthAt(NOON + 12 * 3600);
    expect(noon.tempC).toBeGreaterThan(night.tempC);
    expect(noon.rh).toBeLessThan(night.rh);
    expect(noon.lux).toBeGreaterThan(1000);
    expect(night.lux).toBe(0);
    expect(noon.evaporationMm).toBeGreaterThan(night.evaporationMm);
    expect(truthAt(NOON)).toEqual(noon);
  });

  it('the pot on the scale loses weight by day more than by night, and is watered again', () => {
    const scale = new Device(info('scale'), NOON);
    const grams = sampled(scale, NOON, 24 * 14, 3600).map((v) => v.weight!);
    expect(Math.min(...grams)).toBeGreaterThan(100);
    const rises = grams.filter((g, i) => i > 0 && g - grams[i - 1]! > 20);
    expect(rises.length).toBeGreaterThanOrEqual(1);
    const losses = grams.filter((g, i) => i > 0 && g < grams[i - 1]! + 1.5);
    expect(losses.length).toBeGreaterThan(0.9 * grams.length);
  });

  it('sensors are noisy about the truth, lose a reading now and then, and their battery runs down', () => {
    const device = new Device(info('thermo-hygrometer'), NOON);
    const read = sampled(device, NOON, 1000, 1);
    expect(read.length).toBeGreaterThan(930);
    expect(read.length).toBeLessThan(1000);
    for (const v of read.slice(0, 100))
      expect(Math.abs(v.temperature! - truthAt(NOON).tempC)).toBeLessThan(0.5);
    expect(new Set(read.map((v) => v.temperature)).size).toBeGreaterThan(10);
    const later = sampled(device, NOON + 30 * 86_400, 4, 1).at(-1)!;
    expect(later.battery).toBeLessThan(read[0]!.battery!);
  });

  it('can hang, lie and fall silent on request', () => {
    const device = new Device(info('thermo-hygrometer'), NOON);
    device.fault = 'stuck';
    expect(new Set(sampled(device, NOON, 50, 60).map((v) => v.temperature)).size).toBe(1);
    device.fault = 'liar';
    expect(values(device.sample(NOON)).temperature).toBeGreaterThan(300);
    device.fault = 'silent';
    expect(device.sample(NOON)).toBeNull();
  });
});

describe('devices over HTTP', () => {
  let server: Server;
  let address: string;
  beforeAll(async () => {
    const app = express().use(
      '/devices',
      deviceRoutes({ now: () => NOON, everyMs: 5 }, ownPageOnly('127.0.0.1')),
    );
    server = await new Promise((resolve) => {
      const s = app.listen(0, () => resolve(s));
    });
    address = `http://localhost:${(server.address() as AddressInfo).port}/devices`;
  });
  afterAll(() => {
    server.closeAllConnections();
    server.close();
  });

  /** The events of a stream until there are enough. */
  async function events(path: string, count: number): Promise<readonly string[]> {
    const abort = new AbortController();
    const response = await fetch(`${address}${path}`, { signal: abort.signal });
    expect(response.headers.get('content-type')).toContain('text/event-stream');
    const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
    let text = '';
    while (text.split('data: ').length <= count) {
      const { value, done } = await reader.read();
      if (done) break;
      text += value;
    }
    abort.abort();
    return text.split('\n').filter((line) => line.startsWith('data: '));
  }

  it('lists them and gives a SenML pack', async () => {
    const list = (await (await fetch(address)).json()) as { id: string }[];
    expect(list.map((d) => d.id)).toEqual(['hygro-1', 'light-1', 'scale-1']);
    const pack = await fetch(`${address}/light-1`);
    expect(pack.headers.get('content-type')).toContain('application/senml+json');
    expect(values((await pack.json()) as object[]).illuminance).toBeGreaterThan(1000);
  });

  it('streams packs as events', async () => {
    const [first] = await events('/hygro-1/stream', 2);
    expect(values(JSON.parse(first!.slice(6)) as object[]).humidity).toBeGreaterThan(20);
  });

  it('replays a recording fast and ends', async () => {
    const lines = await events('/scale-1/stream?replay=2&speed=36000', 99);
    expect(lines.at(-1)).toBe('data: []');
    expect(lines.length).toBeGreaterThan(8);
    const recording = await fetch(`${address}/scale-1/recording?hours=24`);
    const read = readSenml(await recording.json(), null);
    expect(read.ok && read.measurements.length).toBeGreaterThan(200);
  });

  it('is told of troubles, and refuses what it does not know', async () => {
    const post = (path: string) => fetch(`${address}${path}`, { method: 'POST' });
    expect((await post('/light-1/fault/silent')).status).toBe(200);
    expect((await fetch(`${address}/light-1`)).status).toBe(503);
    expect((await post('/light-1/fault/none')).status).toBe(200);
    expect((await post('/light-1/fault/fire')).status).toBe(400);
    expect((await fetch(`${address}/nothing`)).status).toBe(404);
  });

  it.each([
    'stream?replay=2&speed=0.0001',
    'stream?replay=1e9',
    'stream?replay=2&speed=Infinity',
    'stream?replay=',
    'recording?hours=-1',
    'recording?hours=forever',
  ])('refuses %s with a sentence', async (path) => {
    const answer = await fetch(`${address}/hygro-1/${path}`);
    expect(answer.status).toBe(400);
    expect(((await answer.json()) as { problem: string }).problem).toMatch(/from 1 to 48/);
  });

  it('many replays at once hold up nobody else', async () => {
    const abort = new AbortController();
    const { signal } = abort;
    const all = await Promise.all(
      Array.from({ length: 30 }, () =>
        fetch(`${address}/scale-1/stream?replay=48&speed=60`, { signal }),
      ),
    );
    expect(all.filter((a) => a.status === 200)).toHaveLength(24);
    expect(all.filter((a) => a.status === 429)).toHaveLength(6);
    expect((await fetch(`${address}/light-1`)).status).toBe(200);
    abort.abort();
  });

  it.each([
    ['of a foreign page', 'POST', { origin: 'http://evil.example' }, 403],
    ['of a name that was bent to point here', 'POST', { host: 'evil.example' }, 403],
    ['of our own page', 'POST', {}, 200],
    ['read by a foreign page', 'GET', { origin: 'http://evil.example' }, 403],
    ['read by a name bent to point here', 'GET', { host: 'evil.example' }, 403],
    [
      'asked for as a picture by a foreign page',
      'GET',
      { origin: undefined, 'sec-fetch-site': 'cross-site' },
      403,
    ],
    ['read by our own page', 'GET', {}, 200],
    ['opened by hand', 'GET', { origin: undefined, 'sec-fetch-site': 'none' }, 200],
  ])('answers its own page alone: %s', async (_name, method, headers, status) => {
    // fetch sets Host by itself; a plain request may say another.
    const { port } = server.address() as AddressInfo;
    const whole: Record<string, string | undefined> = {
      host: `localhost:${port}`,
      origin: `http://localhost:${port}`,
      ...headers,
    };
    const own = Object.fromEntries(
      Object.entries(whole).filter((h): h is [string, string] => h[1] !== undefined),
    );
    const answer = await new Promise<number>((resolve, reject) => {
      request(
        {
          port,
          method,
          path: method === 'POST' ? '/devices/light-1/fault/none' : '/devices/scale-1/recording',
          headers: own,
        },
        (response) => resolve(response.resume().statusCode ?? 0),
      )
        .on('error', reject)
        .end();
    });
    expect(answer).toBe(status);
  });
});
