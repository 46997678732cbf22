import { computed, inject, Injectable, signal } from '@angular/core';
import {
  doubtOf,
  minuteText,
  type Doubt,
  type Sample,
  type SeriesColumn,
} from '@hypogeon/core/climate';
import { dayNumber } from '@hypogeon/core/days';
import { LUX_PER_PPFD, readSenml } from '@hypogeon/core/formats';
import { Subscription, timer } from 'rxjs';
import * as z from 'zod';
import { STORES } from './book';
import { deviceStream, type StreamEvent } from './device-stream';
import { Journal } from './journal';
import { localDay } from './today';

const DEVICE_KINDS = ['thermo-hygrometer', 'light', 'scale'] as const;
export type DeviceKind = (typeof DEVICE_KINDS)[number];

/** A device as the server that speaks for it tells. */
const infoSchema = z.object({
  id: z.string().min(1).max(200),
  name: z.string().max(200),
  kind: z.enum(DEVICE_KINDS),
});
export type DeviceInfo = Readonly<z.infer<typeof infoSchema>>;

/** A device that this browser listens to, and where it stands. */
export interface Pairing extends DeviceInfo {
  /** The space whose air it reads, or the batch one of whose pots it carries. */
  readonly at: string;
}

export interface Reading {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  readonly doubt: Doubt;
}

export interface Live {
  readonly status: 'connecting' | 'live' | 'waiting' | 'ended';
  /** Seconds until it is tried again, where it waits. */
  readonly retryIn: number;
  readonly readings: readonly Reading[];
  readonly battery: number | null;
  /** When the last pack came, ms of this device's clock; null before the first. */
  readonly heardAt: number | null;
  readonly stale: boolean;
  /** Packs thrown away because they came too fast. */
  readonly dropped: number;
  /** Packs that could not be read, with the last reason. */
  readonly refused: number;
  readonly reason: string;
  /** Readings not yet in the journal. */
  readonly waiting: number;
  readonly replaying: boolean;
}

/** Pairings as this browser keeps them; what is not one is left out. */
const pairingsSchema = z
  .array(
    infoSchema
      .extend({ at: z.string().min(1).max(200) })
      .nullable()
      .catch(null),
  )
  .catch([])
  .transform((kept): readonly Pairing[] => kept.filter((p) => p !== null));

const SILENT: Live = {
  status: 'connecting',
  retryIn: 0,
  readings: [],
  battery: null,
  heardAt: null,
  stale: false,
  dropped: 0,
  refused: 0,
  reason: '',
  waiting: 0,
  replaying: false,
};

/** Nothing heard for so long: what is shown is old. */
const STALE_MS = 30_000;
/** More than so many packs a second are a flood: the rest is thrown away unread. */
const MOST_PER_SECOND = 12;
const MEAN_MINUTES = 10;
/** So many means are written as one entry; fewer entries, and no more than six hours at risk. */
const KEEP_AFTER = 36;
const REMEMBERED = 40;

const COLUMN: Readonly<Record<string, { readonly column: SeriesColumn; of(v: number): number }>> = {
  temperature: { column: 'tempC', of: (v) => v },
  humidity: { column: 'rh', of: (v) => v / 100 },
  illuminance: { column: 'ppfd', of: (v) => v / LUX_PER_PPFD },
};

interface Means {
  /** Ten minutes of the wall clock. */
  slot: number;
  readonly sums: Map<SeriesColumn, { sum: number; count: number }>;
}

interface Ears {
  readonly subscription: Subscription;
  readonly history: Map<string, Sample[]>;
  means: Means | null;
  readonly rows: {
    readonly minute: number;
    readonly values: Partial<Record<SeriesColumn, number>>;
  }[];
  second: number;
  inSecond: number;
}

/**
 * Devices on the bench: listens, doubts what cannot be, and writes ten-minute means to the journal. Works
 * on without them when the server is gone.
 */
@Injectable({ providedIn: 'root' })
export class Devices {
  private readonly journal = inject(Journal);
  private readonly store = inject(STORES).device;
  private readonly stream = inject(deviceStream);
  private readonly ears = new Map<string, Ears>();
  private clock: Subscription | null = null;

  readonly pairings = signal<readonly Pairing[]>([]);
  readonly live = signal<ReadonlyMap<string, Live>>(new Map());
  readonly any = computed(() => this.pairings().length > 0);

