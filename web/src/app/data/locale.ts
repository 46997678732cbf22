import { inject, InjectionToken } from '@angular/core';
import { Language } from './language';

/** Sentences, days, numbers and paper are written as in the grower's language and region: `de-AT`. */
export const LOCALE = new InjectionToken<() => string>('language and region of the grower', {
  providedIn: 'root',
  factory: () => inject(Language).locale,
});
