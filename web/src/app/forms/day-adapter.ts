import { inject, Injectable, type Provider } from '@angular/core';
import { DateAdapter, MAT_DATE_FORMATS, MAT_DATE_LOCALE } from '@angular/material/core';
import { MatDatepickerIntl } from '@angular/material/datepicker';
import { DateFnsAdapter } from '@angular/material-date-fns-adapter';
import { readDay, readNearDay, type Day } from '@hypogeon/core/days';
import { dayOrderOf, firstWeekdayOf } from '@hypogeon/words';
import { formatISO } from 'date-fns/formatISO';
import { parseISO } from 'date-fns/parseISO';
import { enGB } from 'date-fns/locale/en-GB';
import { LOCALE } from '../data/locale';
import { Today } from '../data/today';
import { CalendarWords } from './calendar-words';

/** Material's calendar over our days, read and written as in the grower's region. */
@Injectable()
export class DayAdapter extends DateFnsAdapter {
  private readonly region = inject(LOCALE)();
  private readonly order = dayOrderOf(this.region);
  private readonly firstWeekday = firstWeekdayOf(this.region);
  private readonly now = inject(Today).day;
  private readonly written = new Intl.DateTimeFormat(this.region, { dateStyle: 'medium' });

  override getFirstDayOfWeek(): number {
    return this.firstWeekday;
  }

  override today(): Date {
    return dateOf(this.now());
  }

  /** `20 May`, `14.4.2025`, `3/14/25`, `yesterday`; what is no day stays as it was typed. */
  override parse(value: unknown): Date | null {
    if (typeof value !== 'string' || value.trim() === '') return null;
    const today = this.now();
    const near = readNearDay(value, today);
    if (near) return dateOf(near);
    const read = readDay(value, {
      today,
      order: this.order,
      languages: [this.region, navigator.language],
    });
    return read.ok ? dateOf(read.day) : this.invalid();
  }

  override format(date: Date, style: string): string {
    if (style === INPUT) return this.written.format(date);
    return this.named(
      style === MONTH ? { month: 'long', year: 'numeric' } : { dateStyle: 'full' },
      date,
    );
  }

  override getMonthNames(style: 'long' | 'short' | 'narrow'): string[] {
    return Array.from({ length: 12 }, (_, m) =>
      this.named({ month: style }, new Date(2026, m, 15)),
    );
  }

  override getDayOfWeekNames(style: 'long' | 'short' | 'narrow'): string[] {
    // The fourth of January 2026 is a Sunday.
    return Array.from({ length: 7 }, (_, d) =>
      this.named({ weekday: style }, new Date(2026, 0, 4 + d)),
    );
  }

  override getDateNames(): string[] {
    return Array.from({ length: 31 }, (_, d) => `${d + 1}`);
  }

  private named(options: Intl.DateTimeFormatOptions, date: Date): string {
    return new Intl.DateTimeFormat(this.region, options).format(date);
  }
}

export const dateOf = (day: Day): Date => parseISO(day);
export const dayOfDate = (date: Date): Day => formatISO(date, { representation: 'date' });

const INPUT = 'as in the region';
const MONTH = 'LLLL yyyy';

export const DAY_ADAPTER: Provider[] = [
  { provide: MAT_DATE_LOCALE, useValue: enGB },
  { provide: DateAdapter, useClass: DayAdapter },
  { provide: MatDatepickerIntl, useClass: CalendarWords },
  {
    provide: MAT_DATE_FORMATS,
    useValue: {
      parse: { dateInput: INPUT },
      display: {
        dateInput: INPUT,
        monthYearLabel: MONTH,
        dateA11yLabel: 'PPPP',
        monthYearA11yLabel: MONTH,
      },
    },
  },
];
