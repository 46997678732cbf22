import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
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
      <p>An ended batch leaves Today and stays in Results. It can be undone.</p>
    }
    <hy-field [label]="label()" [problem]="problem()">
      <textarea hyControl rows="2" [formControl]="text"></textarea>
    </hy-field>
    <div class="row flex flex-wrap gap-2 col-span-full">
      <button type="button" matButton="filled" (click)="say()">{{ word() }}</button>
    </div>
  `,
})
export class SayDeed extends Deed {
  readonly what = input.required<'note' | 'ended'>();
  protected readonly label = computed(() => (this.what() === 'note' ? 'Note' : 'Why (optional)'));
  protected readonly word = computed(() => (this.what() === 'note' ? 'Save the note' : 'End it'));
  protected readonly text = new FormControl('', { nonNullable: true });

  protected say(): void {
    const text = this.text.value.trim().slice(0, 4000);
    const batch = this.batch().id;
    if (this.what() === 'ended')
      return this.put([{ kind: 'ended', batch, ...(text ? { text } : {}) }], 'Ended');
    if (!text) return this.problem.set('Write something first.');
    this.put([{ kind: 'note', batch, text }], 'Noted');
  }
}
