import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { containerOf, dryingOf, mixesOf } from '@hypogeon/core/bench';
import type { Day } from '@hypogeon/core/days';
import { fillPot } from '@hypogeon/core/media';
import { columnOf, dryOut, mobilityAt, type DryOut } from '@hypogeon/core/water';
import { Journal } from '../data/journal';
import { Words } from '../data/words';

/** The chosen mix and so many others beside it. */
const MOST = 6;

/** What the medium would mean in the chosen pot where it will stand: how long it stays wet by two schools. */
@Component({
  selector: 'hy-media-outlook',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows().length > 0) {
      <section aria-labelledby="media">
        <h2 id="media" class="ruled">Mixes in this pot</h2>
        <div class="scroll" tabindex="0" role="region" aria-label="Mixes, a table">
          <table>
            <thead>
              <tr>
                <th scope="col">Mix</th>
                <th scope="col" class="number">Air</th>
                <th scope="col" class="number">A third gone</th>
                <th scope="col" class="number">Dry to 2.5 cm</th>
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
                  <td class="number">{{ row.air }}</td>
                  <td class="number">{{ row.third }}</td>
                  <td class="number">{{ row.top }}</td>
                </tr>
              }
            </tbody>
          </table>
        </div>
        <p class="quiet small">
          Days from a drained pot, in the air of the day of the cut: so long a wound would sit in
          wet medium, and so far apart the drinks lie.
        </p>
      </section>
    }
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
export class MediaOutlook {
  private readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  readonly container = input.required<string>();
  readonly space = input.required<string>();
  readonly day = input.required<Day>();
  readonly chosen = input.required<string>();

  protected readonly rows = computed(() => {
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
  if (range === null) return 'months';
  return range.from === range.to ? `${range.from} d` : `${range.from}–${range.to} d`;
}
