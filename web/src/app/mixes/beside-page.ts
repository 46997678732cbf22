import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { airOf, dryingOf, mixOf, placesIn } from '@hypogeon/core/bench';
import { fillPot, type Container, type FilledPot } from '@hypogeon/core/media';
import { columnOf, dryOut, mobilityAt, type DayRange } from '@hypogeon/core/water';
import { say } from '@hypogeon/messages/beside-page';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { PotSection } from '../marks/pot-section';
import { Field } from '../forms/field';
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
  imports: [MatButton, MatOption, MatSelect, Field, MixTabs, PotSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.sideBySide() }}</h1>
      <p class="quiet">
        {{
          set().vary === 'pots'
            ? say.inSeveralPots({ name: desk.name() })
            : say.severalMixesIn({ name: desk.container().name })
        }}
      </p>
    </div>
    <hy-mix-tabs />
    <div class="no-print grid auto-fit-48 gap-4 mb-3">
      <hy-field [label]="say.compare()">
        <mat-select
          [value]="set().vary"
          (selectionChange)="put({ vary: $event.value === 'mixes' ? 'mixes' : 'pots' })"
        >
          <mat-option value="pots">{{ say.oneMixInSeveral() }}</mat-option>
          <mat-option value="mixes"> {{ say.severalMixesInOne() }} </mat-option>
        </mat-select>
      </hy-field>
      @if (set().vary === 'pots') {
        <hy-field [label]="say.theMix()">
          <mat-select [value]="desk.draft().from" (selectionChange)="desk.open($event.value)">
            @for (m of desk.mixes(); track m.id) {
              <mat-option [value]="m.id">{{ m.name }}</mat-option>
            }
          </mat-select>
        </hy-field>
      } @else {
        <hy-field [label]="say.thePot()">
          <mat-select
            [value]="desk.container().id"
            (selectionChange)="desk.change({ container: $event.value })"
          >
            @for (c of desk.containers(); track c.id) {
              <mat-option [value]="c.id">{{ c.name }}</mat-option>
            }
          </mat-select>
        </hy-field>
      }
      <hy-field [label]="say.add()">
        <mat-select value="" (selectionChange)="add(more.value); more.value = ''" #more>
          <mat-option value="">{{
            columns().length >= most ? say.fiveAreEnough() : say.choose()
          }}</mat-option>
          @if (columns().length < most) {
            @for (o of others(); track o.id) {
              <mat-option [value]="o.id">{{ o.name }}</mat-option>
            }
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.dryingIn()">
        <mat-select [value]="space()" (selectionChange)="put({ space: $event.value })">
          @for (s of spaces(); track s.id) {
            <mat-option [value]="s.id">{{ s.name }}</mat-option>
          } @empty {
            <mat-option value="">{{ say.aPlainRoom() }}</mat-option>
          }
        </mat-select>
      </hy-field>
    </div>
    <p class="small quiet">
      {{
        say.inAWetSurface({
          where: air().where,
          says: air().says,
          evaporation: words.evaporation(air().mm),
        })
      }}
    </p>

    <ul
      class="columns grid grid-cols-[repeat(var(--n),minmax(0,1fr))] gap-6 mt-5 mb-0 mx-0 p-0 list-none max-[900px]:grid-cols-1"
      [style.--n]="columns().length"
    >
      @for (c of columns(); track c.id) {
        <li
          class="grid grid-rows-[2.6rem_1fr_auto_auto] items-end gap-2 max-[900px]:grid-rows-none"
        >
          <h2 class="self-start text-lg">{{ c.name }}</h2>
          <hy-pot-section [pot]="c.pot" [scaleMm]="widest()" [widestMm]="120" />
          <dl>
            <div>
              <dt>{{ say.water() }}</dt>
              <dd>{{ words.percent(c.pot.water) }}</dd>
            </div>
            <div>
              <dt>{{ say.air() }}</dt>
              <dd>{{ words.percent(c.pot.air) }}</dd>
            </div>
            <div>
              <dt>{{ say.wetFoot() }}</dt>
              <dd>{{ words.length(c.pot.footMm) }}</dd>
            </div>
            <div>
              <dt>{{ say.aThirdGone() }}</dt>
              <dd>{{ c.third }}</dd>
            </div>
            <div>
              <dt>{{ say.topDry({ length: words.length(25) }) }}</dt>
              <dd>{{ c.top }}</dd>
            </div>
            <div>
              <dt>{{ say.drainedWeight() }}</dt>
              <dd>{{ words.weight(c.pot.wetG) }}</dd>
            </div>
          </dl>
          @if (columns().length > 2) {
            <button
              matButton="text"
              class="no-print"
              (click)="remove(c.id)"
              [attr.aria-label]="say.leaveOut({ name: c.name })"
            >
              {{ say.leaveOut2() }}
            </button>
          }
        </li>
      }
    </ul>
  `,
  styles: `
    dl div {
      display: flex;
      justify-content: space-between;
      gap: 0.5rem;
      padding-block: 0.25rem;
      border-bottom: 1px solid var(--line);
    }
    dt {
      color: var(--ink2);
      font-size: 0.875rem;
    }
    dd {
      font-weight: 600;
      white-space: nowrap;
    }
  `,
})
export class BesidePage {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  protected readonly desk = inject(MixDesk);
  protected readonly words = inject(Words);
  protected readonly most = MOST;

  private readonly keeper = inject(Drafts).keeper('beside', shapeOf(BLANK));
  protected readonly set = signal<Beside>({ ...BLANK, ...this.keeper.read() });
  protected readonly spaces = computed(() => placesIn(this.state()));
  protected readonly space = computed(() => this.set().space || (this.spaces()[0]?.id ?? ''));

  private readonly drying = computed(() => dryingOf(this.state(), this.space(), this.today()));
  protected readonly air = computed(() => {
    const air = airOf(this.state(), this.space(), this.today());
    return {
      where: this.state().spaces.get(this.space())?.name ?? say.aPlainRoom(),
      says: say.rh({
        temperature: this.words.temperature(air.tempC),
        percent: this.words.percent(air.rh),
      }),
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
      range === null ? say.overFourMonths() : say.days({ from: range.from, to: range.to });
    return { id, name, pot, third: days(third), top: days(top25) };
  }
}
