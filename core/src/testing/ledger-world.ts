import { addDays } from '../days';
import {
  compareGroups,
  findLosses,
  GROUPINGS,
  groupsBy,
  ledgerShares,
  moneyOf,
  NO_SALES,
  type Grouping,
  type LedgerCase,
} from '../ledger';
import {
  CORRELATION_CELLS,
  correlationFrom,
  correlationVector,
  logitOf,
  sumOf,
  USUAL_CORRELATION,
} from '../learn';
import { drawsOf } from './draws';

/*
 * Benches of which is known that nothing goes with anything: all trays of one chance, alike as much as said. What the
 * ledger finds in them is an error of its tests; how often its ranges hold the chance is their coverage.
 */

/** How the simulated trays are. */
export interface Trays {
  /** Of two cuttings of a tray. */
  readonly correlation: number;
  readonly chance: number;
  readonly trays: number;
}

/** What the trays of a bench are told apart by in it, without meaning anything. */
const TOLD: readonly Grouping[] = ['school', 'place of callus', 'mix', 'pot', 'space', 'season'];

function benchOf({ correlation, chance, trays }: Trays, seed: number): readonly LedgerCase[] {
  const { random, tray } = drawsOf(seed);
  return Array.from({ length: trays }, (_, i): LedgerCase => {
    const of = 12 + Math.floor(29 * random());
    const own = tray(chance, correlation);
    let rooted = 0;
    for (let k = 0; k < of; k++) if (random() < own) rooted++;
    const told = new Map(TOLD.map((by) => [by, `${by} ${Math.floor(3 * random())}`]));
    const lost = { left: 10, right: 30, cause: 'rotted', count: of - rooted };
    return {
      id: `t${i}`,
      title: `Tray ${i}`,
      code: `T${i}`,
      taxon: 'echeveria-elegans',
      cutOn: addDays('2026-01-01', i),
      count: of,
      counts: { rooted, pupped: 0, rotted: of - rooted, dried: 0, lost: 0 },
      waiting: 0,
      heads: null,
      stuck: true,
      breached: false,
      firstRoot: null,
      counted: true,
      settled: true,
      looks: [10, 30],
      groups: Object.fromEntries(
        GROUPINGS.map((by) => [by, by === 'method' ? 'Leaf' : (told.get(by) ?? null)]),
      ) as LedgerCase['groups'],
      first: [{ left: 10, right: 30, cause: 'rooted', count: rooted }, lost],
      pups: [lost],
      losses: [lost],
      cost: { total: of, minutes: of, unpriced: [] },
      sold: NO_SALES,
    };
  });
}

/** The correlation these trays themselves teach, as a bench learns it. */
function learnedOf(cases: readonly LedgerCase[], chance: number): number {
  if (cases.length < 2) return USUAL_CORRELATION;
  const logit = logitOf(chance);
  const sum = sumOf(
    cases.map(({ count, counts }) => ({
      vector: correlationVector({ logit, lived: counts.rooted, lost: count - counts.rooted }),
      weight: 1,
    })),
    CORRELATION_CELLS,
  );
  return correlationFrom([{ logit, worth: 4, sum }]);
}

/** Of so many benches, the shares in which … */
export interface LedgerHonesty {
  /** … the range of what rooted holds the chance: 0.95 is said. */
  readonly shares: number;
  /** … the range of the cost of a plant holds the true one: 0.8 is said. */
  readonly money: number;
  /** … something is found to go with losses: at most 0.05. */
  readonly findings: number;
  /** … two ways are told apart, p below 0.05: at most 0.05. */
  readonly compared: number;
  /** … and their times to roots: at most 0.05. */
  readonly times: number;
}

/** How honest the ledger is where nothing is to be found. */
export function ledgerHonesty(world: Trays, benches: number, seed: number): LedgerHonesty {
  const { chance } = world;
  const sums = { shares: 0, money: 0, findings: 0, compared: 0, times: 0 };
  for (let n = 0; n < benches; n++) {
    const cases = benchOf(world, seed + n);
    const rho = learnedOf(cases, chance);
    const share = ledgerShares(cases, rho).rooted!;
    if (share.low <= chance && chance <= share.high) sums.shares++;
    const cost = moneyOf('All', cases, rho).perPlant;
    if (cost && cost.low <= 1 / chance && 1 / chance <= cost.high) sums.money++;
    if (findLosses(cases, rho).findings.length > 0) sums.findings++;
    const [a, b] = groupsBy(cases, 'school', rho);
    if (!a || !b) continue;
    const { p, times } = compareGroups('school', a, b);
    if (p < 0.05) sums.compared++;
    if ((times.test?.p ?? 1) < 0.05) sums.times++;
  }
  const of = (sum: number): number => sum / benches;
  return {
    shares: of(sums.shares),
    money: of(sums.money),
    findings: of(sums.findings),
    compared: of(sums.compared),
    times: of(sums.times),
  };
}
