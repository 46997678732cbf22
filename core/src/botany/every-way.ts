import { METHODS, PLANNED_METHODS, type MethodId } from './method';
import type { Taxon } from './taxon';

/** How a plant takes a method. */
export interface Standing {
  readonly method: MethodId;
  readonly is: 'good' | 'poor' | 'no';
  readonly why: string;
}

/** What it wants for a method that most plants do not have. */
const LACKS: Readonly<Record<MethodId, string>> = {
  leaf: 'No shoot is known to come from a leaf of it.',
  'leaf-section': 'Its leaves do not shoot from a cut across.',
  crown: 'It has no stem under its top to be cut.',
  segment: 'Bare stem of it is not known to shoot, or it has none.',
  trailing: 'It does not trail.',
  branch: 'It has no woody side branches.',
  pad: 'It has no pads or joints.',
  column: 'It does not grow in columns.',
  offset: 'It makes no offsets to speak of.',
  'rooted-offset': 'It makes no offsets with roots of their own.',
  division: 'It does not grow in a clump that parts.',
  plantlet: 'It bears no plantlets or bulbils.',
  'root-cutting': 'Its roots are not known to shoot.',
  bulbil: 'It bears no bulbils.',
  'flower-stalk': 'Its flower stalks do not root.',
  seed: 'Recorded, not planned.',
  culture: 'Recorded, not planned.',
};

/** Every method for a plant: possible, poor or no, and why. Common practice, no source. */
export function everyWay(taxon: Taxon): readonly Standing[] {
  const known = METHODS.filter(
    (m) => PLANNED_METHODS.includes(m) || taxon.methods.some((w) => w.method === m),
  );
  return known.map((method) => {
    const way = taxon.methods.find((m) => m.method === method);
    if (way) return { method, is: way.worth, why: way.why ?? '' };
    return {
      method,
      is: 'no' as const,
      why: taxon.not.find((n) => n.method === method)?.why ?? LACKS[method],
    };
  });
}
