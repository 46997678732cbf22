import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { addDays, isDay, type Day } from '@hypogeon/core/days';
import type { TaskId } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/postpone-form';
import { Actions } from '../data/actions';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';

/** What is told most often, so that nothing need be typed at the bench. */
const reasons = (): readonly [string, ...string[]] => [
  say.noTime(),
  say.stillDamp(),
  say.rain(),
  say.away(),
  say.looksFineAsIt(),
];
/** Days a task is postponed by without opening a calendar. */
const USUAL = [1, 3, 7] as const;

/** Postpones a task to a day, or skips it for good; the log tells why. Two taps, no typing. */
@Component({
  selector: 'hy-postpone-form',
  imports: [DayField, MatButton, MatChipListbox, MatChipOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-2 py-1.5' },
  template: `
    <mat-chip-listbox
      [attr.aria-label]="say.why()"
      [value]="why()"
      (change)="why.set($event.value ?? why())"
    >
      @for (reason of reasons; track reason) {
        <mat-chip-option [value]="reason">{{ reason }}</mat-chip-option>
      }
    </mat-chip-listbox>
    <div
      class="row flex flex-wrap items-center gap-1.5"
      role="group"
      [attr.aria-label]="say.postponeUntil()"
    >
      @for (day of usual(); track day.day) {
        <button type="button" matButton="outlined" (click)="until(day.day)">{{ day.says }}</button>
      }
      @if (picking()) {
        <hy-day
          [label]="say.until()"
          [min]="first()"
          [problem]="problem()"
          (valueChange)="until($event)"
        />
      } @else {
        <button type="button" matButton="text" (click)="picking.set(true)">
          {{ say.anotherDay() }}
        </button>
      }
      <button type="button" matButton="text" (click)="skip()">{{ say.doNotAskAgain() }}</button>
      <button type="button" matButton="text" (click)="cancelled.emit()">{{ say.cancel() }}</button>
    </div>
  `,
})
export class PostponeForm {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly today = inject(Today).day;
  private readonly words = inject(Words);
  readonly batch = input.required<string>();
  readonly task = input.required<TaskId>();
  readonly done = output();
  readonly cancelled = output();

  protected readonly reasons = reasons();
  protected readonly why = signal<string>(this.reasons[0]);
  protected readonly picking = signal(false);
  protected readonly problem = signal('');
  protected readonly first = computed(() => addDays(this.today(), 1));
  protected readonly usual = computed(() =>
    USUAL.map((days) => {
      const day = addDays(this.today(), days);
      return { day, says: this.words.near(day) };
    }),
  );

  protected until(day: Day): void {
    if (!isDay(day)) return;
    if (day <= this.today()) return this.problem.set(say.chooseADayThat());
    void this.record({ until: day }, say.postponedTo({ near: this.words.near(day) }));
  }

  protected skip(): void {
    void this.record({}, say.notAskedAgainFor());
  }

  private async record(until: { readonly until?: Day }, said: string): Promise<void> {
    const taken = await this.actions.record(
      { kind: 'put-off', batch: this.batch(), task: this.task(), ...until, text: this.why() },
      said,
    );
    if (taken) this.done.emit();
  }
}
