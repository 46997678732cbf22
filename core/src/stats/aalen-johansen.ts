import { assertTimed, isCensored, seenAt, type Timed } from './timed';

export interface IncidenceStep {
  readonly time: number;
  /** Share that has met this cause by then, 0–1. */
  readonly incidence: number;
  readonly se: number;
}

export interface AalenJohansen {
  readonly count: number;
  /** By cause, at every time at which any cause struck. */
  readonly causes: ReadonlyMap<string, readonly IncidenceStep[]>;
  /** Share to whom nothing has happened yet, at the same times. */
  readonly waiting: readonly {
    readonly time: number;
    readonly share: number;
    readonly atRisk: number;
  }[];
}

/**
 * Causes that compete: roots, or rot, or drying, whichever is first. Never one minus Kaplan–Meier, which would
 * count the rotted as if they might root yet.
 * Rows that lie between two looks count as of the later one.
 * Source: Aalen & Johansen 1978, Scand. J. Stat. 5:141; variance by the infinitesimal jackknife, as R survival
 * 3.5-3 for survfit with several states. One pass over the rows, whatever their number.
 */
export function aalenJohansen(rows: readonly Timed[]): AalenJohansen {
  assertTimed(rows);
  const names = [...new Set(rows.flatMap((r) => (isCensored(r) ? [] : [causeOf(r)])))].sort();
  const index = new Map(names.map((name, k) => [name, k]));
  const byTime = new Map<number, { struck: number[]; gone: number }>();
  let atRisk = 0;
  for (const row of rows) {
    const n = row.count ?? 1;
    atRisk += n;
    const time = seenAt(row);
    let at = byTime.get(time);
    if (!at) byTime.set(time, (at = { struck: names.map(() => 0), gone: 0 }));
    if (isCensored(row)) at.gone += n;
    else at.struck[index.get(causeOf(row))!]! += n;
  }
  const times = [...byTime].sort(([a], [b]) => a - b);
  const count = atRisk;
  const incidence = names.map(() => 0);
  const causes = new Map<string, IncidenceStep[]>(names.map((name) => [name, []]));
  const waiting: { time: number; share: number; atRisk: number }[] = [];
  let survival = 1;
  /*
   * Influence of one row on S and on F_k. All still at risk share theirs (`ds`, `df`). Who has left keeps
   * α + β·F_k(t) from then on, so that sums of α², αβ and β² over them are all that is needed.
   */
  let ds = 0;
  const df = names.map(() => 0);
  let betaSquares = 0;
  const alphaSquares = names.map(() => 0);
  const alphaBeta = names.map(() => 0);
  const leave = (n: number, s: number, f: readonly number[]): void => {
    const beta = survival > 0 ? s / survival : 0;
    betaSquares += n * beta * beta;
    names.forEach((_, k) => {
      const alpha = f[k]! - beta * incidence[k]!;
      alphaSquares[k]! += n * alpha * alpha;
      alphaBeta[k]! += n * alpha * beta;
    });
  };
  for (const [time, { struck, gone }] of times) {
    const total = struck.reduce((a, b) => a + b, 0);
    if (total > 0) {
      const before = survival;
      const hazard = struck.map((n) => n / atRisk);
      const all = total / atRisk;
      // At risk throughout: their own share of the hazard falls.
      const dsOld = ds;
      const dfOld = [...df];
      ds = dsOld * (1 - all) + (before * all) / atRisk;
      names.forEach((_, k) => {
        df[k] = dfOld[k]! + dsOld * hazard[k]! - (before * hazard[k]!) / atRisk;
      });
      names.forEach((_, k) => (incidence[k]! += before * hazard[k]!));
      survival = before * (1 - all);
      // Who is struck by cause j adds 1/atRisk to its hazard as well.
      struck.forEach((n, j) => {
        if (n === 0) return;
        const s = ds - before / atRisk;
        leave(
          n,
          s,
          df.map((f, k) => (k === j ? f + before / atRisk : f)),
        );
      });
      const stay = atRisk - total;
      waiting.push({ time, share: survival, atRisk });
      names.forEach((name, k) => {
        const f = incidence[k]!;
        const variance =
          stay * df[k]! ** 2 + alphaSquares[k]! + 2 * f * alphaBeta[k]! + f * f * betaSquares;
        causes.get(name)!.push({ time, incidence: f, se: Math.sqrt(Math.max(0, variance)) });
      });
    }
    if (gone > 0) leave(gone, ds, df);
    atRisk -= total + gone;
  }
  return { count, causes, waiting };
}

const causeOf = ({ cause = 'it' }: Timed): string => cause;

/** The incidence of a cause by a time, 0 before its first. */
export function incidenceBy(steps: readonly IncidenceStep[], time: number): IncidenceStep {
  return steps.findLast((s) => s.time <= time) ?? { time, incidence: 0, se: 0 };
}
