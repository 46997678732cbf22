import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { MatOption, MatSelect, MatSelectTrigger } from '@angular/material/select';
import { plantDrawn, plantOf } from '@hypogeon/core/bench';
import { METHOD } from '@hypogeon/core/botany';
import { SIZE_WORD, SIZES } from '@hypogeon/core/plan';
import { timesInTen } from '@hypogeon/words';
import { say } from '@hypogeon/messages/plan-plan-sentence';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { PlantPicture } from '../marks/plant-picture';
import { PlanCut } from './plan-cut';
import { PlanDesk } from './plan-desk';
import { PURPOSE_WORD, PURPOSES } from './plan-draft';
import { PlanWish } from './plan-wish';

/** What is wanted, as a sentence to fill in: so many, so large, of whom, by when, how surely. */
@Component({
  selector: 'hy-plan-sentence',
  imports: [
    DayField,
    Field,
    FieldControl,
    MatOption,
    MatSelect,
    MatSelectTrigger,
    NgTemplateOutlet,
    PlantPicture,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'group', '[attr.aria-label]': 'say.whatIsWanted()' },
  template: `
    <hy-field unseen class="for" [class.safe]="draft().purpose === 'safe'" [label]="say.whatFor()">
      <mat-select [value]="draft().purpose" (selectionChange)="desk.set('purpose', $event.value)">
        @for (p of purposes; track p) {
          <mat-option [value]="p">{{ purposeWord[p] }}</mat-option>
        }
      </mat-select>
    </hy-field>
    @if (draft().purpose === 'want') {
      <hy-field unseen class="number" [label]="say.plantsWanted()" [problem]="wish.problems().want">
        <input
          hyControl
          inputmode="numeric"
          autocomplete="off"
          [placeholder]="say.howMany()"
          [value]="draft().want"
          (input)="desk.put({ want: want.value, count: '' })"
          #want
        />
      </hy-field>
    } @else if (draft().purpose === 'have') {
      <hy-field unseen class="number" [label]="say.pieces()" [problem]="wish.problems().have">
        <input
          hyControl
          inputmode="numeric"
          autocomplete="off"
          [placeholder]="say.howMany()"
          [value]="draft().have"
          (input)="desk.set('have', have.value)"
          #have
        />
      </hy-field>
      <hy-field unseen class="kind" [label]="say.ofTheKind()">
        <mat-select
          [value]="wish.haveMethod()"
          (selectionChange)="desk.set('haveMethod', $event.value)"
        >
          @for (m of desk.methods(); track m.method) {
            <mat-option [value]="m.method">{{ many(m.method) }}</mat-option>
          }
        </mat-select>
      </hy-field>
    }
    @if (draft().purpose === 'want') {
      <ng-container [ngTemplateOutlet]="grownTo" />
    }
    <span class="with of">
      <span class="word">{{ say.ofWord() }}</span>
      <hy-field
        unseen
        class="mother"
        [label]="say.mother()"
        [problem]="desk.tried() ? cut.problems().mother : ''"
      >
        <mat-select
          panelWidth="auto"
          [value]="draft().mother"
          [placeholder]="say.chooseAMother()"
          (selectionChange)="turn.emit($event.value)"
        >
          <mat-select-trigger>
            @if (chosen(); as m) {
              <span class="flex items-center gap-2">
                <hy-plant class="-my-2" [drawn]="m.drawn" [size]="30" />
                <b class="overflow-hidden text-ellipsis">{{ m.name }}</b>
              </span>
            }
          </mat-select-trigger>
          @for (m of mothers(); track m.id) {
            <mat-option [value]="m.id">{{ m.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
    </span>
    @if (draft().purpose !== 'want') {
      <span class="word">{{ say.grownTo() }}</span>
      <ng-container [ngTemplateOutlet]="grownTo" />
    }
    <span class="with">
      <span class="word">{{ say.by() }}</span>
      <hy-day
        unseen
        class="by"
        [label]="say.by2()"
        [problem]="wish.problems().by"
        [value]="wish.by()"
        (valueChange)="desk.set('by', $event)"
      />
    </span>
    @if (draft().purpose === 'want') {
      <hy-field unseen class="sure" [label]="say.howSure()">
        <mat-select [value]="draft().sure" (selectionChange)="desk.set('sure', $event.value)">
          @for (c of certainties; track c) {
            <mat-option [value]="c">{{ inTen(c) }}</mat-option>
          }
        </mat-select>
      </hy-field>
    }
    <ng-template #grownTo>
      <hy-field unseen class="size" [label]="say.grownTo2()">
        <mat-select [value]="draft().size" (selectionChange)="desk.set('size', $event.value)">
          @for (s of sizes; track s) {
            <mat-option [value]="s">{{ sizeWord[s] }}</mat-option>
          }
        </mat-select>
      </hy-field>
    </ng-template>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      align-items: flex-start;
      gap: 0.5rem 0.55rem;
      --unlabelled-room: 10px;
      --mat-form-field-container-height: 46px;
    }
    .word {
      line-height: 46px;
      color: var(--ink2);
    }
    // A small word never ends a line: it goes with what it leads to.
    .with {
      display: flex;
      gap: 0.55rem;
      min-width: 0;
    }
    .for {
      width: 7.6rem;
    }
    .for.safe {
      width: 11.6rem;
    }
    .number {
      width: 6.6rem;
    }
    .kind {
      width: 9rem;
    }
    .size {
      width: 8.4rem;
    }
    .mother {
      width: 15.3rem;
      mat-select {
        height: 24px;
      }
    }
    .by {
      width: 10.6rem;
      min-width: 0;
    }
    .sure {
      width: 10.8rem;
    }
    @media (max-width: 480px) {
      .for {
        width: 6.5rem;
      }
      .number {
        flex: 1;
        min-width: 5.6rem;
      }
      .kind {
        width: 7.2rem;
      }
      .size {
        width: 8rem;
      }
      .of {
        width: 100%;
      }
      .mother {
        flex: 1;
      }
      .by {
        width: 9.9rem;
      }
      .sure {
        flex: 1;
        min-width: 9rem;
      }
    }
  `,
})
export class PlanSentence {
  protected readonly say = say;

  protected readonly desk = inject(PlanDesk);
  protected readonly wish = inject(PlanWish);
  protected readonly cut = inject(PlanCut);
  readonly turn = output<string>();

  protected readonly draft = this.desk.draft;
  protected readonly purposes = PURPOSES;
  protected readonly purposeWord = PURPOSE_WORD;
  protected readonly sizes = SIZES;
  protected readonly sizeWord = SIZE_WORD;
  protected readonly certainties = ['50', '80', '90', '95'];
  protected readonly inTen = (percent: string): string => timesInTen(Number(percent));

  protected readonly mothers = computed(() =>
    this.desk.mothers().map((m) => ({
      id: m.id,
      name: m.name ?? say.aMother(),
      drawn: plantDrawn(plantOf(this.desk.state(), m.taxon ?? '')?.taxon),
    })),
  );
  protected readonly chosen = computed(
    () => this.mothers().find((m) => m.id === this.draft().mother) ?? null,
  );

  protected readonly many = (method: keyof typeof METHOD): string => METHOD[method].many;
}
