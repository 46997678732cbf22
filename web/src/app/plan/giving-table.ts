import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { METHOD } from '@hypogeon/core/botany';
import { SIZE_WORD, type Giving, type Size } from '@hypogeon/core/plan';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';

/** What pieces that are there, or that a mother can spare, come to by the day. */
@Component({
  selector: 'hy-giving-table',
  imports: [MatButton, CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll" tabindex="0" role="region" aria-label="What they give">
      <table>
        <thead>
          <tr>
            <th scope="col">Way</th>
            <th scope="col">Take</th>
            <th scope="col">Gives by the day</th>
            <th scope="col">Ready, eight in ten</th>
            <th scope="col">What may go wrong</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.giving.way.method) {
            <tr>
              <th scope="row">
                <span class="who"><hy-mark [piece]="row.piece" [size]="40" />{{ row.name }}</span>
              </th>
              <td>
                @if (row.giving.taken > 0) {
                  <button type="button" matButton="outlined" (click)="choose.emit(row.giving)">
                    Take {{ row.giving.taken }}
                  </button>
                } @else {
                  <span class="quiet">none to spare</span>
                }
                <small>{{ row.giving.spare?.why }}</small>
              </td>
              <td>
                <strong>{{ row.likely }}</strong>
                <small>{{ row.range }}</small>
              </td>
              <td>{{ row.ready }}</td>
              <td>{{ row.risks }}</td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    table {
      min-width: 46rem;
    }
    th,
    td {
      padding-block: 0.4rem;
    }
    small {
      display: block;
      font-size: 0.82rem;
      color: var(--ink2);
      line-height: 1.25;
      max-width: 16rem;
    }
    .who {
      display: flex;
      align-items: center;
      gap: 0.4rem;
    }
    td:last-child {
      min-width: 11rem;
    }
  `,
})
export class GivingTable {
  private readonly words = inject(Words);
  readonly givings = input.required<readonly Giving[]>();
  readonly size = input.required<Size>();
  readonly choose = output<Giving>();

  protected readonly rows = computed(() =>
    this.givings().map((giving) => {
      const { way, plants } = giving;
      const method = METHOD[way.method];
      return {
        giving,
        piece: way.figures.piece ?? method.piece,
        name: method.name,
        likely: `about ${Math.round(plants.likely)} ${SIZE_WORD[this.size()]}`,
        range: `${plants.low} to ${plants.high}, eight times in ten`,
        ready: way.from && way.to ? this.words.span(way.from, way.to) : 'not within three years',
        risks: way.risks.join('; '),
      };
    }),
  );
}
