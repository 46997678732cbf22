import { figuresOf, growingDay, plantOf } from '../bench';
import type { Taxon, TaxonMethod } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import { spaceOn, type Batch, type State } from '../journal';
import { GENUS_WEIGHT } from './belief';
import { growthOn, shareBy, slowed, timeOf, type WeibullTime } from './readiness';

/** How many times as long roots take here as the window says, learned from settled batches. */
export interface RootingPace {
  readonly factor: number;
  /** Eight times in ten between the two. */
  readonly low: number;
  readonly high: number;
  /** Cuttings of this plant whose roots (or pups) were seen between two looks, and of its genus. */
  readonly own: number;
  readonly genus: number;
}

/** Spread of the factor before any record, sd of the log. Working assumption; 0.2–0.6 make sense. */
const PACE_SD = 0.4;
/**
 * Cuttings of one batch share tray, weather and hand: each further one tells less. Working assumption,
 * correlation within a batch; 0.05–0.4 make sense.
 */
const ALIKE = 0.2;
const POINTS = 81;
const GRID: readonly number[] = Array.from(
  { length: POINTS },
  (_, i) => -3 * PACE_SD + (6 * PACE_SD * i) / (POINTS - 1),
);

/** Roots seen between two looks, as growth since the cut, for so many cuttings. */
export interface SeenBetween {
  readonly after: number;
  readonly by: number;
  readonly count: number;
}

/** What seen intervals make of the factor. @param groups by batch, with the weight of its evidence */
export function paceFrom(
  time: WeibullTime,
  groups: readonly { readonly seen: readonly SeenBetween[]; readonly weight: number }[],
): { readonly factor: number; readonly low: number; readonly high: number } {
  const logs = GRID.map((x) => {
    const stretched = slowed(time, Math.exp(x));
    let sum = -0.5 * (x / PACE_SD) ** 2;
    for (const { seen, weight } of groups) {
      const n = seen.reduce((all, s) => all + s.count, 0);
      const tempered = weight / (1 + (n - 1) * ALIKE);
      for (const { after, by, count } of seen) {
        const share = shareBy(stretched, by) - shareBy(stretched, after);
        sum += tempered * count * Math.log(Math.max(share, 1e-12));
      }
    }
    return sum;
  });
  const most = Math.max(...logs);
  const weights = logs.map((l) => Math.exp(l - most));
  const total = weights.reduce((a, b) => a + b, 0);
  const at = (share: number): number => {
    let sum = 0;
    const i = weights.findIndex((w) => (sum += w / total) >= share);
    return Math.exp(GRID[Math.max(i, 0)]!);
  };
  const mean = weights.reduce((sum, w, i) => sum + (w / total) * GRID[i]!, 0);
  return { factor: Math.exp(mean), low: at(0.1), high: at(0.9) };
}

const learned = new WeakMap<State['batches'], Map<string, RootingPace>>();

/** The pace of a plant's roots by a method on this bench. */
export function rootingPace(state: State, taxon: string, way: TaxonMethod): RootingPace {
  const known = learned.get(state.batches) ?? new Map<string, RootingPace>();
  learned.set(state.batches, known);
  const key = `${taxon}/${way.method}`;
  let pace = known.get(key);
  if (!pace) known.set(key, (pace = learn(state, taxon, way)));
  return pace;
}

function learn(state: State, taxon: string, way: TaxonMethod): RootingPace {
  const plant = plantOf(state, taxon);
  const genus = plant?.taxon.name.split(' ')[0];
  const count = { own: 0, genus: 0 };
  const groups: { seen: readonly SeenBetween[]; weight: number }[] = [];
  for (const batch of state.batches.values()) {
    if (batch.method !== way.method || batch.stage !== 'done' || !figuresOf(state, batch)) continue;
    const other = plantOf(state, batch.taxon);
    const mine = batch.taxon === taxon;
    if (!other || (!mine && other.taxon.name.split(' ')[0] !== genus)) continue;
    const seen = seenIn(state, batch, other.taxon);
    if (seen.length === 0) continue;
    count[mine ? 'own' : 'genus'] += seen.reduce((n, s) => n + s.count, 0);
    groups.push({ seen, weight: mine ? 1 : GENUS_WEIGHT });
  }
  if (groups.length === 0) return { factor: 1, ...spreadOf(), own: 0, genus: 0 };
  return { ...paceFrom(timeOf(way), groups), own: count.own, genus: count.genus };
}

function spreadOf(): { low: number; high: number } {
  const z = 1.2816;
  return { low: Math.exp(-z * PACE_SD), high: Math.exp(z * PACE_SD) };
}

/** When its cuttings had what makes them plants, as growth at 22 °C in season. */
function seenIn(state: State, batch: Batch, taxon: Taxon): readonly SeenBetween[] {
  const sign = batch.method === 'leaf' || batch.method === 'leaf-section' ? 'pupped' : 'rooted';
  const growth: number[] = [0];
  const grown = (day: Day): number => {
    const days = Math.min(Math.max(daysBetween(batch.cutOn, day), 0), 1100);
    for (let n = growth.length; n <= days; n++) {
      const on = addDays(batch.cutOn, n - 1);
      growth.push(
        growth[n - 1]! + growthOn(taxon, growingDay(state, spaceOn(batch, on, true), on)),
      );
    }
    return growth[days]!;
  };
  const counts = new Map<string, SeenBetween>();
  for (const cutting of batch.cuttings) {
    const between = cutting[sign];
    if (!between) continue;
    const key = `${between.after}/${between.by}`;
    const known = counts.get(key);
    counts.set(key, {
      after: grown(between.after),
      by: grown(between.by),
      count: (known?.count ?? 0) + 1,
    });
  }
  return [...counts.values()];
}

/** What the pace rests on, in words: `as catalogued`, `1.3 times the catalogue by your own 43`. */
export function paceWords({ factor, own, genus }: RootingPace): string {
  if (own + genus === 0) return 'catalogue';
  const whose = [own > 0 ? `your own ${own}` : '', genus > 0 ? `${genus} of the genus` : '']
    .filter(Boolean)
    .join(' and ');
  const percent = Math.round((factor - 1) * 100);
  if (Math.abs(percent) < 3) return `as the catalogue, by ${whose}`;
  return `${Math.abs(percent)} % ${percent > 0 ? 'slower' : 'sooner'} than the catalogue, by ${whose}`;
}
