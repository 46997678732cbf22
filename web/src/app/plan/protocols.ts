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
import type { ProtocolFields } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/protocols';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { Field, FieldControl } from '../forms/field';
import type { PlanDraft } from './plan-draft';

/** Of a routine kept again only what is different now: the rest may have been changed elsewhere. */
function changedFrom(kept: object | undefined, now: Omit<ProtocolFields, 'name'>): ProtocolFields {
  const before = new Map(Object.entries(kept ?? {}));
  return Object.fromEntries(
    Object.entries(now).filter(([name, value]) => (before.get(name) ?? null) !== (value ?? null)),
  );
}

/** Ways of doing it under a name: one fills in the plan, and the plan as it stands may become one. */
@Component({
  selector: 'hy-protocols',
  imports: [MatButton, MatOption, MatSelect, Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (protocols().length > 0) {
      <hy-field [label]="say.myRoutineOptional()" [hint]="say.fillsInWhatIt()">
        <mat-select value="" (selectionChange)="choose($event.value)">
          <mat-option value="">{{ say.chooseOneToFill() }}</mat-option>
          @for (p of protocols(); track p.id) {
            <mat-option [value]="p.id">{{ p.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
    }
    <details>
      <summary>{{ say.saveAsMyRoutine() }}</summary>
      <div class="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-4">
        <hy-field [label]="say.itsName()" [problem]="problem()">
          <input
            hyControl
            type="text"
            maxlength="120"
            [value]="name()"
            (input)="name.set(typed.value)"
            #typed
          />
        </hy-field>
        <button type="button" matButton="outlined" (click)="keep()">{{ say.save() }}</button>
      </div>
    </details>
  `,
})
export class Protocols {
  protected readonly say = say;

  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  /** The plan as it stands. */
  readonly current = input.required<Omit<ProtocolFields, 'name'>>();
  readonly use = output<Partial<PlanDraft>>();

  protected readonly protocols = computed(() => [...this.journal.state().protocols.values()]);
  protected readonly name = signal('');
  protected readonly problem = signal('');

  protected choose(id: string): void {
    const kept = this.journal.state().protocols.get(id);
    if (!kept) return;
    const { id: _id, name: _name, unrootedWater: _unrooted, dryDays, ...named } = kept;
    this.use.emit({ ...named, ...(dryDays === undefined ? {} : { dryDays: String(dryDays) }) });
  }

  protected async keep(): Promise<void> {
    const name = this.name().trim();
    if (name === '') {
      this.problem.set(say.giveItAName());
      return;
    }
    this.problem.set('');
    // The same name is the same protocol, changed.
    const same = this.protocols().find((p) => p.name?.toLowerCase() === name.toLowerCase());
    const taken = await this.actions.record(
      {
        kind: 'put',
        record: 'protocol',
        key: same?.id ?? freshId(),
        fields: { name, ...changedFrom(same, this.current()) },
      },
      say.protocolKept({ name }),
    );
    if (taken) this.name.set('');
  }
}
