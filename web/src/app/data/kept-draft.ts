import { computed, inject, linkedSignal, signal, type Signal } from '@angular/core';
import type * as z from 'zod';
import { Drafts } from './drafts';

/** A form of one thing as it is being typed: taken up where it was left, thrown away on a wish. */
export interface KeptDraft<T> {
  /** What stands typed; null where nothing is. */
  readonly typed: Signal<T | null>;
  /** When it was left, where it is taken up again, ms since 1970. */
  readonly left: Signal<number | null>;
  set(value: T): void;
  /** Thrown away, or handed in. */
  drop(): void;
}

/**
 * @param form its name and, where it is of one thing, that: `part.b1`; another name is another form
 * @param shape of what is typed; another shape with another form
 */
export function keptDraft<T>(form: () => string, shape: () => z.ZodType<T>): KeptDraft<T> {
  const drafts = inject(Drafts);
  // Counts what was thrown away: then what stands is read anew.
  const dropped = signal(0);
  const keeper = computed(() => {
    dropped();
    return drafts.keeper(form(), shape());
  });
  const edited = linkedSignal<string, T | null>({ source: form, computation: () => null });
  return {
    typed: computed(() => edited() ?? keeper().read()),
    left: linkedSignal(() => keeper().keptAt()).asReadonly(),
    set: (value) => {
      edited.set(value);
      keeper().keep(value);
    },
    drop: () => {
      keeper().drop();
      edited.set(null);
      dropped.update((n) => n + 1);
    },
  };
}
