import { ChangeDetectionStrategy, Component, computed, inject, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatOption, MatSelect } from '@angular/material/select';
import { conditionOf } from '@hypogeon/core/bench';
import { METHOD } from '@hypogeon/core/botany';
import { SIZE_WORD, SIZES } from '@hypogeon/core/plan';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { PlanCut } from './plan-cut';
import { PlanDesk } from './plan-desk';
import { PURPOSE_WORD, PURPOSES } from './plan-draft';
import { PlanWish } from './plan-wish';
import { StockSteppers } from './stock-steppers';

/** The first question of a plan: of whom, what for, and what she has. */
@Component({
  selector: 'hy-plan-what',
  imports: [
    MatButtonToggle,
    MatButtonToggleGroup,
    MatOption,
    MatSelect,
    DayField,
    Field,
    FieldControl,
    RouterLink,
    StockSteppers,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-3' },
  template: `
    <div class="fields">
      <hy-field
        label="Mother"
        class="mother max-[1180px]:col-span-2"
        [problem]="desk.tried() ? cut.problems().mother : ''"
      >
        <mat-select [value]="draft().mother" (selectionChange)="turn.emit($event.value)">
          <mat-option value="">choose</mat-option>
          @for (m of desk.mothers(); track m.id) {
            <mat-option [value]="m.id">{{ m.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <mat-button-toggle-group
        class="max-[1180px]:col-span-2"
        aria-label="What for"
        hideSingleSelectionIndicator
        [value]="draft().purpose"
        (change)="desk.set('purpose', $event.value)"
      >
        @for (p of purposes; track p) {
          <mat-button-toggle [value]="p">{{ purposeWord[p] }}</mat-button-toggle>
        }
      </mat-button-toggle-group>
      @if (draft().purpose === 'want') {
        <hy-field label="Plants wanted" [problem]="wish.problems().want">
          <input
            hyControl
            inputmode="numeric"
            autocomplete="off"
            [value]="draft().want"
            (input)="desk.put({ want: want.value, count: '' })"
            #want
          />
        </hy-field>
      } @else if (draft().purpose === 'have') {
        <hy-field label="Pieces" [problem]="wish.problems().have">
          <input
            hyControl
            inputmode="numeric"
            autocomplete="off"
            [value]="draft().have"
            (input)="desk.set('have', have.value)"
            #have
          />
        </hy-field>
        <hy-field label="Of the kind">
          <mat-select
            [value]="wish.haveMethod()"
            (selectionChange)="desk.set('haveMethod', $event.value)"
          >
            @for (m of desk.methods(); track m.method) {
              <mat-option [value]="m.method">{{ methodName(m.method) }}</mat-option>
            }
          </mat-select>
        </hy-field>
      }
      <hy-field label="Grown to">
        <mat-select [value]="draft().size" (selectionChange)="desk.set('size', $event.value)">
          @for (s of sizes; track s) {
            <mat-option [value]="s">{{ sizeWord[s] }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-day
        label="By"
        [problem]="wish.problems().by"
        [value]="wish.by()"
        (valueChange)="desk.set('by', $event)"
      />
      @if (draft().purpose === 'want') {
        <hy-field label="How sure">
          <mat-select [value]="draft().sure" (selectionChange)="desk.set('sure', $event.value)">
            @for (c of certainties; track c) {
              <mat-option [value]="c">{{ c }} %</mat-option>
            }
          </mat-select>
        </hy-field>
      }
    </div>
    @if (condition(); as c) {
      <p class="max-w-none" [class]="'condition ' + c.verdict">
        @if (desk.plant(); as p) {
          <i>{{ p.name }}</i>{{ p.like ? ' (figures of ' + p.like + ')' : '' }} ·
        }
        <strong>{{ c.says }}</strong> {{ c.why ? c.why + '.' : '' }}
        <a [routerLink]="['/mothers', c.id]">Check the plant</a>
      </p>
    }
    @if (draft().purpose !== 'have' && desk.mother() && desk.plant()) {
      <hy-stock-steppers [mother]="desk.mother()!" [taxon]="desk.plant()!.taxon" />
    }
    @if (wish.wrong()) {
      <p class="quiet max-w-none" role="status">
        Put the marked field right, and the ways are shown.
      </p>
    }
  `,
  styles: `
    .fields {
      display: grid;
      grid-template-columns:
        minmax(11rem, 1.3fr) auto minmax(6.5rem, 0.7fr) minmax(7rem, 0.9fr) minmax(9.6rem, 1fr)
        minmax(6.4rem, 0.6fr);
      --mat-button-toggle-height: 54px;
      gap: 0.8rem;
      align-items: start;
    }
    hy-day {
      min-width: 0;
    }
    .condition.stop strong,
    .condition.wait strong {
      color: var(--do);
    }
    @media (max-width: 1180px) {
      .fields {
        grid-template-columns: repeat(4, minmax(0, 1fr));
      }
    }
    @media (max-width: 700px) {
      .fields {
        grid-template-columns: repeat(2, minmax(0, 1fr));
      }
    }
  `,
})
export class PlanWhat {
  protected readonly desk = inject(PlanDesk);
  protected readonly wish = inject(PlanWish);
  protected readonly cut = inject(PlanCut);
  private readonly words = inject(Words);
  readonly turn = output<string>();

  protected readonly draft = this.desk.draft;
  protected readonly purposes = PURPOSES;
  protected readonly purposeWord = PURPOSE_WORD;
  protected readonly sizes = SIZES;
  protected readonly sizeWord = SIZE_WORD;
  protected readonly certainties = ['50', '80', '90', '95'];
  protected methodName = (id: keyof typeof METHOD): string => METHOD[id].name;

  protected readonly condition = computed(() => {
    const mother = this.desk.mother();
    if (!mother) return null;
    const { verdict, until, notes, fresh } = conditionOf(
      this.desk.state(),
      mother,
      this.desk.today(),
    );
    const says =
      verdict === 'cut'
        ? fresh
          ? 'May be cut today.'
          : 'Check the plant first.'
        : verdict === 'stop'
          ? 'Do not cut her.'
          : until === null
            ? 'Wait.'
            : `Wait until ${this.words.near(until)}.`;
    return {
      id: mother.id,
      verdict,
      says,
      why: notes.find((n) => n.weight !== 'good')?.says ?? '',
    };
  });
}
