import { airOf } from '../bench';
import { leafKind } from '../botany';
import { addDays, later, type Day } from '../days';
import type { Batch, State, Tending } from '../journal';
import type { Asker } from './asker';
import type { Facts } from './facts';
import type { JarEnd } from './reason';
import { JAR_FEED_DAYS, JAR_ROOTS_DAYS, jarChangeDays, SOIL_ROOT_MM, STIR_DAYS } from './rhythm';

/** The jar: its water moved and changed, food where it stays, and the way into medium. */
export function jarring(ask: Asker, state: State, batch: Batch, facts: Facts, day: Day): void {
  if (!facts.inJar || facts.living === 0) return;
  const { stuck, here } = batch;
  const set = stuck!;
  const long = longRoots(batch, facts.rootsSince);
  if (long !== null && long.since <= day)
    ask.do('wean', {
      count: here.rooted + here.pupped,
      since: long.since,
      reason: { why: 'roots-long', mm: long.mm },
      sure: { by: long.mm === null ? 'time' : 'ruler' },
    });
  const { tempC } = airOf(state, batch.space, day);
  const every = jarChangeDays(tempC);
  const changed = lastTended(batch, ['jar-change']) ?? set;
  const moved = later(changed, lastTended(batch, ['jar-stir']) ?? set);
  const change = addDays(changed, every);
  const stir = addDays(moved, STIR_DAYS);
  if (change <= day)
    ask.do('jar-change', {
      since: change,
      reason: { why: 'stale', since: changed, every, tempC },
      sure: { by: 'practice' },
    });
  else if (stir <= day)
    ask.do('jar-stir', {
      since: stir,
      reason: { why: 'stir', since: moved, under: jarEnd(batch, facts.taxon) },
      sure: { by: 'practice' },
    });
  else {
    const until = stir < change ? stir : change;
    ask.leave('jar', {
      until,
      earliest: until,
      latest: until,
      reason: { why: 'jar-rests', next: stir < change ? 'stir' : 'change' },
    });
  }
  const roots = facts.rootsSince;
  if (roots === null) return;
  const fed = lastTended(batch, ['jar-feed', 'feed']);
  const hungry = addDays(fed ?? roots, JAR_FEED_DAYS);
  if (hungry <= day)
    ask.do('jar-feed', {
      since: hungry,
      reason: { why: 'jar-hungry', rooted: roots },
      sure: { by: 'practice' },
    });
}

/** Since when roots in a jar are long enough for medium, by ruler or by time; null if they are not. */
function longRoots(
  batch: Batch,
  roots: Day | null,
): { readonly since: Day; readonly mm: number | null } | null {
  if (roots === null) return null;
  const measured = batch.measured.findLast((m) => m.what === 'root');
  const told = batch.looks.findLast((l) => l.rootMm !== undefined);
  const mm = measured?.mm ?? told?.rootMm;
  if (mm !== undefined) return mm >= SOIL_ROOT_MM ? { since: (measured ?? told)!.day, mm } : null;
  return { since: addDays(roots, JAR_ROOTS_DAYS), mm: null };
}

export function lastTended(batch: Batch, what: readonly Tending[], since: Day = ''): Day | null {
  return batch.tendings.findLast((t) => what.includes(t.what) && t.day >= since)?.day ?? null;
}

/** Leaves stand in a jar by their stalk, sections and straps by the end that stood lower, the rest by a bare stem. */
export function jarEnd({ method }: Batch, taxon: Facts['taxon']): JarEnd {
  if (method === 'leaf-section' || leafKind(taxon, method) === 'strap') return 'base';
  return method === 'leaf' ? 'stalk' : 'stem';
}
