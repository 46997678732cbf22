import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { GROUPING_NAME, GROUPINGS, type Grouping } from '@hypogeon/core/ledger';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/ledger-filter';
import { Ledger } from '../data/ledger';
import { LedgerFilters } from '../data/ledger-filters';
import { Field } from '../forms/field';

/** Which batches a page of the ledger looks at, and how far they have been read. */
@Component({
  selector: 'hy-ledger-filter',
  imports: [MatButton, MatOption, MatSelect, Field],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-2.5' },
  template: `
    <div
      class="row flex flex-wrap items-end gap-y-2.5 gap-x-3.5"
      role="group"
      [attr.aria-label]="say.onlySomeBatches()"
    >
      <hy-field
        class="flex-[0_1_14rem] min-w-44 max-[480px]:flex-[1_1_9rem]"
        [label]="say.onlyBy()"
      >
        <mat-select [value]="chosen() ?? ''" (selectionChange)="choose($event.value)">
          <mat-option value="">{{ say.allBatches() }}</mat-option>
          @for (g of groupings; track g) {
            <mat-option [value]="g">{{ nameOf[g] }}</mat-option>
          }
        </mat-select>
      </hy-field>
      @if (chosen(); as g) {
        <hy-field
          class="flex-[0_1_14rem] min-w-36 max-[480px]:flex-[1_1_9rem]"
          [label]="say.which({ nameOf: inSentence(nameOf[g]) })"
        >
          <mat-select value="" (selectionChange)="only(g, $event.value)">
            <mat-option value="">{{ say.choose() }}</mat-option>
            @for (c of choices() ?? []; track c.name) {
              <mat-option [value]="c.name">{{ c.name }} ({{ c.batches }})</mat-option>
            }
          </mat-select>
        </hy-field>
      }
      @for (chip of chips(); track chip.by) {
        <button
          type="button"
          matButton="outlined"
          class="chip"
          [attr.aria-label]="say.allAgainNotOnly({ name: chip.name })"
          (click)="filters.off(chip.by)"
        >
          {{ chip.name }}
          <svg viewBox="0 0 12 12" width="12" height="12" aria-hidden="true">
            <path d="M2 2l8 8M10 2l-8 8" />
          </svg>
        </button>
      }
    </div>
    @if (ledger.failed(); as why) {
      <p class="problem" role="alert">
        {{ say.theResultsCouldNot({ why: why }) }}
      </p>
    }
    @if (ledger.progress(); as p) {
      <p class="reading flex items-center gap-3 quiet" role="status">
        <progress [value]="p.done" [max]="p.of" [attr.aria-label]="say.batchesRead()"></progress>
        {{ say.readingOfBatches({ done: p.done, of: p.of }) }}
      </p>
    }
  `,
  styles: `
    .chip {
      background: var(--living-soft);
      border-color: var(--living);
    }
    .chip path {
      stroke: currentColor;
      stroke-width: 1.8;
    }
    progress {
      accent-color: var(--living);
    }
  `,
})
export class LedgerFilterBar {
  protected readonly say = say;
  protected readonly inSentence = inSentence;

  protected readonly ledger = inject(Ledger);
  protected readonly filters = inject(LedgerFilters);
  protected readonly groupings = GROUPINGS;
  protected readonly nameOf = GROUPING_NAME;
  protected readonly chosen = signal<Grouping | null>(null);
  protected readonly choices = this.ledger.answer(this.chosen, (desk, by) =>
    by === null ? Promise.resolve([]) : desk.choices(by),
  );
  protected readonly chips = computed(() =>
    GROUPINGS.flatMap((by) => {
      const name = this.filters.filter()[by];
      return name === undefined ? [] : [{ by, name }];
    }),
  );

  protected choose(value: string): void {
    this.chosen.set(GROUPINGS.find((g) => g === value) ?? null);
  }

  protected only(by: Grouping, name: string): void {
    if (name === '') return;
    this.filters.only(by, name);
    this.chosen.set(null);
  }
}
