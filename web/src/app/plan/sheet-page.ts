import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { batchTitle } from '@hypogeon/core/bench';
import { say } from '@hypogeon/messages/sheet-page';
import { Journal } from '../data/journal';
import { namePage } from '../shell/page-title';
import { PlanSheet } from './plan-sheet';

/** The plan of a batch on a sheet of paper, to take to the bench; or of several, a sheet each. */
@Component({
  selector: 'hy-sheet-page',
  imports: [MatButton, PlanSheet],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5.5 max-w-216 print:gap-3' },
  template: `
    <div class="no-print flex items-center gap-4">
      @if (ids().length > 1) {
        <p class="quiet">{{ say.sheetsEachOnA({ count: ids().length }) }}</p>
      }
      <button type="button" matButton="filled" class="ml-auto" (click)="print()">
        {{ say.print() }}
      </button>
    </div>
    @for (one of ids(); track one) {
      <hy-plan-sheet [class.next]="!$first" [id]="one" />
    } @empty {
      <h1>{{ say.noSheets() }}</h1>
      <p>{{ say.nothingWasCutThat() }}</p>
    }
  `,
  styles: `
    .next {
      padding-top: 1.5rem;
      border-top: 2px solid var(--ink);
    }
    @media print {
      .next {
        break-before: page;
        border: 0;
      }
    }
  `,
})
export class SheetPage {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  /** One batch, by its address … */
  readonly id = input<string>();
  /** … or several, parted by commas. */
  readonly of = input<string>();

  protected readonly ids = computed(() => {
    const several =
      this.of()
        ?.split(',')
        .filter((id) => this.state().batches.has(id)) ?? [];
    const one = this.id();
    return one === undefined ? several : [one];
  });

  constructor() {
    namePage(() => {
      const [first, ...more] = this.ids();
      if (more.length > 0) return say.planSheets();
      const batch = first === undefined ? undefined : this.state().batches.get(first);
      return batch ? say.planSheet({ batchTitle: batchTitle(this.state(), batch) }) : '';
    });
  }

  protected print(): void {
    window.print();
  }
}
