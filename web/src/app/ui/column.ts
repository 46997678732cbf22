import { Directive, inject, input, TemplateRef } from '@angular/core';

/** A column as data: what it is called, what it says of a row, what it sorts by. */
export interface Column<R> {
  readonly key: string;
  readonly head: string;
  /** What is read, copied and saved. */
  readonly text: (row: R) => string;
  /** What the rows are put in order by; without it the column does not sort. Null goes last. */
  readonly sort?: (row: R) => number | string | null;
  /** Figures stand at the right, under each other. */
  readonly number?: boolean;
  /** Where the text leads. */
  readonly link?: (row: R) => readonly unknown[] | null;
  /** A quiet second line. */
  readonly note?: (row: R) => string;
  /** A column of buttons: no heading is seen, and it is not copied. */
  readonly act?: boolean;
}

/** How one column is drawn where words are not enough. */
@Directive({ selector: 'ng-template[hyCell]' })
export class CellOf<R> {
  readonly hyCell = input.required<string>();
  /** The rows of the table: for their type alone. */
  readonly of = input<readonly R[]>();
  readonly template = inject<TemplateRef<{ $implicit: R }>>(TemplateRef);

  static ngTemplateContextGuard<R>(_: CellOf<R>, context: unknown): context is { $implicit: R } {
    return context !== null;
  }
}
