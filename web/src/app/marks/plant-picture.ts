import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
} from '@angular/core';
import { drawn, FIELD, SOIL, type Drawn, type Habit, type Part } from '@hypogeon/core/look';
import { DrawingDefs } from './drawing-defs';

const LYING: ReadonlySet<Habit> = new Set(['rosette', 'mat', 'stones']);

/** A whole plant, drawn from its figures, on the soil line. */
@Component({
  selector: 'hy-plant',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="box()"
      [attr.width]="size()"
      [attr.height]="low() ? size() * LOW : size()"
      [attr.role]="label() ? 'img' : null"
      [attr.aria-label]="label()"
      [attr.aria-hidden]="label() ? null : true"
    >
      <use [attr.href]="href()" />
      @if (!hangs()) {
        <path class="soil" [attr.d]="soil" />
      }
      @if (blade(); as cut) {
        <use [attr.href]="cut" />
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
  /** The piece that is taken: where it comes off is drawn on the plant. */
  readonly takes = input<Part | null>(null);
  /** Said by a screen reader; without it the picture is decoration beside text. */
  readonly label = input<string>();

  /** A plant that lies on the ground leaves no empty air above it. */
  readonly snug = input(false, { transform: booleanAttribute });

  protected readonly LOW = 0.62;
  protected readonly low = computed(() => {
    const { habit, flower } = this.drawn().look;
    return this.snug() && flower === undefined && LYING.has(habit);
  });
  protected readonly box = computed(() => {
    const tall = this.low() ? FIELD * this.LOW : FIELD;
    return `0 ${FIELD - tall} ${FIELD} ${tall}`;
  });
  protected readonly soil = `M6 ${SOIL}H94`;
  protected readonly href = computed(() => `#${this.defs.plant(this.drawn(), this.size())}`);
  protected readonly blade = computed(() => {
    const part = this.takes();
    return part === null ? null : `#${this.defs.blade(drawn(this.drawn().look, part))}`;
  });
  protected readonly hangs = computed(() => this.drawn().look.habit === 'trail');
}
