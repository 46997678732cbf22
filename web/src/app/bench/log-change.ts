import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  OnInit,
  output,
  signal,
} from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  anewWrong,
  canBeAnew,
  containersOf,
  mixesOf,
  placesIn,
  putRight,
  toldAnew,
  type Anew,
} from '@hypogeon/core/bench';
import { isDay } from '@hypogeon/core/days';
import type { Batch, BatchEntry, EntryDraft } from '@hypogeon/core/journal';
import { anewWrongText, capital } from '@hypogeon/words';
import { say } from '@hypogeon/messages/log-change';
import { Actions } from '../data/actions';
import { Follows } from '../data/follows';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { LeaveByEscape } from '../forms/leave-by-escape';
import { Quantity, quantityProblem } from '../forms/quantity';
import { OUTCOME_WORD } from '../marks/mark-state';
import { WhatFollows } from './what-follows';

const COUNTED = ['rooted', 'pupped', 'rotted', 'dried', 'lost'] as const;

/** A line of the log put right where it stands: its day, and what it told. */
@Component({
  selector: 'hy-log-change',
  imports: [
    DayField,
    Field,
    FieldControl,
    LeaveByEscape,
    MatButton,
    MatOption,
    MatSelect,
    Quantity,
    ReactiveFormsModule,
    WhatFollows,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block py-2' },
  template: `
    <form
      class="grid auto-fit-40 items-start gap-y-3 gap-x-4"
      novalidate
      [formGroup]="form"
      (hyLeave)="left.emit()"
      (ngSubmit)="save()"
    >
      <hy-day
        [label]="say.day()"
        [value]="day()"
        [problem]="dayProblem()"
        (valueChange)="day.set($event)"
      />
      @if (has('counts')) {
        @for (outcome of counted; track outcome) {
          <hy-field [label]="capital(outcomeWord[outcome])">
            <input hyControl inputmode="numeric" [formControlName]="outcome" />
          </hy-field>
        }
      }
      @if (has('count')) {
        <hy-field [label]="say.howMany()">
          <input hyControl inputmode="numeric" formControlName="count" />
        </hy-field>
      }
      @if (has('container')) {
        <hy-field [label]="say.into()">
          <mat-select formControlName="container">
            <mat-option value="">{{ say.notTold() }}</mat-option>
            @for (c of containers(); track c.id) {
              <mat-option [value]="c.id">{{ c.name }}</mat-option>
            }
          </mat-select>
        </hy-field>
      }
      @if (has('mix')) {
        <hy-field [label]="say.filledWith()">
          <mat-select formControlName="mix">
            <mat-option value="">{{ say.notTold() }}</mat-option>
            @for (m of mixes(); track m.id) {
              <mat-option [value]="m.id">{{ m.name }}</mat-option>
            }
          </mat-select>
        </hy-field>
      }
      @if (has('space')) {
        <hy-field [label]="say.place()">
          <mat-select formControlName="space">
            @if (entry().kind === 'potted') {
              <mat-option value="">{{ say.whereItStood() }}</mat-option>
            }
            @for (s of spaces(); track s.id) {
              <mat-option [value]="s.id">{{ s.name }}</mat-option>
            }
          </mat-select>
        </hy-field>
      }
      @if (has('ml')) {
        <hy-field [label]="say.aPot({ volumeUnit: words.volumeUnit() })" [problem]="unread('ml')">
          <input hyControl hyQuantity="volume" [placeholder]="say.notTold()" formControlName="ml" />
        </hy-field>
      }
      @if (has('grams')) {
        <hy-field
          [label]="say.weight({ weightUnit: words.weightUnit() })"
          [problem]="unread('grams')"
        >
          <input hyControl hyQuantity="weight" formControlName="grams" />
        </hy-field>
      }
      @if (has('text')) {
        <hy-field class="col-span-full" [label]="say.note()">
          <textarea hyControl rows="2" maxlength="4000" formControlName="text"></textarea>
        </hy-field>
      }
      @if (tried() && wrong()) {
        <p class="problem col-span-full" role="alert">{{ wrong() }}</p>
      }
      <hy-what-follows class="col-span-full" [changes]="changes()" />
      <div class="flex flex-wrap gap-2 col-span-full">
        <button type="submit" matButton="filled">{{ say.save() }}</button>
        <button type="button" matButton="text" (click)="left.emit()">{{ say.cancel() }}</button>
      </div>
    </form>
  `,
})
export class LogChange implements OnInit {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  private readonly follows = inject(Follows);
  protected readonly words = inject(Words);
  readonly batch = input.required<Batch>();
  readonly entry = input.required<BatchEntry>();
  /** Saved, or left as it was. */
  readonly left = output();

  protected readonly counted = COUNTED;
  protected readonly outcomeWord = OUTCOME_WORD;
  protected readonly capital = capital;
  protected readonly containers = computed(() => containersOf(this.state()));
  protected readonly mixes = computed(() => mixesOf(this.state()));
  protected readonly spaces = computed(() => placesIn(this.state()));
  protected readonly day = signal('');
  protected readonly tried = signal(false);
  protected readonly form = new FormGroup({
    rooted: new FormControl('', { nonNullable: true }),
    pupped: new FormControl('', { nonNullable: true }),
    rotted: new FormControl('', { nonNullable: true }),
    dried: new FormControl('', { nonNullable: true }),
    lost: new FormControl('', { nonNullable: true }),
    count: new FormControl('', { nonNullable: true }),
    container: new FormControl('', { nonNullable: true }),
    mix: new FormControl('', { nonNullable: true }),
    space: new FormControl('', { nonNullable: true }),
    ml: new FormControl<number | null>(null),
    grams: new FormControl<number | null>(null),
    text: new FormControl('', { nonNullable: true }),
  });
  private readonly typed = toSignal(this.form.valueChanges);

  private readonly parts = computed(() => canBeAnew(this.entry()) ?? []);
  protected readonly dayProblem = computed(() => (isDay(this.day()) ? '' : say.thatIsNotA()));
  /** What the form says; a sentence where it cannot be read. */
  private readonly anew = computed((): Anew | string => {
    this.typed();
    if (!isDay(this.day())) return this.dayProblem();
    return this.read();
  });
  protected readonly wrong = computed(() => {
    const anew = this.anew();
    if (typeof anew === 'string') return anew;
    const wrong = anewWrong(this.batch(), this.entry(), anew, this.today());
    return wrong ? anewWrongText(this.state(), wrong, this.words.speech()) : '';
  });
  private readonly drafts = computed((): readonly EntryDraft[] => {
    const anew = this.anew();
    if (typeof anew === 'string' || this.wrong() !== '') return [];
    const entry = this.entry();
    return entry.kind === 'cut'
      ? putRight(this.state(), this.batch(), { cutOn: anew.day ?? entry.day })
      : toldAnew(entry, anew);
  });
  protected readonly changes = computed(() => this.follows.from(this.batch(), this.drafts()));

  ngOnInit(): void {
    const entry = this.entry();
    this.day.set(entry.day);
    const { form } = this;
    if (entry.kind === 'tally' && entry.counts)
      for (const outcome of COUNTED) form.controls[outcome].setValue(`${entry.counts[outcome]}`);
    if (entry.kind === 'potted')
      form.patchValue({
        count: `${entry.count}`,
        container: entry.container ?? '',
        mix: entry.mix ?? '',
        space: entry.space ?? '',
      });
    if (entry.kind === 'moved') form.patchValue({ space: entry.space });
    if (entry.kind === 'watered') form.patchValue({ ml: entry.ml ?? null });
    if (entry.kind === 'weighed') form.patchValue({ grams: entry.grams });
    if ('text' in entry && typeof entry.text === 'string') form.patchValue({ text: entry.text });
  }

  protected has(part: Exclude<keyof Anew, 'day'>): boolean {
    return this.parts().includes(part);
  }

  protected unread(control: 'ml' | 'grams'): string {
    this.typed();
    const { invalid, errors } = this.form.controls[control];
    return invalid ? quantityProblem(errors) : '';
  }

  protected save(): void {
    this.tried.set(true);
    if (this.wrong() !== '') return;
    const drafts = this.drafts();
    if (drafts.length === 0) return this.left.emit();
    void this.actions.recordAll(drafts, say.putRight()).then((taken) => {
      if (taken) this.left.emit();
    });
  }

  private read(): Anew | string {
    const told = this.form.getRawValue();
    const day = this.day();
    const unread = this.has('ml')
      ? this.unread('ml')
      : this.has('grams')
        ? this.unread('grams')
        : '';
    if (unread !== '') return unread;
    if (this.has('grams') && told.grams === null) return say.howHeavyWasIt();
    const counts = COUNTED.map((o) => Number(told[o]));
    if (this.has('counts') && !counts.every(isCount)) return say.everyCountIsA();
    if (this.has('count') && !isCount(Number(told.count))) return say.howManyAWhole();
    const [rooted, pupped, rotted, dried, lost] = counts as [
      number,
      number,
      number,
      number,
      number,
    ];
    return {
      day,
      ...(this.has('counts') ? { counts: { rooted, pupped, rotted, dried, lost } } : {}),
      ...(this.has('count') ? { count: Number(told.count) } : {}),
      ...(this.has('container') ? { container: told.container || null } : {}),
      ...(this.has('mix') ? { mix: told.mix || null } : {}),
      ...(this.has('space') ? { space: told.space || null } : {}),
      ...(this.has('ml') ? { ml: told.ml } : {}),
      ...(this.has('grams') && told.grams !== null ? { grams: told.grams } : {}),
      ...(this.has('text') ? { text: told.text.trim() || null } : {}),
    };
  }
}

const isCount = (n: number): boolean => Number.isInteger(n) && n >= 0 && n <= 10_000;
