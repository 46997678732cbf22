import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  model,
} from '@angular/core';
import {
  MatDatepicker,
  MatDatepickerInput,
  MatDatepickerToggle,
  type MatDatepickerInputEvent,
} from '@angular/material/datepicker';
import { isDay, type Day } from '@hypogeon/core/days';
import { say } from '@hypogeon/messages/day-field';
import { LOCALE } from '../data/locale';
import { dateOf, DAY_ADAPTER, dayOfDate } from './day-adapter';
import { Field, FieldControl } from './field';

/**
 * A day: typed as one writes it where one lives, or picked from a calendar.
 * What was typed and is no day is handed on as it stands, so that whoever checks can say so.
 */
@Component({
  selector: 'hy-day',
  imports: [Field, FieldControl, MatDatepicker, MatDatepickerInput, MatDatepickerToggle],
  providers: [DAY_ADAPTER],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block min-w-44' },
  template: `
    <hy-field suffixed [unseen]="unseen()" [label]="label()" [hint]="hint()" [problem]="said()">
      <input
        hyControl
        autocomplete="off"
        [matDatepicker]="picker"
        [value]="date()"
        [min]="earliest()"
        [max]="latest()"
        (dateChange)="changed($event)"
        #typed
      />
      <mat-datepicker-toggle hySuffix [for]="picker" />
      <mat-datepicker #picker />
    </hy-field>
  `,
})
export class DayField {
  private readonly locale = inject(LOCALE);
  readonly label = input.required<string>();
  readonly hint = input('');
  readonly problem = input('');
  readonly value = model<Day>('');
  readonly min = input<Day>('');
  readonly max = input<Day>('');
  /** For a label that only a screen reader needs. */
  readonly unseen = input(false, { transform: booleanAttribute });

  /** A slip of the pen leaves what is typed: a date made anew would wipe it out. */
  protected readonly date = linkedSignal<Day, Date | null>({
    source: this.value,
    computation: (day, before) => {
      if (isDay(day)) return dateOf(day);
      return day === '' ? null : (before?.value ?? null);
    },
    equal: (a, b) => a?.getTime() === b?.getTime(),
  });
  protected readonly earliest = computed(() => (isDay(this.min()) ? dateOf(this.min()) : null));
  protected readonly latest = computed(() => (isDay(this.max()) ? dateOf(this.max()) : null));
  protected readonly said = computed(() => {
    const day = this.value();
    if (day !== '' && !isDay(day)) return say.isNotADay({ day, example: this.example() });
    return this.problem();
  });

  /** A day as this region writes it. */
  private example(): string {
    return new Intl.DateTimeFormat(this.locale(), { dateStyle: 'medium' }).format(A_DAY);
  }

  protected changed({ value, targetElement }: MatDatepickerInputEvent<Date>): void {
    this.value.set(value ? dayOfDate(value) : (targetElement as HTMLInputElement).value.trim());
  }
}

const A_DAY = new Date(2026, 4, 20);
