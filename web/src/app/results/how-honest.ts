import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatExpansionModule } from '@angular/material/expansion';
import { Words } from '../data/words';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';
import PLAYED from './honesty.json';

interface Row {
  readonly key: string;
  readonly says: string;
  readonly stated: string;
  readonly reached: string;
  readonly harsh: string;
}

/** How often what the product says held, on benches made up to find out. */
@Component({
  selector: 'hy-how-honest',
  imports: [MatExpansionModule, Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p>
      What is said here of chances was tried on thousands of made-up benches whose truth is known.
      On benches as supposed it held as often as it says, or more often, give or take two of a
      hundred. Were trays to differ more, or a thumb to be coarser, it held less often.
    </p>
    <mat-expansion-panel class="mat-elevation-z0">
      <mat-expansion-panel-header>
        <mat-panel-title>How often each held</mat-panel-title>
      </mat-expansion-panel-header>
      <ng-template matExpansionPanelContent>
        <hy-table name="How honest the numbers are" [columns]="columns" [rows]="rows" />
      </ng-template>
    </mat-expansion-panel>
  `,
})
export class HowHonest {
  private readonly words = inject(Words);
  protected readonly columns: readonly Column<Row>[] = [
    { key: 'says', head: 'What is said', text: (r) => r.says },
    { key: 'stated', head: 'Said', number: true, text: (r) => r.stated },
    { key: 'reached', head: 'Held', number: true, text: (r) => r.reached },
    { key: 'harsh', head: 'Were it worse', number: true, text: (r) => r.harsh },
  ];
  protected readonly rows: readonly Row[] = PLAYED.map(({ says, is, stated, reached, harsh }) => ({
    key: says,
    says,
    stated: `${is === 'holds' ? '' : 'wrongly '}${this.words.percent(stated)}`,
    reached: `${is === 'holds' ? '' : 'wrongly '}${this.words.percent(reached)}`,
    harsh: harsh === null ? 'not played' : this.words.percent(harsh),
  }));
}
