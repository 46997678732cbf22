import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { containerOf, dryingOf, mixesOf } from '@hypogeon/core/bench';
import type { Day } from '@hypogeon/core/days';
import { fillPot } from '@hypogeon/core/media';
import { columnOf, dryOut, mobilityAt, type DryOut } from '@hypogeon/core/water';
import { say } from '@hypogeon/messages/media-outlook';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';

/** The chosen mix and so many others beside it. */
const MOST = 6;

interface Row {
  readonly id: string;
  readonly name: string;
  readonly air: string;
  readonly third: string;
  readonly top: string;
}

/** What the medium would mean in the chosen pot where it will stand: how long it stays wet by two schools. */
@Component({
  selector: 'hy-media-outlook',
  imports: [Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows().length > 0) {
      <section aria-labelledby="media">
        <h2 id="media" class="ruled">{{ say.mixesInThisPot() }}</h2>
        <hy-table [name]="say.mixes()" [columns]="columns" [rows]="rows()" [marked]="isChosen()" />
        <p class="quiet small">
          {{ say.daysFromADrained() }}
        </p>
      </section>
    }
  `,
})
export class MediaOutlook {
  protected readonly say = say;

  private readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  readonly container = input.required<string>();
  readonly space = input.required<string>();
  readonly day = input.required<Day>();
  readonly chosen = input.required<string>();

  protected readonly columns: readonly Column<Row>[] = [
    {
      key: 'name',
      head: say.mix(),
      text: (r) => r.name,
      note: (r) => (r.id === this.chosen() ? say.chosen() : ''),
    },
    { key: 'air', head: say.air(), number: true, text: (r) => r.air },
    { key: 'third', head: say.aThirdGone(), number: true, text: (r) => r.third },
    {
      key: 'top',
      head: say.dryTo({ length: this.words.length(25) }),
      number: true,
      text: (r) => r.top,
    },
  ];
  protected readonly isChosen = computed(() => {
    const chosen = this.chosen();
    return (r: Row): boolean => r.id === chosen;
  });
  protected readonly rows = computed((): readonly Row[] => {
    const state = this.state();
    const container = this.container() === '' ? null : containerOf(state, this.container());
    if (!container) return [];
    const { evaporationMm, mediumC } = dryingOf(state, this.space(), this.day());
    const mixes = mixesOf(state);
    const picked = mixes.find((m) => m.id === this.chosen());
    const shown = [...new Set([...(picked ? [picked] : []), ...mixes])].slice(0, MOST);
    return shown.map(({ id, name, medium, correction }) => {
      const pot = fillPot(medium, container, correction);
      const { third, top25 } = dryOut(columnOf(pot), evaporationMm, mobilityAt(mediumC));
      return {
        id,
        name,
        air: this.words.percent(pot.air),
        third: days(third),
        top: days(top25),
      };
    });
  });
}

function days(range: DryOut['third']): string {
  if (range === null) return say.months();
  return range.from === range.to ? `${range.from} d` : `${range.from}–${range.to} d`;
}
