import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { LossGroup } from '@hypogeon/core/ledger';
import { say } from '@hypogeon/messages/loss-table';
import { Words } from '../data/words';
import { CellOf, type Column } from '../ui/column';
import { Table } from '../ui/table';

/** What groups lost of their settled cuttings, the share as a whisker. */
@Component({
  selector: 'hy-loss-table',
  imports: [CellOf, Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-1.5' },
  template: `
    @if (rows().length === 0) {
      <h2 class="ruled">{{ heading() }}</h2>
      <p class="quiet">{{ say.nothingToldYet() }}</p>
    } @else {
      <hy-table heading [name]="heading()" [columns]="columns" [rows]="rows()">
        <ng-template hyCell="lost" [of]="rows()" let-row>
          @if (row.lost; as s) {
            <span class="relative block h-3 min-w-18 border-b border-line" aria-hidden="true">
              <i
                class="absolute top-1 h-1 min-w-0.5 bg-rot opacity-45"
                [style.left.%]="s.low * 100"
                [style.right.%]="100 - s.high * 100"
              ></i>
              <em
                class="absolute top-0 w-[3px] h-[11px] -ml-px bg-rot"
                [style.left.%]="s.share * 100"
              ></em>
            </span>
            {{ words.percentSpan(s) }}
          }
        </ng-template>
      </hy-table>
    }
  `,
})
export class LossTable {
  protected readonly say = say;

  protected readonly columns: readonly Column<LossGroup>[] = [
    { key: 'name', head: say.group(), text: (r) => r.name, sort: (r) => r.name },
    {
      key: 'settled',
      head: say.settled(),
      number: true,
      text: (r) => `${r.told}`,
      sort: (r) => r.told,
    },
    {
      key: 'rotted',
      head: say.rotted(),
      number: true,
      text: (r) => `${r.count.rotted}`,
      sort: (r) => r.count.rotted,
    },
    {
      key: 'dried',
      head: say.dried(),
      number: true,
      text: (r) => `${r.count.dried}`,
      sort: (r) => r.count.dried,
    },
    {
      key: 'other',
      head: say.other(),
      number: true,
      text: (r) => `${r.count.lost}`,
      sort: (r) => r.count.lost,
    },
    {
      key: 'lost',
      head: say.lostInAll(),
      text: (r) => (r.lost ? this.words.percentSpan(r.lost) : ''),
      sort: (r) => r.lost?.share ?? null,
    },
  ];
  protected readonly words = inject(Words);
  readonly heading = input.required<string>();
  readonly rows = input.required<readonly LossGroup[]>();
}
