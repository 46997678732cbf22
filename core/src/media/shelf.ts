import type { Evidence } from '../botany';
import type { Component, ComponentKind } from './component';

/*
 * The components that ship. Grain, weight and water are from memory of suppliers' sheets and growers'
 * tables and differ from bag to bag: the jug test and the grower's own figures replace them.
 * Diffusivities follow from the desorptivities of bare soils, 3.3–5.1 mm d^-½ (Ritchie 1972), by
 * D = π S² / (4 Δθ²): sand about 1.5 cm²/d, grit 2, half organic 2.5, peat and coir 5.
 */
const MEMORY: Evidence = 'from memory';
const RITCHIE: Evidence = { published: 'range after Ritchie 1972, Water Resour. Res. 8' };
const ASSUMED: Evidence = 'working assumption';

const MINERAL_DUST = 'Mineral dust harms lungs: wet it before you pour, mask, outdoors.';
const SILICA_DUST = 'Silica dust scars lungs: wet it, mask, never sweep it dry.';
const COMPOST_DUST = 'Compost can carry Legionella: open bags away from your face, wash hands.';

interface Figures {
  readonly grain: number;
  readonly weight: number;
  readonly packing: number;
  readonly water: number;
  readonly moves: number;
  readonly breaks?: boolean;
  readonly feeds?: boolean;
  readonly dust?: string;
}

function component(id: string, name: string, kind: ComponentKind, f: Figures): Component {
  return {
    id,
    name,
    kind,
    grainMm: f.grain,
    densityGPerL: f.weight,
    packing: f.packing,
    heldWater: f.water,
    diffusivity: f.moves,
    breaksDown: f.breaks ?? kind === 'organic',
    feeds: f.feeds ?? false,
    dust: f.dust ?? (kind === 'organic' ? COMPOST_DUST : MINERAL_DUST),
    evidence: {
      grainMm: MEMORY,
      densityGPerL: MEMORY,
      packing: ASSUMED,
      heldWater: MEMORY,
      diffusivity: RITCHIE,
    },
  };
}

const mineral = (id: string, name: string, f: Figures): Component =>
  component(id, name, 'mineral', f);
const organic = (id: string, name: string, f: Figures): Component =>
  component(id, name, 'organic', f);

