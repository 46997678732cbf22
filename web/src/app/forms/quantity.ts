import { Directive, ElementRef, forwardRef, inject, input } from '@angular/core';
import {
  NG_VALIDATORS,
  NG_VALUE_ACCESSOR,
  type ControlValueAccessor,
  type ValidationErrors,
  type Validator,
} from '@angular/forms';
import {
  readLength,
  readShare,
  readTemperature,
  readVolume,
  readWeight,
  temperatureIn,
} from '@hypogeon/core/units';
import { Words } from '../data/words';

/** `bag` is a volume that is bought and stored: litres and quarts, not millilitres and ounces. */
export type QuantityKind = 'length' | 'temperature' | 'volume' | 'bag' | 'weight' | 'share';

/**
 * A quantity in a form. The control holds it in the unit the core reckons in (mm, °C, mL, g, 0–1), or null where
 * nothing is typed; the field shows it in the grower's unit and takes any unit typed. What the field shows is rounded,
 * what the control holds is not: opening a form changes nothing. What cannot be read stays typed, and is the control's
 * `quantity` error, a sentence.
 *
 * @example <hy-field label="Width"><input hyControl hyQuantity="length" formControlName="widthMm" /></hy-field>
 */
@Directive({
  selector: 'input[hyQuantity]',
  host: { '(input)': 'type()', '(blur)': 'touched()' },
  providers: [
    { provide: NG_VALUE_ACCESSOR, useExisting: forwardRef(() => Quantity), multi: true },
    { provide: NG_VALIDATORS, useExisting: forwardRef(() => Quantity), multi: true },
  ],
})
export class Quantity implements ControlValueAccessor, Validator {
  private readonly words = inject(Words);
  private readonly field = inject<ElementRef<HTMLInputElement>>(ElementRef).nativeElement;
  readonly hyQuantity = input.required<QuantityKind>();

  private changed: (value: number | null) => void = () => undefined;
  protected touched: () => void = () => undefined;
  private problem = '';

  writeValue(value: number | null): void {
    this.problem = '';
    this.field.value = value === null ? '' : this.shown(value);
  }

  registerOnChange(changed: (value: number | null) => void): void {
    this.changed = changed;
  }

  registerOnTouched(touched: () => void): void {
    this.touched = touched;
  }

  setDisabledState(disabled: boolean): void {
    this.field.disabled = disabled;
  }

  validate(): ValidationErrors | null {
    return this.problem === '' ? null : { quantity: this.problem };
  }

  protected type(): void {
    const text = this.field.value;
    const read = text.trim() === '' ? null : this.read(text);
    this.problem = typeof read === 'string' ? read : '';
    this.changed(typeof read === 'number' ? read : null);
  }

  /** The quantity, or what is wrong with it. */
  private read(text: string): number | string {
    const { lengthUnit, temperatureUnit, volumeUnit, bagUnit, weightUnit } = this.words;
    switch (this.hyQuantity()) {
      case 'length': {
        const read = readLength(text, lengthUnit());
        return read.ok ? read.mm : read.problem;
      }
      case 'temperature': {
        const read = readTemperature(text, temperatureUnit());
        return read.ok ? read.tempC : read.problem;
      }
      case 'volume': {
        const read = readVolume(text, volumeUnit());
        return read.ok ? read.ml : read.problem;
      }
      case 'bag': {
        const read = readVolume(text, bagUnit());
        return read.ok ? read.ml : read.problem;
      }
      case 'weight': {
        const read = readWeight(text, weightUnit());
        return read.ok ? read.grams : read.problem;
      }
      case 'share': {
        const read = readShare(text);
        return read.ok ? read.share : read.problem;
      }
    }
  }

  private shown(value: number): string {
    switch (this.hyQuantity()) {
      case 'length':
        return this.words.typed(value);
      case 'temperature':
        return `${+temperatureIn(value, this.words.temperatureUnit()).toFixed(1)}`;
      case 'volume':
        return this.words.typedVolume(value);
      case 'bag':
        return this.words.typedBag(value / 1000);
      case 'weight':
        return this.words.typedWeight(value);
      case 'share':
        return `${+(value * 100).toFixed(1)}`;
    }
  }
}

/** The sentence of a control that holds a quantity; empty while it can be read. */
export const quantityProblem = (errors: ValidationErrors | null): string =>
  typeof errors?.quantity === 'string' ? errors.quantity : '';