  /** Takes up the pairings of the last time. */
  async open(): Promise<void> {
    if (this.clock) return;
    this.clock = timer(1000, 1000).subscribe(() => this.tick());
    const kept = pairingsSchema.parse(await this.store.getItem('devices').catch(() => null));
    this.pairings.set(kept);
    for (const pairing of kept) this.listen(pairing);
  }

  /** What the server has; null where none answers. */
  async offered(): Promise<readonly DeviceInfo[] | null> {
    try {
      const answer = await fetch('devices');
      const list = z.array(z.unknown()).safeParse(answer.ok ? await answer.json() : null);
      return list.success ? list.data.flatMap((d) => infoSchema.safeParse(d).data ?? []) : null;
    } catch {
      return null;
    }
  }

  async pair(info: DeviceInfo, at: string): Promise<void> {
    const pairing: Pairing = { id: info.id, name: info.name, kind: info.kind, at };
    this.pairings.update((all) => [...all.filter((p) => p.id !== info.id), pairing]);
    this.listen(pairing);
    await this.remember();
  }

  async unpair(id: string): Promise<void> {
    await this.keep(id);
    this.ears.get(id)?.subscription.unsubscribe();
    this.ears.delete(id);
    this.pairings.update((all) => all.filter((p) => p.id !== id));
    this.live.update((all) => new Map([...all].filter(([key]) => key !== id)));
    await this.remember();
  }

  /** The last hours of a device again, fast. Replayed readings are shown, not kept. */
  replay(id: string, hours: number, speed: number): void {
    const pairing = this.pairings().find((p) => p.id === id);
    if (pairing) this.listen(pairing, `?replay=${hours}&speed=${speed}`);
  }

  /** Back from a replay to what is now. */
  backToNow(id: string): void {
    const pairing = this.pairings().find((p) => p.id === id);
    if (pairing) this.listen(pairing);
  }

  /** Writes what has been gathered; nothing where there is nothing. */
  async keep(id: string): Promise<boolean> {
    const ears = this.ears.get(id);
    const pairing = this.pairings().find((p) => p.id === id);
    if (!ears || !pairing || pairing.kind === 'scale') return false;
    this.closeMeans(ears);
    const rows = ears.rows.splice(0);
    const [first] = rows;
    if (!first) return false;
    const columns = [...new Set(rows.flatMap((r) => Object.keys(r.values)))] as SeriesColumn[];
    const { saved } = await this.journal.record({
      kind: 'series',
      day: minuteText(first.minute).slice(0, 10),
      space: pairing.at,
      source: pairing.name,
      start: minuteText(first.minute),
      offsets: rows.map((r) => r.minute - first.minute),
      columns: Object.fromEntries(
        columns.map((c) => [
          c,
          rows.map((r) => (r.values[c] === undefined ? null : +r.values[c].toFixed(4))),
        ]),
      ),
    });
    this.change(id, { waiting: 0 });
    return saved;
  }

  /** Writes the weight that stands on the scale to its batch. */
  async keepWeight(id: string): Promise<number | null> {
    const pairing = this.pairings().find((p) => p.id === id);
    const live = this.live().get(id);
    const weight = live?.readings.find((r) => r.name === 'weight');
    if (pairing?.kind !== 'scale' || !weight || weight.doubt || weight.value <= 0 || live?.stale)
      return null;
    const grams = Math.round(weight.value * 10) / 10;
    const { saved } = await this.journal.record({ kind: 'weighed', batch: pairing.at, grams });
    return saved ? grams : null;
  }

  private listen(pairing: Pairing, query = ''): void {
    void this.keep(pairing.id);
    this.ears.get(pairing.id)?.subscription.unsubscribe();
    const replaying = query !== '';
    this.live.update((all) => new Map(all).set(pairing.id, { ...SILENT, replaying }));
    const ears: Ears = {
      subscription: new Subscription(),
      history: new Map(),
      means: null,
      rows: [],
      second: 0,
      inSecond: 0,
    };
    this.ears.set(pairing.id, ears);
    ears.subscription.add(
      this.stream(`devices/${encodeURIComponent(pairing.id)}/stream${query}`).subscribe((event) =>
        this.hear(pairing, ears, event, replaying),
      ),
    );
  }

