import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { batchTitle } from '@hypogeon/core/bench';
import type { Batch } from '@hypogeon/core/journal';
import { teachingOf, type Teaching } from '@hypogeon/core/plan';
import { teachingText } from '@hypogeon/words';
import { firstValueFrom } from 'rxjs';
import { say } from '@hypogeon/messages/learned-batches';
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
    <hy-table [name]="say.batchesItRestsOn()" [columns]="columns" [rows]="rows()">
      <ng-template hyCell="act" [of]="rows()" let-row>
        <a
          matButton="text"
          [routerLink]="['/bench', row.batch.id, 'what-if']"
          [attr.aria-label]="say.whatIf({ name: row.name })"
          >{{ say.whatIf2() }}</a
        >
        @if (row.teaching.kind === 'left-out') {
          <button
            type="button"
            matButton="text"
            [attr.aria-label]="say.takeInAgain({ name: row.name })"
            (click)="takeIn(row.batch)"
          >
            {{ say.takeInAgain2() }}
          </button>
        } @else if (row.teaching.kind === 'whole' || row.teaching.kind === 'part') {
          <button
            type="button"
            matButton="text"
            [attr.aria-label]="say.leaveOut({ name: row.name })"
            (click)="leaveOut(row)"
          >
            {{ say.leaveOut2() }}
          </button>
        }
      </ng-template>
    </hy-table>
  `,
})
export class LearnedBatches {
  protected readonly say = say;

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
      head: say.batch(),
      text: (r) => r.name,
      link: (r) => ['/bench', r.batch.id],
      sort: (r) => r.batch.cutOn,
    },
    {
      key: 'rooted',
      head: say.rooted(),
      text: ({ batch: { counts, count } }) =>
        say.ofWord({ pupped: counts.rooted + counts.pupped, count }),
      sort: ({ batch: { counts, count } }) => (counts.rooted + counts.pupped) / count,
    },
    {
      key: 'teaches',
      head: say.teaches(),
      text: (r) => teachingText(r.teaching),
      sort: (r) => r.teaching.kind,
    },
    { key: 'act', head: say.askOrLeaveOut(), text: () => '', act: true },
  ];

  protected async leaveOut({ batch, name }: Row): Promise<void> {
    const asked: ReasonAsked = {
      title: say.leaveOut3({ name }),
      text: say.itStaysInThe(),
      label: say.why(),
      missing: say.sayWhyInA(),
      yes: say.leaveOut2(),
    };
    const dialog = this.dialog.open<ReasonDialog, ReasonAsked, string>(ReasonDialog, {
      data: asked,
      width: '32rem',
    });
    const excluded = await firstValueFrom(dialog.afterClosed());
    if (!excluded) return;
    await this.actions.record(
      { kind: 'put', record: 'batch', key: batch.id, fields: { excluded } },
      say.leftOutOfWhat(),
    );
  }

  protected async takeIn({ id }: Batch): Promise<void> {
    await this.actions.record(
      { kind: 'put', record: 'batch', key: id, fields: { excluded: null } },
      say.takenInAgain(),
    );
  }
}
