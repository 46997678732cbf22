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
  askText,
  ended,
  lateText,
  leaveReason,
  leaveText,
  motherAskText,
  motherLeaveText,
  reasonText,
  repottingText,
  speechFor,
  stepName,
  stepTitle,
  stepWhen,
  stepWhy,
  sureText,
  volumeText,
  type DayStyle,
} from '@hypogeon/words';
import type { CourseId } from '@hypogeon/core/botany';
import type { Ask, Leave, MotherAsk, MotherLeave, Reason, Step } from '@hypogeon/core/care';
import type { Batch } from '@hypogeon/core/journal';
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

  /** All that a sentence of care needs. */
  readonly speech = computed(() => speechFor(this.journal.state(), this.style()));

  /** `Water, about 45 mL each`. */
  ask(ask: Ask): string {
    return askText(ask, this.speech());
  }

  /** `Water, about 45 mL each, 12 days late.` */
  askLine(ask: Ask): string {
    return ended([this.ask(ask), this.late(ask)].filter(Boolean).join(', '));
  }

  motherAsk(ask: MotherAsk): string {
    return motherAskText(ask);
  }

  motherLeave(leave: MotherLeave): string {
    return motherLeaveText(leave, this.speech());
  }

  reason(reason: Reason): string {
    return reasonText(reason, this.speech());
  }

  sure({ sure }: Ask): string {
    return sureText(sure);
  }

  /** `12 days late`; empty while it is not. */
  late(ask: { readonly late: number }): string {
    return lateText(ask);
  }

  /** `No water until Sat 28 Nov`. */
  leave(leave: Leave): string {
    return leaveText(leave, this.speech());
  }

  leaveWhy(leave: Leave): string {
    return leaveReason(leave, this.speech());
  }

  stepName(step: Step, course: CourseId): string {
    return stepName(step, course);
  }

  stepWhen(step: Step): string {
    return stepWhen(step, this.speech());
  }

  stepTitle(step: Step, batch: Batch, course: CourseId): string {
    return stepTitle(step, batch, course);
  }

  stepWhy(step: Step, batch: Batch, course: CourseId): string {
    return stepWhy(step, batch, course, this.speech());
  }

  repotting(): string {
    return repottingText(this.speech());
  }

  /** `45 mL`, `1.5 fl oz`. */
  volume(ml: number): string {
    return volumeText(ml, this.lengthUnit());
  }

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
