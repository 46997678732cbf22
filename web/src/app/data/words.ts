import { computed, inject, Injectable } from '@angular/core';
import type { Day } from '@hypogeon/core/days';
import {
  G_PER_OUNCE,
  lengthIn,
  ML_PER_FL_OZ,
  ML_PER_QUART,
  readShare,
  readTemperature,
  readVolume,
  readWeight,
  type LengthUnit,
  type TemperatureUnit,
  type VolumeUnit,
  type WeightUnit,
} from '@hypogeon/core/units';
import {
  agendaLate,
  agendaTitle,
  counted,
  decimal,
  moneyText,
  depthText,
  ruleText,
  doseText,
  daySpan,
  dayText,
  lengthText,
  lengthUnitOf,
  longDay,
  monthName,
  nearDay,
  NOUN,
  percent,
  percentSpan,
  quarters,
  rounded,
  shortDay,
  temperatureText,
  temperatureUnitOf,
  weekdayName,
  askText,
  ended,
  evaporationText,
  lateText,
  leaveReason,
  leaveText,
  logLine,
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
  weightText,
  type DayStyle,
} from '@hypogeon/words';
import { whyOf } from '@hypogeon/core/bench';
import type { MethodId } from '@hypogeon/core/botany';
import type { CourseId } from '@hypogeon/core/course';
import type { Ask, Leave, MotherAsk, MotherLeave, Reason, Step } from '@hypogeon/core/care';
import type { Batch, BatchEntry } from '@hypogeon/core/journal';
import type { AgendaLine } from '@hypogeon/core/round';
import { Journal } from './journal';
import { LOCALE } from './locale';
import { Today } from './today';

/** Quantities and days in the grower's units and language. */
@Injectable({ providedIn: 'root' })
export class Words {
  private readonly journal = inject(Journal);
  private readonly today = inject(Today);

  private readonly locale = inject(LOCALE);
  readonly lengthUnit = computed<LengthUnit>(
    () => this.journal.state().settings.length ?? lengthUnitOf(this.locale()),
  );
  readonly temperatureUnit = computed<TemperatureUnit>(
    () => this.journal.state().settings.temperature ?? temperatureUnitOf(this.locale()),
  );

