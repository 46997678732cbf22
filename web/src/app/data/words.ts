import { computed, inject, Injectable } from '@angular/core';
import { dayNumber, daysBetween, type Day } from '@hypogeon/core/days';
import {
  celsiusFrom,
  formatLength,
  formatTemperature,
  type LengthUnit,
  type TemperatureUnit,
} from '@hypogeon/core/units';
import { Journal } from './journal';
import { Today } from './today';

/** Quantities and days in the grower's units and language. */
@Injectable({ providedIn: 'root' })
export class Words {
  private readonly journal = inject(Journal);
  private readonly today = inject(Today);

  readonly lengthUnit = computed<LengthUnit>(() => this.journal.state().settings.length ?? 'mm');
  readonly temperatureUnit = computed<TemperatureUnit>(
    () => this.journal.state().settings.temperature ?? 'C',
  );

  length(mm: number): string {
    return formatLength(mm, this.lengthUnit());
  }

  temperature(tempC: number): string {
    return formatTemperature(tempC, this.temperatureUnit());
  }

  celsius(value: number): number {
    return celsiusFrom(value, this.temperatureUnit());
  }

  percent(fraction: number): string {
    return `${Math.round(fraction * 100)} %`;
  }

  /** `41–86 %`. */
  percentSpan({ low, high }: { readonly low: number; readonly high: number }): string {
    return `${Math.round(low * 100)}–${Math.round(high * 100)} %`;
  }

  /** `Tuesday 24 November`. */
  longDay(day: Day): string {
    return write(day, { weekday: 'long', day: 'numeric', month: 'long' });
  }

  /** `Thu 26 Nov`, with the year once it is another one. */
  day(day: Day): string {
    const other = day.slice(0, 4) !== this.today.day().slice(0, 4);
    return write(day, {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      ...(other ? { year: 'numeric' } : {}),
    });
  }

  /** `26 Nov`. */
  shortDay(day: Day): string {
    return write(day, { day: 'numeric', month: 'short' });
  }

  /** `25–27 Nov`, `28 Nov – 3 Dec`. */
  span(from: Day, to: Day): string {
    if (from === to) return this.shortDay(from);
    return from.slice(0, 7) === to.slice(0, 7)
      ? `${Number(from.slice(8))}–${this.shortDay(to)}`
      : `${this.shortDay(from)} – ${this.shortDay(to)}`;
  }

  /** `Nov`. */
  month(day: Day): string {
    return write(day, { month: 'short' });
  }

  weekday(day: Day): string {
    return write(day, { weekday: 'short' });
  }

  /** `today`, `tomorrow`, `Thu 26 Nov`. */
  near(day: Day): string {
    const days = daysBetween(this.today.day(), day);
    if (days === 0) return 'today';
    if (days === 1) return 'tomorrow';
    if (days === -1) return 'yesterday';
    return this.day(day);
  }

  days(count: number): string {
    return count === 1 ? '1 day' : `${count} days`;
  }
}

const formats = new Map<string, Intl.DateTimeFormat>();

/** A grower's day has no time zone: it is written in UTC, where it was counted. */
function write(day: Day, options: Intl.DateTimeFormatOptions): string {
  const key = JSON.stringify(options);
  let format = formats.get(key);
  if (!format) {
    format = new Intl.DateTimeFormat('en-GB', { ...options, timeZone: 'UTC' });
    formats.set(key, format);
  }
  return format.format(dayNumber(day) * 86_400_000).replace(/,/g, '');
}
