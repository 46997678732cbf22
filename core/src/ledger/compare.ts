import { countLedger, type LedgerCount } from './count';
import {
  aalenJohansen,
  chanceAbove,
  eachNeededExactly,
  fisherP,
  mantelHaenszel,
  intervalTest,
  mergeRows,
  newcombeOf,
  turnbull,
  turnbullMedian,
  isCensored,
  type Timed,
  weightInCluster,
  wilsonOf,
  type AalenJohansen,
  type IntervalTest,
  type MantelHaenszel,
  type ShareDifference,
  type ShareInterval,
} from '../stats';
import { effectiveOf, surenessOf, whole, type Effective } from './effective';
import { holm, strengthOf, type Strength } from './evidence';
import type { LedgerCase } from './case';
import { gather } from './filter';
import type { Grouping } from './grouping';

/** One way of doing it, and what came of it. */
export interface GroupSummary {
  readonly name: string;
  /** Batches of which nothing is open any more: the shares are of these. */
  readonly settledBatches: number;
  /** Cuttings of the settled ones whose end is known. */
  readonly told: number;
  readonly count: LedgerCount;
  readonly rooted: ShareInterval | null;
  readonly lost: ShareInterval | null;
  readonly curve: AalenJohansen;
  /**
   * Days between which half of those that root have roots; null where none did. `to` is null while so many wait that
   * the half may lie any time ahead.
   */
  readonly half: { readonly from: number; readonly to: number | null } | null;
}

/** The same with the batches behind it. */
export interface GroupResult extends GroupSummary {
  /** All that were counted: the curves are of these. */
  readonly cases: readonly LedgerCase[];
  readonly settled: readonly LedgerCase[];
  /** What its figures rest on: of two cuttings of a tray. */
  readonly correlation: number;
}

/** Groups by a grouping, the largest first; batches without a result or without the answer are left out. */
export function groupsBy(
  cases: readonly LedgerCase[],
  by: Grouping,
  correlation: number,
): readonly GroupResult[] {
  return groupSizes(cases, by).map(({ name, members }) => resultOf(name, members, correlation));
}

/** The same groups without their curves, which are the work. */
export function groupSizes(cases: readonly LedgerCase[], by: Grouping) {
  const groups = gather(
    cases.filter((c) => c.counted),
    by,
  );
  return [...groups]
    .map(([name, members]) => {
      const settled = countLedger(members.filter((c) => c.settled));
      return { name, members, told: settled.stuck - settled.waiting };
    })
    .sort((a, b) => b.told - a.told || (a.name < b.name ? -1 : 1));
}

/** @param correlation of two cuttings of a tray, 0–1 */
export function resultOf(
  name: string,
  cases: readonly LedgerCase[],
  correlation: number,
): GroupResult {
  const settled = cases.filter((c) => c.settled);
  const count = countLedger(settled);
  const told = effective(settled, correlation);
  const rows = mergeRows(cases.flatMap((c) => c.first));
  return {
    name,
    cases,
    settled,
    settledBatches: settled.length,
    told: count.stuck - count.waiting,
    count,
    correlation,
    rooted: wilsonOf(told),
    lost: wilsonOf(turned(told)),
    curve: aalenJohansen(rows),
    half: halfOf(rows),
  };
}

/** Half of those that root: at the earliest if none of those that wait ever does, at the latest if all of them do. */
function halfOf(rows: readonly Timed[]): GroupSummary['half'] {
  const rooted = rows.filter((r) => r.cause === 'rooted');
  const first = rooted.length === 0 ? null : turnbullMedian(turnbull(rooted));
  if (first === null) return null;
  const waiting = rows.filter(isCensored);
  const last = turnbullMedian(turnbull([...rooted, ...waiting]));
  return { from: first.from, to: last === null ? null : Math.max(first.to, last.to) };
}

