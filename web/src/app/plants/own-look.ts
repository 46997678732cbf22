import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { MatSlider, MatSliderThumb } from '@angular/material/slider';
import { dressed, drawn, MARKINGS, TONES, type Look, type OwnLook } from '@hypogeon/core/look';
import { say as word } from '@hypogeon/messages/look-words';
import { say } from '@hypogeon/messages/own-look';
import { Field } from '../forms/field';
import { PlantPicture } from '../marks/plant-picture';

type Slid = 'count' | 'heads' | 'wide' | 'rise';

/** What a plant of one's own looks like: that of its kin, and what is slid and chosen over it, drawn as it changes. */
@Component({
  selector: 'hy-own-look',
  imports: [Field, MatButton, MatOption, MatSelect, MatSlider, MatSliderThumb, PlantPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'grid grid-cols-[minmax(0,13rem)_minmax(0,1fr)] gap-x-7 gap-y-3 max-[700px]:grid-cols-1',
  },
  template: `
    <div class="picture">
      <hy-plant [label]="say.thePlantAsIt()" [drawn]="picture()" [size]="190" />
      @if (changed()) {
        <button type="button" matButton="text" (click)="look.emit({})">{{ say.asItsKin() }}</button>
      }
    </div>
    <div class="grid auto-fit-52 content-start gap-x-5 gap-y-2">
      @for (s of sliders; track s.key) {
        <label class="slide">
          {{ s.name }}
          <mat-slider [min]="s.min" [max]="s.max" [step]="s.step">
            <input
              matSliderThumb
              [attr.aria-label]="s.name"
              [value]="at(s.key, s.usual)"
              (valueChange)="slide(s.key, $event)"
            />
          </mat-slider>
        </label>
      }
      <hy-field [label]="say.colour()">
        <mat-select [value]="shown().fill ?? ''" (selectionChange)="set({ fill: $event.value })">
          @for (t of tones; track t) {
            <mat-option [value]="t">{{ word(t) }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.rim()">
        <mat-select [value]="shown().edge ?? ''" (selectionChange)="set({ edge: $event.value })">
          @for (t of tones; track t) {
            <mat-option [value]="t">{{ word(t) }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.onItsLeaves()">
        <mat-select
          [value]="shown().mark ?? 'none'"
          (selectionChange)="set({ mark: $event.value })"
        >
          <mat-option value="none">{{ say.nothing() }}</mat-option>
          @for (m of markings; track m) {
            <mat-option [value]="m">{{ word(m) }}</mat-option>
          }
        </mat-select>
      </hy-field>
    </div>
  `,
  styles: `
    .picture {
      display: grid;
      justify-items: center;
      align-content: start;
    }
    .slide {
      display: grid;
      color: var(--ink2);
      font-size: 0.9rem;
    }
    mat-slider {
      margin: 0 8px;
      width: auto;
      min-width: 0;
    }
  `,
})
export class OwnLookPart {
  protected readonly say = say;
  protected readonly word = word;

  /** Its kin's. */
  readonly kin = input.required<Look>();
  /** What was said over it. */
  readonly own = input.required<OwnLook>();
  readonly look = output<OwnLook>();

  protected readonly tones = TONES;
  protected readonly markings = MARKINGS;
  protected readonly sliders: readonly {
    readonly key: Slid;
    readonly name: string;
    readonly min: number;
    readonly max: number;
    readonly step: number;
    /** Where a drawing begins that says nothing of it. */
    readonly usual: number;
  }[] = [
    { key: 'count', name: say.leavesOrRibs(), min: 3, max: 40, step: 1, usual: 14 },
    { key: 'heads', name: say.headsOrStems(), min: 1, max: 12, step: 1, usual: 1 },
    { key: 'wide', name: say.narrowToWide(), min: 0.04, max: 1.4, step: 0.02, usual: 0.5 },
    { key: 'rise', name: say.flatToSteep(), min: -30, max: 80, step: 2, usual: 15 },
  ];

  protected readonly shown = computed<Look>(() => dressed(this.kin(), this.own()));
  protected readonly picture = computed(() => drawn(this.shown(), 'plant'));
  protected readonly changed = computed(() => Object.keys(this.own()).length > 0);

  protected at(key: Slid, usual: number): number {
    return this.shown()[key] ?? usual;
  }

  protected slide(key: Slid, to: number): void {
    this.set({ [key]: to });
  }

  protected set(over: OwnLook): void {
    this.look.emit({ ...this.own(), ...over });
  }
}
