import type { Batch, State } from '../journal';
import {
  aalenJohansen,
  chanceAbove,
  countLedger,
  eachNeeded,
  fisherExact,
  mantelHaenszel,
  newcombe,
  rankTest,
  turnbull,
  turnbullMedian,
  wilson,
  type AalenJohansen,
  type LedgerCount,
  type MantelHaenszel,
  type RankTest,
  type ShareDifference,
  type ShareInterval,
} from '../stats';
import { strengthOf, weightOf, type Strength } from './evidence';
import { gather, groupOf, hasResult, isSettled, type Grouping } from './grouping';
import { fateRows } from './rows';

/** One way of doing it, and what came of it. */
export interface GroupResult {
  readonly name: string;
  /** All that were counted: the curves are of these. */
  readonly batches: readonly Batch[];
  /** Of these nothing is open any more: the shares are of these. */
  readonly settled: readonly Batch[];
  /** Cuttings of the settled ones whose end is known. */
  readonly told: number;
  readonly count: LedgerCount;
  readonly rooted: ShareInterval | null;
  readonly lost: ShareInterval | null;
  readonly curve: AalenJohansen;
  /** Days between which half of those that root have roots; null where none did. */
  readonly half: { readonly from: number; readonly to: number } | null;
}

/** Groups by a grouping, the largest first; batches without a result or without the answer are left out. */
export function groupsBy(
  state: State,
  by: Grouping,
  batches = [...state.batches.values()],
): readonly GroupResult[] {
  const groups = gather(state, batches.filter(hasResult), by);
  return [...groups]
    .map(([name, members]) => resultOf(name, members))
    .sort((a, b) => b.told - a.told || (a.name < b.name ? -1 : 1));
}

export function resultOf(name: string, batches: readonly Batch[]): GroupResult {
  const settled = batches.filter(isSettled);
  const count = countLedger(settled);
  const told = count.stuck - count.waiting;
  const rows = batches.flatMap(fateRows);
  const rooted = rows.filter((r) => r.cause === 'rooted');
  return {
    name,
    batches,
    settled,
    told,
    count,
    rooted: wilson(count.rooted, told),
    lost: wilson(told - count.rooted, told),
    curve: aalenJohansen(rows),
    half: rooted.length === 0 ? null : turnbullMedian(turnbull(rooted)),
  };
}

/** Two ways against each other. */
export interface Comparison {
  readonly a: GroupResult;
  readonly b: GroupResult;
  /** Of the shares that rooted, a − b. */
  readonly difference: ShareDifference | null;
  /** With cuttings of a batch taken as alike: what is gone by. */
  readonly p: number;
  readonly strength: Strength;
  /** Within plants, where both ways were tried on the same ones; on effective numbers too. */
  readonly within: MantelHaenszel | null;
  /** Of the times to roots. */
  readonly times: RankTest;
  /** That a roots more often than b, cuttings of a batch taken as alike, 0–1. */
  readonly chance: number;
  /** What else the groups differ in, in sentences. */
  readonly confounded: readonly string[];
  /** Cuttings in each arm of a fair trial that would find such a difference four times in five. */
  readonly trialOf: number | null;
}

export function compareGroups(
  state: State,
  by: Grouping,
  a: GroupResult,
  b: GroupResult,
): Comparison {
  const [wa, wb] = [weighed(a.settled), weighed(b.settled)];
  const table = { a: wa, b: wb };
  const p = fisherExact(table)?.p ?? 1;
  const rows = [a, b].flatMap((group, index) =>
    group.batches.flatMap((batch) =>
      fateRows(batch).map((row) => ({
        ...row,
        // Lost ones leave the race for roots: they are known to have had none until then.
        ...(row.cause === 'rooted'
          ? {}
          : { left: row.right === Infinity ? row.left : row.right, right: Infinity }),
        group: index,
        stratum: batch.taxon,
      })),
    ),
  );
  return {
    a,
    b,
    difference: newcombe(
      { successes: a.count.rooted, trials: a.told },
      { successes: b.count.rooted, trials: b.told },
    ),
    p,
    strength: strengthOf(p),
    within: by === 'plant' || by === 'genus' ? null : withinPlants(a, b),
    times: rankTest(rows),
    chance: chanceAbove(
      { successes: wa.yes, trials: wa.yes + wa.no },
      { successes: wb.yes, trials: wb.yes + wb.no },
    ),
    confounded: confounding(state, by, a, b),
    trialOf:
      a.rooted && b.rooted ? eachNeeded(0.8, inside(a.rooted.share), inside(b.rooted.share)) : null,
  };
}

