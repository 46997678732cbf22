import { randomFrom } from '../stats';

/** What befalls one cutting whatever is done with it. */
export interface CuttingLuck {
  /** Standard normal: pace of its wound, of its reserves. */
  readonly wound: number;
  readonly reserve: number;
  /** 0–1: when it roots among its like, and whether it roots at all. */
  readonly roots: number;
  readonly dud: number;
  /** Exponential: infected once so much hazard has gathered. */
  readonly infection: number;
}

/** What befalls a bench: weather, and how fast its pot dries and its plants root. */
export interface BenchLuck {
  readonly normals: Float64Array;
  readonly pot: number;
  /** 0–1: how slow it roots, and how likely, among all batches that are believed possible. */
  readonly pace: number;
  readonly chance: number;
  /** Standard normal: how ready its wounds rot, among what may be. */
  readonly rot: number;
  /** 0–1: when somebody thinks of it. */
  readonly whims: Float64Array;
  readonly cuttings: readonly CuttingLuck[];
}

/** Drawn for a bench; who waters oftener begins again. */
const WHIMS = 64;

/**
 * The luck of so many cuttings on so many benches: drawn once and given to every strategy alike, so that what differs is
 * what was chosen. Each cutting and bench has a stream of its own: more of them change none of the others.
 * @example luckOf(1, 2000, 20, 120)
 */
export function luckOf(
  seed: number,
  cuttings: number,
  benches: number,
  days: number,
): readonly BenchLuck[] {
  const start = randomFrom(streamOf(seed, -1, 0));
  const [pace, chance] = [start(), start()];
  return Array.from({ length: benches }, (_, b) => {
    const random = randomFrom(streamOf(seed, b, 0));
    const normals = Float64Array.from({ length: 2 * days + 2 }, () => normal(random));
    const aside = randomFrom(streamOf(~seed, b, 0));
    const count = Math.floor(cuttings / benches) + (b < cuttings % benches ? 1 : 0);
    return {
      normals,
      pot: normal(random),
      // Spread evenly, so that few benches stand for all that may be.
      pace: (pace + b * EVENLY.pace) % 1,
      chance: (chance + b * EVENLY.chance) % 1,
      rot: normal(aside),
      whims: Float64Array.from({ length: WHIMS }, aside),
      cuttings: Array.from({ length: count }, (__, i) => {
        const own = randomFrom(streamOf(seed, b, i + 1));
        return {
          wound: normal(own),
          reserve: normal(own),
          roots: own(),
          dud: own(),
          infection: -Math.log(1 - own()),
        };
      }),
    };
  });
}

/**
 * Steps of a sequence that fills a square evenly however many of it are taken.
 * Source: Roberts 2018, the generalised golden ratio (plastic number 1.32471795724…); from memory.
 */
const EVENLY = { pace: 1 / 1.324717957244746, chance: 1 / 1.324717957244746 ** 2 } as const;

/** Box & Muller 1958. */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** Seeds far apart for neighbours: a multiplicative hash. */
const streamOf = (seed: number, bench: number, cutting: number): number =>
  (Math.imul(seed + 1, 0x9e3779b1) ^
    Math.imul(bench + 1, 0x85ebca6b) ^
    Math.imul(cutting + 1, 0xc2b2ae35)) >>>
  0;
