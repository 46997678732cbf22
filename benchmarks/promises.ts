import { shareBy, slowed, timeWithin } from '@hypogeon/core/botany';
import { believe, guideBelief, pacesOf, USUAL_CORRELATION } from '@hypogeon/core/learn';
import {
  atLeast,
  chanceOfAtLeast,
  chancesAfter,
  fromHer,
  mayHave,
  numberNeeded,
  plantsReady,
  readyOfTwoCuts,
} from '@hypogeon/core/plan';
import {
  alikeCalledDifferent,
  biasOfOpen,
  closedAtGate,
  COARSE_THUMB,
  drawsOf,
  FINE_THUMB,
  HARSH,
  held,
  ledgerHonesty,
  NEVER_TOUCHED,
  STATED,
  type LedgerHonesty,
} from '@hypogeon/core/testing';

/** Something the product says, and how often it is so. */
export interface Promise {
  /** The message that names it on the page of what was learned; none where it is only told in the methods. */
  readonly id: string | null;
  readonly says: string;
  /** How it was simulated. */
  readonly played: string;
  /** What is said: it holds so often, or it errs at most so often; shares. Of a bias, how large it may be. */
  readonly stated: number;
  readonly is: 'holds' | 'errs at most' | 'off by at most';
  /** Reached under the model that is stated, and under a harsher truth; null where there is none to speak of. */
  readonly reached: number;
  readonly harsh: number | null;
}

/** What is simulated more often tells finer. */
export interface Runs {
  readonly benches: number;
  readonly draws: number;
}

const SEED = 20261130;

/** Every promise, played. @param say what is being played */
export function* promises({ benches, draws }: Runs): Generator<Promise> {
  for (const batches of [0, 10]) {
    const [stated, harsh] = [STATED, HARSH].map((world) => held(world, batches, benches, SEED));
    const after = batches === 0 ? 'nothing counted before' : `${batches} batches counted before`;
    yield {
      id: `soMany${batches}`,
      says: `So many give what is wanted, nine times in ten (${after})`,
      played: 'three ways of the guide, wanted 8–24, roots in the end',
      stated: 0.9,
      is: 'holds',
      reached: stated!.reached,
      harsh: harsh!.reached,
    };
    yield {
      id: `byADay${batches}`,
      says: `… by a day (${after})`,
      played: 'the same, counted on that day',
      stated: 0.9,
      is: 'holds',
      reached: stated!.inTime,
      harsh: harsh!.inTime,
    };
    yield {
      id: `rootedByADay${batches}`,
      says: `Rooted by a day: between so many and so many, eight in ten (${after})`,
      played: 'batches of 20–49',
      stated: 0.8,
      is: 'holds',
      reached: stated!.range,
      harsh: harsh!.range,
    };
  }
  yield weakBelief(draws);
  yield twoCuts(draws);
  yield guessedStock(draws);
  yield* ledger(benches);
  yield {
    id: 'arms',
    says: 'Arms of a trial by trays are different',
    played: 'alike arms of four trays of ten, ρ 0.1 and 0.3',
    stated: 0.05,
    is: 'errs at most',
    ...alike(benches),
  };
  yield {
    id: 'neverTouched',
    says: 'Safe to water from: closed, nine in ten (never touched)',
    played: 'wounds of their own pace; harsh: none',
    stated: 0.9,
    is: 'holds',
    reached: closedAtGate(NEVER_TOUCHED, 0.9, draws, SEED),
    harsh: null,
  };
  for (const stated of [0.9, 0.95])
    yield {
      id: `touched${100 * stated}`,
      says: `Safe to water from: closed, ${100 * stated}% (touched until firm twice)`,
      played: 'touched every quarter of a closing; harsh: a thumb twice as coarse',
      stated,
      is: 'holds',
      reached: closedAtGate(FINE_THUMB, stated, benches, SEED),
      harsh: closedAtGate(COARSE_THUMB, stated, benches, SEED),
    };
  const bias = biasOfOpen(8, Math.ceil(benches / 4), SEED);
  yield {
    id: null,
    says: 'Batches that still wait: ln pace learned of them',
    played: 'eight batches of 30, looked at until a third of those that will root have; mean error',
    stated: 0.05,
    is: 'off by at most',
    reached: Math.abs(bias.pace),
    harsh: null,
  };
  yield {
    id: null,
    says: 'Batches that still wait: chance to root learned of them',
    played: 'the same; mean error',
    stated: 0.05,
    is: 'off by at most',
    reached: Math.abs(bias.chance),
    harsh: null,
  };
}

const alike = (benches: number): Pick<Promise, 'reached' | 'harsh'> => {
  const at = (correlation: number): number =>
    alikeCalledDifferent({ trays: 4, chance: 0.6, correlation }, 2 * benches, SEED);
  return { reached: at(0.1), harsh: at(0.3) };
};

/** Twelve trays, and a bench as small as most begin: of three nobody can learn how trays differ. */
function* ledger(benches: number): Generator<Promise> {
  yield* ledgerOf(12, 'twelve', benches);
  yield* ledgerOf(3, 'three', benches);
}

