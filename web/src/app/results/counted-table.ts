import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { CountedRow } from '@hypogeon/core/ledger';
import type { ShareInterval } from '@hypogeon/core/stats';
import { eachOf } from '@hypogeon/words';
import { say } from '@hypogeon/messages/counted-table';
import { Words } from '../data/words';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';

/** Groups and what became of their cuttings, short: for the report. */
@Component({
  selector: 'hy-counted-table',
  imports: [Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: ` <hy-table heading [name]="heading()" [columns]="columns" [rows]="rows()" /> `,
})
export class CountedTable {
  private readonly words = inject(Words);
  readonly heading = input.required<string>();
  readonly rows = input.required<readonly CountedRow[]>();

  protected readonly columns: readonly Column<CountedRow>[] = [
    { key: 'name', head: say.group(), text: (r) => r.name, sort: (r) => r.name },
    {
      key: 'set',
      head: say.setWord(),
      number: true,
      text: (r) => `${r.count.stuck}`,
      sort: (r) => r.count.stuck,
    },
    {
      key: 'rooted',
      head: say.rooted(),
      number: true,
      text: (r) => `${r.count.rooted}`,
      note: (r) => this.span(r.shares.rooted),
      sort: (r) => r.shares.rooted?.share ?? null,
    },
    {
      key: 'pups',
      head: say.pups(),
      number: true,
      text: (r) => `${r.count.pupped}`,
      note: (r) => eachOf(r.count, this.words.speech().locale),
      sort: (r) => r.count.pupped,
    },
    {
      key: 'rotted',
      head: say.rotted(),
      number: true,
      text: (r) => `${r.count.rotted}`,
      note: (r) => this.span(r.shares.rotted),
      sort: (r) => r.shares.rotted?.share ?? null,
    },
    {
      key: 'waiting',
      head: say.waiting(),
      number: true,
      text: (r) => `${r.count.waiting}`,
      sort: (r) => r.count.waiting,
    },
    {
      key: 'first',
      head: say.firstRootDay(),
      number: true,
      text: ({ firstRoot }) => (firstRoot ? `${firstRoot.after}–${firstRoot.by}` : '–'),
      sort: (r) => r.firstRoot?.by ?? null,
    },
  ];

  protected span(s: ShareInterval | null): string {
    return s === null ? '' : this.words.percentSpan(s);
  }
}
