import { Clipboard } from '@angular/cdk/clipboard';
import { CdkFixedSizeVirtualScroll, CdkVirtualScrollViewport } from '@angular/cdk/scrolling';
import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  contentChildren,
  inject,
  input,
  viewChild,
} from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { say } from '@hypogeon/messages/table';
import { mdiDotsVertical } from '@mdi/js';
import { Spreadsheet } from '../data/spreadsheet';
import { CellOf, type Column } from './column';
import { TableRows } from './table-rows';

/** Above this many rows only those in sight are drawn. */
const MANY = 100;

/**
 * A table: sorts by its headings, copies and saves as CSV, and on a phone gives each row two lines.
 * The first column names the row.
 *
 * @example <hy-table name="Arms" [columns]="columns" [rows]="arms()" />
 */
@Component({
  selector: 'hy-table',
  imports: [
    CdkFixedSizeVirtualScroll,
    CdkVirtualScrollViewport,
    MatIconButton,
    MatMenu,
    MatMenuItem,
    MatMenuTrigger,
    TableRows,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'relative grid grid-cols-1' },
  template: `
    <div class="flex items-end">
      @if (heading()) {
        <h2 class="ruled flex-1">{{ name() }}</h2>
      }
      @if (!form()) {
        <button
          matIconButton
          class="no-print -mb-1.5 ml-auto"
          [attr.aria-label]="say.copyOrSave({ name: name() })"
          [matMenuTriggerFor]="out"
        >
          <svg viewBox="0 0 24 24" aria-hidden="true"><path [attr.d]="dots" /></svg>
        </button>
      }
      <mat-menu #out="matMenu">
        <button mat-menu-item (click)="copy()">{{ say.copyTheTable() }}</button>
        <button mat-menu-item (click)="save()">{{ say.saveAsCsv() }}</button>
      </mat-menu>
    </div>
    @if (many()) {
      <cdk-virtual-scroll-viewport
        class="h-[min(70vh,44rem)]"
        itemSize="56"
        tabindex="0"
        role="region"
        [attr.aria-label]="say.table({ name: name() })"
      >
        <hy-table-rows
          many
          [name]="name()"
          [columns]="columns()"
          [rows]="rows()"
          [cells]="cells()"
          [marked]="marked()"
        />
      </cdk-virtual-scroll-viewport>
    } @else {
      <div
        class="scroll"
        tabindex="0"
        role="region"
        [attr.aria-label]="say.table({ name: name() })"
      >
        <hy-table-rows
          [name]="name()"
          [columns]="columns()"
          [rows]="rows()"
          [cells]="cells()"
          [marked]="marked()"
        />
      </div>
    }
  `,
  styleUrl: './table.scss',
})
export class Table<R> {
  protected readonly say = say;

  private readonly clipboard = inject(Clipboard);
  private readonly spreadsheet = inject(Spreadsheet);

  /** What the table shows; the name of its file too. */
  readonly name = input.required<string>();
  /** Whether the name stands over the table as a heading. */
  readonly heading = input(false, { transform: booleanAttribute });
  /** Its cells are typed into: it is not copied or saved. */
  readonly form = input(false, { transform: booleanAttribute });
  readonly columns = input.required<readonly Column<R>[]>();
  readonly rows = input.required<readonly R[]>();
  /** Rows that stand out: the chosen, the best. */
  readonly marked = input<(row: R) => boolean>(() => false);

  protected readonly dots = mdiDotsVertical;
  protected readonly cells = contentChildren(CellOf);
  protected readonly many = computed(() => this.rows().length > MANY);

  private readonly shown = viewChild.required<TableRows<R>>(TableRows);
  private readonly said = computed(() => this.columns().filter((c) => !c.act));

  /** Cells apart by tabs: what spreadsheets take from the clipboard. */
  protected copy(): void {
    const lines = [this.heads(), ...this.told()];
    this.clipboard.copy(lines.map((line) => line.join('\t')).join('\n'));
  }

  protected save(): void {
    const file = this.name()
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/g, '-');
    this.spreadsheet.save(file, this.heads(), this.told());
  }

  private heads(): string[] {
    return this.said().map((c) => c.head);
  }

  private told(): string[][] {
    return this.shown()
      .sorted()
      .map((row) =>
        this.said().map((c) => [c.text(row), c.note?.(row)].filter(Boolean).join(', ')),
      );
  }
}
