import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatExpansionModule } from '@angular/material/expansion';
import { say } from '@hypogeon/messages/how-honest';
import { say as promises } from '@hypogeon/messages/promise-names';
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
      {{ say.whatIsSaidHere() }}
    </p>
    <mat-expansion-panel class="mat-elevation-z0">
      <mat-expansion-panel-header>
        <mat-panel-title>{{ say.howOftenEachHeld() }}</mat-panel-title>
      </mat-expansion-panel-header>
      <ng-template matExpansionPanelContent>
        <hy-table [name]="say.howHonestTheNumbers()" [columns]="columns" [rows]="rows" />
      </ng-template>
    </mat-expansion-panel>
  `,
})
export class HowHonest {
  protected readonly say = say;

  private readonly words = inject(Words);
  protected readonly columns: readonly Column<Row>[] = [
    { key: 'says', head: say.whatIsSaid(), text: (r) => r.says },
    { key: 'stated', head: say.said(), number: true, text: (r) => r.stated },
    { key: 'reached', head: say.held(), number: true, text: (r) => r.reached },
    { key: 'harsh', head: say.wereItWorse(), number: true, text: (r) => r.harsh },
  ];
  protected readonly rows: readonly Row[] = PLAYED.map(({ id, is, stated, reached, harsh }) => ({
    key: id,
    says: promises(id) ?? id,
    stated: `${is === 'holds' ? '' : say.wrongly()}${this.words.percent(stated)}`,
    reached: `${is === 'holds' ? '' : say.wrongly()}${this.words.percent(reached)}`,
    harsh: harsh === null ? say.notPlayed() : this.words.percent(harsh),
  }));
}
