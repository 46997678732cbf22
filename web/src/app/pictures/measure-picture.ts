import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import type { Photo } from '@hypogeon/core/journal';
import {
  measureOnPicture,
  POINTING_PX,
  type MeasuredLength,
  type Point,
} from '@hypogeon/core/picture';
import { readLength } from '@hypogeon/core/units';
import { say } from '@hypogeon/messages/measure-picture';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';
import { Picture } from './picture';

type Step = 'scale' | 'along';

/** Two points along a known length, then points along what is measured. */
@Component({
  selector: 'hy-measure-picture',
  imports: [MatButton, MatOption, MatSelect, Field, FieldControl, Picture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-3' },
  template: `
    <p role="status">{{ asks() }}</p>
    <div class="stage relative max-w-208" #stage>
      <hy-picture
        [picture]="photo().picture"
        [width]="photo().width"
        [height]="photo().height"
        [alt]="say.thePictureThatIs()"
      />
      <svg
        class="absolute top-0 right-0 bottom-0 left-0 w-full h-full cursor-crosshair touch-manipulation"
        [attr.viewBox]="'0 0 ' + photo().width + ' ' + photo().height"
        tabindex="0"
        role="application"
        [attr.aria-label]="say.pointsOnThePicture({ asks: asks() })"
        (click)="point($event, stage)"
        (keydown)="key($event)"
      >
        <polyline class="scale" [attr.points]="line(scale())" [style.stroke-width]="stroke()" />
        <polyline class="along" [attr.points]="line(along())" [style.stroke-width]="stroke()" />
        @for (p of scale(); track $index) {
          <circle class="scale" [attr.cx]="p.x" [attr.cy]="p.y" [attr.r]="2 * stroke()" />
        }
        @for (p of along(); track $index) {
          <circle class="along" [attr.cx]="p.x" [attr.cy]="p.y" [attr.r]="2 * stroke()" />
        }
        @if (cross(); as c) {
          <path class="cross" [attr.d]="crossAt(c)" [style.stroke-width]="stroke() / 2" />
        }
      </svg>
    </div>
    <div class="row flex flex-wrap items-end gap-y-2.5 gap-x-4">
      <hy-field [label]="say.theKnownLengthIs()" [problem]="lengthProblem()">
        <input
          hyControl
          type="text"
          [value]="known()"
          (input)="known.set(k.value)"
          [placeholder]="words.length(10)"
          #k
        />
      </hy-field>
      <hy-field [label]="say.measuredIs()">
        <mat-select
          [value]="what()"
          (selectionChange)="what.set($event.value === 'root' ? 'root' : 'wound')"
        >
          <mat-option value="wound">{{ say.theWidthOfThe() }}</mat-option>
          <mat-option value="root">{{ say.aRoot() }}</mat-option>
        </mat-select>
      </hy-field>
      @if (result(); as r) {
        <p class="result" role="status">
          <strong class="font-bold text-xl leading-none font-head">{{ words.length(r.mm) }}</strong>
          ± {{ words.length(r.errorMm) }}
        </p>
        <button
          type="button"
          matButton="filled"
          (click)="measured.emit({ what: what(), length: r })"
        >
          {{ say.save() }}
        </button>
      }
      <button type="button" matButton="text" (click)="startOver()">{{ say.pointsAnew() }}</button>
      <button type="button" matButton="text" (click)="closed.emit()">{{ say.cancel() }}</button>
    </div>
    <p class="quiet small">
      {{ say.rulerAndPlantAt() }}
    </p>
  `,
  styles: `
    polyline {
      fill: none;
    }
    .scale {
      stroke: #ffd24a;
      fill: #ffd24a;
    }
    .along {
      stroke: #ff4f93;
      fill: #ff4f93;
    }
    polyline.scale,
    polyline.along {
      fill: none;
    }
    .cross {
      stroke: #fff;
      fill: none;
      mix-blend-mode: difference;
    }
  `,
})
export class MeasurePicture {
  protected readonly say = say;

  protected readonly words = inject(Words);
  readonly photo = input.required<Photo>();
  readonly measured = output<{
    readonly what: 'wound' | 'root';
    readonly length: MeasuredLength;
  }>();
  readonly closed = output();

  protected readonly scale = signal<readonly Point[]>([]);
  protected readonly along = signal<readonly Point[]>([]);
  protected readonly known = signal('10 mm');
  protected readonly what = signal<'wound' | 'root'>('wound');
  /** Where the keys have moved to, in pixels of the picture. */
  protected readonly cross = signal<Point | null>(null);
  /** How many pixels of the picture one of the screen is. */
  private readonly zoom = signal(1);

  protected readonly stroke = computed(() => this.photo().width / 260);
  private readonly step = computed<Step>(() => (this.scale().length < 2 ? 'scale' : 'along'));
  protected readonly asks = computed(() => {
    if (this.step() === 'scale')
      return this.scale().length === 0 ? say.tapOneEndOf() : say.tapItsOtherEnd();
    if (this.along().length === 0) return say.nowTapOneEnd();
    return this.what() === 'root' ? say.tapOnAlongThe() : say.tapTheOtherEnd();
  });

  private readonly read = computed(() => readLength(this.known(), this.words.lengthUnit()));
  protected readonly lengthProblem = computed(() => {
    const read = this.read();
    return read.ok ? '' : read.problem;
  });
  protected readonly result = computed<MeasuredLength | null>(() => {
    const [a, b] = this.scale();
    const read = this.read();
    if (!a || !b || !read.ok || this.along().length < 2) return null;
    try {
      return measureOnPicture([a, b], read.mm, this.along(), POINTING_PX * this.zoom());
    } catch {
      return null;
    }
  });

  protected point(event: MouseEvent, stage: HTMLElement): void {
    const box = stage.getBoundingClientRect();
    if (box.width === 0) return;
    const zoom = this.photo().width / box.width;
    this.zoom.set(zoom);
    this.add({ x: (event.clientX - box.left) * zoom, y: (event.clientY - box.top) * zoom });
  }

  protected key(event: KeyboardEvent): void {
    const { width, height } = this.photo();
    const step = (event.shiftKey ? 0.05 : 0.005) * width;
    const by = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, -step],
      ArrowDown: [0, step],
    }[event.key];
    const at = this.cross() ?? { x: width / 2, y: height / 2 };
    if (by) {
      event.preventDefault();
      this.cross.set({
        x: Math.min(Math.max(at.x + by[0]!, 0), width),
        y: Math.min(Math.max(at.y + by[1]!, 0), height),
      });
    } else if (event.key === 'Enter') {
      event.preventDefault();
      this.add(at);
    }
  }

  protected startOver(): void {
    this.scale.set([]);
    this.along.set([]);
  }

  protected line(points: readonly Point[]): string {
    return points.map((p) => `${p.x},${p.y}`).join(' ');
  }

  protected crossAt({ x, y }: Point): string {
    const arm = this.photo().width / 30;
    return `M${x - arm} ${y}H${x + arm}M${x} ${y - arm}V${y + arm}`;
  }

  private add(p: Point): void {
    if (this.step() === 'scale') this.scale.update((s) => [...s, p]);
    else if (this.what() === 'wound' && this.along().length >= 2) this.along.set([p]);
    else this.along.update((s) => [...s, p]);
  }
}
