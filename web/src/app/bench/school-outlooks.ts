import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { WATER_SCHOOL, type SchoolOutlook, type WaterSchoolId } from '@hypogeon/core/water';
import { Words } from '../data/words';

const WIDTH = 150;
const TALL = 34;

/** One pot under every school over the weeks to come: its saw of wet and dry, and what it asks of you. */
@Component({
  selector: 'hy-school-outlooks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll" tabindex="0" role="region" aria-label="All schools of watering on this pot">
      <table>
        <caption class="unseen">
          The same pot and air under each school of watering, the next two months
        </caption>
        <thead>
          <tr>
            <th scope="col">School</th>
            <th scope="col" class="saw">Water in the pot, 60 days</th>
            <th scope="col">Next</th>
            <th scope="col" class="number">Every</th>
            <th scope="col" class="number">A pot gets</th>
            <th scope="col" class="number">Stem wet</th>
            <th scope="col"><span class="unseen">Choose</span></th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.id) {
            <tr [class.chosen]="row.id === chosen()">
              <th scope="row">
                {{ row.name }}<span class="says">{{ row.says }}</span>
              </th>
              <td class="saw">
                <svg [attr.viewBox]="'0 0 150 34'" width="150" height="34" aria-hidden="true">
                  <path class="soil" d="M0 1H150" />
                  <path class="water" [attr.d]="row.saw" />
                </svg>
              </td>
              <td>
                {{ row.next }}<span class="says">{{ row.span }}</span>
              </td>
              <td class="number">{{ row.every }}</td>
              <td class="number">{{ row.ml }}</td>
              <td class="number">{{ row.wet }}</td>
              <td>
                @if (row.id === chosen()) {
                  <span class="mine">in use</span>
                } @else {
                  <button
                    class="bare"
                    (click)="choose.emit(row.id)"
                    [attr.aria-label]="'Water by: ' + row.name"
                  >
                    Use
                  </button>
                }
              </td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    th[scope='row'] {
      font-weight: 600;
      min-width: 10rem;
    }
    .says {
      display: block;
      font-weight: 400;
      font-size: 0.82rem;
      color: var(--ink2);
      line-height: 1.25;
    }
    td,
    th {
      padding-block: 0.4rem;
    }
    .chosen th,
    .chosen td {
      background: var(--living-soft);
    }
    .chosen th {
      box-shadow: inset 4px 0 0 var(--living);
      padding-left: 0.6rem;
    }
    td {
      white-space: nowrap;
    }
    .saw svg {
      display: block;
    }
    .soil {
      stroke: var(--ink);
      stroke-width: 1.4;
    }
    .water {
      fill: var(--water);
      opacity: 0.75;
    }
    .mine {
      font-weight: 650;
      padding-inline: 0.6rem;
    }
  `,
})
export class SchoolOutlooks {
  private readonly words = inject(Words);
  readonly outlooks = input.required<readonly SchoolOutlook[]>();
  readonly chosen = input.required<WaterSchoolId>();
  readonly choose = output<WaterSchoolId>();

  protected readonly rows = computed(() =>
    this.outlooks().map((o) => {
      const { name, trigger } = WATER_SCHOOL[o.school];
      const span =
        o.earliest !== null && o.latest !== null && o.earliest !== o.latest
          ? this.words.span(o.earliest, o.latest)
          : '';
      const every = o.everyDays === null ? '' : this.words.days(Math.round(o.everyDays));
      const ml = o.ml < 20 ? Math.round(o.ml) : Math.round(o.ml / 5) * 5;
      return {
        id: o.school,
        name,
        says: `once ${trigger}`,
        saw: saw(o.fill),
        next: o.next === null ? 'not within two months' : this.words.near(o.next),
        span,
        every,
        ml: o.ml === 0 ? '' : `${ml} mL`,
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
