import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { say } from '@hypogeon/messages/picture';
import { Pictures } from '../data/pictures';

/** A picture of the store by its id. */
@Component({
  selector: 'hy-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (url(); as u) {
      <img
        class="block w-full bg-line"
        [class]="cropped() ? 'h-full object-cover rounded-sm' : 'h-auto'"
        [src]="u"
        [alt]="alt()"
        [width]="width()"
        [height]="height()"
      />
    } @else if (missing() && !cropped()) {
      <p class="quiet small">{{ say.thisPictureLiesOn() }}</p>
    }
  `,
})
export class Picture {
  protected readonly say = say;

  private readonly pictures = inject(Pictures);
  readonly picture = input.required<string>();
  readonly alt = input.required<string>();
  readonly width = input.required<number>();
  readonly height = input.required<number>();
  /** Fills the room it is given, whatever its shape. */
  readonly cropped = input(false, { transform: booleanAttribute });

  protected readonly url = signal<string | null>(null);
  protected readonly missing = signal(false);

  constructor() {
    effect((onCleanup) => {
      const id = this.picture();
      let made: string | null = null;
      let over = false;
      void this.pictures.get(id).then((blob) => {
        if (over) return;
        this.missing.set(blob === null);
        made = blob ? URL.createObjectURL(blob) : null;
        this.url.set(made);
      });
      onCleanup(() => {
        over = true;
        if (made) URL.revokeObjectURL(made);
      });
    });
  }
}
