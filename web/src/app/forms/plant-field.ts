import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { MatAutocomplete, MatAutocompleteTrigger } from '@angular/material/autocomplete';
import { MatOption } from '@angular/material/select';
import { findTaxa, type Taxon } from '@hypogeon/core/botany';
import { alsoCalled, namesThatFit } from '@hypogeon/core/names';
import { say } from '@hypogeon/messages/plant-field';
import { Field, FieldControl } from './field';

/** As many as a phone shows above its keyboard. */
const MOST = 8;

/** A plant, found by any of its names: Latin, old or common, slips forgiven. */
@Component({
  selector: 'hy-plant-field',
  imports: [Field, FieldControl, MatAutocomplete, MatAutocompleteTrigger, MatOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-field [label]="say.plant()" [hint]="hint()" [problem]="problem()">
      <input
        hyControl
        type="text"
        autocomplete="off"
        maxlength="120"
        [value]="text()"
        [matAutocomplete]="names"
        (input)="text.set(typed.value)"
        #typed
      />
      <mat-autocomplete #names="matAutocomplete" (optionSelected)="text.set($event.option.value)">
        @for (taxon of found(); track taxon.id) {
          <mat-option [value]="taxon.name">
            <i>{{ taxon.name }}</i>
            <span class="ml-2 quiet small">{{ also(taxon) }}</span>
          </mat-option>
        }
      </mat-autocomplete>
    </hy-field>
  `,
})
export class PlantField {
  protected readonly say = say;

  /** What is typed. */
  readonly text = model.required<string>();
  readonly plants = input.required<readonly Taxon[]>();
  readonly hint = input('');
  readonly problem = input('');

  protected readonly found = computed(() =>
    findTaxa(this.plants(), this.text(), alsoCalled).slice(0, MOST),
  );

  protected also({ id, common, family }: Taxon): string {
    // Found by a name of another language it is told by that name.
    const [other] = namesThatFit(alsoCalled(id), this.text());
    return [other ?? common[0], family].filter(Boolean).join(', ');
  }
}
