import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { FIELD, SOIL, type Drawn } from '@hypogeon/core/look';
import { DrawingDefs } from './drawing-defs';

/** A whole plant, drawn from its figures, on the soil line. */
@Component({
  selector: 'hy-plant',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="box"
      [attr.width]="size()"
      [attr.height]="size()"
      [attr.role]="label() ? 'img' : null"
      [attr.aria-label]="label()"
      [attr.aria-hidden]="label() ? null : true"
    >
      <use [attr.href]="href()" />
      @if (!hangs()) {
        <path class="soil" [attr.d]="soil" />
      }
    </svg>
  `,
  styles: `
    :host {
      display: inline-flex;
    }
    svg {
      display: block;
    }
    .soil {
      stroke: var(--ink);
      stroke-width: 1.4px;
      vector-effect: non-scaling-stroke;
    }
  `,
})
export class PlantPicture {
  private readonly defs = inject(DrawingDefs);
  readonly drawn = input.required<Drawn>();
  readonly size = input(96);
  /** Said by a screen reader; without it the picture is decoration beside text. */
  readonly label = input<string>();

  protected readonly box = `0 0 ${FIELD} ${FIELD}`;
  protected readonly soil = `M6 ${SOIL}H94`;
  protected readonly href = computed(() => `#${this.defs.plant(this.drawn(), this.size())}`);
  protected readonly hangs = computed(() => this.drawn().look.habit === 'trail');
}
