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
import { say } from '@hypogeon/messages/look-deed';
import { Journal } from '../../data/journal';
import { Words } from '../../data/words';
import { Field, FieldControl } from '../../forms/field';
import { SignPicture } from '../../marks/sign-picture';
import { Quantity, quantityProblem } from '../../forms/quantity';
import { Deed } from './deed';

/** As deep as a finger or a short probe reaches, mm. Common practice, no source. */
const FELT_MM = 40;

const SEEN = [
  {
    seen: 'fine',
    get name() {
      return say.fine();
    },
    sign: 'firm',
  },
  {
    seen: 'firm',
    get name() {
      return say.woundDryAndFirm();
    },
    sign: 'closed',
  },
  {
    seen: 'tacky',
    get name() {
      return say.woundStillTacky();
    },
    sign: 'tacky',
  },
  {
    seen: 'wrinkled',
    get name() {
      return say.wrinkledButFirm();
    },
    sign: 'wrinkled',
  },
  {
    seen: 'soft',
    get name() {
      return say.softOrDarkBase();
    },
    sign: 'base-soft',
  },
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
        [attr.aria-label]="say.signsSeen()"
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
      <hy-field [label]="say.roots()">
        <mat-select formControlName="roots">
          <mat-option value="">{{ say.notLookedAt() }}</mat-option>
          <mat-option value="none">{{ say.none() }}</mat-option>
          <mat-option value="few">{{ say.aFew() }}</mat-option>
          <mat-option value="brush">{{ say.aBrushOfThem() }}</mat-option>
        </mat-select>
      </hy-field>
      <hy-field [label]="say.longestRoot({ lengthUnit: words.lengthUnit() })" [problem]="problem()">
        <input hyControl hyQuantity="length" formControlName="rootMm" />
      </hy-field>
      <hy-field [label]="say.theMixFeelsBy()">
        <mat-select formControlName="felt">
          <mat-option value="">{{ say.notFelt() }}</mat-option>
          <mat-option value="dry">{{ say.dry() }}</mat-option>
          <mat-option value="moist">{{ say.moist() }}</mat-option>
          <mat-option value="wet">{{ say.wet() }}</mat-option>
        </mat-select>
      </hy-field>
      <hy-field [label]="say.whatElseWasSeen()">
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
  protected readonly say = say;

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
      say.looked(),
    );
  }
}
