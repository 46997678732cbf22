import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { addDays, isDay } from '@hypogeon/core/days';
import type { TaskId } from '@hypogeon/core/journal';
import { TASK_NAME } from '@hypogeon/words';
import { Actions } from '../data/actions';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { Field, FieldControl } from '../ui/field';

/** Days a task is put off by without opening a calendar. */
const USUAL = [1, 3, 7] as const;

/** Puts a task off to a day, or drops it, always with a reason: the log should say why it was not done. */
@Component({
  selector: 'hy-put-off-form',
  imports: [Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-field [label]="'Why is ' + name() + ' put off?'" [problem]="problem()">
      <input
        hyControl
        type="text"
        maxlength="200"
        placeholder="rain, still damp, away …"
        [value]="why()"
        (input)="why.set(reason.value)"
        #reason
      />
    </hy-field>
    <div class="days" role="group" aria-label="Until">
      @for (day of usual(); track day.day) {
        <button
          type="button"
          class="plain"
          [attr.aria-pressed]="until() === day.day"
          (click)="until.set(day.day)"
        >
          {{ day.says }}
        </button>
      }
      <input
        type="date"
        aria-label="Until another day"
        [min]="first()"
        [value]="until()"
        (change)="until.set(date.value)"
        #date
      />
    </div>
    <div class="days">
      <button type="button" class="act" (click)="putOff()">Put off</button>
      <button type="button" class="bare" (click)="drop()">Do not ask again</button>
      <button type="button" class="bare" (click)="closed.emit()">Leave it</button>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
      padding: 0.6rem 0 0.4rem;
    }
    .days {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem;
    }
    [aria-pressed='true'] {
      background: var(--living-soft);
      border-color: var(--living);
    }
  `,
})
export class PutOffForm {
  private readonly actions = inject(Actions);
  private readonly today = inject(Today).day;
  private readonly words = inject(Words);
  readonly batch = input.required<string>();
  readonly task = input.required<TaskId>();
  readonly closed = output();

  protected readonly why = signal('');
  protected readonly until = signal(addDays(this.today(), 1));
  protected readonly problem = signal('');
  protected readonly name = computed(() => TASK_NAME[this.task()].toLowerCase());
  protected readonly first = computed(() => addDays(this.today(), 1));
  protected readonly usual = computed(() =>
    USUAL.map((days) => {
      const day = addDays(this.today(), days);
      return { day, says: this.words.near(day) };
    }),
  );

  protected putOff(): void {
    const until = this.until();
    if (!isDay(until) || until <= this.today())
      return this.problem.set('Choose a day that is still to come.');
    this.record({ until }, `Put off to ${this.words.near(until)}`);
  }

  protected drop(): void {
    this.record({}, 'Not asked again for this batch');
  }

  private record(until: { readonly until?: string }, said: string): void {
    const text = this.why().trim();
    if (text === '') return this.problem.set('A word why: the log should tell it later.');
    void this.actions.record(
      { kind: 'put-off', batch: this.batch(), task: this.task(), ...until, text },
      said,
    );
    this.closed.emit();
  }
}
