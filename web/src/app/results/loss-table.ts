import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { LossGroup } from '@hypogeon/core/ledger';
import { Words } from '../data/words';
import { CellOf, type Column } from '../ui/column';
import { Table } from '../ui/table';

/** What groups lost of their settled cuttings, the share as a whisker. */
@Component({
  selector: 'hy-loss-table',
  imports: [CellOf, Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (rows().length === 0) {
      <h2 class="ruled">{{ heading() }}</h2>
      <p class="quiet">Nothing told yet.</p>
    } @else {
      <hy-table heading [name]="heading()" [columns]="columns" [rows]="rows()">
        <ng-template hyCell="lost" [of]="rows()" let-row>
          @if (row.lost; as s) {
            <span class="whisker" aria-hidden="true">
              <i [style.left.%]="s.low * 100" [style.right.%]="100 - s.high * 100"></i>
              <em [style.left.%]="s.share * 100"></em>
            </span>
            {{ words.percentSpan(s) }}
          }
        </ng-template>
      </hy-table>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.4rem;
      grid-template-columns: minmax(0, 1fr);
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
  protected readonly columns: readonly Column<LossGroup>[] = [
    { key: 'name', head: 'Group', text: (r) => r.name, sort: (r) => r.name },
    {
      key: 'settled',
      head: 'Settled',
      number: true,
      text: (r) => `${r.told}`,
      sort: (r) => r.told,
    },
    {
      key: 'rotted',
      head: 'Rotted',
      number: true,
      text: (r) => `${r.count.rotted}`,
      sort: (r) => r.count.rotted,
    },
    {
      key: 'dried',
      head: 'Dried',
      number: true,
      text: (r) => `${r.count.dried}`,
      sort: (r) => r.count.dried,
    },
    {
      key: 'other',
      head: 'Other',
      number: true,
      text: (r) => `${r.count.lost}`,
      sort: (r) => r.count.lost,
    },
    {
      key: 'lost',
      head: 'Lost in all',
      text: (r) => (r.lost ? this.words.percentSpan(r.lost) : ''),
      sort: (r) => r.lost?.share ?? null,
    },
  ];
  protected readonly words = inject(Words);
  readonly heading = input.required<string>();
  readonly rows = input.required<readonly LossGroup[]>();
}
