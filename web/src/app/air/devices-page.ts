import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { batchCode, batchTitle, placesIn } from '@hypogeon/core/bench';
import { Actions } from '../data/actions';
import { Devices, type DeviceInfo, type Live, type Pairing, type Reading } from '../data/devices';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { Field } from '../forms/field';
import { NumberPipe } from '../ui/number-pipe';

const KIND_WORD = {
  'thermo-hygrometer': 'temperature and humidity',
  light: 'light',
  scale: 'weight of a pot',
} as const;
const DOUBT_WORD = {
  impossible: 'cannot be: left out',
  jumped: 'jumped: left out until it settles',
  stuck: 'hangs: the same for long',
} as const;
const FAULTS = [
  ['none', 'works'],
  ['silent', 'falls silent'],
  ['stuck', 'hangs'],
  ['liar', 'lies'],
  ['flood', 'floods'],
] as const;

/** Sensors and scales: found, paired with a place or a pot, listened to. */
@Component({
  selector: 'hy-devices-page',
  imports: [MatButton, MatOption, MatSelect, NumberPipe, Field, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-6.5' },
  template: `
    <div class="page-head -mb-3">
      <div>
        <p class="quiet small"><a routerLink="/settings">Settings</a></p>
        <h1>Devices</h1>
      </div>
    </div>
    <p class="lead">
      A thermo-hygrometer or light sensor gives a place its air; a scale says when a pot is dry.
      Those offered here are simulated, for want of real ones: same words (SenML over HTTP), same
      troubles.
    </p>

    <section aria-labelledby="paired">
      <h2 id="paired" class="ruled">Paired</h2>
      <ul class="bare">
        @for (row of rows(); track row.pairing.id) {
          <li
            class="grid grid-cols-[minmax(14rem,1fr)_minmax(0,1.2fr)_auto] items-center gap-y-3 gap-x-6 py-3.5 border-b border-line narrow:grid-cols-1"
          >
            <div class="grid">
              <strong>{{ row.pairing.name }}</strong>
              <span class="quiet small">{{ row.place }}</span>
              <span [class]="'status ' + row.tone" role="status">{{ row.says }}</span>
            </div>
            <div class="flex flex-wrap gap-y-1.5 gap-x-7">
              @for (r of row.readings; track r.name) {
                <div class="grid" [class.doubted]="r.doubt" [class.old]="row.live.stale">
                  <span class="value headline text-xl">{{ r.shown }}</span>
                  <small class="quiet">{{ r.word }}</small>
                </div>
              } @empty {
                <span class="quiet">nothing yet</span>
              }
              @if (row.live.battery !== null) {
                <div class="grid" [class.low]="row.live.battery < 15">
                  <span class="value headline text-xl">{{ row.live.battery | hyNumber }}%</span
                  ><small class="quiet">battery{{ row.live.battery < 15 ? ', low' : '' }}</small>
                </div>
              }
            </div>
            <div class="flex flex-wrap justify-end gap-1 max-w-100 narrow:justify-start">
              @if (row.pairing.kind === 'scale') {
                <button matButton="outlined" (click)="keepWeight(row.pairing)">
                  Keep this weight
                </button>
              } @else {
                <button matButton="outlined" (click)="keep(row.pairing)">Keep readings now</button>
              }
              @if (row.live.replaying) {
                <button matButton="text" (click)="devices.backToNow(row.pairing.id)">
                  Back to now
                </button>
              } @else {
                <button matButton="text" (click)="devices.replay(row.pairing.id, 48, 7200)">
                  Replay two days
                </button>
              }
              <button
                matButton="text"
                (click)="devices.unpair(row.pairing.id)"
                [attr.aria-label]="'Unpair ' + row.pairing.name"
              >
                Unpair
              </button>
              <hy-field [label]="'Simulated trouble of ' + row.pairing.name" unseen>
                <mat-select (selectionChange)="fault(row.pairing, $event.value)">
                  @for (f of faults; track f[0]) {
                    <mat-option [value]="f[0]">simulate: {{ f[1] }}</mat-option>
                  }
                </mat-select>
              </hy-field>
            </div>
          </li>
        } @empty {
          <li
            class="quiet block grid-cols-[minmax(14rem,1fr)_minmax(0,1.2fr)_auto] items-center gap-y-3 gap-x-6 py-3.5 border-b border-line narrow:grid-cols-1"
          >
            None. Pair one below; this browser listens as long as it is open.
          </li>
        }
      </ul>
    </section>

    <section aria-labelledby="offered">
      <h2 id="offered" class="ruled">Offered by the server</h2>
      <p>
        <button matButton="outlined" (click)="look()" [disabled]="looking()">
          {{ looking() ? 'Looking …' : 'Look for devices' }}
        </button>
      </p>
      @if (unpaired(); as list) {
        <ul class="bare">
          @for (d of list; track d.id) {
            <li
              class="grid grid-cols-[minmax(12rem,1fr)_minmax(0,1fr)_auto] items-end gap-y-3 gap-x-6 py-3.5 border-b border-line narrow:grid-cols-1"
            >
              <div class="grid">
                <strong>{{ d.name }}</strong><span class="quiet small">{{ kindWord[d.kind] }}</span>
              </div>
              <hy-field [label]="d.kind === 'scale' ? 'Carries a pot of' : 'Hangs in'">
                <mat-select [value]="placesFor(d)[0]?.id" #where>
                  @for (p of placesFor(d); track p.id) {
                    <mat-option [value]="p.id">{{ p.name }}</mat-option>
                  }
                </mat-select>
              </hy-field>
              <button
                matButton="filled"
                [disabled]="placesFor(d).length === 0"
                (click)="pair(d, where.value)"
                [attr.aria-label]="'Pair ' + d.name"
              >
                Pair
              </button>
            </li>
          }
        </ul>
      } @else if (looked()) {
        <p role="status">
          No server answers here, so there are no devices. All else works without.
        </p>
      }
    </section>
  `,
  styles: `
    .status {
      font-size: 0.9rem;
    }
    .status.good::before {
      content: '● ';
      color: var(--living);
    }
    .status.bad {
      font-weight: 650;
    }
    .status.bad::before {
      content: '▲ ';
      color: var(--do);
    }
    .doubted .value {
      text-decoration: line-through;
      text-decoration-thickness: 2px;
    }
    .old .value {
      color: var(--ink2);
    }
    .low {
      font-weight: 650;
    }
  `,
})
export class DevicesPage {
  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  protected readonly devices = inject(Devices);
  protected readonly words = inject(Words);
  protected readonly kindWord = KIND_WORD;
  protected readonly faults = FAULTS;

  constructor() {
    void this.devices.open();
  }

  protected readonly offered = signal<readonly DeviceInfo[] | null>(null);
  protected readonly looked = signal(false);
  protected readonly looking = signal(false);

  protected readonly spaces = computed(() =>
    placesIn(this.journal.state()).map((s) => ({ id: s.id, name: s.name ?? 'Bench' })),
  );
  protected readonly pots = computed(() => {
    const state = this.journal.state();
    return [...state.batches.values()]
      .filter((b) => b.container !== undefined && b.stuck && b.stage !== 'done')
      .map((b) => ({ id: b.id, name: `${batchTitle(state, b)}, ${batchCode(state, b)}` }));
  });

  protected readonly rows = computed(() =>
    this.devices.pairings().flatMap((pairing) => {
      const live = this.devices.live().get(pairing.id);
      if (!live) return [];
      return [
        {
          pairing,
          live,
          place: this.place(pairing),
          ...this.status(live),
          readings: live.readings.map((r) => ({ ...r, ...this.shown(r) })),
        },
      ];
    }),
  );

  protected readonly unpaired = computed(() => {
    const paired = new Set(this.devices.pairings().map((p) => p.id));
    return this.offered()?.filter((d) => !paired.has(d.id)) ?? null;
  });

  protected placesFor({ kind }: DeviceInfo) {
    return kind === 'scale' ? this.pots() : this.spaces();
  }

  protected async look(): Promise<void> {
    this.looking.set(true);
    this.offered.set(await this.devices.offered());
    this.looking.set(false);
    this.looked.set(true);
  }

  protected async pair(info: DeviceInfo, at: string): Promise<void> {
    await this.devices.pair(info, at);
    this.actions.say(`${info.name} is paired.`);
  }

  protected async keep({ id }: Pairing): Promise<void> {
    const saved = await this.devices.keep(id);
    this.actions.say(saved ? 'Readings are in the journal. Saved.' : 'Nothing new to keep yet.');
  }

  protected async keepWeight({ id }: Pairing): Promise<void> {
    const grams = await this.devices.keepWeight(id);
    this.actions.say(
      grams === null
        ? 'No weight to keep: it is old, doubted or not there.'
        : `${grams} g noted. Saved.`,
    );
  }

  protected async fault({ id }: Pairing, fault: string): Promise<void> {
    try {
      await fetch(`devices/${encodeURIComponent(id)}/fault/${encodeURIComponent(fault)}`, {
        method: 'POST',
      });
    } catch {
      this.actions.say('The server does not answer.');
    }
  }

  private place({ at, kind }: Pairing): string {
    const state = this.journal.state();
    if (kind !== 'scale') return state.spaces.get(at)?.name ?? 'a place of another journal';
    const batch = state.batches.get(at);
    return batch ? `a pot of ${batchTitle(state, batch)}` : 'a pot of another journal';
  }

  private status(live: Live): { readonly says: string; readonly tone: 'good' | 'bad' | 'none' } {
    if (live.replaying)
      return {
        says: live.status === 'ended' ? 'replay is over' : 'replaying two days',
        tone: 'none',
      };
    if (live.status === 'waiting')
      return { says: `no answer, tried again in ${live.retryIn} s`, tone: 'bad' };
    if (live.stale) return { says: 'silent: what stands here is old', tone: 'bad' };
    if (live.refused > 0 && live.readings.length === 0) return { says: live.reason, tone: 'bad' };
    if (live.dropped > 0) return { says: `floods: ${live.dropped} packs thrown away`, tone: 'bad' };
    if (live.readings.some((r) => r.doubt))
      return { says: 'says what cannot be believed', tone: 'bad' };
    return live.status === 'connecting'
      ? { says: 'connecting …', tone: 'none' }
      : {
          says:
            live.waiting > 0
              ? `live; ${live.waiting === 1 ? 'one ten-minute mean' : `${live.waiting} ten-minute means`} to keep`
              : 'live',
          tone: 'good',
        };
  }

  private shown({ name, value, unit, doubt }: Reading): {
    readonly shown: string;
    readonly word: string;
  } {
    const word =
      { temperature: 'temperature', humidity: 'humidity', illuminance: 'light', weight: 'weight' }[
        name
      ] ?? name;
    const told = doubt ? `${word}, ${DOUBT_WORD[doubt]}` : word;
    switch (name) {
      case 'temperature':
        return { shown: this.words.temperature(value), word: told };
      case 'humidity':
        return { shown: `${value.toFixed(0)}%`, word: told };
      case 'illuminance':
        return { shown: `${this.words.number(value)} lx`, word: told };
      case 'weight':
        return { shown: this.words.weight(value), word: told };
      default:
        return { shown: `${value} ${unit}`, word: told };
    }
  }
}
