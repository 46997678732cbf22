import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
} from '@angular/core';
import type { Part } from '@hypogeon/core/media';
import { say } from '@hypogeon/messages/strata-column';
import { follow } from './drag';
import { grainsIn, type GrainPath } from './grains';

const WIDTH = 130;
const TALL = 360;
const RIM = 8;
/** Drawing units per millimetre of grain: large enough to tell pumice from sand. */
const SCALE = 2.4;

interface Layer {
  readonly part: Part;
  readonly top: number;
  readonly bottom: number;
  readonly share: number;
  readonly grains: readonly GrainPath[];
}

/**
 * What goes into a mix, heaped one on another, each as tall as its share. The edges between them can be
 * dragged, or moved with the arrow keys.
 */
@Component({
  selector: 'hy-strata-column',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + width + ' ' + tall"
      role="group"
      [attr.aria-label]="say.sharesOfTheMix()"
    >
      @for (layer of layers(); track layer.part.component.id) {
        <g>
          <rect
            class="ground"
            [attr.x]="rim"
            [attr.width]="width - 2 * rim"
            [attr.y]="layer.top"
            [attr.height]="layer.bottom - layer.top"
          />
          @for (grain of layer.grains; track grain.id) {
            <path
              class="grain"
              [class.fine]="grain.fine"
              [attr.d]="grain.d"
              [attr.fill]="grain.tone"
            />
          }
        </g>
      }
      <path
        class="glass"
        [attr.d]="'M' + (rim - 2) + ' 2V' + (tall - 2) + 'H' + (width - rim + 2) + 'V2'"
      />
      @for (edge of edges(); track edge.index) {
        <path class="edge" [attr.d]="'M' + rim + ' ' + edge.y + 'H' + (width - rim)" />
      }
    </svg>
    @if (editable()) {
      @for (edge of edges(); track edge.index) {
        <div
          class="handle"
          role="slider"
          tabindex="0"
          [style.top.%]="(edge.y / tall) * 100"
          [attr.aria-label]="say.edgeBetweenAnd({ above: edge.above, below: edge.below })"
          [attr.aria-valuenow]="edge.percent"
          aria-valuemin="0"
          aria-valuemax="100"
          [attr.aria-valuetext]="edge.above + ' ' + edge.percent + '%'"
          aria-orientation="vertical"
          (pointerdown)="grip($event, edge.index)"
          (keydown)="key($event, edge.index)"
        >
          <i></i>
        </div>
      }
    }
  `,
  styles: `
    :host {
      display: block;
      align-self: start;
      position: relative;
    }
    svg {
      display: block;
      width: 100%;
      height: auto;
    }
    .ground {
      fill: var(--soil-soft);
    }
    .grain {
      stroke: rgb(20 20 18 / 45%);
      stroke-width: 0.7;
    }
    .grain.fine {
      stroke: none;
    }
    .glass {
      fill: none;
      stroke: var(--ink2);
      stroke-width: 2.5;
      stroke-linejoin: round;
      stroke-linecap: round;
    }
    .edge {
      stroke: var(--ink);
      stroke-width: 1.5;
    }
    .handle {
      position: absolute;
      left: 0;
      right: 0;
      height: 44px;
      margin-top: -22px;
      cursor: ns-resize;
      touch-action: none;
      display: grid;
      align-items: center;
      justify-items: end;
    }
    .handle i {
      width: 18px;
      height: 18px;
      border-radius: 50%;
      border: 2px solid var(--ink);
      background: var(--face);
    }
  `,
})
export class StrataColumn {
  protected readonly say = say;

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  readonly parts = input.required<readonly Part[]>();
  readonly editable = input(false);
  /** Shares of the heaps after a drag, in the order of the parts, adding up to 1. */
  readonly moved = output<readonly number[]>();

  protected readonly width = WIDTH;
  protected readonly tall = TALL;
  protected readonly rim = RIM;

  private readonly shares = computed(() => {
    const sum = this.parts().reduce((total, p) => total + p.parts, 0);
    return this.parts().map((p) => (sum > 0 ? p.parts / sum : 0));
  });

  protected readonly layers = computed((): readonly Layer[] => {
    let top = 4;
    const room = TALL - 8;
    return this.parts().map((part, i) => {
      const share = this.shares()[i]!;
      const layer = { top, bottom: top + share * room };
      top = layer.bottom;
      const bed = { ...layer, left: () => RIM, right: () => WIDTH - RIM };
      const grains = share < 0.004 ? [] : grainsIn(bed, [{ ...part, parts: 1 }], SCALE);
      return { ...layer, part, share, grains };
    });
  });

  protected readonly edges = computed(() =>
    this.layers()
      .slice(0, -1)
      .map((layer, index) => ({
        index,
        y: layer.bottom,
        above: layer.part.component.name,
        below: this.layers()[index + 1]!.part.component.name,
        percent: Math.round(layer.share * 100),
      })),
  );

  protected grip(event: PointerEvent, index: number): void {
    const { height } = this.host.nativeElement.getBoundingClientRect();
    const start = this.shares();
    follow(event, (_dx, dy) => this.shift(start, index, dy / Math.max(height, 1)));
  }

  protected key(event: KeyboardEvent, index: number): void {
    const steps: Readonly<Record<string, number>> = {
      ArrowUp: -0.01,
      ArrowLeft: -0.01,
      ArrowDown: 0.01,
      ArrowRight: 0.01,
      PageUp: -0.1,
      PageDown: 0.1,
    };
    const by = steps[event.key];
    if (by === undefined) return;
    event.preventDefault();
    this.shift(this.shares(), index, by);
  }

  /** What one layer gains its neighbour gives, to the whole per cent. */
  private shift(start: readonly number[], index: number, by: number): void {
    const both = start[index]! + start[index + 1]!;
    const upper = Math.round(Math.min(Math.max(start[index]! + by, 0), both) * 100) / 100;
    const next = [...start];
    next[index] = Math.min(upper, both);
    next[index + 1] = both - next[index];
    this.moved.emit(next);
  }
}