/** Two ways against each other. Every figure of it rests on the same effective numbers. */
export interface Comparison {
  readonly a: GroupSummary;
  readonly b: GroupSummary;
  /** Of the shares that rooted, a − b. */
  readonly difference: ShareDifference | null;
  /** With cuttings of a batch taken as alike: what is gone by. */
  readonly p: number;
  readonly strength: Strength;
  /** Within plants, where both ways were tried on the same ones; on effective numbers too. */
  readonly within: MantelHaenszel | null;
  /** Of the times to roots. */
  readonly times: IntervalTest;
  /** That a roots more often than b, cuttings of a batch taken as alike, 0–1. */
  readonly chance: number;
  /** What else the groups differ in, in sentences. */
  readonly confounded: readonly Confounding[];
  /** Cuttings in each arm of a fair trial that would find such a difference four times in five. */
  readonly trialOf: number | null;
}

export function compareGroups(by: Grouping, a: GroupResult, b: GroupResult): Comparison {
  const [wa, wb] = [effective(a.settled, a.correlation), effective(b.settled, b.correlation)];
  const sure = surenessOf(a.cases.length + b.cases.length);
  const p = fisherP({ a: whole(wa), b: whole(wb) }) ?? 1;
  const rows = [a, b].flatMap((group, index) =>
    group.cases.flatMap((one) =>
      one.first.map((row) => ({
        ...row,
        // Lost ones leave the race for roots: they are known to have had none until then.
        ...(row.cause === 'rooted'
          ? {}
          : { left: row.right === Infinity ? row.left : row.right, right: Infinity }),
        group: index as 0 | 1,
        stratum: one.taxon,
        weight: sure * weightInCluster(one.count, a.correlation),
      })),
    ),
  );
  return {
    a: summaryOf(a),
    b: summaryOf(b),
    difference: newcombeOf({ a: wa, b: wb }),
    p,
    strength: strengthOf(p),
    within: by === 'plant' || by === 'genus' ? null : withinPlants(a, b),
    times: intervalTest(mergeRows(rows, (r) => `${r.group}/${r.stratum}/${r.weight}`)),
    chance: chanceAbove(
      { successes: wa.yes, trials: wa.yes + wa.no },
      { successes: wb.yes, trials: wb.yes + wb.no },
    ),
    confounded: confounding(by, a, b),
    trialOf:
      a.rooted && b.rooted
        ? eachNeededExactly(0.8, inside(a.rooted.share), inside(b.rooted.share))
        : null,
  };
}

/** One group among all of them. */
export interface GroupRow {
  readonly name: string;
  readonly told: number;
  readonly settledBatches: number;
  readonly rooted: ShareInterval | null;
  readonly half: GroupSummary['half'];
  /** Against all the others together, corrected by Holm for how many there are; null where there is nothing to tell. */
  readonly p: number | null;
}

/** All groups side by side, the largest first. @param most so many at most */
export function allGroups(
  cases: readonly LedgerCase[],
  by: Grouping,
  correlation: number,
  most = 12,
): readonly GroupRow[] {
  const groups = groupSizes(cases, by)
    .slice(0, most)
    .map(({ name, members }) => resultOf(name, members, correlation));
  const weights = groups.map((g) => whole(effective(g.settled, correlation)));
  const [yes, no] = [sumOf(weights.map((w) => w.yes)), sumOf(weights.map((w) => w.no))];
  const raw = weights.map((w) => fisherP({ a: w, b: { yes: yes - w.yes, no: no - w.no } }));
  const corrected = holm(raw.map((p) => p ?? 1));
  return groups.map(({ name, told, settledBatches, rooted, half }, i) => ({
    name,
    told,
    settledBatches,
    rooted,
    half,
    p: raw[i] === null ? null : corrected[i]!,
  }));
}

const sumOf = (numbers: readonly number[]): number => numbers.reduce((a, b) => a + b, 0);

/** Without the batches: what a screen shows. */
function summaryOf({
  cases: _cases,
  settled: _settled,
  correlation: _correlation,
  ...summary
}: GroupResult): GroupSummary {
  return summary;
}

