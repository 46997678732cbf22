import { createBuilder } from '@angular-devkit/architect';
import { buildApplication } from '@angular/build';

/*
 * Angular's own build rewrites `{ ...a, b }` into calls of defineProperties, for the sake of a defect V8 had in 2021
 * (chromium 11536). In the browsers of today that is 5 to 40 times slower than the spread itself, and the fold of the
 * journal, care and the drawings are made of spreads (decision 046).
 */
const nativeSpread = {
  name: 'native-spread',
  setup({ initialOptions }) {
    initialOptions.supported = { ...initialOptions.supported, 'object-rest-spread': true };
  },
};

const ANGULARS = '@angular/build:application';

export default createBuilder(async function* (options, context) {
  const whole = await context.validateOptions(options, ANGULARS);
  yield* buildApplication(whole, context, { codePlugins: [nativeSpread] });
});
