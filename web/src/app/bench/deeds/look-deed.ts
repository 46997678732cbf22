import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { MatOption, MatSelect } from '@angular/material/select';
import { drawnOf } from '@hypogeon/core/bench';
import { OWN_ROOTS, SIGNS, type Sign } from '@hypogeon/core/journal';
import type { SignPicture as SignPictureId } from '@hypogeon/core/look';
import { TOUCHES } from '@hypogeon/core/water';
import { SIGN_NAME } from '@hypogeon/words';
import { Journal } from '../../data/journal';
import { Words } from '../../data/words';
import { Field, FieldControl } from '../../forms/field';
import { SignPicture } from '../../marks/sign-picture';
import { Quantity, quantityProblem } from '../../forms/quantity';
import { Deed } from './deed';

/** As deep as a finger or a short probe reaches, mm. Common practice, no source. */
const FELT_MM = 40;

const SEEN = [
  { seen: 'fine', name: 'Fine', sign: 'firm' },
  { seen: 'firm', name: 'Wound dry and firm', sign: 'closed' },
  { seen: 'tacky', name: 'Wound still tacky', sign: 'tacky' },
  { seen: 'wrinkled', name: 'Wrinkled, but firm', sign: 'wrinkled' },
  { seen: 'soft', name: 'Soft or dark base', sign: 'base-soft' },
] as const;

/** How a sign looks on the plant, where it is drawn under another name. */
const DRAWN: Readonly<Record<Sign, SignPictureId>> = {
  'root-points': 'root-points',
  'white-roots': 'white-roots',
  'brown-roots': 'brown-roots',
  'dead-roots': 'dead-roots',
  'black-leaf': 'black-leaf',
  'broken-leaf': 'broken-leaf',
  'leaf-crisp': 'crisp',
  'crown-wet': 'crown-wet',
  crested: 'crested',
  'new-growth': 'new-top',
  'pot-bulging': 'pot-bulging',
  'roots-out': 'roots-out',
  gnats: 'gnats',
};

/** What was seen at a look; signs and roots first, then one tap records it all. */
@Component({
  selector: 'hy-look-deed',
  imports: [
    Field,
    FieldControl,
    MatButton,
    MatChipListbox,
    MatChipOption,
    MatOption,
    MatSelect,
    Quantity,
    ReactiveFormsModule,
    SignPicture,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-y-3 gap-x-4' },
  template: `
    <form
      class="grid auto-fit-52 gap-y-3 gap-x-4"
      novalidate
      [formGroup]="form"
      (ngSubmit)="look('fine')"
    >
      <mat-chip-listbox
        class="wide col-span-full"
        multiple
        aria-label="Signs seen"
        formControlName="signs"
      >
        @for (sign of signs; track sign) {
          <mat-chip-option [value]="sign">
            <span class="flex items-center gap-1.5">
              <hy-sign [look]="plant()" [sign]="drawn[sign]" [size]="26" />{{ signName[sign] }}
            </span>
          </mat-chip-option>
        }
      </mat-chip-listbox>
      <hy-field label="Roots">
        <mat-select formControlName="roots">
          <mat-option value="">not looked at</mat-option>
          <mat-option value="none">none</mat-option>
          <mat-option value="few">a few</mat-option>
          <mat-option value="brush">a brush of them</mat-option>
        </mat-select>
      </hy-field>
      <hy-field [label]="'Longest root, ' + words.lengthUnit()" [problem]="problem()">
        <input hyControl hyQuantity="length" formControlName="rootMm" />
      </hy-field>
      <hy-field label="The mix feels, by finger or meter">
        <mat-select formControlName="felt">
          <mat-option value="">not felt</mat-option>
          <mat-option value="dry">dry</mat-option>
          <mat-option value="moist">moist</mat-option>
          <mat-option value="wet">wet</mat-option>
        </mat-select>
      </hy-field>
      <hy-field label="What else was seen (optional)">
        <input hyControl type="text" maxlength="400" formControlName="text" />
      </hy-field>
      <div class="row flex flex-wrap gap-2 col-span-full">
        @for (s of seen; track s.seen) {
          <button type="button" matButton="outlined" (click)="look(s.seen)">
            <span class="flex items-center gap-1.5">
              <hy-sign [look]="plant()" [sign]="s.sign" [size]="28" />{{ s.name }}
            </span>
          </button>
        }
      </div>
    </form>
  `,
})
export class LookDeed extends Deed {
  protected readonly words = inject(Words);
  protected readonly signs = SIGNS;
  protected readonly signName = SIGN_NAME;
  protected readonly seen = SEEN;
  protected readonly drawn = DRAWN;
  private readonly state = inject(Journal).state;
  protected readonly plant = computed(() => drawnOf(this.state(), this.batch()).look);
  protected readonly form = new FormGroup({
    signs: new FormControl<Sign[]>([], { nonNullable: true }),
    roots: new FormControl('', { nonNullable: true }),
    felt: new FormControl('', { nonNullable: true }),
    rootMm: new FormControl<number | null>(null),
    text: new FormControl('', { nonNullable: true }),
  });

  protected look(seen: (typeof SEEN)[number]['seen']): void {
    const { signs, roots, rootMm, felt, text } = this.form.getRawValue();
    this.problem.set(quantityProblem(this.form.controls.rootMm.errors));
    if (this.form.invalid) return;
    const told = OWN_ROOTS.find((r) => r === roots);
    const touch = TOUCHES.find((t) => t === felt);
    this.put(
      [
        {
          kind: 'inspected',
          batch: this.batch().id,
          seen,
          ...(text.trim() ? { text: text.trim() } : {}),
          ...(signs.length > 0 ? { signs: SIGNS.filter((s) => signs.includes(s)) } : {}),
          ...(told === undefined ? {} : { roots: told }),
          ...(rootMm === null ? {} : { rootMm }),
        },
        ...(touch === undefined
          ? []
          : [{ kind: 'felt' as const, batch: this.batch().id, depthMm: FELT_MM, seen: touch }]),
      ],
      'Looked',
    );
  }
}
