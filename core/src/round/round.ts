import { spaceDrying, waterCaseOf } from '../bench';
import {
  careOf,
  motherCareOf,
  type Ask,
  type Do,
  type Leave,
  type LeaveKind,
  type Look,
  type MotherAsk,
} from '../care';
import type { Day } from '../days';
import { settleAll, type Broken } from '../faults';
import type { Batch, State } from '../journal';
import { judge, type WaterVerdict } from '../water';
import { noticesOn, type Notice } from './notices';

/** Verdicts on the water of batches, by batch; they cost the most and may come later, from a worker. */
export type Verdicts = ReadonlyMap<string, WaterVerdict>;

/** What a day asks of a whole bench. */
export interface Round {
  /** One line a batch: what keeps it alone the hardest. */
  readonly leave: readonly Leave[];
  readonly look: readonly Look[];
  readonly do: readonly Do[];
  readonly mothers: readonly MotherAsk[];
  /** What concerns no single batch: frost, the end of a season, orders. */
  readonly notices: readonly Notice[];
  /** Batches that could not be worked out, and why: said instead of everything else of them. */
  readonly broken: readonly Broken<Batch>[];
}

/** The verdicts on all batches whose pot and mix are told. */
export function verdictsOn(state: State, today: Day): Verdicts {
  const drying = spaceDrying(state);
  const { results } = settleAll(state.batches.values(), (b) => {
    const given = waterCaseOf(state, b, today, undefined, drying);
    return given ? [judge(given)] : [];
  });
  return new Map(results.flat().map((verdict) => [verdict.id, verdict]));
}

/** The care of every batch, by band: what to leave alone, to look at, to do. */
export function roundOn(state: State, today: Day, verdicts: Verdicts = new Map()): Round {
  const { results, broken } = settleAll(state.batches.values(), (b) =>
    careOf(state, b, today, verdicts.get(b.id)),
  );
  const asks = results.flatMap((c) => c.asks);
  const mothers = settleAll(state.mothers.values(), (m) => motherCareOf(state, m, today).asks);
  return {
    leave: results.flatMap((c) => hardest(c.leave)).sort(byRank),
    look: asks.filter((a): a is Look => a.band === 'look').sort(latestFirst),
    do: asks.filter((a): a is Do => a.band === 'do'),
    mothers: mothers.results.flat(),
    notices: noticesOn(state, today),
    broken,
  };
}

/** Closed gates first: there the can does harm; then wet pots; a look too soon is only of no use. */
const RANK: Readonly<Record<LeaveKind, number>> = {
  held: 0,
  gate: 1,
  drying: 2,
  water: 3,
  rooting: 4,
  jar: 5,
  shade: 6,
  rest: 7,
  postponed: 8,
  planned: 9,
  grown: 10,
};

/** What is said of a whole bench: plans and plants that have grown on are no news there. */
function hardest(leave: readonly Leave[]): readonly Leave[] {
  const told = leave.filter((l) => l.kind !== 'planned' && l.kind !== 'grown');
  return told.length === 0 ? [] : [told.reduce((a, b) => (RANK[b.kind] < RANK[a.kind] ? b : a))];
}

const byRank = (a: Leave, b: Leave): number =>
  RANK[a.kind] - RANK[b.kind] || (a.until < b.until ? -1 : a.until > b.until ? 1 : 0);

const latestFirst = (a: Ask, b: Ask): number => b.late - a.late;
