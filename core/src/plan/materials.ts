import { containerOf, woundOf, mixOf, plantOf, shedOf } from '../bench';
import type { Batch, State } from '../journal';
import { quantityFor, type Quantity } from '../media';
import { AID } from '../wound';
import { dilute, dilutionProblem, type Dilution } from './dilution';

/** Something to lay ready. */
export interface Material {
  readonly what: string;
  readonly why: string;
}

/** Strength a disinfectant is used at, and how much of it a bench wants. Common practice, no source. */
export const DISINFECT = {
  alcohol: { strength: 0.7, ml: 100, usualBottle: 0.96 },
  bleach: { strength: 0.005, ml: 500, usualBottle: 0.05 },
} as const;

export interface Materials {
  readonly list: readonly Material[];
  readonly medium: (Quantity & { readonly name: string }) | null;
  readonly containers: { readonly name: string; readonly count: number } | null;
  readonly labels: number;
  /** Of the disinfectant; null where none is used. */
  readonly disinfectant: {
    readonly kind: keyof typeof DISINFECT;
    readonly strength: number;
    readonly ml: number;
    readonly dilution: Dilution | null;
    readonly problem: string;
  } | null;
}

/**
 * What a batch takes to make.
 * @param bottle strength of the disinfectant's bottle, 0–1
 */
export function materialsOf(state: State, batch: Batch, bottle: number): Materials {
  const taxon = plantOf(state, batch.taxon)?.taxon;
  // Snapped or parted by hand there is a wound, but no blade.
  const wound = woundOf(state, batch) !== null;
  const cuts = wound && batch.opening !== 'snapped';
  const container = batch.container === undefined ? null : containerOf(state, batch.container);
  const mix = batch.mix === undefined ? null : mixOf(state, batch.mix);
  const count = batch.containers ?? 1;
  const kinds = new Set((taxon?.hazards ?? []).map((h) => h.kind));
  const list: Material[] = [];
  if (cuts)
    list.push({
      what: 'A sharp, clean blade and a board',
      why: 'one clean cut dries; a crushed one rots',
    });
  if (batch.disinfectant === 'alcohol' || batch.disinfectant === 'bleach')
    list.push({ what: 'A cloth for the blade', why: 'wiped with disinfectant between plants' });
  if (kinds.has('latex')) list.push({ what: 'Goggles and gloves', why: 'its latex can blind' });
  else if (kinds.has('irritant sap') || kinds.has('oxalate'))
    list.push({ what: 'Gloves', why: 'its sap irritates' });
  if (kinds.has('spines') || kinds.has('glochids'))
    list.push({ what: 'Tongs or folded paper, eye cover', why: 'spines' });
  if (batch.aid !== undefined && batch.aid !== 'none')
    list.push({ what: AID[batch.aid].name, why: AID[batch.aid].says.replace(/\.$/, '') });
  if (wound && batch.callusAt === 'rack')
    list.push({ what: 'A rack or paper, out of the sun', why: 'moving air on every wound' });
  if (batch.method === 'leaf-section')
    list.push({
      what: 'A pen that writes on leaf',
      why: 'an arrow on every piece before the first cut',
    });
  list.push({ what: 'Dust mask, hands washed after', why: 'dry grit and compost' });
  return {
    list,
    medium:
      container && mix
        ? { ...quantityFor(mix.medium, container, count, shedOf(state)), name: mix.name }
        : null,
    containers: container ? { name: container.name, count } : null,
    labels: Math.max(1, container ? count : 1),
    disinfectant: disinfectantOf(batch, bottle),
  };
}

function disinfectantOf({ disinfectant }: Batch, bottle: number): Materials['disinfectant'] {
  if (disinfectant !== 'alcohol' && disinfectant !== 'bleach') return null;
  const { strength, ml } = DISINFECT[disinfectant];
  const problem = dilutionProblem(bottle, strength, ml);
  return {
    kind: disinfectant,
    strength,
    ml,
    dilution: problem ? null : dilute(bottle, strength, ml),
    problem,
  };
}
