import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { say } from '@hypogeon/messages/say-deed';
import { Field, FieldControl } from '../../forms/field';
import { Deed } from './deed';

/** A note, or the end of a batch: a few words and a button. */
@Component({
  selector: 'hy-say-deed',
  imports: [Field, FieldControl, MatButton, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-y-3 gap-x-4' },
  template: `
    @if (what() === 'ended') {
      <p>{{ say.anEndedBatchLeaves() }}</p>
    }
    <hy-field [label]="label()" [problem]="problem()">
      <textarea hyControl rows="2" [formControl]="text"></textarea>
    </hy-field>
    <div class="row flex flex-wrap gap-2 col-span-full">
      <button type="button" matButton="filled" (click)="keep()">{{ word() }}</button>
    </div>
  `,
})
export class SayDeed extends Deed {
  protected readonly say = say;

  readonly what = input.required<'note' | 'ended'>();
  protected readonly label = computed(() =>
    this.what() === 'note' ? say.note() : say.whyOptional(),
  );
  protected readonly word = computed(() =>
    this.what() === 'note' ? say.saveTheNote() : say.endIt(),
  );
  protected readonly text = new FormControl('', { nonNullable: true });

  protected keep(): void {
    const text = this.text.value.trim().slice(0, 4000);
    const batch = this.batch().id;
    if (this.what() === 'ended')
      return this.put([{ kind: 'ended', batch, ...(text ? { text } : {}) }], say.ended());
    if (!text) return this.problem.set(say.writeSomethingFirst());
    this.put([{ kind: 'note', batch, text }], say.noted());
  }
}
