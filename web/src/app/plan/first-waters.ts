import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Day } from '@hypogeon/core/days';
import { firstWaterOutlooks } from '@hypogeon/core/plan';
import type { FirstWaterId } from '@hypogeon/core/water';
import type { WoundClock } from '@hypogeon/core/wound';
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
    <hy-table name="First waters" [columns]="columns" [rows]="rows()" [marked]="isChosen()" />
    <p class="quiet small">
      A day that you choose is kept to, also while the cut is open: the last two columns say what it
      risks.
    </p>
  `,
})
export class FirstWaters {
  private readonly words = inject(Words);
  readonly clock = input.required<WoundClock | null>();
  readonly cutOn = input.required<Day>();
  readonly chosen = input.required<FirstWaterId>();
  /** It is kept dry until it has roots. */
  readonly keptDry = input(false);

  protected readonly columns: readonly Column<Row>[] = [
    {
      key: 'name',
      head: 'First water',
      text: (r) => r.name,
      note: (r) => (r.id === this.chosen() ? 'chosen' : ''),
    },
    { key: 'comes', head: 'Comes', text: (r) => r.comes },
    { key: 'open', head: 'Wound still open', number: true, text: (r) => r.open },
    { key: 'wet', head: 'Would sit wet', number: true, text: (r) => r.wet },
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
            ? 'with the roots'
            : 'not here',
        open: on === null ? '' : this.words.percent(open),
        wet: on === null || wetDays === 0 ? 'no' : this.words.days(wetDays),
      }),
    ),
  );
}