  /** How days are written: the region, and today. */
  readonly style = computed<DayStyle>(() => ({
    locale: this.locale(),
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

  /** `Water 3 batches, about 2.0 L in all`. */
  agendaTitle(line: AgendaLine): string {
    return agendaTitle(line, this.speech());
  }

  agendaLate(line: AgendaLine): string {
    return agendaLate(line);
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

  stepName(step: Step, course: CourseId, batch: Pick<Batch, 'taxon' | 'method'>): string {
    return stepName(step, course, this.speech().wayOf(batch).young);
  }

  stepWhen(step: Step): string {
    return stepWhen(step, this.speech());
  }

  stepTitle(step: Step, batch: Batch, course: CourseId): string {
    return stepTitle(step, batch, course, this.speech());
  }

  stepWhy(step: Step, batch: Batch, course: CourseId): string {
    return stepWhy(step, batch, course, this.speech());
  }

  repotting(): string {
    return repottingText(this.speech());
  }

  /** `1,461`, `1.461`: a count as the region writes it. */
  number(count: number): string {
    return rounded(count, 0, this.locale());
  }

  /** `1,234.50`, `1.234,50`: with so many decimals. */
  decimal(value: number, digits: number): string {
    return decimal(value, digits, this.locale());
  }

  /** A rule of the trade with its lengths in the grower's unit. */
  rule(text: string): string {
    return ruleText(text, this.lengthUnit());
  }

  /** Why a way is taken: ours in the grower's unit, theirs as they wrote it; null where nobody says. */
  why(plant: string, method: MethodId): string | null {
    const told = whyOf(this.journal.state(), plant, method);
    return told && (told.own ? told.text : this.rule(told.text));
  }

  /** `€0.41`, `0.41` while nobody has said what prices are in. */
  money(value: number): string {
    return moneyText(value, this.journal.state().settings.currency, this.locale());
  }

  /** `2`, `2.5`: with at most so many decimals. */
  rounded(value: number, digits: number): string {
    return rounded(value, digits, this.locale());
  }

  /** `2 1/4`: what a scoop measures. */
  quarters(value: number): string {
    return quarters(value, this.locale());
  }

  /** `45 mL`, `1.5 fl oz`. */
  volume(ml: number): string {
    return volumeText(ml, this.lengthUnit(), this.locale());
  }

  logLine(entry: BatchEntry): string {
    return logLine(this.journal.state(), entry, this.speech());
  }

  /** `73 mL`, `2.5 fl oz`: to be measured out. */
  dose(ml: number): string {
    return doseText(ml, this.lengthUnit(), this.locale());
  }

  /** `85 g`, `3 oz`. */
  weight(grams: number): string {
    return weightText(grams, this.lengthUnit(), this.locale());
  }

  /** `2.3 mm a day`. */
  evaporation(mm: number): string {
    return evaporationText(mm, this.lengthUnit(), this.locale());
  }

  length(mm: number): string {
    return lengthText(mm, this.lengthUnit(), this.locale());
  }

  /** A depth as a ruler shows it: nobody measured it to a hundredth. */
  depth(mm: number): string {
    return depthText(mm, this.lengthUnit());
  }

  /** A length as it is put into a field: its number in the grower's unit, fine enough to be read back. */
  typed(mm: number): string {
    const shown = lengthIn(mm, this.lengthUnit());
    return `${+shown.toFixed(this.lengthUnit() === 'in' ? 2 : 1)}`;
  }

  temperature(tempC: number): string {
    return temperatureText(tempC, this.temperatureUnit(), this.locale());
  }

  /** What a bare number in a field for a jug, a bag, a scale is in. */
  readonly volumeUnit = computed<VolumeUnit>(() => (this.lengthUnit() === 'in' ? 'fl oz' : 'mL'));
  readonly bagUnit = computed<VolumeUnit>(() => (this.lengthUnit() === 'in' ? 'qt' : 'L'));
  readonly weightUnit = computed<WeightUnit>(() => (this.lengthUnit() === 'in' ? 'oz' : 'g'));

  /** A temperature as typed, in any unit: °C; NaN for anything else. */
  celsius(text: string): number {
    const read = readTemperature(text, this.temperatureUnit());
    return read.ok ? read.tempC : NaN;
  }

  /** A share as typed, `45` or `45%`: 0–1; NaN for anything else. */
  share(text: string): number {
    const read = readShare(text);
    return read.ok ? read.share : NaN;
  }

  /** A volume as typed, in any unit: mL; NaN for anything else. */
  millilitres(text: string, bare: VolumeUnit = this.volumeUnit()): number {
    const read = readVolume(text, bare);
    return read.ok ? read.ml : NaN;
  }

  /** A weight as typed, in any unit: g; NaN for anything else. */
  grams(text: string): number {
    const read = readWeight(text, this.weightUnit());
    return read.ok ? read.grams : NaN;
  }

  /** A volume as it is put into a field for a jug: `250`, `8.5`. */
  typedVolume(ml: number): string {
    return `${this.volumeUnit() === 'mL' ? +ml.toFixed(1) : +(ml / ML_PER_FL_OZ).toFixed(2)}`;
  }

  /** Litres as they are put into a field for a bag. */
  typedBag(litres: number): string {
    return `${this.bagUnit() === 'L' ? litres : +((litres * 1000) / ML_PER_QUART).toFixed(2)}`;
  }

  /** A weight as it is put into a field. */
  typedWeight(grams: number): string {
    return `${this.weightUnit() === 'g' ? grams : +(grams / G_PER_OUNCE).toFixed(2)}`;
  }

  percent(fraction: number): string {
    return percent(fraction);
  }

  /** `41–86%`. */
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
