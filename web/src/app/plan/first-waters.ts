import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Day } from '@hypogeon/core/days';
import { firstWaterOutlooks } from '@hypogeon/core/plan';
import type { FirstWaterId } from '@hypogeon/core/water';
import type { WoundClock } from '@hypogeon/core/wound';
import { say } from '@hypogeon/messages/first-waters';
import { Words } from '../data/words';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';

interface Row {
  readonly id: FirstWaterId;
  readonly name: string;
  readonly comes: string;
  readonly open: string;
  readonly wet: string;
}

/** The schools of first water for one cut: when each waters, and how long the wound would sit wet. */
@Component({
  selector: 'hy-first-waters',
  imports: [Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-table
      [name]="say.firstWaters()"
      [columns]="columns"
      [rows]="rows()"
      [marked]="isChosen()"
    />
    <p class="quiet small">
      {{ say.aDayThatYou() }}
    </p>
  `,
})
export class FirstWaters {
  protected readonly say = say;

  private readonly words = inject(Words);
  readonly clock = input.required<WoundClock | null>();
  readonly cutOn = input.required<Day>();
  readonly chosen = input.required<FirstWaterId>();
  /** It is kept dry until it has roots. */
  readonly keptDry = input(false);

  protected readonly columns: readonly Column<Row>[] = [
    {
      key: 'name',
      head: say.firstWater(),
      text: (r) => r.name,
      note: (r) => (r.id === this.chosen() ? say.chosen() : ''),
    },
    { key: 'comes', head: say.comes(), text: (r) => r.comes },
    { key: 'open', head: say.woundStillOpen(), number: true, text: (r) => r.open },
    { key: 'wet', head: say.wouldSitWet(), number: true, text: (r) => r.wet },
  ];
  protected readonly isChosen = computed(() => {
    const chosen = this.chosen();
    return (r: Row): boolean => r.id === chosen;
  });
  private readonly stops = computed(() => this.clock()?.gate.state === 'stopped');
  protected readonly rows = computed((): readonly Row[] =>
    firstWaterOutlooks(this.clock(), this.cutOn(), this.keptDry()).map(
      ({ school, on, open, wetDays }) => ({
        id: school.id,
        name: school.name,
        comes: on
          ? this.words.near(on)
          : school.afterDays === null || !this.stops()
            ? say.withTheRoots()
            : say.notHere(),
        open: on === null ? '' : this.words.percent(open),
        wet: on === null || wetDays === 0 ? say.no() : this.words.days(wetDays),
      }),
    ),
  );
}
