import jStat from 'jstat';
import { assertTimed, isCensored, seenAt, type Timed } from './timed';

export interface SurvivalStep {
  readonly time: number;
  readonly atRisk: number;
  readonly events: number;
  /** Share to whom it has not happened by then, 0–1. */
  readonly survival: number;
  /** Greenwood's standard error. */
  readonly se: number;
  /** Limits on the log(−log) scale, 95%; null where they cannot be told (nobody or everybody left). */
  readonly low: number | null;
  readonly high: number | null;
}

export interface Median {
  /** Null where fewer than half have had it. */
  readonly time: number | null;
  readonly low: number | null;
  readonly high: number | null;
}

export interface KaplanMeier {
  readonly count: number;
  readonly events: number;
  /** At every time something happened. */
  readonly steps: readonly SurvivalStep[];
  readonly median: Median;
}

/**
 * Time to something where the time is known, or that it had not come by the last look. Rows known only to lie
 * between two looks count as of the later one: use `turnbull` for those.
 * Source: Kaplan & Meier 1958, JASA 53:457; Greenwood 1926; limits and median as R survival 3.5-3, survfit
 * with conf.type = "log-log".
 */
export function kaplanMeier(rows: readonly Timed[], confidence = 0.95): KaplanMeier {
  assertTimed(rows);
  const z = jStat.normal.inv((1 + confidence) / 2, 0, 1);
  const { times, had: hadAt, gone: goneAt } = tallyByTime(rows);
  let atRisk = rows.reduce((n, r) => n + (r.count ?? 1), 0);
  const count = atRisk;
  let [survival, greenwood, events] = [1, 0, 0];
  const steps: SurvivalStep[] = [];
  for (let i = 0; i < times.length; i++) {
    const [time, had, gone] = [times[i]!, hadAt[i]!, goneAt[i]!];
    if (had > 0) {
      survival *= 1 - had / atRisk;
      if (atRisk > had) greenwood += had / (atRisk * (atRisk - had));
      events += had;
      const inside = survival > 0 && survival < 1;
      const theta = inside ? (z * Math.sqrt(greenwood)) / Math.log(survival) : 0;
      steps.push({
        time,
        atRisk,
        events: had,
        survival,
        se: survival === 0 ? 0 : survival * Math.sqrt(greenwood),
        low: inside ? survival ** Math.exp(-theta) : null,
        high: inside ? survival ** Math.exp(theta) : null,
      });
    }
    atRisk -= had + gone;
  }
  return { count, events, steps, median: medianOf(steps) };
}

/** Rows gathered by the time they are known by, in order. */
export interface TimeTally {
  readonly times: Float64Array;
  /** To how many it happened then, and how many were seen then for the last time. */
  readonly had: Float64Array;
  readonly gone: Float64Array;
  /** Place of each row's time among the times. */
  readonly places: Uint32Array;
}

/** Typed arrays and a native sort: a hundred thousand rows within a blink. */
export function tallyByTime(rows: readonly Timed[]): TimeTally {
  const all = new Float64Array(rows.length);
  for (let i = 0; i < rows.length; i++) all[i] = seenAt(rows[i]!);
  all.sort();
  let distinct = 0;
  for (let i = 0; i < all.length; i++)
    if (i === 0 || all[i] !== all[distinct - 1]) all[distinct++] = all[i]!;
  const times = all.subarray(0, distinct);
  const had = new Float64Array(distinct);
  const gone = new Float64Array(distinct);
  const places = new Uint32Array(rows.length);
  for (let i = 0; i < rows.length; i++) {
    const row = rows[i]!;
    const time = seenAt(row);
    let low = 0;
    let high = distinct - 1;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (times[middle]! < time) low = middle + 1;
      else high = middle;
    }
    places[i] = low;
    (isCensored(row) ? gone : had)[low]! += row.count ?? 1;
  }
  return { times, had, gone, places };
}

/** When a falling curve reaches the half; the middle of the flat piece where it lies on it. */
function halfOf(
  steps: readonly SurvivalStep[],
  of: (s: SurvivalStep) => number | null,
): number | null {
  const i = steps.findIndex((s) => (of(s) ?? 1) <= 0.5 + 1e-12);
  if (i < 0) return null;
  const here = steps[i]!;
  const next = steps[i + 1];
  return Math.abs((of(here) ?? 1) - 0.5) < 1e-12 && next ? (here.time + next.time) / 2 : here.time;
}

function medianOf(steps: readonly SurvivalStep[]): Median {
  return {
    time: halfOf(steps, (s) => s.survival),
    // Where everybody has had it there is no limit any more: the estimate itself stands in.
    low: halfOf(steps, (s) => s.low ?? (s.survival === 0 ? null : 1)),
    high: halfOf(steps, (s) => s.high ?? (s.survival === 0 ? null : 1)),
  };
}
