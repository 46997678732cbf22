import { assertCount } from '../assert';
import { FIRST_WATER, type FirstWaterId } from '../water';
import type { Container, ContainerShape } from '../media';
import type { CourseId } from '../course';
import type { BatchFields, OwnRoots } from '../journal';

/** A part of a clump as it lies on the table, out of its pot. Lengths mm. */
export interface ClumpPart {
  /** Growing points: fans, rosettes, shoots. */
  readonly points: number;
  readonly tubers: number;
  readonly roots: OwnRoots;
  /** It came away by itself, or a knife goes through what joins it. */
  readonly joined: 'by itself' | 'rhizome' | 'tuber' | 'stem';
  /** Across the cut; null where it is as usual, or nothing is cut. */
  readonly cutMm: number | null;
  /** Length of its piece of rhizome; null where there is none or nobody measured it. */
  readonly rhizomeMm: number | null;
  /** Across its roots as they lie; null where nobody measured them. */
  readonly rootsMm: number | null;
  /** From where it was green down to its roots: the pale band that stood in the mix. */
  readonly paleMm: number | null;
  /** Dark or mushy roots, spent tubers, dry old leaves come off. */
  readonly old: boolean;
}

/** What is to be done with a part. */
export type PartVerdict =
  | {
      readonly is: 'pot';
      readonly course: CourseId;
      readonly reason:
        'roots of its own' | 'cut, with roots' | 'lives off its tuber' | 'no roots yet';
      /** The pot it wants, across at the rim; null where its roots were not measured. */
      readonly potMm: { readonly from: number; readonly to: number } | null;
      /** To stand this deep; null: no deeper than it stood. */
      readonly depthMm: number | null;
      readonly rimGapMm: { readonly from: number; readonly to: number };
      /** The old end to the wall, the growing point towards the room it will take. */
      readonly pointsToRoom: boolean;
      readonly water: PartWater;
      /** Shorter than such a piece should be: it may do, and is watched. */
      readonly short: boolean;
    }
  | {
      readonly is: 'leave';
      readonly reason: 'no growing point' | 'nothing to live off' | 'spent tuber';
    };

/** When a part is watered for the first time. */
export type PartWater =
  /** Nothing is cut and its roots are whole: water settles the mix round them. */
  | { readonly is: 'settles' }
  /** By choice; with an open cut it may rot. */
  | { readonly is: 'at-once'; readonly open: boolean }
  /** So many days after it is potted, by choice; a cut may still be open then. */
  | { readonly is: 'days'; readonly days: number; readonly open: boolean }
  /** Once its cut is closed: about a week, dry in its pot. */
  | { readonly is: 'gate' }
  | { readonly is: 'roots' };

/** A pot so much wider than the roots. Common practice, no source. */
const WIDER_MM = { from: 10, to: 20 };
/** From the mix to the rim, so that water soaks in and does not run off. Common practice, no source. */
const RIM_GAP_MM = { from: 10, to: 15 };
/** A piece of rhizome with its roots is this long at least. Common practice, no source; 40–50. */
const LEAST_RHIZOME_MM = 40;
/** After old roots came off, or where few are left, it waits some days. Common practice, no source. */
const AFTER_CLEANING: FirstWaterId = 'few-days';
/** A part may be held at its pale band; one that is stem all over stands no deeper than this. */
const MOST_DEPTH_MM = 120;

/**
 * Whether a part is worth a pot of its own, and how it is potted.
 * @param first when its first water is wanted; with the gate where nobody says
 * @throws RangeError for counts that are none
 * Source: common practice, no source.
 * @example judgePart({ points: 0, tubers: 0, … }) // leave: nothing of it shoots
 */
export function judgePart(part: ClumpPart, first: FirstWaterId = 'with-gate'): PartVerdict {
  assertCount('points', part.points);
  assertCount('tubers', part.tubers);
  const { points, tubers, roots, joined, rhizomeMm, rootsMm, paleMm, old } = part;
  // What is dark and shrivelled, without a point or roots, has given what it had.
  if (points === 0 && tubers > 0 && roots === 'none' && old)
    return { is: 'leave', reason: 'spent tuber' };
  // A tuber shoots by itself; a rhizome without a point mostly does not.
  if (points === 0 && tubers === 0) return { is: 'leave', reason: 'no growing point' };
  const rooted = roots !== 'none';
  if (!rooted && tubers === 0 && (rhizomeMm ?? 0) < LEAST_RHIZOME_MM && joined === 'rhizome')
    return { is: 'leave', reason: 'nothing to live off' };
  const cut = joined !== 'by itself';
  const underground = joined === 'rhizome' || joined === 'tuber';
  return {
    is: 'pot',
    course: cut ? (underground ? 'division' : 'dried') : rooted ? 'rooted' : 'dried',
    reason: rooted
      ? cut
        ? 'cut, with roots'
        : 'roots of its own'
      : tubers > 0
        ? 'lives off its tuber'
        : 'no roots yet',
    potMm: rootsMm === null ? null : { from: rootsMm + WIDER_MM.from, to: rootsMm + WIDER_MM.to },
    depthMm: paleMm === null ? null : Math.min(paleMm, MOST_DEPTH_MM),
    rimGapMm: RIM_GAP_MM,
    pointsToRoom: joined === 'rhizome' || rhizomeMm !== null,
    water: waterOf(part, first),
    short: joined === 'rhizome' && rhizomeMm !== null && rhizomeMm < LEAST_RHIZOME_MM,
  };
}

