import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Day } from '@hypogeon/core/days';
import { firstWaterOutlooks } from '@hypogeon/core/plan';
import type { FirstWaterId } from '@hypogeon/core/water';
import type { WoundClock } from '@hypogeon/core/wound';
import { Words } from '../data/words';

/** The schools of first water for one cut: when each waters, and how long the wound would sit wet. */
@Component({
  selector: 'hy-first-waters',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll" tabindex="0" role="region" aria-label="First waters, a table">
      <table>
        <thead>
          <tr>
            <th scope="col">First water</th>
            <th scope="col">Comes</th>
            <th scope="col" class="number">Wound still open</th>
            <th scope="col" class="number">Would sit wet</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.id) {
            <tr [class.chosen]="row.id === chosen()">
              <th scope="row">
                {{ row.name }}
                @if (row.id === chosen()) {
                  <span class="unseen">, chosen</span>
                }
              </th>
              <td>{{ row.comes }}</td>
              <td class="number">{{ row.open }}</td>
              <td class="number">{{ row.wet }}</td>
            </tr>
          }
        </tbody>
      </table>
    </div>
    <p class="quiet small">
      Only “at once” waters while the cut is open. The last two columns say what each would risk.
    </p>
  `,
  styles: `
    th,
    td {
      padding-block: 0.3rem;
    }
    .chosen th,
    .chosen td {
      background: var(--living-soft);
      font-weight: 650;
    }
    th[scope='row'] {
      font-weight: 500;
    }
  `,
})
export class FirstWaters {
  private readonly words = inject(Words);
  readonly clock = input.required<WoundClock | null>();
  readonly cutOn = input.required<Day>();
  readonly chosen = input.required<FirstWaterId>();

  protected readonly rows = computed(() =>
    firstWaterOutlooks(this.clock(), this.cutOn()).map(({ school, wants, on, open, wetDays }) => ({
      id: school.id,
      name: school.name,
      comes: on
        ? this.words.near(on) + (wants !== null && wants < on ? ', held until it is safe' : '')
        : school.afterDays === null
          ? 'with the roots'
          : 'not here',
      open: wants === null ? '' : this.words.percent(open),
      wet: wants === null || wetDays === 0 ? 'no' : this.words.days(wetDays),
    })),
  );
}
