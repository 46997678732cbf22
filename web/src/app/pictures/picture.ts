import { ChangeDetectionStrategy, Component, effect, inject, input, signal } from '@angular/core';
import { Pictures } from '../data/pictures';

/** A picture of the store by its id. */
@Component({
  selector: 'hy-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (url(); as u) {
      <img
        class="block w-full h-auto bg-line"
        [src]="u"
        [alt]="alt()"
        [width]="width()"
        [height]="height()"
      />
    } @else if (missing()) {
      <p class="quiet small">This picture lies on another device. Import its zip to see it here.</p>
    }
  `,
})
export class Picture {
  private readonly pictures = inject(Pictures);
  readonly picture = input.required<string>();
  readonly alt = input.required<string>();
  readonly width = input.required<number>();
  readonly height = input.required<number>();

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
