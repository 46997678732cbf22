import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { paceWords } from '@hypogeon/core/bench';
import { METHOD } from '@hypogeon/core/botany';
import { beliefWords, type Way, type Ways } from '@hypogeon/core/plan';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';

/** The ways of one mother to what is wanted, side by side, the recommended one first to the eye. */
@Component({
  selector: 'hy-ways-table',
  imports: [MatButton, CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll" tabindex="0" role="region" aria-label="Ways side by side">
      <table>
        <caption class="unseen">
          Each method with how many to take, when they are ready and what it costs
        </caption>
        <thead>
          <tr>
            <th scope="col">Way</th>
            <th scope="col">Take</th>
            <th scope="col">Ready, eight in ten</th>
            <th scope="col" class="number">Lives</th>
            <th scope="col" class="number">Work</th>
            <th scope="col">Mother loses</th>
            <th scope="col">What may go wrong</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.way.method) {
            <tr [class.best]="row.best">
              <th scope="row">
                <span class="who"
                  ><hy-mark [piece]="row.piece" [size]="40" /><span
                    >{{ row.name }}<small>{{ row.note }}</small></span
                  ></span
                >
              </th>
              <td>
                @if (row.way.within) {
                  <button
                    type="button"
                    [matButton]="row.best ? 'filled' : 'outlined'"
                    (click)="choose.emit(row.way)"
                    [attr.aria-label]="'Take ' + row.way.needed + ' by: ' + row.name"
                  >
                    Take {{ row.way.needed }}
                  </button>
                } @else {
                  <span class="quiet">{{ row.needs }}</span>
                }
                <small [class.short]="row.short">{{ row.spare }}</small>
              </td>
              <td>
                {{ row.ready }}<small>{{ row.intime }}</small
                ><small>{{ row.pace }}</small>
              </td>
              <td class="number">
                {{ row.lives }}<small>{{ row.rests }}</small>
              </td>
              <td class="number">
                {{ row.work }}<small>{{ row.cost }}</small>
              </td>
              <td>{{ row.way.loses }}</td>
              <td>{{ row.risks }}</td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    th,
    td {
      padding-block: 0.4rem;
    }
    small {
      display: block;
      font-weight: 400;
      font-size: 0.82rem;
      color: var(--ink2);
      line-height: 1.25;
    }
    .who {
      display: flex;
      align-items: center;
      gap: 0.4rem;
    }
    td button {
      white-space: nowrap;
    }
    .best th,
    .best td {
      background: var(--living-soft);
    }
    td.number small {
      white-space: normal;
      min-width: 7.5rem;
    }
    td:last-child {
      min-width: 10rem;
    }
    td:nth-child(3) {
      min-width: 9.5rem;
    }
    .short {
      color: var(--do);
      font-weight: 600;
    }
  `,
})
export class WaysTable {
  private readonly words = inject(Words);
  readonly ways = input.required<Ways>();
  readonly choose = output<Way>();

  protected readonly rows = computed(() => {
    const { ways, best } = this.ways();
    return ways.map((way) => {
      const { figures, belief, ready } = way;
      const method = METHOD[figures.method];
      const note = [way === best ? 'recommended' : '', figures.worth === 'poor' ? 'poor' : '']
        .filter(Boolean)
        .join(', ');
      return {
        way,
        best: way === best,
        piece: figures.piece ?? method.piece,
        name: method.name,
        note,
        ready: way.from && way.to ? this.words.span(way.from, way.to) : 'not within three years',
        intime: ready < 0.995 ? `${this.words.percent(ready)} in time` : 'all in time',
        lives: this.words.percent(belief.mean),
        rests: beliefWords(belief, figures.method),
        pace: way.pace.own + way.pace.genus > 0 ? paceWords(way.pace) : '',
        spare: way.spare ? `she can spare ${way.spare.count}` : '',
        needs: way.needed === null ? 'none would do' : `${this.words.number(way.needed)} needed`,
        short: way.spare !== null && way.needed !== null && way.spare.count < way.needed,
        cost:
          way.cost?.perPlant == null || way.cost.perPlant < 0.005
            ? ''
            : `${this.words.decimal(way.cost.perPlant, 2)} a plant`,
        risks: way.risks.join('; '),
        work: way.minutes === null ? '' : minutes(way.minutes),
      };
    });
  });
}

function minutes(n: number): string {
  if (n < 90) return `${Math.max(1, Math.round(n / 5) * 5 || Math.round(n))} min`;
  return `${(n / 60).toFixed(1)} h`;
}
