import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { CountedRow } from '@hypogeon/core/ledger';
import type { ShareInterval } from '@hypogeon/core/stats';
import { Words } from '../data/words';

/** Groups and what became of their cuttings, short: for the report. */
@Component({
  selector: 'hy-counted-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="ruled">{{ heading() }}</h2>
    <div class="scroll" tabindex="0" role="region" [attr.aria-label]="heading()">
      <table>
        <thead>
          <tr>
            <th scope="col"><span class="unseen">Group</span></th>
            <th scope="col" class="number">Stuck</th>
            <th scope="col" class="number">Rooted</th>
            <th scope="col" class="number">Pups</th>
            <th scope="col" class="number">Rotted</th>
            <th scope="col" class="number">Waiting</th>
            <th scope="col" class="number">First root, day</th>
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track row.name) {
            <tr>
              <th scope="row">{{ row.name }}</th>
              <td class="number">{{ row.count.stuck }}</td>
              <td class="number">{{ row.count.rooted }} {{ span(row.shares.rooted) }}</td>
              <td class="number">{{ row.count.pupped }}</td>
              <td class="number">{{ row.count.rotted }} {{ span(row.shares.rotted) }}</td>
              <td class="number">{{ row.count.waiting }}</td>
              <td class="number">
                {{ row.firstRoot ? row.firstRoot.after + '–' + row.firstRoot.by : '–' }}
              </td>
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.4rem;
      grid-template-columns: minmax(0, 1fr);
    }
    th[scope='row'] {
      font-weight: 600;
    }
  `,
})
export class CountedTable {
  private readonly words = inject(Words);
  readonly heading = input.required<string>();
  readonly rows = input.required<readonly CountedRow[]>();

  protected span(s: ShareInterval | null): string {
    return s === null ? '' : `(${this.words.percentSpan(s)})`;
  }
}
