import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { isDay } from '@hypogeon/core/days';
import type { EntryOf } from '@hypogeon/core/journal';
import { Actions } from '../data/actions';
import { Today } from '../data/today';
import { Field, FieldControl } from '../ui/field';

type Question = 'turgid' | 'clean' | 'growing' | 'flowering';
type Answers = Readonly<Partial<Record<Question, boolean>>>;

const QUESTIONS: readonly {
  readonly id: Question;
  readonly asks: string;
  readonly hint: string;
}[] = [
  { id: 'turgid', asks: 'Plump and firm', hint: 'Press a low leaf.' },
  { id: 'clean', asks: 'No pests, no rot', hint: 'Leaf axils, undersides, the base.' },
  { id: 'growing', asks: 'Growing', hint: 'A fresh, tight top.' },
  { id: 'flowering', asks: 'In flower', hint: 'A stalk counts.' },
];

/** The look at a mother before she is cut: four questions and the last watering, recorded in one tap. */
@Component({
  selector: 'hy-mother-look',
  imports: [Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form novalidate (submit)="$event.preventDefault(); save()">
      @for (q of questions; track q.id) {
        <fieldset>
          <legend>{{ q.asks }}</legend>
          <span class="hint">{{ q.hint }}</span>
          <div class="yesno">
            @for (answer of [true, false]; track answer) {
              <label>
                <input
                  type="radio"
                  class="unseen"
                  [name]="q.id"
                  [checked]="answers()[q.id] === answer"
                  (change)="say(q.id, answer)"
                />
                <span>{{ answer ? 'yes' : 'no' }}</span>
              </label>
            }
          </div>
        </fieldset>
      }
      <hy-field label="Last watered (optional)" [problem]="dayProblem()">
        <input
          hyControl
          type="date"
          [max]="today()"
          [value]="wateredOn()"
          (change)="wateredOn.set(day.value)"
          #day
        />
      </hy-field>
      <hy-field label="Anything else (optional)">
        <input
          hyControl
          type="text"
          maxlength="400"
          [value]="note()"
          (input)="note.set(text.value)"
          #text
        />
      </hy-field>
      <button class="plain" type="submit">Record the look</button>
      @if (tried() && empty()) {
        <p class="problem" role="alert">Answer one question at least.</p>
      }
    </form>
  `,
  styles: `
    form {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(9.5rem, 1fr));
      gap: 1rem 1.4rem;
      align-items: end;
    }
    .hint {
      display: block;
      color: var(--ink2);
      font-size: 0.82rem;
      margin-bottom: 0.35rem;
    }
    .yesno {
      display: flex;
      gap: 0.4rem;
    }
    .yesno span {
      display: grid;
      place-items: center;
      min-width: 64px;
      min-height: 44px;
      border: 1px solid var(--ink2);
      border-radius: 4px;
      cursor: pointer;
    }
    input:checked + span {
      background: var(--living-soft);
      border-color: var(--living);
      box-shadow: inset 0 0 0 1px var(--living);
      font-weight: 650;
    }
    input:focus-visible + span {
      outline: 3px solid var(--water);
      outline-offset: 2px;
    }
  `,
})
export class MotherLook {
  private readonly actions = inject(Actions);
  protected readonly today = inject(Today).day;
  readonly mother = input.required<string>();

  protected readonly questions = QUESTIONS;
  protected readonly answers = signal<Answers>({});
  protected readonly wateredOn = signal('');
  protected readonly note = signal('');
  protected readonly tried = signal(false);

  protected say(question: Question, answer: boolean): void {
    this.answers.update((a) => ({ ...a, [question]: answer }));
  }

  protected empty(): boolean {
    return Object.keys(this.answers()).length === 0 && !this.wateredOn() && !this.note().trim();
  }

  protected dayProblem(): string {
    const day = this.wateredOn();
    if (day === '') return '';
    if (!isDay(day)) return 'That is not a day of the calendar.';
    return day > this.today() ? 'That day is still to come.' : '';
  }

  protected async save(): Promise<void> {
    this.tried.set(true);
    if (this.empty() || this.dayProblem()) return;
    const look: Omit<EntryOf<'examined'>, 'id' | 'at' | 'by' | 'day'> = {
      kind: 'examined',
      mother: this.mother(),
      ...this.answers(),
      ...(this.wateredOn() ? { wateredOn: this.wateredOn() } : {}),
      ...(this.note().trim() ? { text: this.note().trim() } : {}),
    };
    this.answers.set({});
    this.wateredOn.set('');
    this.note.set('');
    this.tried.set(false);
    await this.actions.record(look, 'Looked over');
  }
}
