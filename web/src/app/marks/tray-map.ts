import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Drawn, Part } from '@hypogeon/core/look';
import type { Day } from '@hypogeon/core/days';
import type { Batch, Outcome } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/tray-map';
import { markOf, OUTCOME_WORD } from './mark-state';
import { Stamp } from './stamp';

/** More places than this are not drawn: no tray has them, and no eye follows. */
const MOST_DRAWN = 240;

export const OUTCOME_KEYS: readonly Outcome[] = [
  'rooted',
  'pupped',
  'rotted',
  'dried',
  'lost',
  'waiting',
];

export interface PlacesCounted {
  readonly places: readonly number[];
  readonly outcome: Outcome;
}

/** The marks in the tray's real rows. Places are marked, then told what became of them. */
@Component({
  selector: 'hy-tray-map',
  imports: [MatButton, Stamp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div
      class="tray"
      role="group"
      [attr.aria-label]="say.trayMap()"
      [style.--columns]="columns()"
      (keydown)="key($event)"
    >
      @for (cell of cells(); track cell.place) {
        @if (cell.first) {
          <span class="row" aria-hidden="true" [style.grid-row]="cell.row">{{ cell.rowName }}</span>
        }
        <button
          type="button"
          [style.grid-row]="cell.row"
          [style.grid-column]="cell.column"
          [attr.data-place]="cell.place"
          [attr.aria-pressed]="cell.marked"
          [attr.aria-label]="cell.label"
          [tabIndex]="cell.place === focus() ? 0 : -1"
          [class.gone]="cell.gone"
          (click)="tap(cell.place)"
        >
          <img alt="" [hyStamp]="piece()" [state]="cell.state" [size]="42" />
        </button>
      }
    </div>
    @if (hidden() > 0) {
      <p class="quiet small">{{ say.moreAreCountedBut({ hidden: hidden() }) }}</p>
    }
    @if (marked().size > 0) {
      <div class="keys" role="group" [attr.aria-label]="say.whatBecameOfThe()">
        <span>{{ say.marked({ count: marked().size }) }}</span>
        @for (outcome of outcomes; track outcome) {
          <button type="button" matButton="outlined" (click)="tell(outcome)">
            {{ word[outcome] }} <kbd>{{ $index + 1 }}</kbd>
          </button>
        }
        <button type="button" matButton="text" (click)="clear()">{{ say.noneOfIt() }}</button>
      </div>
    } @else if (editable()) {
      <p class="quiet small hint">
        {{ say.tapAPlaceTo() }}
        <span class="keys-only">{{ say.keysArrowsMoveSpace() }}</span>
      </p>
    }
  `,
  styles: `
    .tray {
      display: grid;
      grid-template-columns: 1.5rem repeat(var(--columns), minmax(44px, 64px));
      gap: 2px;
      overflow-x: auto;
      padding: 3px;
    }
    .row {
      align-self: center;
      color: var(--ink2);
      font-size: 0.875rem;
    }
    button[data-place] {
      min-height: 52px;
      padding: 2px 0;
      border: 0;
      border-radius: 3px;
      background: var(--face);
      display: grid;
      place-items: center;
      cursor: pointer;
      color: inherit;
    }
    button[aria-pressed='true'] {
      background: var(--callus-soft);
      box-shadow: inset 0 0 0 2px var(--ink);
    }
    button.gone {
      opacity: 0.45;
      background: transparent;
      outline: 1px dashed var(--line);
    }
    /* On paper by lamp: its pictures are of the screen, and paper is white. */
    @media print {
      :host-context([data-theme='lamp']) button img {
        filter: invert(1) hue-rotate(180deg);
      }
    }
    .keys {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem;
      align-items: center;
      margin-top: 0.75rem;
    }
    kbd {
      font: inherit;
      font-weight: 400;
      color: var(--ink2);
    }
    .hint {
      margin-top: 0.5rem;
    }
  `,
})
export class TrayMap {
  protected readonly say = say;

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);

  readonly batch = input.required<Batch>();
  readonly piece = input.required<Drawn | Part>();
  readonly closure = input(1);
  readonly today = input.required<Day>();
  readonly editable = input(true);
  readonly counted = output<PlacesCounted>();

  protected readonly outcomes = OUTCOME_KEYS;
  protected readonly word = OUTCOME_WORD;
  protected readonly focus = signal(0);
  protected readonly marked = signal<ReadonlySet<number>>(new Set());

  protected readonly columns = computed(() => {
    const { columns, count } = this.batch();
    if (this.batch().cells && columns) return columns;
    return Math.min(columns ?? Math.min(10, Math.ceil(Math.sqrt(count * 2))), count);
  });
  protected readonly hidden = computed(() => Math.max(0, this.batch().count - MOST_DRAWN));
  protected readonly cells = computed(() => {
    const { cuttings, potted } = this.batch();
    const marked = this.marked();
    let left = potted;
    let row = -1;
    return cuttings.slice(0, MOST_DRAWN).map((cutting) => {
      const { place } = cutting;
      const alive = cutting.outcome === 'rooted' || cutting.outcome === 'pupped';
      const inPot = alive && left-- > 0;
      const cell = this.cellOf(place);
      const before = row;
      row = Math.floor(cell / this.columns());
      return {
        place,
        first: row !== before,
        row: row + 1,
        rowName: this.rowName(cell),
        column: (cell % this.columns()) + 2,
        marked: marked.has(place),
        state: markOf(cutting, this.closure(), inPot, this.today()),
        gone: cutting.left !== undefined,
        label: `${this.name(place)}, ${inPot ? say.pottedOn() : OUTCOME_WORD[cutting.outcome]}${cutting.left ? say.noLongerHere() : ''}`,
      };
    });
  });

  /** Where a cutting sits: in the cells of a tray it shares, or one after another. */
  private cellOf(place: number): number {
    return this.batch().cells?.[place] ?? place;
  }

  private rowName(cell: number): string {
    const row = Math.floor(cell / this.columns());
    return row < 26 ? String.fromCharCode(65 + row) : String(row + 1);
  }

  private name(place: number): string {
    const cell = this.cellOf(place);
    return `${this.rowName(cell)}${(cell % this.columns()) + 1}`;
  }

  protected tap(place: number): void {
    if (!this.editable()) return;
    this.focus.set(place);
    const marked = new Set(this.marked());
    if (!marked.delete(place)) marked.add(place);
    this.marked.set(marked);
  }

  protected clear(): void {
    this.marked.set(new Set());
  }

  protected tell(outcome: Outcome): void {
    const places = this.marked().size > 0 ? [...this.marked()] : [this.focus()];
    this.clear();
    this.counted.emit({ places, outcome });
  }

  protected key(event: KeyboardEvent): void {
    const outcome = OUTCOME_KEYS[Number(event.key) - 1];
    if (outcome && this.editable()) {
      event.preventDefault();
      this.tell(outcome);
      return;
    }
    const next = this.toward(event.key);
    if (next === null) return;
    event.preventDefault();
    if (!this.cells().some((c) => c.place === next)) return;
    this.focus.set(next);
    this.host.nativeElement.querySelector<HTMLElement>(`[data-place="${next}"]`)?.focus();
  }

  /** The place an arrow leads to; null for other keys. In a shared or thinned tray the nearest own cell that way. */
  private toward(key: string): number | null {
    const step = this.step(key);
    if (step === 0) return null;
    const wanted = this.cellOf(this.focus()) + step;
    const ahead = this.cells()
      .map((c) => c.place)
      .filter(
        (place) => Math.sign(this.cellOf(place) - this.cellOf(this.focus())) === Math.sign(step),
      );
    return ahead.reduce(
      (best, place) =>
        Math.abs(this.cellOf(place) - wanted) < Math.abs(this.cellOf(best) - wanted) ? place : best,
      ahead[0] ?? this.focus(),
    );
  }

  private step(key: string): number {
    switch (key) {
      case 'ArrowLeft':
        return -1;
      case 'ArrowRight':
        return 1;
      case 'ArrowUp':
        return -this.columns();
      case 'ArrowDown':
        return this.columns();
      default:
        return 0;
    }
  }
}
