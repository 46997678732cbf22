import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { WATER_SCHOOL, type SchoolOutlook, type WaterSchoolId } from '@hypogeon/core/water';
import { say } from '@hypogeon/messages/school-outlooks';
import { Words } from '../data/words';
import { CellOf, type Column } from '../ui/column';
import { Table } from '../ui/table';

const WIDTH = 150;
const TALL = 34;

interface HabitRow {
  readonly id: WaterSchoolId;
  readonly name: string;
  readonly says: string;
  readonly saw: string;
  readonly next: string;
  readonly span: string;
  readonly every: string;
  readonly everyDays: number | null;
  readonly ml: string;
  readonly wet: string;
}

/** One pot under every watering habit over the weeks to come: its saw of wet and dry, and what it asks of you. */
@Component({
  selector: 'hy-school-outlooks',
  imports: [CellOf, Table, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-table
      [name]="say.allWateringHabitsOn()"
      [columns]="columns"
      [rows]="rows()"
      [marked]="isChosen"
    >
      <ng-template hyCell="saw" [of]="rows()" let-row>
        <svg class="block" viewBox="0 0 150 34" width="150" height="34" aria-hidden="true">
          <path class="soil" d="M0 1H150" />
          <path class="water" [attr.d]="row.saw" />
        </svg>
      </ng-template>
      <ng-template hyCell="use" [of]="rows()" let-row>
        @if (row.id === chosen()) {
          <span class="px-2.5 font-bold">{{ say.inUse() }}</span>
        } @else {
          <button
            matButton="text"
            (click)="choose.emit(row.id)"
            [attr.aria-label]="say.waterBy({ name: row.name })"
          >
            {{ say.use() }}
          </button>
        }
      </ng-template>
    </hy-table>
  `,
  styles: `
    .soil {
      stroke: var(--ink);
      stroke-width: 1.4;
    }
    .water {
      fill: var(--water);
      opacity: 0.75;
    }
  `,
})
export class SchoolOutlooks {
  protected readonly say = say;

  private readonly words = inject(Words);
  readonly outlooks = input.required<readonly SchoolOutlook[]>();
  readonly chosen = input.required<WaterSchoolId>();
  readonly choose = output<WaterSchoolId>();

  protected readonly isChosen = (row: HabitRow): boolean => row.id === this.chosen();
  protected readonly columns: readonly Column<HabitRow>[] = [
    { key: 'name', head: say.wateringHabit(), text: (r) => r.name, note: (r) => r.says },
    { key: 'saw', head: say.waterInThePot(), text: () => '' },
    { key: 'next', head: say.next(), text: (r) => r.next, note: (r) => r.span },
    {
      key: 'every',
      head: say.every(),
      number: true,
      text: (r) => r.every,
      sort: (r) => r.everyDays,
    },
    { key: 'ml', head: say.aPotGets(), number: true, text: (r) => r.ml },
    { key: 'wet', head: say.stemWet(), number: true, text: (r) => r.wet },
    { key: 'use', head: say.choose(), act: true, text: () => '' },
  ];
  protected readonly rows = computed((): readonly HabitRow[] =>
    this.outlooks().map((o) => {
      const { name, trigger } = WATER_SCHOOL[o.school];
      const span =
        o.earliest !== null && o.latest !== null && o.earliest !== o.latest
          ? this.words.span(o.earliest, o.latest)
          : '';
      const every = o.everyDays === null ? '' : this.words.days(Math.round(o.everyDays));
      return {
        id: o.school,
        name: this.words.rule(name),
        says: say.once({ rule: this.words.rule(trigger) }),
        saw: saw(o.fill),
        next: o.next === null ? say.notWithinTwoMonths() : this.words.near(o.next),
        span,
        every,
        everyDays: o.everyDays,
        ml: o.ml === 0 ? '' : this.words.volume(o.ml),
        wet: this.words.percent(o.wetShare),
      };
    }),
  );
}

/** Water hung under the soil line. */
function saw(fill: readonly number[]): string {
  const step = WIDTH / Math.max(fill.length - 1, 1);
  const line = fill.map(
    (f, i) => `L${(i * step).toFixed(1)} ${(1 + Math.min(f, 1.05) * (TALL - 3)).toFixed(1)}`,
  );
  return `M0 1${line.join('')}V1Z`;
}
