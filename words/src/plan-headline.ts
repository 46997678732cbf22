import {
  SIZE_WORD,
  type Instead,
  type Part,
  type Size,
  type WouldDo,
  type Yield,
} from '@hypogeon/core/plan';
import * as say from '@hypogeon/messages/plan-headline';
import { capital } from './capital';
import { nearDay } from './days';
import type { Speech } from './speech';
import { insteadText, partsText } from './ways';

/** What a plan comes to. */
export interface PlanComesTo {
  /** What is taken. */
  readonly parts: readonly Part[];
  /** What it gives by the day. */
  readonly plants: Yield;
  readonly size: Size;
  readonly by: string;
  /** So many are wanted; null where it is asked what there is. */
  readonly wanted: number | null;
  /** What would do, where that is not enough; null where it is. */
  readonly short: { readonly would: WouldDo | null; readonly instead: Instead | null } | null;
}

/**
 * The answer of a plan in one breath.
 * @example `Take 43 leaves for 40 rooted by Sun 28 Feb.`
 * @example `6 branches give about 5 (4 to 6). For 40 you need 8 such plants, or until Mon 6 Mar 2028.`
 */
export function planHeadline(plan: PlanComesTo, speech: Speech): string {
  const { parts, size, by, wanted, short } = plan;
  const day = nearDay(by, speech);
  const all = partsText({ parts });
  if (short === null && wanted !== null)
    return say.takeForBy({ all, sized: sized(wanted, size), day });
  const gives = givesText(plan, all, day);
  if (short === null || wanted === null) return gives;
  const { would, instead } = short;
  const ways = [
    would?.plants == null ? '' : say.youNeedSuchPlants({ plants: would.plants }),
    would?.by == null
      ? ''
      : say.until({
          what: would.plants === null ? say.itTakes() : '',
          nearDay: nearDay(would.by, speech),
        }),
  ].filter(Boolean);
  if (ways.length > 0) return say.forWord({ gives, wanted, ways: ways.join(say.or()) });
  return instead === null ? gives : `${gives} ${insteadText(instead, speech)}`;
}

const one = (parts: readonly Part[]): boolean => parts.reduce((sum, p) => sum + p.taken, 0) === 1;

function givesText({ parts, plants, size }: PlanComesTo, all: string, day: string): string {
  const { low, likely, high } = plants;
  if (all === '' || high === 0)
    return size === 'rooted'
      ? say.noneIsRootedBy({ day })
      : say.noBy({ sizeWord: SIZE_WORD[size], day });
  const gives = one(parts) ? say.gives() : say.give();
  if (low === high) return say.by({ all: capital(all), gives, sized: sized(low, size), day });
  const about = sized(Math.round(likely), size);
  return say.aboutByTo({ all: capital(all), gives, about, day, low, high });
}

/** `5 rooted`, `5 small plants`, `1 small plant`. */
const sized = (count: number, size: Size): string =>
  size === 'rooted'
    ? say.rooted({ count })
    : size === 'small'
      ? say.smallPlants({ count })
      : say.saleablePlants({ count });
