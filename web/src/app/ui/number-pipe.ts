import { inject, Pipe, type PipeTransform } from '@angular/core';
import { decimal, rounded } from '@hypogeon/words';
import { LOCALE } from '../data/locale';

/**
 * A number as the region writes it.
 *
 * @example {{ 1234.5 | hyNumber: 1 }} is `1,234.5` or `1.234,5`; `hyNumber: 2 : true` always shows two decimals
 */
@Pipe({ name: 'hyNumber', pure: false })
export class NumberPipe implements PipeTransform {
  private readonly locale = inject(LOCALE);

  transform(value: number, digits = 0, fixed = false): string {
    return fixed ? decimal(value, digits, this.locale()) : rounded(value, digits, this.locale());
  }
}
