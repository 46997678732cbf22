import { clockOf, growingDay, placesIn, plantOf } from '../bench';
import { grownAs, seasonAt } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import { FURTHEST_DAYS, type GrowthChange } from '../growth';
import { spaceOn, type Batch, type State } from '../journal';
import { outlookOf, usualGrowth } from '../learn';

/** Where, or by what, it would come sooner. */
export type BetterBy =
  | { readonly by: 'place'; readonly space: string }
  /** A mat under it where it stands, so much warmer at the roots. */
  | { readonly by: 'mat'; readonly warmerC: number }
  | { readonly by: 'lamp'; readonly hours: number };

export interface Better {
  readonly is: BetterBy;
  /** Half of those that will root have roots by. */
  readonly roots: Day;
  /** Its wound is surely closed by; null where nothing is open, or it changes nothing of that. */
  readonly opens: Day | null;
}

/** What holds it back where it is. */
export type SlowBy = 'cold' | 'heat' | 'dark' | 'damp';

/** It will take over twice its usual time because of where it lies. */
export interface SlowHere {
  /** Where it is. */
  readonly space: string;
  readonly by: SlowBy;
  readonly tempC: number;
  readonly roots: Day;
  readonly opens: Day | null;
  /** Roots in the warmth and light that suit it, days from now. */
  readonly usualDays: number;
  /** What would bring it sooner, the soonest first; empty where nothing of the grower's own would. */
  readonly better: readonly Better[];
}

/** Longer than so many times its usual time is worth a word. Working assumption; 1.5–3. */
const SLOW = 2;
/** What takes no longer than this is left in peace, days. */
const PATIENT_DAYS = 14;
/** A change is worth the way if it spares so much of the time, and a week at least. Working assumption; 0.2–0.5. */
const SPARES = 1 / 3;
const SPARES_DAYS = 7;
/** What a mat commonly adds at the roots, °C; lamps commonly burn so long, hours. Common practice, no source. */
const MAT_C = 8;
const LAMP_HOURS = 14;
const MOST = 3;
/** So far ahead its air is looked at, days. */
const MOST_AHEAD = 120;

/**
 * Whether a batch that waits for its wound or its roots takes over twice as long as it would elsewhere, and which of
 * the grower's own places, a mat or a lamp would bring it to when.
 * @returns null where it is well enough off, or nothing is waited for
 */
export function slowHere(state: State, batch: Batch, day: Day): SlowHere | null {
  const plant = plantOf(state, batch.taxon)?.taxon;
  if (!plant || batch.ended !== null || batch.here.potted > 0) return null;
  if (batch.cut !== null && batch.here.waiting === 0) return null;
  const here = waitsFor(state, batch, day);
  if (here === null) return null;
  const { usualDays, roots, opens } = here;
  const rootsLate = slower(daysBetween(day, roots), usualDays);
  const at = spaceOn(batch, day, batch.stuck !== null);
  const places = placesIn(state)
    .filter(({ id }) => id !== at)
    .flatMap(({ id }): Better[] => {
      const there = waitsFor(state, movedTo(batch, id, day), day);
      return there ? [{ is: { by: 'place', space: id }, ...there }] : [];
    });
  const soonest = places
    .map((p) => p.opens)
    .filter((d) => d !== null)
    .sort()[0];
  const woundLate =
    opens !== null &&
    soonest !== undefined &&
    slower(daysBetween(day, opens), daysBetween(day, soonest));
  if (!rootsLate && !woundLate) return null;
  const growing = ahead(state, at, day, roots);
  const grower = grownAs(plant, batch.method);
  const { fromC, toC } = grower.season;
  const { state: season } = seasonAt(grower, growing.tempC, growing.dayHours);
  const by: SlowBy =
    growing.tempC < fromC
      ? 'cold'
      : growing.tempC > toC
        ? 'heat'
        : season === 'active'
          ? growing.tempC < grower.windowC
            ? 'cold'
            : 'damp'
          : 'dark';
  const aided = (is: BetterBy, change: GrowthChange): readonly Better[] => {
    const there = waitsFor(state, batch, day, change);
    // Warmth at the roots and light close no wound in the air: of that they promise nothing.
    return there ? [{ is, roots: there.roots, opens: null }] : [];
  };
  const gear = [
    ...(by === 'cold' ? aided({ by: 'mat', warmerC: MAT_C }, { byC: MAT_C }) : []),
    ...(by === 'dark' ? aided({ by: 'lamp', hours: LAMP_HOURS }, { lampHours: LAMP_HOURS }) : []),
  ];
  const spared = (to: Day, from: Day): boolean => {
    const days = daysBetween(to, from);
    return days >= SPARES_DAYS && days >= SPARES * daysBetween(day, from);
  };
  const better = [...places, ...gear]
    .filter(
      (b) =>
        spared(b.roots, roots) ||
        // A wound that closes sooner is no gain where roots come later.
        (woundLate && b.roots <= roots && b.opens !== null && spared(b.opens, opens)),
    )
    .sort((a, b) => (a.roots < b.roots ? -1 : a.roots > b.roots ? 1 : 0))
    .slice(0, MOST);
  if (!rootsLate && better.length === 0) return null;
  return {
    space: at,
    by,
    tempC: growing.tempC,
    roots,
    opens,
    usualDays: Math.round(usualDays),
    better,
  };
}

/** The air of the days it waits, on the whole: a mild day is no season. */
function ahead(
  state: State,
  space: string,
  from: Day,
  to: Day,
): { readonly tempC: number; readonly dayHours: number | undefined } {
  const days = Math.min(Math.max(daysBetween(from, to), 7), MOST_AHEAD);
  const told = Array.from({ length: Math.ceil(days / 7) }, (_, n) =>
    growingDay(state, space, addDays(from, 7 * n)),
  );
  const mean = (values: readonly number[]): number =>
    values.reduce((sum, v) => sum + v, 0) / values.length;
  const hours = told.map((d) => d.dayHours).filter((h) => h !== undefined);
  return {
    tempC: mean(told.map((d) => d.tempC)),
    dayHours: hours.length === told.length ? mean(hours) : undefined,
  };
}

const slower = (days: number, usual: number): boolean => days > PATIENT_DAYS && days > SLOW * usual;

/** When half of those that will root have roots, from a day on, and when its wound can bear water. */
function waitsFor(
  state: State,
  batch: Batch,
  day: Day,
  change: GrowthChange = {},
): { readonly roots: Day; readonly opens: Day | null; readonly usualDays: number } | null {
  const outlook = outlookOf(state, batch, change);
  if (!outlook) return null;
  const usual = usualGrowth(outlook, 'roots', 0.5);
  const left = usual - outlook.line.at(day);
  if (left <= 0) return null;
  const gate = clockOf(state, batch)?.gate;
  return {
    roots: outlook.line.dayFor(usual) ?? addDays(batch.cutOn, FURTHEST_DAYS),
    opens: gate?.state === 'dated' && gate.opens > day ? gate.opens : null,
    usualDays: left,
  };
}

/** The same batch carried somewhere else on a day, or planned there. */
const movedTo = (batch: Batch, space: string, day: Day): Batch =>
  batch.cut === null
    ? { ...batch, space, standSpace: space, callusSpace: undefined }
    : { ...batch, space, moves: [...batch.moves.filter((m) => m.day < day), { day, space }] };
