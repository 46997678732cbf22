import type { Part } from '@hypogeon/core/media';
import { randomFrom } from '@hypogeon/core/stats';

/** A space to fill with grains, in the drawing's units: its middle line and half width by height. */
export interface Bed {
  readonly top: number;
  readonly bottom: number;
  left(y: number): number;
  right(y: number): number;
}

export interface GrainPath {
  readonly id: string;
  readonly name: string;
  readonly tone: string;
  /** All grains of one component as one outline. */
  readonly d: string;
  /** Too fine to be drawn grain by grain: stippled. */
  readonly fine: boolean;
}

/** Smaller than this on the screen a grain is a dot. */
const FINE = 2.2;
/** More outlines than this no eye counts and no phone draws. */
const MOST = 700;

/**
 * Grains of a mix at their own size, each component as often as its share of the solids. The same mix
 * always lies the same way.
 * @param scale drawing units per millimetre
 */
export function grainsIn(bed: Bed, parts: readonly Part[], scale: number): readonly GrainPath[] {
  const solid = parts.map((p) => p.parts * p.component.packing);
  const total = solid.reduce((a, b) => a + b, 0);
  if (!(total > 0)) return [];
  const random = randomFrom(parts.length * 977 + Math.round(total * 100));
  const paths = new Map(parts.map((p) => [p.component.id, '']));
  const height = bed.bottom - bed.top;
  const middle = (bed.top + bed.bottom) / 2;
  const area = height * (bed.right(middle) - bed.left(middle));
  const placed = new Crowd(bed, area);
  // Coarse grains first: the fines fall between them.
  const order = parts
    .map((p, i) => ({ ...p, share: solid[i]! / total }))
    .sort((a, b) => b.component.grainMm - a.component.grainMm);
  for (const { component, share } of order) {
    const radius = Math.max((component.grainMm * scale) / 2, 0.55);
    const fine = radius * 2 < FINE;
    const cover = area * share * 0.6;
    const count = Math.min(Math.round(cover / (Math.PI * radius ** 2)), fine ? 900 : MOST);
    let d = '';
    for (let n = 0; n < count; n++) {
      const spot = placed.place(random, radius * (fine ? 0.6 : 0.92));
      if (!spot) continue;
      d += fine ? dot(spot, radius) : pebble(spot, radius, random);
    }
    paths.set(component.id, d);
  }
  return parts.map(({ component }) => ({
    id: component.id,
    name: component.name,
    tone: toneOf(component.id, component.kind),
    d: paths.get(component.id)!,
    fine: component.grainMm * scale < FINE,
  }));
}

interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Grains that keep out of each other's way, found by cells. */
class Crowd {
  private readonly cell: number;
  private readonly taken = new Map<string, { x: number; y: number; r: number }[]>();

  constructor(
    private readonly bed: Bed,
    area: number,
  ) {
    this.cell = Math.max(4, Math.sqrt(area) / 24);
  }

  place(random: () => number, r: number): Spot | null {
    for (let tries = 0; tries < 14; tries++) {
      const y = this.bed.top + r + random() * Math.max(this.bed.bottom - this.bed.top - 2 * r, 0);
      const left = this.bed.left(y) + r;
      const x = left + random() * Math.max(this.bed.right(y) - r - left, 0);
      if (this.free(x, y, r)) {
        const key = this.key(x, y);
        this.taken.set(key, [...(this.taken.get(key) ?? []), { x, y, r }]);
        return { x, y };
      }
    }
    return null;
  }

  private free(x: number, y: number, r: number): boolean {
    const reach = 2;
    const cx = Math.floor(x / this.cell);
    const cy = Math.floor(y / this.cell);
    for (let i = -reach; i <= reach; i++)
      for (let j = -reach; j <= reach; j++)
        for (const o of this.taken.get(`${cx + i},${cy + j}`) ?? [])
          if ((o.x - x) ** 2 + (o.y - y) ** 2 < (0.94 * (o.r + r)) ** 2) return false;
    return true;
  }

  private key(x: number, y: number): string {
    return `${Math.floor(x / this.cell)},${Math.floor(y / this.cell)}`;
  }
}

const at = (n: number): string => n.toFixed(1);

function dot({ x, y }: Spot, r: number): string {
  return `M${at(x - r)} ${at(y)}a${at(r)} ${at(r)} 0 1 0 ${at(2 * r)} 0a${at(r)} ${at(r)} 0 1 0 ${at(-2 * r)} 0`;
}

/** A broken stone: a few corners at uneven distance. */
function pebble({ x, y }: Spot, r: number, random: () => number): string {
  const corners = 6 + Math.floor(random() * 3);
  const turn = random() * Math.PI;
  let d = '';
  for (let i = 0; i < corners; i++) {
    const angle = turn + (i / corners) * 2 * Math.PI;
    const reach = r * (0.78 + random() * 0.26);
    d += `${i === 0 ? 'M' : 'L'}${at(x + Math.cos(angle) * reach)} ${at(y + Math.sin(angle) * reach)}`;
  }
  return `${d}Z`;
}

const TONE: Readonly<Record<string, string>> = {
  pumice: '#cdc8b8',
  'pumice-fine': '#d9d4c4',
  akadama: '#c98f52',
  kanuma: '#e0c46c',
  lava: '#7d4f45',
  perlite: '#f4f3ee',
  'perlite-coarse': '#f4f3ee',
  'expanded-clay': '#a8603c',
  'calcined-clay': '#b98a66',
  zeolite: '#a9bba6',
  vermiculite: '#bfa25c',
  grit: '#8b938f',
  'crushed-granite': '#a39a9a',
  'sand-coarse': '#dcc48f',
  'sand-fine': '#e3d0a2',
  'river-sand': '#c9b183',
  peat: '#5b4131',
  coir: '#8f6745',
  'coir-chips': '#9a7350',
  bark: '#70503a',
  'leaf-mould': '#5e4a32',
  compost: '#4a3b2d',
  'worm-castings': '#3c3129',
  manure: '#5a4a33',
  loam: '#86613f',
  charcoal: '#3a3c3b',
  'rice-hulls': '#d8bf7a',
};

/** The colour of a thing itself, alike by day and by lamp; names stand beside wherever it matters. */
export function toneOf(id: string, kind: 'mineral' | 'organic'): string {
  return TONE[id] ?? (kind === 'mineral' ? '#b5b1a4' : '#75573f');
}
