import { CATALOGUE, METHOD, usualCourse, type TaxonMethod } from '../botany';
import { COURSE } from '../course';
import type { Day } from '../days';
import { fold } from '../journal';
import { lostOf, rehearse, strategyOf, type Strategy } from '../rehearse';
import { written } from './entries';

/*
 * Least work (law 11): the advice against simpler habits, on the product's own play, over plants, ways, seasons, places
 * and pots.
 */

/** Where it stands: usual means of the months, °C, January first. */
const PLACES = {
  'cold frame': [4, 5, 8, 11, 15, 18, 20, 20, 16, 12, 8, 5],
  greenhouse: [12, 13, 15, 18, 21, 24, 26, 26, 22, 18, 14, 12],
  'warm shelf': [20, 20, 21, 22, 23, 24, 25, 25, 23, 22, 21, 20],
} as const;
const DATES: readonly Day[] = ['2026-02-10', '2026-05-05', '2026-08-10', '2026-11-10'];
const POTS = [
  { container: 'pot-7', mix: 'all-mineral' },
  { container: 'tray-4', mix: 'half-and-half' },
] as const;

/** So many of a hundred more are worth a word; within one of a hundred they do as well. */
const MORE = 2;
const AS_WELL = 1;
/** What grows a tenth less since its roots does not do as well. Working assumption. */
const AS_GROWN = 0.9;
/** One drink more or less is chance. */
const ONE_DRINK = 1;

const HABITS = [
  'weekly from the first day',
  'weekly from the safe day',
  'every 11 days',
  'every third day',
  'never until roots',
  'at once, then weekly',
] as const;
export type Habit = (typeof HABITS)[number];

/** One setting in which the advice was beaten, or cost more than what does as well. */
export interface Setting {
  readonly taxon: string;
  readonly method: string;
  readonly day: Day;
  readonly place: string;
  readonly mix: string;
  readonly habit: Habit;
  /** More of a hundred that live, by the habit. */
  readonly more: number;
  /** Drinks by the advice, and by the habit. */
  readonly drinks: number;
  readonly habitDrinks: number;
}

export interface LeastWork {
  readonly settings: number;
  readonly beaten: readonly Setting[];
  readonly costlier: readonly Setting[];
}

function habitOf(advice: Strategy, habit: Habit): Strategy {
  const safe = 'day' in advice.first ? advice.first.day : advice.dryDays;
  const first = { day: advice.dryDays };
  switch (habit) {
    case 'weekly from the first day':
      return { ...advice, name: habit, first, then: { everyDays: 7 } };
    case 'weekly from the safe day':
      return { ...advice, name: habit, first: { day: safe }, then: { everyDays: 7 } };
    case 'every 11 days':
      return { ...advice, name: habit, first: { day: safe }, then: { everyDays: 11 } };
    case 'every third day':
      return { ...advice, name: habit, first: { day: safe }, then: { everyDays: 3 } };
    case 'never until roots':
      return { ...advice, name: habit, first: { once: 'roots' }, then: { everyDays: 7 } };
    case 'at once, then weekly':
      return { ...advice, name: habit, dryDays: 0, first: { day: 0 }, then: { everyDays: 7 } };
  }
}

const DAYS = 150;
const CUTTINGS = 20;

/** Ways of the guide that can be played, spread over it. */
function waysOf(count: number): readonly { readonly taxon: string; readonly way: TaxonMethod }[] {
  const all = CATALOGUE.flatMap((taxon) =>
    taxon.methods
      .filter((way) => COURSE[usualCourse(taxon, way.method, way.wound)].played)
      .map((way) => ({ taxon: taxon.id, way })),
  );
  const place = (i: number): number => Math.floor((i * count) / all.length);
  return all.filter((_, i) => place(i) !== place(i - 1));
}

/** @param ways so many of the guide @param benches of twenty cuttings each */
export function leastWork(ways: number, benches: number): LeastWork {
  const state = fold(
    written(
      ...Object.entries(PLACES).map(([name, means]) => ({
        kind: 'put' as const,
        record: 'space' as const,
        key: name,
        day: '2026-01-01',
        fields: {
          name,
          monthly: means.map((mean) => ({ minC: mean - 4, maxC: mean + 4, rh: 0.65 })),
        },
      })),
    ),
  );
  const beaten: Setting[] = [];
  const costlier: Setting[] = [];
  let settings = 0;
  for (const { taxon, way } of waysOf(ways))
    for (const day of DATES)
      for (const place of Object.keys(PLACES))
        for (const pot of POTS) {
          const advice = strategyOf(
            state,
            'advice',
            {
              taxon,
              method: way.method,
              count: CUTTINGS,
              cutOn: day,
              school: 'dry-to-touch',
              callusAt: 'rack',
              space: place,
              disinfectant: 'alcohol',
              ...pot,
            },
            DAYS,
          );
          if ('problem' in advice) continue;
          settings++;
          const all = against(advice, benches, settings).map((o) => ({
            ...o,
            taxon,
            method: METHOD[way.method].name,
            day,
            place,
            mix: pot.mix,
          }));
          const [best] = all
            .filter((o) => o.more > MORE + 2 * o.se && o.lost < o.more)
            .sort((a, b) => b.more - a.more);
          const [cheapest] = all
            .filter((o) => o.more >= -AS_WELL && o.lost <= Math.max(o.more, 0) + AS_WELL)
            .filter((o) => o.grown >= AS_GROWN)
            .filter((o) => o.drinks > o.habitDrinks + ONE_DRINK)
            .sort((a, b) => a.habitDrinks - b.habitDrinks);
          if (best) beaten.push(best);
          else if (cheapest) costlier.push(cheapest);
        }
  return { settings, beaten, costlier };
}

type Against = Pick<Setting, 'habit' | 'more' | 'drinks' | 'habitDrinks'> & {
  readonly se: number;
  /** More of a hundred that rot or dry: what waits alive is not lost. */
  readonly lost: number;
  /** What its plants grew since their roots, against those of the advice. */
  readonly grown: number;
};

/** The advice against every habit, on the same luck. */
function against(advice: Strategy, benches: number, seed: number): readonly Against[] {
  const strategies = [advice, ...HABITS.map((habit) => habitOf(advice, habit))];
  const played = rehearse({ strategies, cuttings: CUTTINGS * benches, days: DAYS, seed, benches });
  if (!played.ok) return [];
  const [mine, ...others] = played.outcomes;
  return others.map((other, k) => {
    const apart = played.differences.find((d) => d.a === 0 && d.b === k + 1);
    return {
      habit: HABITS[k]!,
      more: 100 * (other.rooted.share - mine!.rooted.share),
      se: 100 * (apart ?? other).rooted.se,
      lost: 100 * (lostOf(other) - lostOf(mine!)),
      grown: (other.grown ?? 0) / (mine!.grown ?? 1),
      drinks: mine!.waterings,
      habitDrinks: other.waterings,
    };
  });
}
