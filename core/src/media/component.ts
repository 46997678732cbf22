import '../zod-setup';
import * as z from 'zod';
import * as say from '@hypogeon/messages/core-component';
import { evidenceSchema } from '../evidence';

export const COMPONENT_KINDS = ['mineral', 'organic'] as const;

/** The figures that a mix is worked out from. */
export const COMPONENT_FIGURES = [
  'grainMm',
  'densityGPerL',
  'packing',
  'heldWater',
  'diffusivity',
] as const;
export type ComponentFigure = (typeof COMPONENT_FIGURES)[number];

/** One thing a medium is mixed from, as it lies in its bag: dry and loose. */
export const componentSchema = z
  .object({
    id: z.string().min(1),
    name: z.string().min(1),
    kind: z.enum(COMPONENT_KINDS),
    /** Typical grain, mm. */
    grainMm: z.number().positive(),
    /** Dry weight of a heap, g/L. */
    densityGPerL: z.number().positive(),
    /** Share of a heap that the grains fill, their own pores counted in: β, 0–1. */
    packing: z.number().gt(0).lt(1),
    /** Water that the grains themselves hold after draining, as a share of their envelope, 0–1. */
    heldWater: z.number().min(0).lt(1),
    /** How readily water moves through it towards a drying surface, cm²/d. */
    diffusivity: z.number().positive(),
    /** Falls to fines within a few seasons. */
    breaksDown: z.boolean(),
    feeds: z.boolean(),
    /** What its dust can do; empty where there is none to speak of. */
    dust: z.string(),
    evidence: z.record(z.enum(COMPONENT_FIGURES), evidenceSchema).readonly(),
  })
  .readonly();
export type Component = z.infer<typeof componentSchema>;

/** Why a component cannot be reckoned with, in the grower's words, by figure. */
export function componentProblems(
  figures: Readonly<Record<ComponentFigure, number>>,
): Readonly<Partial<Record<ComponentFigure, string>>> {
  const { grainMm, densityGPerL, packing, heldWater, diffusivity } = figures;
  const problems: Partial<Record<ComponentFigure, string>> = {};
  const outside = (value: number, low: number, high: number): boolean =>
    !(value >= low && value <= high);
  if (outside(grainMm, 0.01, 60)) problems.grainMm = say.theGrainIsBetween();
  if (outside(densityGPerL, 5, 4000)) problems.densityGPerL = say.aLitreOfIt();
  if (outside(packing, 0.05, 0.95)) problems.packing = say.theGrainsFillBetween();
  if (outside(heldWater, 0, 0.95)) problems.heldWater = say.theGrainsHoldBetween();
  if (outside(diffusivity, 0.1, 50)) problems.diffusivity = say.between01And();
  return problems;
}
