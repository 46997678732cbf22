import type { MethodId } from '../botany';
import type { CourseId } from '../course';
import type { Day } from '../days';
import type { Batch, State } from '../journal';
import type { Ask, Care, Do, Leave, Look } from './care';
import { factsOf } from './facts';
import { nextLook, type NextLook } from './roots';
import { CAN, NO_CAN, waterSays, type WaterSays } from './verdict';

/** What a batch is read by at a glance: what to do with it, its water, the look at it, what to leave alone. */
export interface CareLines {
  readonly course: CourseId;
  readonly method: MethodId;
  /** Asked today, and no water. */
  readonly deeds: readonly Do[];
  readonly water: WaterLine;
  readonly look: LookLine;
  /** Left alone, besides the water and the look. */
  readonly leave: readonly Leave[];
  /** Nobody touches the pieces before then: each tug costs them time. */
  readonly untouched: Leave | null;
}

export type WaterLine =
  | { readonly is: 'now'; readonly asks: readonly Do[] }
  | Extract<WaterSays, { is: 'not before' }>
  /** The water it stands in. */
  | { readonly is: 'jar'; readonly leave: Leave }
  /** It has to be cut, or set, before there is anything to water. */
  | { readonly is: 'waits'; readonly for: 'cut' | 'stick' }
  | { readonly is: 'free' };

export type LookLine =
  | { readonly is: 'now'; readonly asks: readonly Look[] }
  | { readonly is: 'next'; readonly look: NextLook }
  | { readonly is: 'nothing' };

/** Of the water, also of a jar's. */
const WATERS: ReadonlySet<Ask['kind']> = new Set([
  ...CAN,
  'jar-stir',
  'jar-change',
  'jar-feed',
] as const);

/** The answer of a day, as a few lines: nothing is said in two of them, and nothing is left out. */
export function linesOf(state: State, batch: Batch, care: Care, day: Day): CareLines {
  const dos = care.asks.filter((a) => a.band === 'do');
  const looks = care.asks.filter((a) => a.band === 'look');
  const rooting = care.leave.find((l) => l.kind === 'rooting') ?? null;
  return {
    course: care.course,
    method: batch.method,
    deeds: dos.filter((a) => !WATERS.has(a.kind)),
    water: waterLine(care, dos, batch, day),
    look: lookLine(state, batch, looks, day),
    leave: care.leave.filter((l) => !NO_CAN.has(l.kind) && l.kind !== 'jar' && l !== rooting),
    untouched: rooting,
  };
}

function waterLine(care: Care, dos: readonly Do[], batch: Batch, day: Day): WaterLine {
  const asks = dos.filter((a) => WATERS.has(a.kind));
  if (asks.length > 0) return { is: 'now', asks };
  const says = waterSays(care, day);
  if (says.is === 'not before') return says;
  const jar = care.leave.find((l) => l.kind === 'jar');
  if (jar) return { is: 'jar', leave: jar };
  if (batch.cut === null) return { is: 'waits', for: 'cut' };
  return batch.stuck === null ? { is: 'waits', for: 'stick' } : { is: 'free' };
}

function lookLine(state: State, batch: Batch, asks: readonly Look[], day: Day): LookLine {
  if (asks.length > 0) return { is: 'now', asks };
  if (batch.cut === null || batch.ended !== null) return { is: 'nothing' };
  const look = nextLook(batch, factsOf(state, batch));
  return look !== null && look.day > day ? { is: 'next', look } : { is: 'nothing' };
}
