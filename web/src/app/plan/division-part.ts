import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatOption, MatSelect } from '@angular/material/select';
import { OWN_ROOTS } from '@hypogeon/core/journal';
import * as z from 'zod';
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
      <legend class="mb-1 font-bold">Part {{ nr() }}</legend>
      <hy-field label="Growing points" [problem]="problem()">
        <input
          hyControl
          inputmode="numeric"
          [value]="part().points"
          (input)="set({ points: points.value })"
          #points
        />
      </hy-field>
      <hy-field label="Tubers">
        <input
          hyControl
          inputmode="numeric"
          [value]="part().tubers"
          (input)="set({ tubers: tubers.value })"
          #tubers
        />
      </hy-field>
      <hy-field label="Roots">
        <mat-select [value]="part().roots" (selectionChange)="set({ roots: $event.value })">
          <mat-option value="none">none</mat-option>
          <mat-option value="few">a few</mat-option>
          <mat-option value="brush">a brush</mat-option>
        </mat-select>
      </hy-field>
      <hy-field label="It comes away">
        <mat-select [value]="part().joined" (selectionChange)="set({ joined: $event.value })">
          <mat-option value="by itself">by itself</mat-option>
          <mat-option value="rhizome">cut through the rhizome</mat-option>
          <mat-option value="tuber">cut through a tuber</mat-option>
          <mat-option value="stem">cut through a stem</mat-option>
        </mat-select>
      </hy-field>
      @if (part().joined !== 'by itself') {
        <hy-field label="Across the cut, {{ words.lengthUnit() }}">
          <input hyControl [value]="part().cut" (input)="set({ cut: cut.value })" #cut />
        </hy-field>
      }
      @if (part().joined === 'rhizome') {
        <hy-field label="Its rhizome, {{ words.lengthUnit() }}">
          <input
            hyControl
            [value]="part().rhizome"
            (input)="set({ rhizome: rhizome.value })"
            #rhizome
          />
        </hy-field>
      }
      <hy-field label="Across its roots, {{ words.lengthUnit() }}">
        <input
          hyControl
          [value]="part().rootsWide"
          (input)="set({ rootsWide: wide.value })"
          #wide
        />
      </hy-field>
      <hy-field label="Pale band, {{ words.lengthUnit() }}">
        <input hyControl [value]="part().pale" (input)="set({ pale: pale.value })" #pale />
      </hy-field>
      <mat-checkbox [checked]="part().old" (change)="set({ old: $event.checked })"
        >old roots come off</mat-checkbox
      >
      <button
        class="justify-self-start"
        type="button"
        matButton="text"
        [attr.aria-label]="'Off the list: part ' + nr()"
        (click)="off.emit()"
      >
        Off the list
      </button>
    </fieldset>
  `,
})
export class DivisionPart {
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
