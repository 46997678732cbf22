import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { say } from '@hypogeon/messages/gate-ranges';

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
  host: { class: 'block' },
  template: `
    <table class="table-fixed">
      <caption class="unseen">
        {{
          say.daysFromTheCut({ name: name() })
        }}
      </caption>
      <colgroup>
        <col class="name w-32 phone:w-26" />
        <col />
        <col class="w-28 phone:w-20" />
      </colgroup>
      <thead class="unseen">
        <tr>
          <th>
            {{ name() }}
          </th>
          <th>{{ say.range() }}</th>
          <th>{{ say.safeToWaterFrom() }}</th>
        </tr>
      </thead>
      <tbody>
        @for (row of rows(); track row.name) {
          <tr [class.chosen]="row.chosen">
            <th scope="row">
              {{ row.name }}
              @if (row.chosen) {
                <span class="unseen">{{ say.chosen() }}</span>
              }
            </th>
            <td class="relative h-7.5" aria-hidden="true">
              @if (row.opens !== null) {
                <i class="shut absolute top-[9px] h-3" [style.width.%]="at(row.from)"></i>
                <i
                  class="fade absolute top-[9px] h-3"
                  [style.left.%]="at(row.from)"
                  [style.width.%]="at(row.to - row.from)"
                ></i>
                <i class="gate absolute top-[9px] h-3" [style.left.%]="at(row.opens)"></i>
              }
            </td>
            <td class="number">{{ row.says }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    th,
    td {
      padding: 0.25rem 0;
      border: 0;
    }
    th {
      color: var(--ink2);
      font-weight: 400;
      line-height: 1.15;
      overflow-wrap: anywhere;
    }
    .chosen th,
    .chosen .number {
      color: var(--ink);
      font-weight: 700;
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
  `,
})
export class GateRanges {
  protected readonly say = say;

  readonly name = input.required<string>();
  readonly rows = input.required<readonly GateRange[]>();
  /** Days that the full width stands for. */
  readonly horizon = input.required<number>();

  protected at(days: number): number {
    return Math.min(100, (days / this.horizon()) * 100);
  }
}
