import { InjectionToken } from '@angular/core';
import { localeOf } from '@hypogeon/words';

/** Days, numbers and paper are written as in the grower's region; the sentences are English. */
export const LOCALE = new InjectionToken<string>('region of the grower', {
  providedIn: 'root',
  factory: () => localeOf(navigator.language),
});
