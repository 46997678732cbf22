import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  input,
  output,
  viewChild,
} from '@angular/core';
import { MatButton, type MatButtonAppearance } from '@angular/material/button';

/** A button that asks for files; the same file can be chosen twice. */
@Component({
  selector: 'hy-file-pick',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button type="button" [matButton]="look()" (click)="field.click()">{{ label() }}</button>
    <input
      hidden
      type="file"
      [attr.aria-label]="label()"
      [accept]="accept()"
      [multiple]="multiple()"
      (change)="take()"
      #field
    />
  `,
})
export class FilePick {
  readonly label = input.required<string>();
  readonly accept = input('');
  readonly multiple = input(false, { transform: booleanAttribute });
  readonly look = input<MatButtonAppearance>('outlined');
  readonly picked = output<readonly File[]>();
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');

  protected take(): void {
    const input = this.field().nativeElement;
    const files = [...(input.files ?? [])];
    input.value = '';
    if (files.length > 0) this.picked.emit(files);
  }
}
