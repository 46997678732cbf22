import { CDK_VIRTUAL_SCROLL_VIEWPORT } from '@angular/cdk/scrolling';
import { NgTemplateOutlet } from '@angular/common';
import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  signal,
  ViewEncapsulation,
} from '@angular/core';
import { say } from '@hypogeon/messages/table-rows';
import { MatSort, MatSortHeader, type Sort } from '@angular/material/sort';
import { MatTableModule } from '@angular/material/table';
import { RouterLink } from '@angular/router';
import type { CellOf, Column } from './column';

/** The rows of a table, sorted by its headings. */
@Component({
  selector: 'hy-table-rows',
  imports: [MatSort, MatSortHeader, MatTableModule, NgTemplateOutlet, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  // Head and body of the table are drawn by Material: its parts are reached only without walls.
  encapsulation: ViewEncapsulation.None,
  // The CDK's table looks for its viewport in its own template only: ours stands around this one.
  viewProviders: [
    {
      provide: CDK_VIRTUAL_SCROLL_VIEWPORT,
      useFactory: () => inject(CDK_VIRTUAL_SCROLL_VIEWPORT, { optional: true, skipSelf: true }),
    },
  ],
  template: `
    <table
      mat-table
      matSort
      [fixedLayout]="many()"
      [class.many]="many()"
      [dataSource]="sorted()"
      [trackBy]="same"
      (matSortChange)="order.set($event)"
    >
      <caption class="unseen">
        {{
          name()
        }}
      </caption>
      @for (column of columns(); track column.key; let first = $first) {
        <ng-container [matColumnDef]="column.key">
          <th
            mat-header-cell
            *matHeaderCellDef
            scope="col"
            [class.number]="column.number"
            [mat-sort-header]="column.key"
            [sortActionDescription]="say.sort()"
            [disabled]="!column.sort"
            [arrowPosition]="column.number ? 'before' : 'after'"
          >
            <span [class.unseen]="column.act">{{ column.head }}</span>
          </th>
          @if (first) {
            <th *matCellDef="let row" scope="row">
              <ng-container *ngTemplateOutlet="cell; context: { $implicit: row, column: column }" />
            </th>
          } @else {
            <td
              mat-cell
              *matCellDef="let row"
              [class.number]="column.number"
              [class.act]="column.act"
              [attr.data-name]="column.act ? null : column.head"
              [class.void]="!column.act && !drawn(column.key) && column.text(row) === ''"
            >
              <ng-container *ngTemplateOutlet="cell; context: { $implicit: row, column: column }" />
            </td>
          }
        </ng-container>
      }
      <tr mat-header-row *matHeaderRowDef="keys(); sticky: many()"></tr>
      <tr mat-row *matRowDef="let row; columns: keys()" [class.marked]="marked()(row)"></tr>
    </table>
    <ng-template #cell let-row let-column="column">
      @if (drawn(column.key); as own) {
        <ng-container *ngTemplateOutlet="own.template; context: { $implicit: row }" />
      } @else {
        @let to = column.link?.(row);
        @if (to) {
          <a [routerLink]="to">{{ column.text(row) }}</a>
        } @else {
          {{ column.text(row) }}
        }
        @if (column.note?.(row); as note) {
          <span class="note">{{ note }}</span>
        }
      }
    </ng-template>
  `,
  styleUrl: './table-rows.scss',
})
export class TableRows<R> {
  protected readonly say = say;

  readonly name = input.required<string>();
  readonly columns = input.required<readonly Column<R>[]>();
  readonly rows = input.required<readonly R[]>();
  readonly cells = input.required<readonly CellOf<unknown>[]>();
  readonly marked = input.required<(row: R) => boolean>();
  /** More than are drawn at once: every row is as tall as the next. */
  readonly many = input(false, { transform: booleanAttribute });

  protected readonly order = signal<Sort>({ active: '', direction: '' });
  protected readonly keys = computed(() => this.columns().map((c) => c.key));
  readonly sorted = computed(() => sortRows(this.rows(), this.columns(), this.order()));

  protected drawn(key: string): CellOf<unknown> | undefined {
    return this.cells().find((c) => c.hyCell() === key);
  }

  protected readonly same = (index: number): number => index;
}

/** The rows as the grower asked for them; as given where nothing was asked. */
export function sortRows<R>(
  rows: readonly R[],
  columns: readonly Column<R>[],
  { active, direction }: Sort,
): R[] {
  const by = columns.find((c) => c.key === active)?.sort;
  if (!by || direction === '') return [...rows];
  const turn = direction === 'asc' ? 1 : -1;
  return rows.toSorted((a, b) => {
    const [x, y] = [by(a), by(b)];
    if (x === null || y === null) return Number(x === null) - Number(y === null);
    if (typeof x === 'number' && typeof y === 'number') return turn * (x - y);
    return turn * String(x).localeCompare(String(y), undefined, { numeric: true });
  });
}