  private hear(pairing: Pairing, ears: Ears, event: StreamEvent, replaying: boolean): void {
    switch (event.is) {
      case 'open':
        return this.change(pairing.id, { status: 'live', retryIn: 0 });
      case 'lost':
        return this.change(pairing.id, { status: 'waiting', retryIn: event.retryInSeconds });
      case 'ended':
        return this.change(pairing.id, { status: 'ended' });
      case 'pack':
        return this.take(pairing, ears, event.data, replaying);
    }
  }

  private take(pairing: Pairing, ears: Ears, data: string, replaying: boolean): void {
    const now = Date.now();
    if (Math.floor(now / 1000) !== ears.second) {
      ears.second = Math.floor(now / 1000);
      ears.inSecond = 0;
    }
    const live = this.live().get(pairing.id) ?? SILENT;
    if (++ears.inSecond > MOST_PER_SECOND && !replaying)
      return this.change(pairing.id, { dropped: live.dropped + 1 });
    let raw: unknown;
    try {
      raw = JSON.parse(data);
    } catch {
      raw = null;
    }
    const read = readSenml(raw, now / 1000);
    if (!read.ok)
      return this.change(pairing.id, { refused: live.refused + 1, reason: read.problem });
    const readings: Reading[] = [];
    let battery = live.battery;
    for (const m of read.measurements) {
      const name = m.name.slice(m.name.lastIndexOf(':') + 1);
      if (typeof m.value !== 'number') continue;
      if (name === 'battery') {
        battery = m.value;
        continue;
      }
      const doubt = this.doubt(ears, name, m.time ?? now / 1000, m.value);
      readings.push({ name, value: m.value, unit: m.unit ?? '', doubt });
      if (!doubt && !replaying && pairing.kind !== 'scale') this.gather(ears, name, m.value);
    }
    this.change(pairing.id, {
      status: 'live',
      readings,
      battery,
      heardAt: now,
      stale: false,
      waiting: ears.rows.length + (ears.means ? 1 : 0),
    });
    if (ears.rows.length >= KEEP_AFTER) void this.keep(pairing.id);
  }

  private doubt(ears: Ears, name: string, at: number, value: number): Doubt {
    if (name === 'weight') return value > 0 && value < 200_000 ? null : 'impossible';
    const known = COLUMN[name];
    if (!known) return null;
    const history = ears.history.get(name) ?? [];
    history.push({ at, value: known.of(value) });
    if (history.length > REMEMBERED) history.shift();
    ears.history.set(name, history);
    const doubt = doubtOf(known.column, history);
    // What is doubted must not stand as the neighbour of the next.
    if (doubt === 'impossible' || doubt === 'jumped') history.pop();
    return doubt;
  }

  /** Into the mean of its ten minutes, by this device's own wall clock: a sensor's may be wrong. */
  private gather(ears: Ears, name: string, value: number): void {
    const known = COLUMN[name];
    if (!known) return;
    const minute = wallMinute(new Date());
    const slot = Math.floor(minute / MEAN_MINUTES) * MEAN_MINUTES;
    if (ears.means && ears.means.slot !== slot) this.closeMeans(ears);
    ears.means ??= { slot, sums: new Map() };
    const sums = ears.means.sums.get(known.column) ?? { sum: 0, count: 0 };
    sums.sum += known.of(value);
    sums.count++;
    ears.means.sums.set(known.column, sums);
  }

  private closeMeans(ears: Ears): void {
    if (!ears.means) return;
    const values = Object.fromEntries(
      [...ears.means.sums].map(([column, { sum, count }]) => [column, sum / count]),
    );
    ears.rows.push({ minute: ears.means.slot, values });
    ears.means = null;
  }

  /** Once a second: who has fallen silent, and who is tried again when. */
  private tick(): void {
    const now = Date.now();
    for (const [id, live] of this.live()) {
      const stale = live.heardAt !== null && now - live.heardAt > STALE_MS;
      const retryIn = live.status === 'waiting' ? Math.max(0, live.retryIn - 1) : 0;
      if (stale !== live.stale || retryIn !== live.retryIn) this.change(id, { stale, retryIn });
    }
  }

  private change(id: string, fields: Partial<Live>): void {
    this.live.update((all) => new Map(all).set(id, { ...(all.get(id) ?? SILENT), ...fields }));
  }

  private async remember(): Promise<void> {
    await this.store.setItem('devices', this.pairings()).catch(() => undefined);
  }
}

function wallMinute(date: Date): number {
  return dayNumber(localDay(date)) * 1440 + date.getHours() * 60 + date.getMinutes();
}