/** A share of all or none is no plan for a trial: half a cutting more or less. */
const inside = (share: number): number => Math.min(0.98, Math.max(0.02, share));

/** Rooted and not, as many as they count for. */
const effective = (cases: readonly LedgerCase[], correlation: number): Effective =>
  effectiveOf(
    cases.map(({ count, counts, waiting }) => ({
      of: count - waiting,
      yes: counts.rooted + counts.pupped,
    })),
    correlation,
  );

const turned = ({ yes, no }: Effective): Effective => ({ yes: no, no: yes });

function withinPlants(a: GroupResult, b: GroupResult): MantelHaenszel | null {
  const taxa = new Set([...a.cases, ...b.cases].map((one) => one.taxon));
  const of = (group: GroupResult, taxon: string) =>
    effective(
      group.settled.filter((one) => one.taxon === taxon),
      group.correlation,
    );
  return mantelHaenszel([...taxa].map((taxon) => ({ a: of(a, taxon), b: of(b, taxon) })));
}

/** What else two groups differ in: by another grouping, or by when in the year they were cut. */
export type Confounding =
  | { readonly by: 'season' }
  | {
      readonly by: Exclude<Grouping, 'season'>;
      /** The largest part of either. */
      readonly most: string;
      readonly against: string;
    };

/** Groups that share less than this of their make-up differ in it. Working assumption. */
const SHARED_LEAST = 0.5;
const WATCHED: readonly Exclude<Grouping, 'season'>[] = [
  'plant',
  'method',
  'mother',
  'space',
  'mix',
];

function confounding(by: Grouping, a: GroupResult, b: GroupResult): readonly Confounding[] {
  const told: Confounding[] = WATCHED.filter((g) => g !== by).flatMap((watched) => {
    const [pa, pb] = [makeUp(watched, a.cases), makeUp(watched, b.cases)];
    if (pa.size === 0 || pb.size === 0) return [];
    let shared = 0;
    for (const [name, share] of pa) shared += Math.min(share, pb.get(name) ?? 0);
    if (shared >= SHARED_LEAST) return [];
    return [{ by: watched, most: largest(pa), against: largest(pb) }];
  });
  return seasonsDiffer(a, b) ? [...told, { by: 'season' }] : told;
}

function makeUp(by: Grouping, cases: readonly LedgerCase[]): ReadonlyMap<string, number> {
  const sums = new Map<string, number>();
  let total = 0;
  for (const { groups, count } of cases) {
    const name = groups[by];
    if (name === null) continue;
    sums.set(name, (sums.get(name) ?? 0) + count);
    total += count;
  }
  return new Map([...sums].map(([name, n]) => [name, n / total]));
}

const largest = (shares: ReadonlyMap<string, number>): string =>
  [...shares].reduce((a, b) => (b[1] > a[1] ? b : a))[0];

/** Cut at other times of the year: the middles of the cuts lie more than a season apart on the year's circle. */
function seasonsDiffer(a: GroupResult, b: GroupResult): boolean {
  const angle = (cases: readonly LedgerCase[]): { x: number; y: number } => {
    let [x, y, n] = [0, 0, 0];
    for (const { cutOn, count } of cases) {
      const turn =
        (2 * Math.PI * (Number(cutOn.slice(5, 7)) - 1 + Number(cutOn.slice(8)) / 31)) / 12;
      x += count * Math.cos(turn);
      y += count * Math.sin(turn);
      n += count;
    }
    return { x: x / n, y: y / n };
  };
  const [p, q] = [angle(a.cases), angle(b.cases)];
  const lengths = Math.hypot(p.x, p.y) * Math.hypot(q.x, q.y);
  if (lengths < 0.04) return false;
  const apart = Math.acos(Math.max(-1, Math.min(1, (p.x * q.x + p.y * q.y) / lengths)));
  return apart > Math.PI / 2;
}
