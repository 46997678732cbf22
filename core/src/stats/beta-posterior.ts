import { assertCount, assertFraction, assertPositive } from '../assert';
import jStat from 'jstat';

import type { Posterior } from './posterior';

/**
 * A share believed as Beta(a, b) after so many successes and failures.
 * @param prior a and b, both > 0; ½ and ½ are Jeffreys'
 * Source: Gelman et al. 2013, ch. 2.4.
 */
export function betaPosterior(
  successes: number,
  failures: number,
  prior: { readonly a: number; readonly b: number } = { a: 0.5, b: 0.5 },
): Posterior {
  assertCount('successes', successes);
  assertCount('failures', failures);
  assertPositive('a', prior.a);
  assertPositive('b', prior.b);
  const [a, b] = [prior.a + successes, prior.b + failures];
  return {
    mean: a / (a + b),
    sd: Math.sqrt((a * b) / ((a + b) ** 2 * (a + b + 1))),
    quantile: (probability) => {
      assertFraction('probability', probability);
      return jStat.beta.inv(probability, a, b);
    },
  };
}
