import { Directive, inject, input, output, signal } from '@angular/core';
import type { Day } from '@hypogeon/core/days';
import type { Batch } from '@hypogeon/core/journal';
import { Actions } from '../../data/actions';
import type { Draft } from '../../data/journal';

/** A form in which something done to a batch is told: of which batch, on which day, and what is wrong with it. */
@Directive()
export abstract class Deed {
  private readonly actions = inject(Actions);
  readonly batch = input.required<Batch>();
  /** The day it was done. */
  readonly on = input.required<Day>();
  readonly done = output();
  protected readonly problem = signal('');

  /** Records it and closes the form, unless it was refused; one tap is one deed. */
  protected put(drafts: readonly Draft[], said: string): void {
    this.problem.set('');
    const dated = drafts.map((d) => ({ ...d, day: d.day ?? this.on() }));
    void this.actions.recordAll(dated, said).then((taken) => {
      if (taken) this.done.emit();
    });
  }
}
