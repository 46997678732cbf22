import type { MethodId } from './method';
import type { Taxon, TaxonMethod } from './taxon';

/** The courses a piece may go through, from its cut to its pot. */
export const COURSES = [
  /** Dried in the air, then set; days of its own, or none at all, are the grower's. */
  'dried',
  /** Bare and light, without medium or water, until roots show. */
  'bare',
  /** On the surface of the medium, misted once it may be. */
  'laid',
  /** A leaf with root points leaned on a stick, under a thin layer that holds moisture. */
  'propped',
  /** The stalk of a leaf in a small trench. */
  'petiole',
  /** A plucked or torn leaf that makes plantlets along its margin. */
  'notch',
  /** Rooted in water, then moved into medium. */
  'water',
  /** With roots of its own and nothing cut: no gate. */
  'rooted',
  /** A rhizome or tuber was cut. */
  'division',
  'root-cutting',
  'seed',
  /** From a laboratory flask. */
  'culture',
] as const;
export type CourseId = (typeof COURSES)[number];

/** Genera whose leaves root by their stalk. Common practice, no source. */
const BY_STALK: ReadonlySet<string> = new Set([
  'Kalanchoe',
  'Zamioculcas',
  'Peperomia',
  'Hoya',
  'Streptocarpus',
  'Haberlea',
  'Ramonda',
  'Primulina',
]);

/** Kinds that make plantlets on a plucked or torn leaf. Common practice, no source. */
const NOTCHED: ReadonlySet<string> = new Set([
  'Kalanchoe daigremontiana',
  'Kalanchoe delagoensis',
  'Kalanchoe pinnata',
]);

/** Genera of which pieces are commonly rooted in water. Common practice, no source. */
const IN_WATER: ReadonlySet<string> = new Set([
  'Dracaena',
  'Zamioculcas',
  'Crassula',
  'Echeveria',
  'Kalanchoe',
  'Peperomia',
  'Hoya',
  'Ceropegia',
  'Curio',
  'Portulacaria',
  'Sedum',
  'Graptopetalum',
  'Graptosedum',
  'Graptoveria',
  'Aeonium',
  'Schlumbergera',
  'Rhipsalis',
  'Aloe',
  'Haworthia',
  'Haworthiopsis',
  'Epiphyllum',
  'Hatiora',
  'Phedimus',
  'Crassothonna',
]);

/** Ways whose piece may stand in a jar: a stem, a stalk, a section; never a bare ball, pad or root. */
const JAR_WAYS: ReadonlySet<MethodId> = new Set([
  'leaf',
  'leaf-section',
  'crown',
  'segment',
  'trailing',
  'branch',
  'offset',
]);

const genusOf = ({ name }: Pick<Taxon, 'name'>): string => name.split(' ')[0]!;

/**
 * The course a piece goes through if nobody chooses, by way, plant and what was cut.
 * @param taxon null where the plant is not known
 */
export function usualCourse(
  taxon: Pick<Taxon, 'name'> | null,
  method: MethodId,
  wound: TaxonMethod['wound'],
): CourseId {
  switch (method) {
    case 'leaf':
      if (wound?.tissue === 'strap leaf') return 'dried';
      if (taxon && NOTCHED.has(taxon.name)) return 'notch';
      return taxon && BY_STALK.has(genusOf(taxon)) ? 'petiole' : 'laid';
    case 'plantlet':
    case 'bulbil':
    case 'rooted-offset':
      return wound ? 'division' : 'rooted';
    case 'division':
      if (!wound) return 'rooted';
      return wound.tissue === 'rhizome' || wound.tissue === 'tuber' ? 'division' : 'dried';
    case 'root-cutting':
    case 'seed':
    case 'culture':
      return method;
    default:
      return 'dried';
  }
}

/** All courses a piece may take, the usual one first. */
export function coursesFor(
  taxon: Pick<Taxon, 'name'> | null,
  method: MethodId,
  wound: TaxonMethod['wound'],
): readonly CourseId[] {
  const usual = usualCourse(taxon, method, wound);
  const others: CourseId[] = [];
  if (method === 'leaf' && wound?.tissue !== 'strap leaf') {
    others.push('laid', 'bare', 'propped', 'petiole');
    if (taxon && genusOf(taxon) === 'Kalanchoe') others.push('notch');
  }
  if (usual === 'dried' && (method === 'offset' || method === 'crown' || method === 'pad'))
    others.push('bare');
  if (JAR_WAYS.has(method) && (taxon === null || IN_WATER.has(genusOf(taxon))))
    others.push('water');
  if (usual === 'division') others.push('rooted');
  return [usual, ...others.filter((c) => c !== usual)];
}
