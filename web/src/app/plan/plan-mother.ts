import { computed, inject, type Signal } from '@angular/core';
import { plantDrawn, plantOf, placesIn } from '@hypogeon/core/bench';
import { methodOf, type MethodId } from '@hypogeon/core/botany';
import { Journal } from '../data/journal';

/** The mother a page of the plan is about, with her plant and its ways. Called where a component is made. */
export function planMother(id: Signal<string | undefined>) {
  const { state } = inject(Journal);
  const record = computed(() => state().mothers.get(id() ?? ''));
  const plant = computed(() => plantOf(state(), record()?.taxon ?? ''));
  return {
    state,
    record,
    plant,
    /** How she is drawn. */
    look: computed(() => plantDrawn(plant()?.taxon).look),
    name: computed(() => record()?.name ?? ''),
    /** Where it stands; the first place that is known until someone says. */
    space: computed(() => record()?.space ?? placesIn(state())[0]?.id ?? ''),
    way: (method: MethodId) => {
      const known = plant();
      return known ? (methodOf(known.taxon, method) ?? null) : null;
    },
  };
}
