import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  inject,
  input,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { csvOf, type Cell } from '@hypogeon/core/formats';
import { saveBlob, saveText } from '../data/save-text';
import { pngOf, svgText } from './svg-text';

export interface PlateTable {
  readonly header: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

/** A drawing with the same as a table under it, and both as files. */
@Component({
  selector: 'hy-plate-frame',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-content />
    <details class="no-print">
      <summary>The same as a table, and files</summary>
      <div class="scroll" tabindex="0" role="region" [attr.aria-label]="name() + ' as a table'">
        <table>
          <thead>
            <tr>
              @for (h of table().header; track $index) {
                <th scope="col" [class.number]="!$first">{{ h }}</th>
              }
            </tr>
          </thead>
          <tbody>
            @for (row of table().rows; track $index) {
              <tr>
                @for (cell of row; track $index) {
                  <td [class.number]="!$first">{{ cell }}</td>
                }
              </tr>
            }
          </tbody>
        </table>
      </div>
      <p class="files">
        <button type="button" matButton="outlined" (click)="csv()">CSV</button>
        <button type="button" matButton="outlined" (click)="svg()">SVG</button>
        <button type="button" matButton="outlined" (click)="png()">PNG</button>
        @if (failed()) {
          <span class="problem" role="alert"
            >This browser does not draw the picture. The SVG is the same drawing.</span
          >
        }
      </p>
    </details>
  `,
  styles: `
    :host {
      display: block;
    }
    .scroll {
      max-height: 22rem;
      overflow: auto;
    }
    .files {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem;
      align-items: center;
      margin-top: 0.8rem;
    }
  `,
})
export class PlateFrame {
  /** What it shows: the name of the files. */
  readonly name = input.required<string>();
  readonly table = input.required<PlateTable>();
  protected readonly failed = signal(false);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);

  protected csv(): void {
    const { header, rows } = this.table();
    saveText(`${this.name()}.csv`, csvOf(header, rows));
  }

  protected svg(): void {
    const drawing = this.drawing();
    if (drawing) saveText(`${this.name()}.svg`, svgText(drawing), 'image/svg+xml');
  }

  protected async png(): Promise<void> {
    const drawing = this.drawing();
    if (!drawing) return;
    try {
      saveBlob(`${this.name()}.png`, await pngOf(svgText(drawing)));
      this.failed.set(false);
    } catch {
      this.failed.set(true);
    }
  }

  private drawing(): SVGSVGElement | null {
    return this.host.nativeElement.querySelector('svg');
  }
}
