import * as say from '@hypogeon/messages/core-spare';
import type { Form, MethodId } from '../botany';
import type { Mother } from '../journal';
import { estimateStock, mayHave } from './stock';

/** What a mother can give of one kind and stay a mother. */
export interface Spare {
  readonly count: number;
  /** What she has of it. */
  readonly of: number;
  /** Between these, eight in ten, where nobody counted: then the plan offers a plant’s usual number, not a wish. */
  readonly guess: {
    readonly low: number;
    readonly high: number;
    /** Numbers she may turn out to spare, each as likely as the others. */
    readonly may: readonly number[];
  } | null;
  readonly why: string;
}

/**
 * The share of what she has that it can spare. Working assumptions, on the side of the mother: growers
 * take a third of a plant without asking twice (common practice, no source).
 */
const SHARE: Readonly<Record<MethodId, number>> = {
  leaf: 1 / 3,
  'leaf-section': 1 / 3,
  crown: 1 / 2,
  segment: 1 / 2,
  trailing: 1 / 2,
  branch: 1 / 3,
  pad: 1 / 3,
  column: 1,
  offset: 1,
  'rooted-offset': 1,
  division: 1,
  plantlet: 1,
  'root-cutting': 1 / 3,
  bulbil: 1,
  'flower-stalk': 1,
  seed: 1,
  culture: 1,
};

const WHY: Readonly<Record<MethodId, string>> = {
  get leaf() {
    return say.aThirdOfIts();
  },
  get 'leaf-section'() {
    return say.aThirdOfItsStraps();
  },
  get crown() {
    return say.halfOfItsHeads();
  },
  get segment() {
    return say.halfOfItsStems();
  },
  get trailing() {
    return say.halfOfItsTrails();
  },
  get branch() {
    return say.aThirdOfItsSide();
  },
  get pad() {
    return say.aThirdOfItsPads();
  },
  get column() {
    return say.everyTopTheStump();
  },
  get offset() {
    return say.allThatAreLarge();
  },
  get 'rooted-offset'() {
    return say.allThatAreLarge();
  },
  get division() {
    return say.allPartsButOne();
  },
  get plantlet() {
    return say.allOfThem();
  },
  get 'root-cutting'() {
    return say.aThirdOfItsThick();
  },
  get bulbil() {
    return say.allOfThem();
  },
  get 'flower-stalk'() {
    return say.allOfThem();
  },
  get seed() {
    return say.allOfThem();
  },
  get culture() {
    return say.allOfThem();
  },
};

/** What it can spare by a method; null where nobody has counted. */
export function spareOf({ has }: Pick<Mother, 'has'>, method: MethodId): Spare | null {
  const of = has?.[method];
  if (of === undefined) return null;
  return { count: sparedOf(of, method), of, guess: null, why: WHY[method] };
}

/** What it can spare, counted or else by her build and height: nobody takes 31 crowns of one rosette. */
export function likelySpareOf(
  mother: Pick<Mother, 'has' | 'heightMm'>,
  form: Form | null,
  method: MethodId,
): Spare {
  const counted = spareOf(mother, method);
  if (counted) return counted;
  const { low, likely, high } = estimateStock(form, method, mother.heightMm ?? null);
  return {
    count: sparedOf(likely, method),
    of: likely,
    guess: {
      low: sparedOf(low, method),
      high: sparedOf(high, method),
      may: mayHave(likely).map((n) => sparedOf(n, method)),
    },
    why: WHY[method],
  };
}

function sparedOf(of: number, method: MethodId): number {
  if (method === 'division') return Math.max(0, of - 1);
  const share = Math.floor(of * SHARE[method]);
  return method === 'crown' && of > 0 ? Math.max(1, share) : share;
}
