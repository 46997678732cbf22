import { plantOf, placesIn } from '../bench';
import { formOf, methodOf, type MethodId } from '../botany';
import type { Day } from '../days';
import type { Batch, BatchFields, Mother, State } from '../journal';
import { cuttingCautions, type Caution } from '../safety';
import { usualSchool } from '../wound';
import { DISINFECT, materialsOf } from './materials';
import { MINUTES } from './minutes';
import { likelySpareOf } from './spare';

/** So many pieces of one way, taken from one mother. */
export interface DayCut {
  readonly method: MethodId;
  readonly count: number;
}

/** More than these nobody cuts of one plant without asking for them. */
const MOST_UNASKED = 40;

/** As much of a way as it can spare, up to forty. */
export function usualCount(state: State, mother: Mother, method: MethodId): number {
  const taxon = plantOf(state, mother.taxon ?? '')?.taxon;
  if (!taxon) return 0;
  return Math.min(likelySpareOf(mother, formOf(taxon), method).count, MOST_UNASKED);
}

/**
 * What a mother is cut for on a day, if nobody says otherwise: the first way she takes well and can spare something
 * of, as much of it as it can spare, up to forty.
 * @returns null where her plant is unknown, or it can spare nothing
 */
export function usualCut(state: State, mother: Mother): DayCut | null {
  const taxon = plantOf(state, mother.taxon ?? '')?.taxon;
  if (!taxon) return null;
  const cuts = taxon.methods.map(({ method, worth }) => ({
    method,
    poor: worth === 'poor',
    count: usualCount(state, mother, method),
  }));
  const some = cuts.filter((c) => c.count > 0);
  const best = some.find((c) => !c.poor) ?? some[0];
  return best ? { method: best.method, count: best.count } : null;
}

/**
 * The batch a cut of a day becomes, with the habits of the bench: drying as the grower does it, the blade wiped with
 * alcohol where one cuts.
 * @param at the day, and where it lies: where she stands, if nobody says otherwise
 * @returns null where her plant, or its way, is unknown
 */
export function cutFields(
  state: State,
  mother: Mother,
  { method, count }: DayCut,
  at: { readonly day: Day; readonly space?: string | undefined; readonly place: string },
): BatchFields | null {
  const plant = plantOf(state, mother.taxon ?? '');
  const figures = plant && methodOf(plant.taxon, method);
  if (!plant || !figures) return null;
  const space = at.space ?? mother.space ?? placesIn(state)[0]?.id ?? 'home';
  const school = usualSchool(figures.wound, state.settings.school);
  return {
    mother: mother.id,
    taxon: plant.id,
    method,
    count,
    cutOn: at.day,
    school,
    callusAt: school === 'straight-in' ? 'medium' : 'rack',
    callusSpace: space,
    space,
    disinfectant: figures.wound ? 'alcohol' : 'none',
    ...(at.place.trim() === '' ? {} : { place: at.place.trim() }),
  };
}

/** Hands-on time of cuts, minutes. */
export const minutesFor = (cuts: readonly DayCut[]): number =>
  cuts.reduce((sum, { method, count }) => sum + count * MINUTES[method], 0);

/** What to lay ready for several cuts of one day, and what to mind; each once. */
export interface Ready {
  readonly things: readonly string[];
  /** Of one mother at least nobody has asked whether it may be propagated. */
  readonly unasked: boolean;
  readonly cautions: readonly Caution[];
}

/** @param planned batches as they will be cut */
export function readyFor(state: State, planned: readonly Batch[]): Ready {
  const motherOf = (b: Batch): Mother | undefined => state.mothers.get(b.mother ?? '');
  const things = planned.flatMap((b) =>
    materialsOf(state, b, DISINFECT.alcohol.usualBottle).list.map((m) => m.what),
  );
  const cautions = planned.flatMap((b) => {
    const plant = plantOf(state, b.taxon);
    if (!plant) return [];
    const law = motherOf(b)?.protectedVariety ? (['rights'] as const) : [];
    return cuttingCautions(
      { hazards: plant.taxon.hazards, law: [...plant.taxon.law, ...law] },
      b.disinfectant === 'alcohol',
      b.disinfectant ?? 'none',
    );
  });
  return {
    things: [...new Set(things)],
    unasked: planned.some((b) => (motherOf(b)?.permission ?? 'unknown') === 'unknown'),
    cautions: [...new Map(cautions.map((c) => [c.title, c])).values()],
  };
}
