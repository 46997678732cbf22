import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Drawn, Part } from '@hypogeon/core/look';
import { say } from '@hypogeon/messages/trial-map';
import { CuttingMark } from './cutting-mark';
import type { MarkState } from './mark-state';

/** One cell of a trial's tray. */
export interface TrialCell {
  readonly arm: number;
  /** What became of it; null before it is cut. */
  readonly mark: MarkState | null;
  /** In words, for who does not see the drawing. */
  readonly says: string;
}

export const armLetter = (arm: number): string => String.fromCharCode(65 + arm);

/** More cells than this are not drawn. */
const MOST_DRAWN = 600;

/** The tray of a trial with the letter of the arm in every cell, as the lot fell, and what became of it. */
@Component({
  selector: 'hy-trial-map',
  imports: [CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="scroll" tabindex="0" role="region" [attr.aria-label]="label()">
      <table [style.--columns]="columns()">
        <thead>
          <tr>
            <th scope="col">
              <span class="unseen">{{ say.row() }}</span>
            </th>
            @for (c of heads(); track c) {
              <th scope="col">{{ c }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (row of rows(); track $index) {
            <tr>
              <th scope="row">{{ $index + 1 }}</th>
              @for (cell of row; track $index) {
                <td [class]="'arm' + (cell.arm % 4)">
                  <b aria-hidden="true">{{ letter(cell.arm) }}</b>
                  @if (cell.mark; as m) {
                    <hy-mark [piece]="piece()" [state]="m" [size]="30" aria-hidden="true" />
                  }
                  <span class="unseen">{{ cell.says }}</span>
                </td>
              }
            </tr>
          }
        </tbody>
      </table>
    </div>
    @if (hidden() > 0) {
      <p class="quiet small">{{ say.moreCellsAreDrawn({ hidden: hidden() }) }}</p>
    }
  `,
  styles: `
    table {
      width: auto;
      border-collapse: separate;
      border-spacing: 3px;
    }
    th {
      padding: 0 0.3rem;
      border: 0;
      color: var(--ink2);
      font-weight: 400;
      font-size: 0.875rem;
      text-align: center;
    }
    td {
      position: relative;
      width: 46px;
      height: 46px;
      padding: 0;
      border: 1px solid var(--line);
      border-radius: 3px;
      text-align: center;
      background: var(--face);
    }
    td b {
      font-size: 0.95rem;
    }
    td:has(hy-mark) b {
      position: absolute;
      top: 1px;
      left: 4px;
      font-size: 0.75rem;
    }
    .arm1 {
      background: var(--living-soft);
    }
    .arm2 {
      background: var(--callus-soft);
    }
    .arm3 {
      border: 2px dashed var(--ink2);
    }
    hy-mark {
      display: inline-block;
      vertical-align: bottom;
    }
    @media print {
      td {
        width: 34px;
        height: 34px;
      }
      tr {
        break-inside: avoid;
      }
    }
  `,
})
export class TrialMap {
  protected readonly say = say;

  readonly cells = input.required<readonly TrialCell[]>();
  readonly columns = input.required<number>();
  readonly piece = input<Drawn | Part>('leaf');
  readonly label = input(say.theTrayWithThe());

  protected readonly letter = armLetter;
  protected readonly heads = computed(() =>
    Array.from({ length: Math.min(this.columns(), this.cells().length) }, (_, i) => i + 1),
  );
  protected readonly hidden = computed(() => Math.max(0, this.cells().length - MOST_DRAWN));
  protected readonly rows = computed(() => {
    const cells = this.cells().slice(0, MOST_DRAWN);
    const columns = this.columns();
    return Array.from({ length: Math.ceil(cells.length / columns) }, (_, row) =>
      cells.slice(row * columns, (row + 1) * columns),
    );
  });
}
