import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Batch } from '@hypogeon/core/journal';
import { YOUNG_NAME } from '@hypogeon/words';
import { say } from '@hypogeon/messages/count-bars';
import { Words } from '../data/words';

/** What became of the pieces, as bars of one length: told apart by pattern and number, not by colour alone. */
@Component({
  selector: 'hy-count-bars',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dl class="grid grid-cols-[auto_minmax(0,1fr)] items-center gap-y-1.5 gap-x-4">
      @for (row of rows(); track row.id) {
        <dt>{{ row.name }}</dt>
        <dd class="grid grid-cols-[minmax(0,1fr)_2.5rem] items-center gap-3">
          <span class="bar h-3.5 border border-line bg-face" aria-hidden="true"
            ><i class="block h-full" [class]="row.id" [style.width.%]="row.share"></i
          ></span>
          <b>{{ row.n }}</b>
        </dd>
      }
    </dl>
  `,
  styles: `
    .rooted {
      background: var(--root);
    }
    .pupped {
      background: var(--living);
    }
    .waiting {
      background: var(--callus-soft);
    }
    .rotted {
      background: repeating-linear-gradient(45deg, var(--rot) 0 2px, transparent 2px 5px);
    }
    .dried {
      background: repeating-linear-gradient(-45deg, var(--ink2) 0 1px, transparent 1px 6px);
    }
    .lost {
      background: radial-gradient(circle, var(--ink2) 1px, transparent 1.3px) 0 0 / 5px 5px;
    }
  `,
})
export class CountBars {
  private readonly words = inject(Words);
  readonly batch = input.required<Batch>();

  protected readonly rows = computed(() => {
    const { counts, waiting, count, heads, buds } = this.batch();
    const { young } = this.words.speech().wayOf(this.batch());
    return [
      {
        id: 'rooted',
        name: say.rooted({ what: buds ? say.withABud({ count: buds.count }) : '' }),
        n: counts.rooted,
      },
      {
        id: 'pupped',
        name: say.withWord({
          youngName: YOUNG_NAME[young],
          what: heads && heads.count > heads.of ? say.inAll({ count: heads.count }) : '',
        }),
        n: counts.pupped,
      },
      { id: 'waiting', name: 'waiting', n: waiting },
      { id: 'rotted', name: 'rotted', n: counts.rotted },
      { id: 'dried', name: say.driedUp(), n: counts.dried },
      { id: 'lost', name: say.lostOtherwise(), n: counts.lost },
    ]
      .filter((r) => r.n > 0 || r.id === 'rooted' || r.id === 'waiting')
      .map((r) => ({ ...r, share: count === 0 ? 0 : (100 * r.n) / count }));
  });
}