/** A share of all or none is no plan for a trial: half a cutting more or less. */
const inside = (share: number): number => Math.min(0.98, Math.max(0.02, share));

/** Effective numbers of rooted and not. */
function effective(batches: readonly Batch[]): { readonly yes: number; readonly no: number } {
  let [yes, no] = [0, 0];
  for (const { count, counts, waiting } of batches) {
    const weight = weightOf(count);
    const rooted = counts.rooted + counts.pupped;
    yes += weight * rooted;
    no += weight * (count - waiting - rooted);
  }
  return { yes, no };
}

/** The same in whole numbers, as an exact test wants them. */
function weighed(batches: readonly Batch[]): { readonly yes: number; readonly no: number } {
  const { yes, no } = effective(batches);
  return { yes: Math.round(yes), no: Math.round(no) };
}

function withinPlants(a: GroupResult, b: GroupResult): MantelHaenszel | null {
  const taxa = new Set([...a.batches, ...b.batches].map((batch) => batch.taxon));
  const of = (group: GroupResult, taxon: string) =>
    effective(group.settled.filter((batch) => batch.taxon === taxon));
  return mantelHaenszel([...taxa].map((taxon) => ({ a: of(a, taxon), b: of(b, taxon) })));
}

/** Groups that share less than this of their make-up differ in it. Working assumption. */
const SHARED_LEAST = 0.5;
const WATCHED: readonly Grouping[] = ['plant', 'method', 'mother', 'space', 'mix'];

function confounding(
  state: State,
  by: Grouping,
  a: GroupResult,
  b: GroupResult,
): readonly string[] {
  const told = WATCHED.filter((g) => g !== by).flatMap((watched) => {
    const [pa, pb] = [makeUp(state, watched, a.batches), makeUp(state, watched, b.batches)];
    if (pa.size === 0 || pb.size === 0) return [];
    let shared = 0;
    for (const [name, share] of pa) shared += Math.min(share, pb.get(name) ?? 0);
    if (shared >= SHARED_LEAST) return [];
    return [`in ${watched}: mostly ${largest(pa)} against ${largest(pb)}`];
  });
  const season = seasons(a, b);
  return season ? [...told, season] : told;
}

function makeUp(
  state: State,
  by: Grouping,
  batches: readonly Batch[],
): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  let total = 0;
  for (const batch of batches) {
    const name = groupOf(state, batch, by);
    if (name === null) continue;
    sums.set(name, (sums.get(name) ?? 0) + batch.count);
    total += batch.count;
  }
  return new Map([...sums].map(([name, n]) => [name, n / total]));
}

const largest = (shares: ReadonlyMap<string, number>): string =>
  [...shares].reduce((a, b) => (b[1] > a[1] ? b : a))[0];

/** Cut at other times of the year: the middles of the cuts lie more than a season apart on the year's circle. */
function seasons(a: GroupResult, b: GroupResult): string {
  const angle = (batches: readonly Batch[]): { x: number; y: number } => {
    let [x, y, n] = [0, 0, 0];
    for (const { cutOn, count } of batches) {
      const turn =
        (2 * Math.PI * (Number(cutOn.slice(5, 7)) - 1 + Number(cutOn.slice(8)) / 31)) / 12;
      x += count * Math.cos(turn);
      y += count * Math.sin(turn);
      n += count;
    }
    return { x: x / n, y: y / n };
  };
  const [p, q] = [angle(a.batches), angle(b.batches)];
  const lengths = Math.hypot(p.x, p.y) * Math.hypot(q.x, q.y);
  if (lengths < 0.04) return '';
  const apart = Math.acos(Math.max(-1, Math.min(1, (p.x * q.x + p.y * q.y) / lengths)));
  return apart > Math.PI / 2 ? 'in season: cut at other times of the year' : '';
}
