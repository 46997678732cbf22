import { tallyByTime } from './kaplan-meier';
import { assertTimed, isCensored, type Timed } from './timed';

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
  const found = new Set<string>();
  for (const row of rows) if (!isCensored(row)) found.add(causeOf(row));
  const names = [...found].sort();
  const kinds = names.length;
  const { times, gone, places } = tallyByTime(rows);
  // Struck by cause k at time i, all in one array.
  const struck = new Float64Array(times.length * kinds);
  let atRisk = 0;
  for (let i = 0; i < rows.length; i++) {
    const row = rows[i]!;
    const n = row.count ?? 1;
    atRisk += n;
    if (!isCensored(row)) struck[places[i]! * kinds + names.indexOf(causeOf(row))]! += n;
  }
  const count = atRisk;
  const steps = names.map((): IncidenceStep[] => []);
  const waiting: { time: number; share: number; atRisk: number }[] = [];
  const incidence = new Float64Array(kinds);
  let survival = 1;
  /*
   * Influence of one row on S and on F_k. All still at risk share theirs (`ds`, `df`). Who has left keeps
   * α + β·F_k(t) from then on, so that sums of α², αβ and β² over them are all that is needed.
   */
  let ds = 0;
  const df = new Float64Array(kinds);
  let betaSquares = 0;
  const alphaSquares = new Float64Array(kinds);
  const alphaBeta = new Float64Array(kinds);
  /** @param own the cause that struck them, −1 if none did @param extra what that adds to their influence on it */
  const leave = (n: number, s: number, own: number, extra: number): void => {
    const beta = survival > 0 ? s / survival : 0;
    betaSquares += n * beta * beta;
    for (let k = 0; k < kinds; k++) {
      const alpha = df[k]! + (k === own ? extra : 0) - beta * incidence[k]!;
      alphaSquares[k]! += n * alpha * alpha;
      alphaBeta[k]! += n * alpha * beta;
    }
  };
  for (let i = 0; i < times.length; i++) {
    const time = times[i]!;
    let total = 0;
    for (let k = 0; k < kinds; k++) total += struck[i * kinds + k]!;
    if (total > 0) {
      const before = survival;
      const all = total / atRisk;
      // At risk throughout: their own share of the hazard falls.
      for (let k = 0; k < kinds; k++) {
        const hazard = struck[i * kinds + k]! / atRisk;
        df[k]! += ds * hazard - (before * hazard) / atRisk;
        incidence[k]! += before * hazard;
      }
      ds = ds * (1 - all) + (before * all) / atRisk;
      survival = before * (1 - all);
      // Who is struck by a cause adds 1/atRisk to its hazard as well.
      for (let k = 0; k < kinds; k++) {
        const n = struck[i * kinds + k]!;
        if (n > 0) leave(n, ds - before / atRisk, k, before / atRisk);
      }
      const stay = atRisk - total;
      waiting.push({ time, share: survival, atRisk });
      for (let k = 0; k < kinds; k++) {
        const f = incidence[k]!;
        const variance =
          stay * df[k]! * df[k]! + alphaSquares[k]! + 2 * f * alphaBeta[k]! + f * f * betaSquares;
        steps[k]!.push({ time, incidence: f, se: Math.sqrt(Math.max(0, variance)) });
      }
    }
    if (gone[i]! > 0) leave(gone[i]!, ds, -1, 0);
    atRisk -= total + gone[i]!;
  }
  return { count, causes: new Map(names.map((name, k) => [name, steps[k]!])), waiting };
}

const causeOf = ({ cause = 'it' }: Timed): string => cause;

/** The incidence of a cause by a time, 0 before its first. */
export function incidenceBy(steps: readonly IncidenceStep[], time: number): IncidenceStep {
  return steps.findLast((s) => s.time <= time) ?? { time, incidence: 0, se: 0 };
}
