import { ChangeDetectionStrategy, Component, input } from '@angular/core';

/** The gate of one variant, in days after the cut. */
export interface GateRange {
  readonly name: string;
  readonly chosen: boolean;
  /** Null where the wound does not close. */
  readonly opens: number | null;
  readonly from: number;
  readonly to: number;
  readonly says: string;
}

/** Gates of several variants on one scale of days, so that the eye sees what moves them. */
@Component({
  selector: 'hy-gate-ranges',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table>
      <caption class="unseen">
        {{
          name()
        }}: days from the cut until water may touch the wound
      </caption>
      <colgroup>
        <col class="name" />
        <col />
        <col class="gate-day" />
      </colgroup>
      <thead class="unseen">
        <tr>
          <th>{{ name() }}</th>
          <th>Range</th>
          <th>Safe to water from</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.name) {
          <tr [class.chosen]="row.chosen">
            <th scope="row">
              {{ row.name }}
              @if (row.chosen) {
                <span class="unseen">, chosen</span>
              }
            </th>
            <td class="bar" aria-hidden="true">
              @if (row.opens !== null) {
                <i class="shut" [style.width.%]="at(row.from)"></i>
                <i
                  class="fade"
                  [style.left.%]="at(row.from)"
                  [style.width.%]="at(row.to - row.from)"
                ></i>
                <i class="gate" [style.left.%]="at(row.opens)"></i>
              }
            </td>
            <td class="number">{{ row.says }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    :host {
      display: block;
    }
    table {
      table-layout: fixed;
    }
    th,
    td {
      border: 0;
      padding: 0.2rem 0;
    }
    .name {
      width: 8rem;
    }
    .gate-day {
      width: 7rem;
    }
    th {
      font-weight: 400;
      color: var(--ink2);
      overflow-wrap: anywhere;
      line-height: 1.2;
    }
    .chosen th,
    .chosen .number {
      color: var(--ink);
      font-weight: 700;
    }
    .bar {
      position: relative;
      height: 30px;
    }
    i {
      position: absolute;
      top: 9px;
      height: 12px;
    }
    .shut {
      left: 0;
      background: repeating-linear-gradient(-52deg, var(--hold) 0 1.2px, transparent 1.2px 5px);
    }
    .fade {
      background: linear-gradient(90deg, var(--hold), transparent);
      opacity: 0.7;
    }
    .gate {
      top: 4px;
      height: 22px;
      width: 4px;
      margin-left: -2px;
      border-radius: 2px;
      background: var(--hold);
    }
    .chosen .gate {
      background: var(--water);
    }
    @media (max-width: 760px) {
      .name {
        width: 6.5rem;
      }
      .gate-day {
        width: 5rem;
      }
    }
  `,
})
export class GateRanges {
  readonly name = input.required<string>();
  readonly rows = input.required<readonly GateRange[]>();
  /** Days that the full width stands for. */
  readonly horizon = input.required<number>();

  protected at(days: number): number {
    return Math.min(100, (days / this.horizon()) * 100);
  }
}