/** The first water of a part as it is told to the batch it becomes: bared and cleaned roots wait some days. */
function firstOf({ joined, old, roots }: ClumpPart, first: FirstWaterId): FirstWaterId {
  if (first !== 'with-gate' || joined !== 'by itself') return first;
  if (roots === 'none') return 'roots-show';
  return old || roots === 'few' ? AFTER_CLEANING : first;
}

function waterOf(part: ClumpPart, wanted: FirstWaterId): PartWater {
  const first = firstOf(part, wanted);
  const open = part.joined !== 'by itself';
  if (first === 'at-once') return open ? { is: 'at-once', open } : { is: 'settles' };
  if (first === 'roots-show')
    return part.roots === 'none' ? { is: 'roots' } : open ? { is: 'gate' } : { is: 'settles' };
  const days = FIRST_WATER[first].afterDays ?? 0;
  if (days > 0) return { is: 'days', days, open };
  return open ? { is: 'gate' } : { is: 'settles' };
}

/** The parts that go the same way: they are one batch. */
export interface PartGroup {
  readonly parts: readonly number[];
  readonly fields: Pick<
    BatchFields,
    'count' | 'course' | 'opening' | 'through' | 'ownRoots' | 'widthMm' | 'firstWater' | 'stemMm'
  >;
}

/**
 * Parts to be potted, put together where they are alike in what was cut, in their roots and in what is due.
 * @returns in the order in which the first of each lies on the table; `parts` are places in the list, from 0
 */
export function groupParts(
  parts: readonly ClumpPart[],
  first: FirstWaterId = 'with-gate',
): readonly PartGroup[] {
  const groups = new Map<string, { parts: number[]; part: ClumpPart; verdict: PartVerdict }>();
  parts.forEach((part, i) => {
    const verdict = judgePart(part, first);
    if (verdict.is !== 'pot') return;
    const wanted = firstOf(part, first);
    const key = [part.joined, part.roots, part.cutMm, verdict.course, wanted].join('|');
    const group = groups.get(key);
    if (group) group.parts.push(i);
    else groups.set(key, { parts: [i], part, verdict });
  });
  return [...groups.values()].map(({ parts: places, part, verdict }) => {
    if (verdict.is !== 'pot') throw new RangeError('parts that stay are in no group');
    const { joined, roots, cutMm } = part;
    const deep = Math.max(...places.map((i) => parts[i]!.paleMm ?? 0));
    return {
      parts: places,
      fields: {
        count: places.length,
        course: verdict.course,
        opening: joined === 'by itself' ? 'parted' : 'cut',
        ownRoots: roots,
        ...(joined === 'by itself'
          ? {}
          : { through: joined === 'stem' ? ('soft stem' as const) : joined }),
        ...(cutMm === null || joined === 'by itself' ? {} : { widthMm: cutMm }),
        ...(firstOf(part, first) === 'with-gate' ? {} : { firstWater: firstOf(part, first) }),
        ...(deep > 0 ? { stemMm: deep } : {}),
      },
    };
  });
}

const POTS: ReadonlySet<ContainerShape> = new Set(['round', 'square']);
/** A pot is as deep as its roots are wide, or deep enough for most. Common practice, no source. */
const DEEP_ENOUGH_MM = 120;

/**
 * The narrowest pot that is wide and deep enough, of those the grower has; never a tray or a pack of cells. Null where
 * none is, or roots were not measured.
 */
export function potFor<
  T extends Pick<Container, 'shape' | 'heightMm'> & { readonly topMm?: number | undefined },
>(verdict: PartVerdict, containers: readonly T[]): T | null {
  if (verdict.is !== 'pot' || verdict.potMm === null) return null;
  const { from } = verdict.potMm;
  const deep = Math.min(from, DEEP_ENOUGH_MM) * 0.6;
  const fits = containers.filter(
    (c) => POTS.has(c.shape) && (c.topMm ?? 0) >= from && c.heightMm >= deep,
  );
  return fits.toSorted((a, b) => a.topMm! - b.topMm!)[0] ?? null;
}
