import * as say from '@hypogeon/messages/core-medium-of';
import type { Evidence } from '../botany';
import {
  COMPONENT_FIGURES,
  correctionBy,
  mediumOf,
  partsProblem,
  RECIPES,
  SHELF,
  USUAL_CONTAINERS,
  type Component,
  type Container,
  type Correction,
  type JugTest,
  type Medium,
  type Part,
  type Shed,
} from '../media';
import type { OwnComponent, State } from '../journal';

const SHIPPED: ReadonlyMap<string, Component> = new Map(SHELF.map((c) => [c.id, c]));

/** All components: those that ship, with the grower's own figures laid over, then own ones. */
export function componentsOf(state: State): readonly Component[] {
  const shipped = SHELF.map((c) => overlaid(c, state.components.get(c.id)));
  const own = [...state.components.values()].flatMap((c) =>
    SHIPPED.has(c.id) ? [] : (ownComponent(c) ?? []),
  );
  return [...shipped, ...own];
}

export function componentOf(state: State, id: string): Component | null {
  const shipped = SHIPPED.get(id);
  const own = state.components.get(id);
  return shipped ? overlaid(shipped, own) : own ? ownComponent(own) : null;
}

function overlaid(shipped: Component, own: OwnComponent | undefined): Component {
  if (!own) return shipped;
  const measured = COMPONENT_FIGURES.filter((f) => own[f] !== undefined);
  if (measured.length === 0) return shipped;
  return {
    ...shipped,
    ...Object.fromEntries(measured.map((f) => [f, own[f]])),
    evidence: { ...shipped.evidence, ...evidenceOf(measured) },
  };
}

const evidenceOf = (figures: readonly string[]): Record<string, Evidence> =>
  Object.fromEntries(figures.map((f) => [f, 'measured here']));

/** Null while a figure is missing that nothing can be worked out without. */
function ownComponent(own: OwnComponent): Component | null {
  const { grainMm, densityGPerL, packing = 0.58, heldWater, diffusivity } = own;
  if (grainMm === undefined || densityGPerL === undefined || heldWater === undefined) return null;
  const kind = own.kind ?? 'mineral';
  return {
    id: own.id,
    name: own.name ?? say.unnamed(),
    kind,
    grainMm,
    densityGPerL,
    packing,
    heldWater,
    diffusivity: diffusivity ?? (kind === 'mineral' ? 2 : 5),
    breaksDown: own.breaksDown ?? kind === 'organic',
    feeds: own.feeds ?? false,
    dust: own.dust ?? '',
    evidence: {
      grainMm: 'measured here',
      densityGPerL: 'measured here',
      packing: own.packing === undefined ? 'working assumption' : 'measured here',
      heldWater: 'measured here',
      diffusivity: diffusivity === undefined ? 'working assumption' : 'measured here',
    },
  };
}

/** What lies in the shed and what it costs. */
export function shedOf(state: State): Shed {
  return new Map(
    [...state.components.values()].map(({ id, stockL, pricePerL }) => [
      id,
      { litres: stockL, pricePerL },
    ]),
  );
}

/** A mix by name, ready to be reckoned with. */
export interface Mix {
  readonly id: string;
  readonly name: string;
  /** A house recipe, not the grower's own. */
  readonly house: boolean;
  readonly says: string;
  readonly parts: readonly Part[];
  readonly medium: Medium;
  readonly tests: readonly JugTest[];
  readonly correction: Correction;
}

/** The mix with this id, own or of the house; null if nobody knows it or nothing is left of it. */
export function mixOf(state: State, id: string): Mix | null {
  const own = state.mixes.get(id);
  const house = RECIPES.find((r) => r.id === id);
  const rows = own?.parts ?? house?.parts.map(([component, parts]) => ({ component, parts }));
  if (!rows) return null;
  const parts = rows.flatMap(({ component, parts: n }) => {
    const known = componentOf(state, component);
    return known ? [{ component: known, parts: n }] : [];
  });
  if (partsProblem(parts) !== '') return null;
  const medium = mediumOf(parts);
  const tests = state.jugs.get(id) ?? [];
  return {
    id,
    name: own?.name ?? house?.name ?? say.unnamedMix(),
    house: !own,
    says: own?.notes ?? house?.says ?? '',
    parts,
    medium,
    tests,
    correction: correctionBy(medium, tests),
  };
}

/** All mixes, the grower's own first. */
export function mixesOf(state: State): readonly Mix[] {
  const ids = [...state.mixes.keys(), ...RECIPES.map((r) => r.id)];
  return [...new Set(ids)].flatMap((id) => mixOf(state, id) ?? []);
}

const NO_MEASURES = { shape: 'round', wall: 'plastic', holes: true, freeboardMm: 10 } as const;

/** The container with this id, own or usual; null if nobody knows it or its measures are missing. */
export function containerOf(state: State, id: string): Container | null {
  const usual = USUAL_CONTAINERS.find((c) => c.id === id);
  const own = state.containers.get(id);
  if (!own) return usual ?? null;
  const { topMm, bottomMm, heightMm } = { ...usual, ...own };
  if (topMm === undefined || bottomMm === undefined || heightMm === undefined) return null;
  return {
    ...NO_MEASURES,
    ...usual,
    ...own,
    name: own.name ?? usual?.name ?? say.unnamed(),
    topMm,
    bottomMm,
    heightMm,
  };
}

/** All containers, the grower's own first. */
export function containersOf(state: State): readonly Container[] {
  const ids = [...state.containers.keys(), ...USUAL_CONTAINERS.map((c) => c.id)];
  return [...new Set(ids)].flatMap((id) => containerOf(state, id) ?? []);
}
