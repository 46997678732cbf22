import { writeSenml } from '@hypogeon/core/formats';
import { ScalePot } from './pot';
import { chance, truthAt } from './truth';

/** Troubles that can be asked for, to see how they are met. */
export const FAULTS = ['none', 'silent', 'stuck', 'liar', 'flood'] as const;
export type Fault = (typeof FAULTS)[number];

export interface DeviceInfo {
  readonly id: string;
  readonly name: string;
  readonly kind: 'thermo-hygrometer' | 'light' | 'scale';
  /** Base name of its SenML packs. */
  readonly urn: string;
}

export const DEVICES: readonly DeviceInfo[] = [
  {
    id: 'hygro-1',
    name: 'Thermo-hygrometer (simulated)',
    kind: 'thermo-hygrometer',
    urn: 'urn:dev:bench:hygro-1:',
  },
  { id: 'light-1', name: 'Light sensor (simulated)', kind: 'light', urn: 'urn:dev:bench:light-1:' },
  { id: 'scale-1', name: 'Pot scale (simulated)', kind: 'scale', urn: 'urn:dev:bench:scale-1:' },
];

const SEED: Readonly<Record<DeviceInfo['kind'], number>> = {
  'thermo-hygrometer': 101,
  light: 211,
  scale: 307,
};
/** One reading in so many is lost on the way. */
const LOST = 1 / 40;
/** °C, shares and grams that the sensors drift in a hundred days. */
const DRIFT_DAYS = 100;

/** One simulated device: the truth with noise, drift, drop-outs and a battery that runs down. */
export class Device {
  fault: Fault = 'none';
  private readonly pot: ScalePot;
  private stuck: readonly { n: string; u: string; v: number }[] | null = null;

  /** @param born seconds since 1970 */
  constructor(
    readonly info: DeviceInfo,
    private readonly born: number,
  ) {
    this.pot = new ScalePot(born);
  }

  /** A SenML pack of now, or null where the reading was lost. @param seconds since 1970 */
  sample(seconds: number): readonly object[] | null {
    const n = Math.floor(seconds);
    if (this.fault === 'silent') return null;
    if (this.fault === 'none' && chance(n, SEED[this.info.kind]) < LOST) return null;
    const fresh = this.read(seconds);
    if (this.fault === 'stuck') this.stuck ??= fresh;
    else this.stuck = null;
    const values = this.fault === 'liar' ? fresh.map(lie) : (this.stuck ?? fresh);
    return writeSenml(this.info.urn, Math.round(seconds * 1000) / 1000, [
      ...values,
      { n: 'battery', u: '%EL', v: this.battery(seconds) },
    ]);
  }

  private read(seconds: number): readonly { n: string; u: string; v: number }[] {
    const truth = truthAt(seconds);
    const noise = (k: number): number =>
      chance(Math.floor(seconds * 2) + k, SEED[this.info.kind]) - 0.5;
    const drift = (seconds - this.born) / 86_400 / DRIFT_DAYS;
    switch (this.info.kind) {
      case 'thermo-hygrometer':
        return [
          { n: 'temperature', u: 'Cel', v: round(truth.tempC + 0.2 * noise(1) + 0.3 * drift, 2) },
          { n: 'humidity', u: '%RH', v: round(truth.rh * 100 + 1.5 * noise(2) + drift, 1) },
        ];
      case 'light':
        return [
          {
            n: 'illuminance',
            u: 'lx',
            v: round(Math.max(0, truth.lux * (1 + 0.04 * noise(1))), 0),
          },
        ];
      case 'scale':
        return [
          { n: 'weight', u: 'g', v: round(this.pot.gramsAt(seconds) + 0.8 * noise(1) + drift, 1) },
        ];
    }
  }

  private battery(seconds: number): number {
    return Math.max(0, Math.round(96 - (seconds - this.born) / 86_400));
  }
}

/** What no bench has. */
function lie({ n, u, v }: { n: string; u: string; v: number }) {
  return { n, u, v: n === 'weight' ? -v : v + 400 };
}

const round = (v: number, digits: number): number => Number(v.toFixed(digits));
