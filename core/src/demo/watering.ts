import { waterCaseOf } from '../bench';
import { addDays, daysBetween, type Day } from '../days';
import { appendAll, type State } from '../journal';
import { runPot } from '../water';
import { stamped, type DemoDraft } from './draft';
import { randomFrom } from '../stats';
import { DEMO, type DemoPot } from './story';

/** The can comes a day late now and then, as it does. */
const LATE_SHARE = 0.3;
const WEIGHED_DAYS = 20;
const WEIGHED_EVERY = 3;
/** An empty pot, g; the scale reads whole grams. */
const EMPTY_G = 24;

/** Waterings of a batch as its school asked for them, and what a scale said of one of its pots. */
export function potLife(
  batch: string,
  pot: DemoPot,
  first: Day,
  today: Day,
  setting: State,
  life: readonly DemoDraft[],
): readonly DemoDraft[] {
  const random = randomFrom(batch.charCodeAt(2) * 31 + batch.charCodeAt(3));
  const drafts: DemoDraft[] = [{ kind: 'watered', day: first, batch, how: 'poured' }];
  const last = addDays(today, -(pot.thirst ?? 1));
  const caseOn = (day: Day, learns = false) => {
    const state = appendAll(setting, stamped([...life, ...drafts]));
    return waterCaseOf(state, state.batches.get(batch)!, day, learns);
  };
  // The outlook of a pot ends after two months; then the next stretch begins where the last drink was.
  for (let from = first; from <= last;) {
    const given = caseOn(from);
    if (!given) break;
    const days = runPot(given, {
      // What is not weighed is watered as the advice has it; the scale alone tells how this bench dries.
      pace: pot.weighed ? DEMO.potPace : 1,
      until: given.evaporation.length,
      watersFrom: given.today + 1,
      manner: given.regime === 'mist' ? 'misted' : 'poured',
    });
    const asked = days.flatMap((d, at) => (d.asks && at > given.today ? [at] : []));
    for (const at of asked) {
      const day = addDays(given.from, at + (random() < LATE_SHARE ? 1 : 0));
      if (day > last) return [...drafts, ...weighings(batch, pot, today, caseOn)];
      drafts.push({
        kind: 'watered',
        day,
        batch,
        how: given.regime === 'mist' ? 'misted' : 'poured',
      });
    }
    const next = drafts.at(-1)!.day;
    if (asked.length === 0 || next === from) break;
    from = next;
  }
  return [...drafts, ...weighings(batch, pot, today, caseOn)];
}

function weighings(
  batch: string,
  pot: DemoPot,
  today: Day,
  caseOn: (day: Day, learns: boolean) => ReturnType<typeof waterCaseOf>,
): readonly DemoDraft[] {
  if (!pot.weighed) return [];
  const given = caseOn(today, true);
  if (!given) return [];
  const days = runPot(given, { pace: DEMO.potPace, until: given.today + 1 });
  const drafts: DemoDraft[] = [];
  for (let ago = WEIGHED_DAYS; ago > 0; ago -= WEIGHED_EVERY) {
    const day = addDays(today, -ago);
    const at = daysBetween(given.from, day);
    const pot = days[at];
    if (at >= 0 && pot)
      drafts.push({
        kind: 'weighed',
        day,
        batch,
        grams: Math.round(EMPTY_G + given.dryG + pot.waterMl),
      });
  }
  return drafts;
}
