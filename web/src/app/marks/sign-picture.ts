import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { Look, SignPicture as Sign } from '@hypogeon/core/look';
import { DrawingDefs } from './drawing-defs';

/** What a look may find, drawn on that very plant, beside the words that ask for it. */
@Component({
  selector: 'hy-sign',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 64 64" [attr.width]="size()" [attr.height]="size()" aria-hidden="true">
      <use [attr.href]="href()" />
    </svg>
  `,
  styles: `
    :host {
      display: inline-flex;
    }
    svg {
      display: block;
    }
  `,
})
export class SignPicture {
  private readonly defs = inject(DrawingDefs);
  readonly look = input.required<Look>();
  readonly sign = input.required<Sign>();
  readonly size = input(52);
  protected readonly href = computed(
    () => `#${this.defs.sign(this.look(), this.sign(), this.size())}`,
  );
}
