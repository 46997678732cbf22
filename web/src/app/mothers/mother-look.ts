import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { isDay } from '@hypogeon/core/days';
import { CUT_REASONS, type CutReason, type EntryOf } from '@hypogeon/core/journal';
import { CUT_REASON_NAME } from '@hypogeon/words';
import { say } from '@hypogeon/messages/mother-look';
import { Actions } from '../data/actions';
import { Today } from '../data/today';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';

type Question = 'turgid' | 'clean' | 'growing' | 'flowering';
type Answers = Readonly<Partial<Record<Question, boolean>>>;

const QUESTIONS: readonly {
  readonly id: Question;
  readonly asks: string;
  readonly hint: string;
}[] = [
  {
    id: 'turgid',
    get asks() {
      return say.plumpAndFirm();
    },
    get hint() {
      return say.pressALowLeaf();
    },
  },
  {
    id: 'clean',
    get asks() {
      return say.noPestsNoRot();
    },
    get hint() {
      return say.leafAxilsUndersidesThe();
    },
  },
  {
    id: 'growing',
    get asks() {
      return say.growing();
    },
    get hint() {
      return say.aFreshTightTop();
    },
  },
  {
    id: 'flowering',
    get asks() {
      return say.inFlower();
    },
    get hint() {
      return say.aStalkCounts();
    },
  },
];

/** The look at a mother before she is cut: four questions and the last watering, recorded in one tap. */
@Component({
  selector: 'hy-mother-look',
  imports: [
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatChipListbox,
    MatChipOption,
    DayField,
    Field,
    FieldControl,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form
      class="grid auto-fit-38 items-end gap-y-4 gap-x-5.5"
      novalidate
      (submit)="$event.preventDefault(); save()"
    >
      @for (q of questions; track q.id) {
        <div>
          <strong class="font-semibold" [id]="'q-' + q.id">{{ q.asks }}</strong>
          <span class="block mb-1.5 quiet text-xs">{{ q.hint }}</span>
          <mat-button-toggle-group
            hideSingleSelectionIndicator
            [attr.aria-labelledby]="'q-' + q.id"
            [value]="answers()[q.id]"
            (change)="answerTo(q.id, $event.value)"
          >
            <mat-button-toggle [value]="true">{{ say.yes() }}</mat-button-toggle>
            <mat-button-toggle [value]="false">{{ say.no() }}</mat-button-toggle>
          </mat-button-toggle-group>
        </div>
      }
      <div class="wide col-span-full">
        <strong class="font-semibold" id="q-reasons">{{ say.whyCutIt() }}</strong>
        <mat-chip-listbox
          multiple
          aria-labelledby="q-reasons"
          [value]="reasons()"
          (change)="reasons.set($event.value)"
        >
          @for (r of allReasons; track r) {
            <mat-chip-option [value]="r">{{ reasonName[r] }}</mat-chip-option>
          }
        </mat-chip-listbox>
      </div>
      <hy-day
        [label]="say.lastWateredOptional()"
        [problem]="dayProblem()"
        [max]="today()"
        [value]="wateredOn()"
        (valueChange)="wateredOn.set($event)"
      />
      <hy-field [label]="say.anythingElseOptional()">
        <input
          hyControl
          type="text"
          maxlength="400"
          [value]="note()"
          (input)="note.set(text.value)"
          #text
        />
      </hy-field>
      <button matButton="outlined" type="submit">{{ say.recordTheLook() }}</button>
      @if (tried() && empty()) {
        <p class="problem" role="alert">{{ say.answerOneQuestionAt() }}</p>
      }
    </form>
  `,
})
export class MotherLook {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  protected readonly today = inject(Today).day;
  readonly mother = input.required<string>();

  protected readonly questions = QUESTIONS;
  protected readonly answers = signal<Answers>({});
  protected readonly wateredOn = signal('');
  protected readonly note = signal('');
  protected readonly reasons = signal<readonly CutReason[]>([]);
  protected readonly allReasons = CUT_REASONS;
  protected readonly reasonName = CUT_REASON_NAME;
  protected readonly tried = signal(false);

  protected answerTo(question: Question, answer: boolean): void {
    this.answers.update((a) => ({ ...a, [question]: answer }));
  }

  protected empty(): boolean {
    return (
      Object.keys(this.answers()).length === 0 &&
      this.reasons().length === 0 &&
      !this.wateredOn() &&
      !this.note().trim()
    );
  }

  protected dayProblem(): string {
    const day = this.wateredOn();
    if (day === '') return '';
    if (!isDay(day)) return say.thatIsNotA();
    return day > this.today() ? say.thatDayIsStill() : '';
  }

  protected async save(): Promise<void> {
    this.tried.set(true);
    if (this.empty() || this.dayProblem()) return;
    const look: Omit<EntryOf<'examined'>, 'id' | 'at' | 'by' | 'day'> = {
      kind: 'examined',
      mother: this.mother(),
      ...this.answers(),
      ...(this.reasons().length > 0 ? { reasons: [...this.reasons()] } : {}),
      ...(this.wateredOn() ? { wateredOn: this.wateredOn() } : {}),
      ...(this.note().trim() ? { text: this.note().trim() } : {}),
    };
    if (!(await this.actions.record(look, say.lookedOver()))) return;
    this.answers.set({});
    this.wateredOn.set('');
    this.note.set('');
    this.reasons.set([]);
    this.tried.set(false);
  }
}
