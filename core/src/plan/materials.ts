import * as say from '@hypogeon/messages/core-materials';
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
      what: say.aSharpCleanBlade(),
      why: say.oneCleanCutDries(),
    });
  if (batch.disinfectant === 'alcohol' || batch.disinfectant === 'bleach')
    list.push({ what: say.aClothForThe(), why: say.wipedWithDisinfectantBetween() });
  if (kinds.has('latex')) list.push({ what: say.gogglesAndGloves(), why: say.itsLatexCanBlind() });
  else if (kinds.has('irritant sap') || kinds.has('oxalate'))
    list.push({ what: say.gloves(), why: say.itsSapIrritates() });
  if (kinds.has('spines') || kinds.has('glochids'))
    list.push({ what: say.tongsOrFoldedPaper(), why: 'spines' });
  if (batch.aid !== undefined && batch.aid !== 'none')
    list.push({ what: AID[batch.aid].name, why: AID[batch.aid].says.replace(/\.$/, '') });
  if (wound && batch.callusAt === 'rack')
    list.push({ what: say.aRackOrPaper(), why: say.movingAirOnEvery() });
  if (batch.method === 'leaf-section')
    list.push({
      what: say.aPenThatWrites(),
      why: say.anArrowOnEvery(),
    });
  list.push({ what: say.dustMaskHandsWashed(), why: say.dryGritAndCompost() });
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
