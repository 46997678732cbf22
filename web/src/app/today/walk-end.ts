import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Day } from '@hypogeon/core/days';
import type { Changes } from '@hypogeon/core/walk';
import { say } from '@hypogeon/messages/walk-end';
import { Words } from '../data/words';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';

/** The end of a round: what it changed, and what changed since the one before. */
@Component({
  selector: 'hy-walk-end',
  imports: [Table, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5' },
  template: `
    <div class="page-head">
      <h1>{{ say.walkedThrough() }}</h1>
    </div>
    <p>
      {{
        say.ofBatchDone({
          passed: passed() - skipped(),
          passed2: passed(),
          what: skipped() > 0 ? say.skipped({ skipped: skipped() }) : '',
        })
      }}
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
        <hy-table [name]="say.whatChanged()" [columns]="columns" [rows]="told().rows" />
      } @else {
        <p>{{ say.nothingChanged() }}</p>
      }
    </section>
    <div class="row flex flex-wrap gap-2.5">
      <button type="button" matButton="filled" (click)="finished.emit()">
        {{ say.finishTheWalk() }}
      </button>
      <button type="button" matButton="outlined" (click)="back.emit()">
        {{ say.backToTheLast() }}
      </button>
    </div>
  `,
})
export class WalkEnd {
  protected readonly say = say;

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
    return last ? say.sinceTheWalkOf({ day: this.words.day(last) }) : say.onThisWalk();
  });
  protected readonly sums = computed(() => {
    const { rooted, pupped, lost, waterings } = this.told();
    return [
      { n: this.signed(rooted) || '0', name: say.withRoots() },
      { n: this.signed(pupped) || '0', name: say.withPups() },
      { n: lost, name: say.lost2() },
      { n: waterings, name: waterings === 1 ? say.watering() : say.waterings() },
    ];
  });

  protected readonly columns: readonly Column<Changes['rows'][number]>[] = [
    {
      key: 'batch',
      head: say.batch(),
      text: (r) => r.title,
      note: (r) => r.code,
      link: (r) => ['/bench', r.batch.id],
      sort: (r) => r.title,
    },
    {
      key: 'roots',
      head: say.roots(),
      number: true,
      text: (r) => this.signed(r.rooted),
      sort: (r) => r.rooted,
    },
    {
      key: 'pups',
      head: say.pups(),
      number: true,
      text: (r) => this.signed(r.pupped),
      sort: (r) => r.pupped,
    },
    {
      key: 'lost',
      head: say.lost(),
      number: true,
      text: (r) => this.signed(r.lost),
      sort: (r) => r.lost,
    },
    { key: 'else', head: say.elseWord(), text: (r) => this.besides(r) },
  ];

  protected signed(n: number): string {
    return n === 0 ? '' : n > 0 ? `+${n}` : `−${-n}`;
  }

  protected besides({ isNew, looked, waterings }: Changes['rows'][number]): string {
    return [isNew ? 'new' : '', looked ? say.lookedAt() : '', waterings > 0 ? 'watered' : '']
      .filter(Boolean)
      .join(', ');
  }
}
