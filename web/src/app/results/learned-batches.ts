import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { batchTitle } from '@hypogeon/core/bench';
import type { Batch } from '@hypogeon/core/journal';
import { teachingOf, type Teaching } from '@hypogeon/core/plan';
import { teachingText } from '@hypogeon/words';
import { firstValueFrom } from 'rxjs';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { ReasonDialog, type ReasonAsked } from '../ui/reason-dialog';
import { CellOf, type Column } from '../ui/column';
import { Table } from '../ui/table';

interface Row {
  readonly batch: Batch;
  readonly name: string;
  readonly teaching: Teaching;
}

/** Every batch with what it teaches, or why it does not; one that went wrong for a reason of its own can be left out. */
@Component({
  selector: 'hy-learned-batches',
  imports: [CellOf, MatButton, RouterLink, Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-table name="Batches it rests on" [columns]="columns" [rows]="rows()">
      <ng-template hyCell="act" [of]="rows()" let-row>
        <a
          matButton="text"
          [routerLink]="['/bench', row.batch.id, 'what-if']"
          [attr.aria-label]="'What if, ' + row.name"
          >What if</a
        >
        @if (row.teaching.kind === 'left-out') {
          <button
            type="button"
            matButton="text"
            [attr.aria-label]="'Take in again ' + row.name"
            (click)="takeIn(row.batch)"
          >
            Take in again
          </button>
        } @else if (row.teaching.kind === 'whole' || row.teaching.kind === 'part') {
          <button
            type="button"
            matButton="text"
            [attr.aria-label]="'Leave out ' + row.name"
            (click)="leaveOut(row)"
          >
            Leave out
          </button>
        }
      </ng-template>
    </hy-table>
  `,
})
export class LearnedBatches {
  private readonly state = inject(Journal).state;
  private readonly actions = inject(Actions);
  private readonly dialog = inject(MatDialog);
  private readonly words = inject(Words);

  protected readonly rows = computed((): readonly Row[] =>
    [...this.state().batches.values()]
      .filter((b) => b.cut !== null)
      .sort((a, b) => (a.cutOn < b.cutOn ? 1 : -1))
      .map((batch) => ({
        batch,
        name: `${batchTitle(this.state(), batch)}, ${this.words.day(batch.cutOn)}`,
        teaching: teachingOf(this.state(), batch),
      })),
  );
  protected readonly columns: readonly Column<Row>[] = [
    {
      key: 'batch',
      head: 'Batch',
      text: (r) => r.name,
      link: (r) => ['/bench', r.batch.id],
      sort: (r) => r.batch.cutOn,
    },
    {
      key: 'rooted',
      head: 'Rooted',
      text: ({ batch: { counts, count } }) => `${counts.rooted + counts.pupped} of ${count}`,
      sort: ({ batch: { counts, count } }) => (counts.rooted + counts.pupped) / count,
    },
    {
      key: 'teaches',
      head: 'Teaches',
      text: (r) => teachingText(r.teaching),
      sort: (r) => r.teaching.kind,
    },
    { key: 'act', head: 'Ask, or leave out', text: () => '', act: true },
  ];

  protected async leaveOut({ batch, name }: Row): Promise<void> {
    const asked: ReasonAsked = {
      title: `Leave out ${name}?`,
      text: 'It stays in the records; only what is learned no longer rests on it.',
      label: 'Why',
      missing: 'Say why: in a year you will want to know.',
      yes: 'Leave out',
    };
    const dialog = this.dialog.open<ReasonDialog, ReasonAsked, string>(ReasonDialog, {
      data: asked,
      width: '32rem',
    });
    const excluded = await firstValueFrom(dialog.afterClosed());
    if (!excluded) return;
    await this.actions.record(
      { kind: 'put', record: 'batch', key: batch.id, fields: { excluded } },
      'Left out of what is learned',
    );
  }

  protected async takeIn({ id }: Batch): Promise<void> {
    await this.actions.record(
      { kind: 'put', record: 'batch', key: id, fields: { excluded: null } },
      'Taken in again',
    );
  }
}
