import type { CourseId } from '../course';
import type { MethodId } from './method';
import type { Taxon, TaxonMethod } from './taxon';

/** The courses that pieces of one way take, the usual one first. */
interface WayCourses {
  readonly courses: readonly CourseId[];
  /** Where nothing was cut: what drops by itself roots where it lies. */
  readonly parted?: CourseId;
  /** Where a knife went through rhizome or tuber. */
  readonly through?: readonly CourseId[];
  /** Its piece may stand in a jar: a stem, a stalk, a section; never a bare ball, pad or root. */
  readonly jar?: true;
}

const CUT_DIVISION: readonly CourseId[] = ['division', 'rooted'];

/** By way, where the plant says nothing else. Common practice, no source. */
const WAY_COURSES: Readonly<Record<MethodId, WayCourses>> = {
  leaf: { courses: ['laid', 'bare', 'propped', 'petiole'], jar: true },
  'leaf-section': { courses: ['dried'], jar: true },
  crown: { courses: ['dried', 'bare'], parted: 'laid', jar: true },
  segment: { courses: ['dried'], parted: 'laid', jar: true },
  trailing: { courses: ['dried'], jar: true },
  branch: { courses: ['dried'], jar: true },
  pad: { courses: ['dried', 'bare'], parted: 'laid' },
  column: { courses: ['dried'] },
  offset: { courses: ['dried', 'bare'], parted: 'laid', jar: true },
  'rooted-offset': { courses: CUT_DIVISION, parted: 'rooted' },
  division: { courses: ['dried'], parted: 'rooted', through: CUT_DIVISION },
  plantlet: { courses: CUT_DIVISION, parted: 'rooted' },
  'root-cutting': { courses: ['root-cutting'] },
  bulbil: { courses: CUT_DIVISION, parted: 'rooted' },
  'flower-stalk': { courses: ['dried'] },
  seed: { courses: ['seed'] },
  culture: { courses: ['culture'] },
};

/** What of a plant its courses hang on. */
type Grown = Pick<Taxon, 'inWater' | 'methods'>;

/**
 * All courses a piece may take, the usual one first: by way, plant and what was cut.
 * @param taxon null where the plant is not known: then a jar is not ruled out
 */
export function coursesFor(
  taxon: Grown | null,
  method: MethodId,
  wound: TaxonMethod['wound'],
): readonly CourseId[] {
  const way = WAY_COURSES[method];
  if (wound === null && way.parted)
    return way.parted === 'rooted' ? [way.parted] : [way.parted, ...way.courses];
  if (way.through && (wound?.tissue === 'rhizome' || wound?.tissue === 'tuber')) return way.through;
  const courses = taxon?.methods.find((m) => m.method === method)?.courses ?? way.courses;
  return way.jar && (taxon === null || taxon.inWater) ? [...courses, 'water'] : courses;
}

/** The course a piece goes through if nobody chooses. */
export const usualCourse = (...piece: Parameters<typeof coursesFor>): CourseId =>
  coursesFor(...piece)[0]!;