function* ledgerOf(trays: number, told: string, benches: number): Generator<Promise> {
  const worlds = [0.1, 0.3].map((correlation) =>
    ledgerHonesty({ trays, correlation, chance: 0.7 }, Math.ceil(benches / 2), SEED),
  ) as [LedgerHonesty, LedgerHonesty];
  const rows = [
    ['shares', 'Rooted: between so many and so many of a hundred, 95%', 0.95, 'holds'],
    ['money', 'A plant costs between so much and so much, eight in ten', 0.8, 'holds'],
    ['findings', 'Losses: something goes with them', 0.05, 'errs at most'],
    ['compared', 'Two ways root differently often', 0.05, 'errs at most'],
    ['times', 'Two ways root differently fast', 0.05, 'errs at most'],
  ] as const;
  for (const [of, says, stated, is] of rows)
    yield {
      id: trays === 12 ? of : null,
      says,
      played: `${told} trays of 12–40, nothing goes with anything, ρ 0.1 and 0.3, learned of them`,
      stated,
      is,
      reached: worlds[0][of],
      harsh: worlds[1][of],
    };
}

const TIME = timeWithin({ from: 14, to: 35 });
const DAY = 60;

/** A belief worth three cuttings, drawn from the model itself. */
function weakBelief(draws: number): Promise {
  const [a, b, wanted] = [0.75, 2.25, 2];
  const belief = { batch: guideBelief(a / (a + b), a + b, USUAL_CORRELATION) };
  const chances = chancesAfter(belief, TIME, DAY);
  const n = numberNeeded(wanted, 0.8, chances)!;
  const reachedAt = (correlation: number): number => {
    const { random, normal, beta, tray } = drawsOf(SEED);
    return shareOf(draws, () => {
      const ready = shareBy(slowed(TIME, Math.exp(0.4 * normal())), DAY);
      const lives = tray(beta(a, b), correlation) * ready;
      let plants = 0;
      for (let i = 0; i < n && plants < wanted; i++) if (random() < lives) plants++;
      return plants === wanted;
    });
  };
  return {
    id: 'weakBelief',
    says: `So many give two, as often as is said, of a belief worth three cuttings`,
    played: `${n} taken; harsh: ρ 0.25`,
    stated: chanceOfAtLeast(wanted, n, chances),
    is: 'holds',
    reached: reachedAt(USUAL_CORRELATION),
    harsh: reachedAt(HARSH.correlation),
  };
}

/** Two cuts of one mother share what is not known of her. */
function twoCuts(draws: number): Promise {
  const belief = { a: 5.6, b: 2.4, correlation: USUAL_CORRELATION };
  const [taken, wanted] = [40, 40];
  const cut = { taken, paces: [{ weight: 1, ready: 1 }] };
  const reachedAt = (correlation: number): number => {
    const { random, beta, tray } = drawsOf(SEED);
    return shareOf(Math.ceil(draws / 4), () => {
      const plant = beta(belief.a, belief.b);
      let ready = 0;
      for (const _ of [1, 2]) {
        const lives = tray(plant, correlation);
        for (let i = 0; i < taken; i++) if (random() < lives) ready++;
      }
      return ready >= wanted;
    });
  };
  return {
    id: 'twoCuts',
    says: 'Two cuts of one mother give what is wanted, as often as is said',
    played: 'twice 40 of one plant, 40 wanted; harsh: ρ 0.25',
    stated: atLeast(wanted, readyOfTwoCuts(cut, cut, belief)),
    is: 'holds',
    reached: reachedAt(USUAL_CORRELATION),
    harsh: reachedAt(HARSH.correlation),
  };
}

/** What nobody counted may be less. */
function guessedStock(draws: number): Promise {
  const success = { mean: 0.7, worth: 8, evidence: 'working assumption' as const };
  const belief = believe({ success }, USUAL_CORRELATION, null);
  const likely = 24;
  const chances = chancesAfter(belief, TIME, DAY);
  const guess = { low: likely / 2, high: likely * 2, may: mayHave(likely) };
  const spare = { count: likely, of: likely, guess, why: '' };
  const wanted = 8;
  const ready = pacesOf(belief).reduce(
    (sum, { weight, pace }) => sum + weight * shareBy(slowed(TIME, pace), DAY),
    0,
  );
  const reachedAt = (correlation: number): number => {
    const { random, normal, beta, tray } = drawsOf(SEED);
    return shareOf(draws, () => {
      const has = Math.min(likely, Math.round(likely * 2 ** (normal() / 1.2816)));
      const lives = tray(beta(belief.a, belief.b), correlation) * ready;
      let plants = 0;
      for (let i = 0; i < has; i++) if (random() < lives) plants++;
      return plants >= wanted;
    });
  };
  return {
    id: 'guessedStock',
    says: 'Of what nobody counted so many are had, as often as is said',
    played: `about ${likely} leaves, ${wanted} wanted (as certain stock: ${percent(atLeast(wanted, plantsReady(likely, chances)))}); harsh: ρ 0.25`,
    stated: atLeast(wanted, fromHer({ chances, spare }, likely)),
    is: 'holds',
    reached: reachedAt(USUAL_CORRELATION),
    harsh: reachedAt(HARSH.correlation),
  };
}

const percent = (share: number): string => `${Math.round(100 * share)}%`;

function shareOf(times: number, is: () => boolean): number {
  let yes = 0;
  for (let n = 0; n < times; n++) if (is()) yes++;
  return yes / times;
}