export const SHELF: readonly Component[] = [
  mineral('pumice', 'Pumice 3–6 mm', {
    grain: 4,
    weight: 450,
    packing: 0.58,
    water: 0.3,
    moves: 2,
  }),
  mineral('pumice-fine', 'Pumice 1–3 mm', {
    grain: 2,
    weight: 480,
    packing: 0.58,
    water: 0.3,
    moves: 2,
  }),
  mineral('akadama', 'Akadama 3–6 mm', {
    grain: 4,
    weight: 650,
    packing: 0.58,
    water: 0.42,
    moves: 2,
    breaks: true,
  }),
  mineral('kanuma', 'Kanuma 3–6 mm', {
    grain: 4,
    weight: 350,
    packing: 0.58,
    water: 0.45,
    moves: 2.2,
    breaks: true,
  }),
  mineral('lava', 'Lava 3–8 mm', { grain: 5, weight: 800, packing: 0.55, water: 0.15, moves: 2 }),
  mineral('perlite', 'Perlite 2–4 mm', {
    grain: 3,
    weight: 100,
    packing: 0.58,
    water: 0.25,
    moves: 2,
  }),
  mineral('perlite-coarse', 'Perlite 4–8 mm', {
    grain: 5,
    weight: 110,
    packing: 0.58,
    water: 0.2,
    moves: 2,
  }),
  mineral('expanded-clay', 'Expanded clay 4–8 mm', {
    grain: 6,
    weight: 400,
    packing: 0.62,
    water: 0.12,
    moves: 1.8,
  }),
  mineral('calcined-clay', 'Calcined clay 1–3 mm', {
    grain: 2,
    weight: 600,
    packing: 0.58,
    water: 0.4,
    moves: 2,
  }),
  mineral('zeolite', 'Zeolite 2–4 mm', {
    grain: 3,
    weight: 850,
    packing: 0.57,
    water: 0.25,
    moves: 2,
  }),
  mineral('vermiculite', 'Vermiculite 2–4 mm', {
    grain: 3,
    weight: 120,
    packing: 0.45,
    water: 0.75,
    moves: 3.5,
    breaks: true,
    dust: 'Wet it before you pour. Old vermiculite may hold asbestos: do not use what you cannot date.',
  }),
  mineral('grit', 'Grit 3–5 mm', { grain: 4, weight: 1500, packing: 0.58, water: 0.02, moves: 2 }),
  mineral('crushed-granite', 'Crushed granite 2–4 mm', {
    grain: 3,
    weight: 1450,
    packing: 0.56,
    water: 0.01,
    moves: 2,
    dust: SILICA_DUST,
  }),
  mineral('sand-coarse', 'Silica sand 0.8–1.6 mm', {
    grain: 1.2,
    weight: 1550,
    packing: 0.6,
    water: 0,
    moves: 1.5,
    dust: SILICA_DUST,
  }),
  mineral('sand-fine', 'Silica sand 0.3–0.6 mm', {
    grain: 0.4,
    weight: 1550,
    packing: 0.6,
    water: 0,
    moves: 1.5,
    dust: SILICA_DUST,
  }),
  mineral('river-sand', 'River sand, washed', {
    grain: 0.6,
    weight: 1600,
    packing: 0.62,
    water: 0.01,
    moves: 1.5,
    dust: SILICA_DUST,
  }),
  organic('peat', 'Peat', { grain: 0.4, weight: 110, packing: 0.3, water: 0.55, moves: 5 }),
  organic('coir', 'Coir', {
    grain: 0.5,
    weight: 85,
    packing: 0.28,
    water: 0.6,
    moves: 5,
    dust: 'Dusty when dry: wet the brick before you break it.',
  }),
  organic('coir-chips', 'Coir chips', {
    grain: 8,
    weight: 100,
    packing: 0.42,
    water: 0.45,
    moves: 3,
    dust: '',
  }),
  organic('bark', 'Composted bark', {
    grain: 5,
    weight: 250,
    packing: 0.46,
    water: 0.35,
    moves: 2.5,
  }),
  organic('leaf-mould', 'Leaf mould', {
    grain: 0.9,
    weight: 250,
    packing: 0.36,
    water: 0.5,
    moves: 4,
    feeds: true,
  }),
  organic('compost', 'Potting compost', {
    grain: 0.7,
    weight: 450,
    packing: 0.38,
    water: 0.5,
    moves: 4,
    feeds: true,
  }),
  organic('worm-castings', 'Worm castings', {
    grain: 0.9,
    weight: 550,
    packing: 0.42,
    water: 0.5,
    moves: 3,
    feeds: true,
  }),
  organic('manure', 'Composted manure', {
    grain: 0.9,
    weight: 450,
    packing: 0.4,
    water: 0.5,
    moves: 3,
    feeds: true,
  }),
  // Crumbs of loam, not its clay: sieved loam drains by the gaps between its crumbs.
  mineral('loam', 'Loam, sifted crumb', {
    grain: 1,
    weight: 1050,
    packing: 0.5,
    water: 0.3,
    moves: 3,
    feeds: true,
    breaks: true,
  }),
  mineral('charcoal', 'Charcoal 3–8 mm', {
    grain: 5,
    weight: 250,
    packing: 0.52,
    water: 0.25,
    moves: 2,
  }),
  organic('rice-hulls', 'Rice hulls', {
    grain: 2,
    weight: 100,
    packing: 0.42,
    water: 0.1,
    moves: 2,
    dust: 'Husk dust irritates: mask.',
  }),
];
