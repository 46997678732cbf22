import { METHOD, type Taxon, type TaxonMethod } from '@hypogeon/core/botany';
import * as say from '@hypogeon/messages/more-of-it';
import { percent } from './shares';

/**
 * How to make more of a plant, in one breath: its best way first.
 * @example `Take crowns: 92% live, roots in 14–28 days. Or by offset. Leaf: few take.`
 */
export function moreOfIt({ methods }: Pick<Taxon, 'methods'>): string {
  const good = methods.filter((m) => m.worth === 'good').toSorted((a, b) => pace(b) - pace(a));
  const poor = methods.filter((m) => m.worth === 'poor');
  const [best, ...others] = good.length > 0 ? good : poor;
  if (!best) return '';
  const { many } = METHOD[best.method];
  const sentences = [
    say.takeAboutLiveRoots({
      many,
      percent: percent(best.success.mean),
      from: best.roots.from,
      to: best.roots.to,
    }),
  ];
  if (others.length > 0)
    sentences.push(say.or({ others: list(others.map((m) => METHOD[m.method].many)) }));
  if (good.length > 0 && poor.length > 0)
    sentences.push(say.seldomWorthIt({ poor: list(poor.map((m) => METHOD[m.method].many)) }));
  return sentences.join(' ');
}

/** What lives, and soon. */
const pace = ({ success, roots }: TaxonMethod): number => success.mean / Math.sqrt(roots.to);

const list = (names: readonly string[]): string =>
  names.length < 2
    ? names.join('')
    : say.or2({ names: names.slice(0, -1).join(', '), at: names.at(-1)! });
