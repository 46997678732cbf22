import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { plantDrawn, plantOf } from '@hypogeon/core/bench';
import type { Mother } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/mother-picture';
import { Journal } from '../data/journal';
import { PlantPicture } from '../marks/plant-picture';
import { Picture } from '../pictures/picture';

/** A mother as she is known: the grower's own picture where there is one, else drawn from her figures. */
@Component({
  selector: 'hy-mother-picture',
  imports: [Picture, PlantPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'inline-flex', '[style.width.px]': 'size()', '[style.height.px]': 'size()' },
  template: `
    @let m = mother();
    @if (m.picture; as p) {
      <hy-picture
        cropped
        class="w-full"
        [picture]="p.id"
        [width]="p.width"
        [height]="p.height"
        [alt]="label() ? say.asItLooksHere({ name: m.name ?? say.theMother() }) : ''"
      />
    } @else {
      <hy-plant [drawn]="drawn()" [size]="size()" />
    }
  `,
})
export class MotherPicture {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  readonly mother = input.required<Mother>();
  readonly size = input(72);
  /** Named for a screen reader where no name stands beside it. */
  readonly label = input(false);
  protected readonly drawn = computed(() =>
    plantDrawn(plantOf(this.state(), this.mother().taxon ?? '')?.taxon),
  );
}
