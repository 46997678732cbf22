import { TestBed } from '@angular/core/testing';
import { Subject } from 'rxjs';
import { deviceStream, type StreamEvent } from '../data/device-stream';
import { Devices } from '../data/devices';
import { mount, type Bench } from '../../testing/mount';
import { DevicesPage } from './devices-page';

const LIST = [
  { id: 'hygro-1', name: 'Hygro', kind: 'thermo-hygrometer' },
  { id: 'scale-1', name: 'Scale', kind: 'scale' },
];

describe('devices', () => {
  let page: Bench<DevicesPage>;
  let lines: Map<string, Subject<StreamEvent>>;

  beforeEach(async () => {
    lines = new Map();
    globalThis.fetch = jest.fn(() =>
      Promise.resolve({ ok: true, json: () => Promise.resolve(LIST) } as Response),
    );
    const stream = (address: string) => {
      const line = new Subject<StreamEvent>();
      lines.set(address, line);
      return line;
    };
    page = await mount(DevicesPage, {}, undefined, [{ provide: deviceStream, useValue: stream }]);
  });

  const line = (id: string): Subject<StreamEvent> =>
    [...lines].find(([address]) => address.includes(id))![1];
  const say = async (id: string, pack: unknown): Promise<void> => {
    line(id).next({ is: 'pack', data: JSON.stringify(pack) });
    await page.settle();
  };
  const air = (temperature: number, humidity = 50) => [
    { bn: 'urn:dev:x:', n: 'temperature', u: 'Cel', v: temperature },
    { n: 'humidity', u: '%RH', v: humidity },
    { n: 'battery', u: '%EL', v: 9 },
  ];
  async function paired(): Promise<void> {
    await page.tap('Look for devices');
    await page.tap('Pair Hygro');
    await page.tap('Pair Scale');
  }

  it('are found, paired and heard', async () => {
    await paired();
    expect(page.text).toContain('connecting …');
    await say('hygro-1', air(21.46));
    expect(page.text).toContain('21.5 °C');
    expect(page.text).toContain('50%');
    expect(page.text).toContain('9%battery, low');
    expect(page.text).toContain('live; one ten-minute mean to keep');
    expect(() => page.button('Pair Hygro')).toThrow();
  });

  it('are doubted where they cannot be right, and their lies are not kept', async () => {
    await paired();
    await say('hygro-1', air(420));
    expect(page.text).toContain('cannot be: left out');
    expect(page.text).toContain('says what cannot be believed');
    await say('hygro-1', [{ bn: 'x:', n: 'humidity', u: '%RH', v: 60 }]);
    await page.tap('Keep readings now');
    const [entry] = page.recorded() as [{ kind: string; columns: object }];
    expect(entry.kind).toBe('series');
    expect(entry.columns).toEqual({ rh: [0.55] });
  });

  it('write their means to the place they hang in, and nothing twice', async () => {
    await paired();
    await say('hygro-1', air(20));
    await say('hygro-1', air(22));
    await page.tap('Keep readings now');
    expect(page.recorded()).toMatchObject([
      { kind: 'series', space: 'leanto', source: 'Hygro', columns: { tempC: [21], rh: [0.5] } },
    ]);
    await page.tap('Keep readings now');
    expect(page.recorded()).toHaveLength(1);
  });

  it('a scale gives its weight to a pot on a tap', async () => {
    await paired();
    await say('scale-1', [{ n: 'x:weight', u: 'g', v: -4 }]);
    await page.tap('Keep this weight');
    expect(page.recorded()).toEqual([]);
    await say('scale-1', [{ n: 'x:weight', u: 'g', v: 183.44 }]);
    await page.tap('Keep this weight');
    expect(page.recorded()).toMatchObject([{ kind: 'weighed', grams: 183.4 }]);
  });

  it('a flood is thrown away, a broken pack is told, a lost line is tried again', async () => {
    await paired();
    for (let i = 0; i < 60; i++)
      line('hygro-1').next({ is: 'pack', data: JSON.stringify(air(20)) });
    await page.settle();
    expect(page.text).toMatch(/floods: \d\d packs thrown away/);
    line('hygro-1').next({ is: 'lost', retryInSeconds: 4 });
    await page.settle();
    expect(page.text).toContain('no answer, tried again in 4 s');
    line('scale-1').next({ is: 'pack', data: '{broken' });
    await page.settle();
    expect(page.text).toContain('It is not a SenML pack');
  });

  it('replayed readings are shown and not kept', async () => {
    await paired();
    await page.tap('Replay two days');
    const [, replay] = [...lines].find(([address]) => address.includes('replay'))!;
    replay.next({ is: 'pack', data: JSON.stringify(air(12)) });
    replay.next({ is: 'ended' });
    await page.settle();
    expect(page.text).toContain('replay is over');
    expect(page.text).toContain('12 °C');
    await page.tap('Keep readings now');
    expect(page.recorded()).toEqual([]);
    await page.tap('Back to now');
    expect(page.text).not.toContain('replay is over');
  });

  it('are remembered, and forgotten when unpaired', async () => {
    await paired();
    expect(await page.stores.device.getItem('devices')).toHaveLength(2);
    await page.tap('Unpair Hygro');
    expect(await page.stores.device.getItem('devices')).toHaveLength(1);
    expect(TestBed.inject(Devices).pairings()).toHaveLength(1);
  });

  it('without a server all else works', async () => {
    globalThis.fetch = jest.fn(() => Promise.reject(new Error('offline')));
    await page.tap('Look for devices');
    expect(page.text).toContain('No server answers here');
  });
});
