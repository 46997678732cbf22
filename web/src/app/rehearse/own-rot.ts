import { computed, inject, Injectable } from '@angular/core';
import { calibrateRot, rotCases } from '@hypogeon/core/rehearse';
import { Journal } from '../data/journal';

/** How ready wounds rot on this bench, by its own losses. */
@Injectable({ providedIn: 'root' })
export class OwnRot {
  private readonly state = inject(Journal).state;
  readonly rot = computed(() => calibrateRot(rotCases(this.state())));
}
