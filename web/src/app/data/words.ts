import { computed, inject, Injectable } from '@angular/core';
import type { Day } from '@hypogeon/core/days';
import { celsiusFrom, type LengthUnit, type TemperatureUnit } from '@hypogeon/core/units';
import {
  counted,
  daySpan,
  dayText,
  lengthText,
  longDay,
  monthName,
  nearDay,
  NOUN,
  percent,
  percentSpan,
  shortDay,
  temperatureText,
  weekdayName,
  type DayStyle,
} from '@hypogeon/words';
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

  /** Days are written as the page is, in English, until its sentences have languages. */
  private readonly style = computed<DayStyle>(() => ({
    locale: 'en-GB',
    today: this.today.day(),
  }));

  length(mm: number): string {
    return lengthText(mm, this.lengthUnit());
  }

  temperature(tempC: number): string {
    return temperatureText(tempC, this.temperatureUnit());
  }

  celsius(value: number): number {
    return celsiusFrom(value, this.temperatureUnit());
  }

  percent(fraction: number): string {
    return percent(fraction);
  }

  /** `41–86 %`. */
  percentSpan({ low, high }: { readonly low: number; readonly high: number }): string {
    return percentSpan({ low, high });
  }

  /** `Tuesday 24 November`. */
  longDay(day: Day): string {
    return longDay(day, this.style());
  }

  /** `Thu 26 Nov`, with the year once it is another one. */
  day(day: Day): string {
    return dayText(day, this.style());
  }

  /** `26 Nov`. */
  shortDay(day: Day): string {
    return shortDay(day, this.style());
  }

  /** `25–27 Nov`, `28 Nov – 3 Dec`. */
  span(from: Day, to: Day): string {
    return daySpan(from, to, this.style());
  }

  /** `Nov`. */
  month(day: Day): string {
    return monthName(day, this.style());
  }

  weekday(day: Day): string {
    return weekdayName(day, this.style());
  }

  /** `today`, `tomorrow`, `Thu 26 Nov`. */
  near(day: Day): string {
    return nearDay(day, this.style());
  }

  days(count: number): string {
    return counted(count, NOUN.day);
  }
}
