import { inject, Pipe, type PipeTransform } from '@angular/core';
import { counted, NOUN } from '@hypogeon/words';
import { LOCALE } from '../data/locale';

/**
 * A number with its word, which is one or many.
 *
 * @example {{ 1 | hyCounted: 'batch' }} is `1 batch`, {{ 3 | hyCounted: 'batch' }} `3 batches`
 */
@Pipe({ name: 'hyCounted' })
export class CountedPipe implements PipeTransform {
  private readonly locale = inject(LOCALE);

  transform(count: number, of: keyof typeof NOUN): string {
    return counted(count, NOUN[of], this.locale);
  }
}
