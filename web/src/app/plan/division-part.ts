import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatOption, MatSelect } from '@angular/material/select';
import { OWN_ROOTS } from '@hypogeon/core/journal';
import * as z from 'zod';
import { say } from '@hypogeon/messages/division-part';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';

const JOINS = ['by itself', 'rhizome', 'tuber', 'stem'] as const;

/** A part of a clump as typed. */
export const partDraftSchema = z.object({
  points: z.string().max(10),
  tubers: z.string().max(10),
  roots: z.enum(OWN_ROOTS),
  joined: z.enum(JOINS),
  cut: z.string().max(40),
  rhizome: z.string().max(40),
  rootsWide: z.string().max(40),
  pale: z.string().max(40),
  old: z.boolean(),
});
export type PartDraft = z.infer<typeof partDraftSchema>;

/** What one sees of one part, a field each. */
@Component({
  selector: 'hy-division-part',
  imports: [MatButton, MatCheckbox, MatOption, MatSelect, Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fieldset class="grid auto-fill-34 items-start gap-3 m-0">
      <legend class="mb-1 font-bold">{{ say.part({ nr: nr() }) }}</legend>
      <hy-field [label]="say.growingPoints()" [problem]="problem()">
        <input
          hyControl
          inputmode="numeric"
          [value]="part().points"
          (input)="set({ points: points.value })"
          #points
        />
      </hy-field>
      <hy-field [label]="say.tubers()">
        <input
          hyControl
          inputmode="numeric"
          [value]="part().tubers"
          (input)="set({ tubers: tubers.value })"
          #tubers
        />
      </hy-field>
      <hy-field [label]="say.roots()">
        <mat-select [value]="part().roots" (selectionChange)="set({ roots: $event.value })">
          <mat-option value="none">{{ say.none() }}</mat-option>
          <mat-option value="few">{{ say.aFew() }}</mat-option>
          <mat-option value="brush">{{ say.aBrush() }}</mat-option>
        </mat-select>
      </hy-field>
      <hy-field [label]="say.itComesAway()">
        <mat-select [value]="part().joined" (selectionChange)="set({ joined: $event.value })">
          <mat-option value="by itself">{{ say.byItself() }}</mat-option>
          <mat-option value="rhizome">{{ say.cutThroughTheRhizome() }}</mat-option>
          <mat-option value="tuber">{{ say.cutThroughATuber() }}</mat-option>
          <mat-option value="stem">{{ say.cutThroughAStem() }}</mat-option>
        </mat-select>
      </hy-field>
      @if (part().joined !== 'by itself') {
        <hy-field [label]="say.acrossTheCut({ lengthUnit: words.lengthUnit() })">
          <input hyControl [value]="part().cut" (input)="set({ cut: cut.value })" #cut />
        </hy-field>
      }
      @if (part().joined === 'rhizome') {
        <hy-field [label]="say.itsRhizome({ lengthUnit: words.lengthUnit() })">
          <input
            hyControl
            [value]="part().rhizome"
            (input)="set({ rhizome: rhizome.value })"
            #rhizome
          />
        </hy-field>
      }
      <hy-field [label]="say.acrossItsRoots({ lengthUnit: words.lengthUnit() })">
        <input
          hyControl
          [value]="part().rootsWide"
          (input)="set({ rootsWide: wide.value })"
          #wide
        />
      </hy-field>
      <hy-field [label]="say.paleBand({ lengthUnit: words.lengthUnit() })">
        <input hyControl [value]="part().pale" (input)="set({ pale: pale.value })" #pale />
      </hy-field>
      <mat-checkbox [checked]="part().old" (change)="set({ old: $event.checked })">{{
        say.oldRootsComeOff()
      }}</mat-checkbox>
      <button
        class="justify-self-start"
        type="button"
        matButton="text"
        [attr.aria-label]="say.offTheListPart({ nr: nr() })"
        (click)="off.emit()"
      >
        {{ say.offTheList() }}
      </button>
    </fieldset>
  `,
})
export class DivisionPart {
  protected readonly say = say;

  protected readonly words = inject(Words);
  readonly nr = input.required<number>();
  readonly part = input.required<PartDraft>();
  readonly problem = input('');
  readonly partChange = output<PartDraft>();
  readonly off = output();

  protected set(over: Partial<PartDraft>): void {
    this.partChange.emit({ ...this.part(), ...over });
  }
}
