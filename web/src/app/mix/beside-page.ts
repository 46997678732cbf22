import { DecimalPipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { airOf, dryingOf, mixOf } from '@hypogeon/core/bench';
import { fillPot, type Container, type FilledPot } from '@hypogeon/core/media';
import { columnOf, dryOut, mobilityAt, type DayRange } from '@hypogeon/core/water';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { PotSection } from '../marks/pot-section';
import { Field, FieldControl } from '../ui/field';
import { MixDesk } from './mix-desk';
import { MixTabs } from './mix-tabs';

interface Beside {
  readonly vary: 'pots' | 'mixes';
  readonly pots: readonly string[];
  readonly mixes: readonly string[];
  readonly space: string;
}

const BLANK: Beside = {
  vary: 'pots',
  pots: ['tray-4', 'pot-7', 'clay-8', 'pot-12'],
  mixes: ['all-mineral', 'half-and-half', 'coir'],
  space: '',
};
/** As many as fit beside one another. */
const MOST = 5;

/** One mix in several pots, or several mixes in one pot, drawn to one scale. */
@Component({
  selector: 'hy-beside-page',
  imports: [DecimalPipe, Field, FieldControl, MixTabs, PotSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Side by side</h1>
      <p class="quiet">
        {{
          set().vary === 'pots'
            ? desk.name() + ' in several pots'
            : 'Several mixes in ' + desk.container().name
        }}
      </p>
    </div>
    <hy-mix-tabs />
    <div class="fields no-print">
      <hy-field label="Compare">
        <select hyControl (change)="put({ vary: vary.value === 'mixes' ? 'mixes' : 'pots' })" #vary>
          <option value="pots" [selected]="set().vary === 'pots'">one mix in several pots</option>
          <option value="mixes" [selected]="set().vary === 'mixes'">
            several mixes in one pot
          </option>
        </select>
      </hy-field>
      @if (set().vary === 'pots') {
        <hy-field label="The mix">
          <select hyControl (change)="desk.open(mix.value)" #mix>
            @for (m of desk.mixes(); track m.id) {
              <option [value]="m.id" [selected]="m.id === desk.draft().from">{{ m.name }}</option>
            }
          </select>
        </hy-field>
      } @else {
        <hy-field label="The pot">
          <select hyControl (change)="desk.change({ container: pot.value })" #pot>
            @for (c of desk.containers(); track c.id) {
              <option [value]="c.id" [selected]="c.id === desk.container().id">{{ c.name }}</option>
            }
          </select>
        </hy-field>
      }
      <hy-field label="Add">
        <select hyControl (change)="add(more.value); more.value = ''" #more>
          <option value="">{{ columns().length >= most ? 'five are enough' : 'choose' }}</option>
          @if (columns().length < most) {
            @for (o of others(); track o.id) {
              <option [value]="o.id">{{ o.name }}</option>
            }
          }
        </select>
      </hy-field>
      <hy-field label="Drying in">
        <select hyControl (change)="put({ space: where.value })" #where>
          @for (s of spaces(); track s.id) {
            <option [value]="s.id" [selected]="s.id === space()">{{ s.name }}</option>
          } @empty {
            <option value="">a plain room</option>
          }
        </select>
      </hy-field>
    </div>
    <p class="small quiet">
      In {{ air().where }}: {{ air().says }}, a wet surface loses
      {{ air().mm | number: '1.1-1' }} mm a day.
    </p>

    <ul class="columns" [style.--n]="columns().length">
      @for (c of columns(); track c.id) {
        <li>
          <h2>{{ c.name }}</h2>
          <hy-pot-section [pot]="c.pot" [scaleMm]="widest()" [widestMm]="120" />
          <dl>
            <div>
              <dt>Water</dt>
              <dd>{{ words.percent(c.pot.water) }}</dd>
            </div>
            <div>
              <dt>Air</dt>
              <dd>{{ words.percent(c.pot.air) }}</dd>
            </div>
            <div>
              <dt>Wet foot</dt>
              <dd>{{ words.length(c.pot.footMm) }}</dd>
            </div>
            <div>
              <dt>A third gone</dt>
              <dd>{{ c.third }}</dd>
            </div>
            <div>
              <dt>Top 2.5 cm dry</dt>
              <dd>{{ c.top }}</dd>
            </div>
            <div>
              <dt>Drained weight</dt>
              <dd>{{ c.pot.wetG | number: '1.0-0' }} g</dd>
            </div>
          </dl>
          @if (columns().length > 2) {
            <button
              class="bare no-print"
              (click)="remove(c.id)"
              [attr.aria-label]="'Leave out ' + c.name"
            >
              Leave out
            </button>
          }
        </li>
      }
    </ul>
  `,
  styles: `
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(12rem, 1fr));
      gap: 1rem;
      margin-bottom: 0.8rem;
    }
    .columns {
      list-style: none;
      margin: 1.2rem 0 0;
      padding: 0;
      display: grid;
      grid-template-columns: repeat(var(--n), minmax(0, 1fr));
      gap: 1.5rem;
    }
    li {
      display: grid;
      grid-template-rows: 2.6rem 1fr auto auto;
      gap: 0.5rem;
      align-items: end;
    }
    h2 {
      align-self: start;
      font-size: 1.05rem;
    }
    dl {
      margin: 0;
    }
    dl div {
      display: flex;
      justify-content: space-between;
      gap: 0.5rem;
      border-bottom: 1px solid var(--line);
      padding: 0.3rem 0;
    }
    dt {
      color: var(--ink2);
      font-size: 0.9rem;
    }
    dd {
      margin: 0;
      font-weight: 600;
      white-space: nowrap;
    }
    @media (max-width: 900px) {
      .columns {
        grid-template-columns: minmax(0, 1fr);
      }
      li {
        grid-template-rows: none;
      }
    }
  `,
})
export class BesidePage {
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  protected readonly desk = inject(MixDesk);
  protected readonly words = inject(Words);
  protected readonly most = MOST;

  private readonly keeper = inject(Drafts).keeper('beside', shapeOf(BLANK));
  protected readonly set = signal<Beside>({ ...BLANK, ...this.keeper.read() });
  protected readonly spaces = computed(() => [...this.state().spaces.values()]);
  protected readonly space = computed(() => this.set().space || (this.spaces()[0]?.id ?? ''));

  private readonly drying = computed(() => dryingOf(this.state(), this.space(), this.today()));
  protected readonly air = computed(() => {
    const air = airOf(this.state(), this.space(), this.today());
    return {
      where: this.state().spaces.get(this.space())?.name ?? 'a plain room',
      says: `${this.words.temperature(air.tempC)}, ${this.words.percent(air.rh)} RH`,
      mm: this.drying().evaporationMm,
    };
  });

  protected readonly columns = computed(() => {
    const { vary, pots, mixes } = this.set();
    if (vary === 'pots') {
      const medium = this.desk.medium();
      if (!medium) return [];
      return this.desk
        .containers()
        .filter((c) => pots.includes(c.id))
        .sort((a, b) => pots.indexOf(a.id) - pots.indexOf(b.id))
        .map((c) => this.column(c.id, c.name, fillPot(medium, c, this.desk.correction())));
    }
    return mixes.flatMap((id) => {
      const mix = mixOf(this.state(), id);
      const pot = mix && fillPot(mix.medium, this.desk.container(), mix.correction);
      return pot ? [this.column(id, mix.name, pot)] : [];
    });
  });
  protected readonly widest = computed(() => {
    const size = ({ topMm, heightMm }: Container): number =>
      Math.max(Math.min(topMm, 120), heightMm);
    return Math.max(...this.columns().map((c) => size(c.pot.container)), 60);
  });
  protected readonly others = computed(() => {
    const { vary, pots, mixes } = this.set();
    return vary === 'pots'
      ? this.desk.containers().filter((c) => !pots.includes(c.id))
      : this.desk.mixes().filter((m) => !mixes.includes(m.id));
  });

  protected put(fields: Partial<Beside>): void {
    this.set.update((s) => ({ ...s, ...fields }));
    this.keeper.keep(this.set());
  }

  protected add(id: string): void {
    if (!id) return;
    const { vary, pots, mixes } = this.set();
    this.put(vary === 'pots' ? { pots: [...pots, id] } : { mixes: [...mixes, id] });
  }

  protected remove(id: string): void {
    const { pots, mixes } = this.set();
    this.put({ pots: pots.filter((p) => p !== id), mixes: mixes.filter((m) => m !== id) });
  }

  private column(id: string, name: string, pot: FilledPot) {
    const { evaporationMm, mediumC } = this.drying();
    const { third, top25 } = dryOut(columnOf(pot), evaporationMm, mobilityAt(mediumC));
    const days = (range: DayRange): string =>
      range === null ? 'over four months' : `${range.from}–${range.to} days`;
    return { id, name, pot, third: days(third), top: days(top25) };
  }
}
