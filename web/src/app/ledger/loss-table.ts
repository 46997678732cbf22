import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { LossGroup } from '@hypogeon/core/ledger';
import { Words } from '../data/words';

/** What groups lost of their settled cuttings, the share as a whisker. */
@Component({
  selector: 'hy-loss-table',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 class="ruled">{{ heading() }}</h2>
    @if (rows().length === 0) {
      <p class="quiet">Nothing told yet.</p>
    } @else {
      <div class="scroll" tabindex="0" role="region" [attr.aria-label]="heading()">
        <table>
          <thead>
            <tr>
              <th scope="col"><span class="unseen">Group</span></th>
              <th scope="col" class="number">Settled</th>
              <th scope="col" class="number">Rotted</th>
              <th scope="col" class="number">Dried</th>
              <th scope="col" class="number">Other</th>
              <th scope="col">Lost in all</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track row.name) {
              <tr>
                <th scope="row">{{ row.name }}</th>
                <td class="number">{{ row.told }}</td>
                <td class="number">{{ row.count.rotted }}</td>
                <td class="number">{{ row.count.dried }}</td>
                <td class="number">{{ row.count.lost }}</td>
                <td>
                  @if (row.lost; as s) {
                    <span class="whisker" aria-hidden="true">
                      <i [style.left.%]="s.low * 100" [style.right.%]="100 - s.high * 100"></i>
                      <em [style.left.%]="s.share * 100"></em>
                    </span>
                    {{ words.percentSpan(s) }}
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.4rem;
      grid-template-columns: minmax(0, 1fr);
    }
    th[scope='row'] {
      min-width: 6.5rem;
      font-weight: 600;
    }
    td:last-child {
      white-space: nowrap;
    }
    .whisker {
      position: relative;
      display: block;
      height: 12px;
      min-width: 4.5rem;
      border-bottom: 1px solid var(--line);
    }
    i {
      position: absolute;
      top: 4px;
      height: 4px;
      min-width: 2px;
      background: var(--rot);
      opacity: 0.45;
    }
    em {
      position: absolute;
      top: 0;
      width: 3px;
      height: 11px;
      margin-left: -1px;
      background: var(--rot);
    }
  `,
})
export class LossTable {
  protected readonly words = inject(Words);
  readonly heading = input.required<string>();
  readonly rows = input.required<readonly LossGroup[]>();
}
