import { computed, Directive, inject, input } from '@angular/core';
import type { Drawn, Part } from '@hypogeon/core/look';
import type { MarkState } from './mark-state';
import { Stamps } from './stamps';

/** A cutting's mark among hundreds, beside words that say the same: the picture of it, not its strokes. */
@Directive({
  selector: 'img[hyStamp]',
  host: {
    draggable: 'false',
    '[attr.src]': 'picture()() || null',
    '[attr.width]': 'size()',
    '[attr.height]': 'size()',
  },
})
export class Stamp {
  private readonly stamps = inject(Stamps);
  readonly hyStamp = input.required<Drawn | Part>();
  readonly state = input.required<MarkState>();
  readonly size = input(48);
  protected readonly picture = computed(() =>
    this.stamps.of(this.hyStamp(), this.state(), this.size()),
  );
}
