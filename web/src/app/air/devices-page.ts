import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { batchCode, batchTitle, placesIn } from '@hypogeon/core/bench';
import { say } from '@hypogeon/messages/devices-page';
import { Actions } from '../data/actions';
import { Devices, type DeviceInfo, type Live, type Pairing, type Reading } from '../data/devices';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { Field } from '../forms/field';
import { NumberPipe } from '../ui/number-pipe';
import { perCent } from '@hypogeon/core/units';

const KIND_WORD = {
  get 'thermo-hygrometer'() {
    return say.temperatureAndHumidity();
  },
  get light() {
    return say.light();
  },
  get scale() {
    return say.weightOfAPot();
  },
} as const;
const DOUBT_WORD = {
  get impossible() {
    return say.cannotBeLeftOut();
  },
  get jumped() {
    return say.jumpedLeftOutUntil();
  },
  get stuck() {
    return say.hangsTheSameFor();
  },
} as const;
const faults = () =>
  [
    ['none', say.works()],
    ['silent', say.fallsSilent()],
    ['stuck', say.hangs()],
    ['liar', say.lies()],
    ['flood', say.floods()],
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
        <p class="quiet small">
          <a routerLink="/settings">{{ say.settings() }}</a>
        </p>
        <h1>{{ say.devices() }}</h1>
      </div>
    </div>
    <p class="lead">
      {{ say.aThermoHygrometerOr() }}
    </p>

    <section aria-labelledby="paired">
      <h2 id="paired" class="ruled">{{ say.paired() }}</h2>
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
                <span class="quiet">{{ say.nothingYet() }}</span>
              }
              @if (row.live.battery !== null) {
                <div class="grid" [class.low]="row.live.battery < 15">
                  <span class="value headline text-xl">{{
                    perCent(row.live.battery | hyNumber)
                  }}</span><small class="quiet">{{
                    say.battery({ what: row.live.battery < 15 ? say.low() : '' })
                  }}</small>
                </div>
              }
            </div>
            <div class="flex flex-wrap justify-end gap-1 max-w-100 narrow:justify-start">
              @if (row.pairing.kind === 'scale') {
                <button matButton="outlined" (click)="keepWeight(row.pairing)">
                  {{ say.keepThisWeight() }}
                </button>
              } @else {
                <button matButton="outlined" (click)="keep(row.pairing)">
                  {{ say.keepReadingsNow() }}
                </button>
              }
              @if (row.live.replaying) {
                <button matButton="text" (click)="devices.backToNow(row.pairing.id)">
                  {{ say.backToNow() }}
                </button>
              } @else {
                <button matButton="text" (click)="devices.replay(row.pairing.id, 48, 7200)">
                  {{ say.replayTwoDays() }}
                </button>
              }
              <button
                matButton="text"
                (click)="devices.unpair(row.pairing.id)"
                [attr.aria-label]="say.unpair({ name: row.pairing.name })"
              >
                {{ say.unpair2() }}
              </button>
              <hy-field [label]="say.simulatedTroubleOf({ name: row.pairing.name })" unseen>
                <mat-select (selectionChange)="fault(row.pairing, $event.value)">
                  @for (f of faults; track f[0]) {
                    <mat-option [value]="f[0]">{{ say.simulate({ f: f[1] }) }}</mat-option>
                  }
                </mat-select>
              </hy-field>
            </div>
          </li>
        } @empty {
          <li
            class="quiet block grid-cols-[minmax(14rem,1fr)_minmax(0,1.2fr)_auto] items-center gap-y-3 gap-x-6 py-3.5 border-b border-line narrow:grid-cols-1"
          >
            {{ say.nonePairOneBelow() }}
          </li>
        }
      </ul>
    </section>

    <section aria-labelledby="offered">
      <h2 id="offered" class="ruled">{{ say.offeredByTheServer() }}</h2>
      <p class="mt-3">
        <button matButton="outlined" (click)="look()" [disabled]="looking()">
          {{ looking() ? say.looking() : say.lookForDevices() }}
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
              <hy-field [label]="d.kind === 'scale' ? say.carriesAPotOf() : say.hangsIn()">
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
                [attr.aria-label]="say.pair({ name: d.name })"
              >
                {{ say.pair2() }}
              </button>
            </li>
          }
        </ul>
      } @else if (looked()) {
        <p role="status">
          {{ say.noServerAnswersHere() }}
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
  protected readonly say = say;
  protected readonly perCent = perCent;

  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  protected readonly devices = inject(Devices);
  protected readonly words = inject(Words);
  protected readonly kindWord = KIND_WORD;
  protected readonly faults = faults();

  constructor() {
    void this.devices.open();
  }

  protected readonly offered = signal<readonly DeviceInfo[] | null>(null);
  protected readonly looked = signal(false);
  protected readonly looking = signal(false);

  protected readonly spaces = computed(() =>
    placesIn(this.journal.state()).map((s) => ({ id: s.id, name: s.name ?? say.bench() })),
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
    this.actions.say(say.isPaired({ name: info.name }));
  }

  protected async keep({ id }: Pairing): Promise<void> {
    const saved = await this.devices.keep(id);
    this.actions.say(saved ? say.readingsAreInThe() : say.nothingNewToKeep());
  }

  protected async keepWeight({ id }: Pairing): Promise<void> {
    const grams = await this.devices.keepWeight(id);
    this.actions.say(grams === null ? say.noWeightToKeep() : say.gNotedSaved({ grams }));
  }

  protected async fault({ id }: Pairing, fault: string): Promise<void> {
    try {
      await fetch(`devices/${encodeURIComponent(id)}/fault/${encodeURIComponent(fault)}`, {
        method: 'POST',
      });
    } catch {
      this.actions.say(say.theServerDoesNot());
    }
  }

  private place({ at, kind }: Pairing): string {
    const state = this.journal.state();
    if (kind !== 'scale') return state.spaces.get(at)?.name ?? say.aPlaceOfAnother();
    const batch = state.batches.get(at);
    return batch ? say.aPotOf({ batchTitle: batchTitle(state, batch) }) : say.aPotOfAnother();
  }

  private status(live: Live): { readonly says: string; readonly tone: 'good' | 'bad' | 'none' } {
    if (live.replaying)
      return {
        says: live.status === 'ended' ? say.replayIsOver() : say.replayingTwoDays(),
        tone: 'none',
      };
    if (live.status === 'waiting')
      return { says: say.noAnswerTriedAgain({ retryIn: live.retryIn }), tone: 'bad' };
    if (live.stale) return { says: say.silentWhatStandsHere(), tone: 'bad' };
    if (live.refused > 0 && live.readings.length === 0) return { says: live.reason, tone: 'bad' };
    if (live.dropped > 0)
      return { says: say.floodsPacksThrownAway({ dropped: live.dropped }), tone: 'bad' };
    if (live.readings.some((r) => r.doubt)) return { says: say.saysWhatCannotBe(), tone: 'bad' };
    return live.status === 'connecting'
      ? { says: say.connecting(), tone: 'none' }
      : {
          says:
            live.waiting > 0
              ? say.liveToKeep({
                  what:
                    live.waiting === 1
                      ? say.oneTenMinuteMean()
                      : say.tenMinuteMeans({ waiting: live.waiting }),
                })
              : say.live(),
          tone: 'good',
        };
  }

  private shown({ name, value, unit, doubt }: Reading): {
    readonly shown: string;
    readonly word: string;
  } {
    const word =
      {
        temperature: say.temperature(),
        humidity: say.humidityWord(),
        illuminance: say.light(),
        weight: say.weight(),
      }[name] ?? name;
    const told = doubt ? `${word}, ${DOUBT_WORD[doubt]}` : word;
    switch (name) {
      case 'temperature':
        return { shown: this.words.temperature(value), word: told };
      case 'humidity':
        return { shown: perCent(value.toFixed(0)), word: told };
      case 'illuminance':
        return { shown: say.lx({ number: this.words.number(value) }), word: told };
      case 'weight':
        return { shown: this.words.weight(value), word: told };
      default:
        return { shown: `${value} ${unit}`, word: told };
    }
  }
}
