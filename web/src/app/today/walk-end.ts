import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Day } from '@hypogeon/core/days';
import type { Changes } from '@hypogeon/core/walk';
import { Words } from '../data/words';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';
import { CountedPipe } from '../ui/counted-pipe';

/** The end of a round: what it changed, and what changed since the one before. */
@Component({
  selector: 'hy-walk-end',
  imports: [CountedPipe, Table, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5' },
  template: `
    <div class="page-head"><h1>Walked through</h1></div>
    <p>
      {{ passed() - skipped() }} of {{ passed() | hyCounted: 'batch' }} done{{
        skipped() > 0 ? ', ' + skipped() + ' skipped' : ''
      }}.
    </p>
    <section aria-labelledby="since">
      <h2 id="since" class="ruled">{{ heading() }}</h2>
      <p class="flex flex-wrap gap-y-1.5 gap-x-6.5 my-2.5">
        @for (sum of sums(); track sum.name) {
          <span
            ><b class="font-bold text-2xl leading-none font-head">{{ sum.n }}</b>
            {{ sum.name }}</span
          >
        }
      </p>
      @if (told().rows.length > 0) {
        <hy-table name="What changed" [columns]="columns" [rows]="told().rows" />
      } @else {
        <p>Nothing changed.</p>
      }
    </section>
    <div class="row flex flex-wrap gap-2.5">
      <button type="button" matButton="filled" (click)="finished.emit()">Finish the walk</button>
      <button type="button" matButton="outlined" (click)="back.emit()">
        Back to the last stop
      </button>
    </div>
  `,
})
export class WalkEnd {
  private readonly words = inject(Words);
  readonly passed = input.required<number>();
  readonly skipped = input.required<number>();
  readonly changes = input.required<Changes>();
  readonly lastRound = input.required<Day | null>();
  readonly sinceLast = input.required<Changes | null>();
  readonly finished = output();
  readonly back = output();

  /** Between two rounds things are done too: where there was one before, all since then is told. */
  protected readonly told = computed(() => this.sinceLast() ?? this.changes());
  protected readonly heading = computed(() => {
    const last = this.lastRound();
    return last ? `Since the walk of ${this.words.day(last)}` : 'On this walk';
  });
  protected readonly sums = computed(() => {
    const { rooted, pupped, lost, waterings } = this.told();
    return [
      { n: this.signed(rooted) || '0', name: 'with roots' },
      { n: this.signed(pupped) || '0', name: 'with pups' },
      { n: lost, name: 'lost' },
      { n: waterings, name: waterings === 1 ? 'watering' : 'waterings' },
    ];
  });

  protected readonly columns: readonly Column<Changes['rows'][number]>[] = [
    {
      key: 'batch',
      head: 'Batch',
      text: (r) => r.title,
      note: (r) => r.code,
      link: (r) => ['/bench', r.batch.id],
      sort: (r) => r.title,
    },
    {
      key: 'roots',
      head: 'Roots',
      number: true,
      text: (r) => this.signed(r.rooted),
      sort: (r) => r.rooted,
    },
    {
      key: 'pups',
      head: 'Pups',
      number: true,
      text: (r) => this.signed(r.pupped),
      sort: (r) => r.pupped,
    },
    {
      key: 'lost',
      head: 'Lost',
      number: true,
      text: (r) => this.signed(r.lost),
      sort: (r) => r.lost,
    },
    { key: 'else', head: 'Else', text: (r) => this.besides(r) },
  ];

  protected signed(n: number): string {
    return n === 0 ? '' : n > 0 ? `+${n}` : `−${-n}`;
  }

  protected besides({ isNew, looked, waterings }: Changes['rows'][number]): string {
    return [isNew ? 'new' : '', looked ? 'looked at' : '', waterings > 0 ? 'watered' : '']
      .filter(Boolean)
      .join(', ');
  }
}
