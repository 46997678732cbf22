import { inject, Injectable } from '@angular/core';
import { spreadsheetOf, type Cell } from '@hypogeon/core/formats';
import { LOCALE } from './locale';
import { saveText } from './save-text';

/** Tables as files that the spreadsheets of the grower's place open with a double click. */
@Injectable({ providedIn: 'root' })
export class Spreadsheet {
  private readonly locale = inject(LOCALE);

  save(name: string, header: readonly string[], rows: readonly (readonly Cell[])[]): void {
    saveText(`${name}.csv`, spreadsheetOf(header, rows, this.locale()));
  }
}
