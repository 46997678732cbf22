import { benchWork } from './bench-work';
import { tendings } from './tending';
import { clockOf, figuresOf, plantOf } from '../bench';
import { grownAs, growthRate } from '../botany';
import { addDays, type Day } from '../days';
import {
  appendAll,
  fold,
  NO_COUNTS,
  sumCounts,
  type BatchFields,
  type Counts,
  type Entry,
  type State,
} from '../journal';
import { ROOTS_GROW_DAYS } from '../care';
import { randomFrom } from '../stats';
import { DEMO, type DemoBatch, type DemoMother, type DemoSpace } from './story';
import { stamped, type DemoDraft } from './draft';
import { loggerWeeks, LOGGED_DAYS } from './logger';
import { demoForecasts } from './forecasts';
import { demoTrial } from './trial';
import { potLife } from './watering';

const READINGS_BACK = 420;

type Draft = DemoDraft;

/**
 * The demo journal as it stands on a day: the same story whatever the day, told backwards from it.
 * Deterministic; no clock and no randomness but a fixed seed.
 */
export function demoJournal(today: Day): readonly Entry[] {
  const drafts: Draft[] = [
    ...DEMO.spaces.map((space) => spacePut(space, today)),
    ...DEMO.spaces.flatMap((space, i) => readings(space, i, today)),
    ...stores(today),
    ...DEMO.mothers.map((m): Draft => ({
      kind: 'put',
      record: 'mother',
      day: addDays(today, -Math.min(m.daysAgo, READINGS_BACK)),
      key: m.id,
      fields: {
        name: m.name,
        taxon: m.taxon,
        provenance: m.provenance,
        permission: m.permission,
        since: addDays(today, -m.daysAgo),
        space: m.space,
        heightMm: m.heightMm,
        has: m.has,
        ...(m.oldThen === undefined ? {} : { bornOn: addDays(today, -m.daysAgo - m.oldThen) }),
        ...(m.fromBatch === undefined ? {} : { fromBatch: m.fromBatch }),
      },
    })),
    ...DEMO.mothers.flatMap((m) => motherLook(m, today)),
  ];
  const setting = fold(stamped(drafts, 'setting'));
  const life = DEMO.batches.flatMap((batch, i) => batchLife(batch, i, today, setting));
  return stamped([
    ...drafts,
    ...life,
    ...demoTrial(today),
    ...demoForecasts(today),
    ...(benchWork(today) as readonly Draft[]),
  ]);
}

function motherLook({ id, look }: DemoMother, today: Day): readonly Draft[] {
  if (!look) return [];
  const { daysAgo, wateredDaysAgo, ...seen } = look;
  return [
    {
      kind: 'examined',
      day: addDays(today, -daysAgo),
      mother: id,
      ...seen,
      ...(wateredDaysAgo === undefined ? {} : { wateredOn: addDays(today, -wateredDaysAgo) }),
    },
  ];
}

/** Mixes, shed and drain tests, and where on earth the glasshouse stands. */
function stores(today: Day): readonly Draft[] {
  const day = addDays(today, -READINGS_BACK);
  return [
    {
      kind: 'put',
      record: 'settings',
      day,
      key: 'grower',
      fields: {
        latitude: 36,
        labelPrice: DEMO.prices.label,
        hourPrice: DEMO.prices.hour,
        plantPrice: DEMO.prices.plant,
        currency: DEMO.prices.currency,
      },
    },
    ...DEMO.mixes.map(({ id, ...fields }): Draft => ({
      kind: 'put',
      record: 'mix',
      day,
      key: id,
      fields,
    })),
    ...DEMO.shed.map(({ id, ...fields }): Draft => ({
      kind: 'put',
      record: 'component',
      day,
      key: id,
      fields,
    })),
    ...Object.entries(DEMO.prices.pots).map(([key, price]): Draft => ({
      kind: 'put',
      record: 'container',
      day,
      key,
      fields: { price },
    })),
    ...DEMO.protocols.map(({ id, ...fields }): Draft => ({
      kind: 'put',
      record: 'protocol',
      day,
      key: id,
      fields,
    })),
    ...DEMO.jugs.map(({ daysAgo, ...test }): Draft => ({
      kind: 'jug',
      day: addDays(today, -daysAgo),
      mix: 'mix-bench',
      ...test,
    })),
  ];
}

function spacePut(space: DemoSpace, today: Day): Draft {
  const { id, name, light, tempC, rh, lightLevel, lamps, matC, year } = space;
  return {
    kind: 'put',
    record: 'space',
    day: addDays(today, -READINGS_BACK),
    key: id,
    fields: {
      name,
      light,
      tempC,
      rh,
      lightLevel,
      ...lamps,
      ...(matC === undefined ? {} : { matC }),
      ...(year === undefined
        ? {}
        : {
            monthly: year.means.map((mean) => ({
              minC: mean - year.swing,
              maxC: mean + year.swing,
              rh,
            })),
          }),
    },
  };
}

/** A reading every third day, wandering around the space's usual air. */
function readings(space: DemoSpace, seed: number, today: Day): readonly Draft[] {
  const random = randomFrom(1000 + seed);
  const entries: Draft[] = [];
  const logged: { day: Day; tempC: number; rh: number }[] = [];
  let drift = 0;
  for (let ago = READINGS_BACK; ago >= 0; ago -= ago > 14 ? 3 : 1) {
    drift = 0.8 * drift + (random() - 0.5) * 2;
    const tempC = round(space.tempC + drift, 1);
    const rh = round(Math.min(0.92, space.rh - drift * 0.02 + (random() - 0.5) * 0.06), 2);
    const day = addDays(today, -ago);
    if (space.logged && ago <= LOGGED_DAYS) logged.push({ day, tempC, rh });
    else entries.push({ kind: 'air', day, space: space.id, tempC, rh });
  }
  return logged.length === 0
    ? entries
    : [...entries, loggerWeeks(space.id, `Logger in the ${space.name.toLowerCase()}`, logged)];
}

function batchLife(story: DemoBatch, seed: number, today: Day, setting: State): readonly Draft[] {
  const cutOn = addDays(today, -story.daysAgo);
  const at = (dayAfterCut: number): Day => addDays(cutOn, dayAfterCut);
  const mother = DEMO.mothers.find((m) => m.id === story.mother)!;
  const pot = DEMO.pots[story.id];
  const fields: BatchFields = {
    mother: mother.id,
    taxon: mother.taxon,
    method: story.method,
    count: story.count,
    cutOn,
    school: story.school,
    callusAt: story.school === 'straight-in' ? 'medium' : 'rack',
    space: story.space,
    callusSpace: story.callusSpace,
    place: story.place,
    columns: story.columns,
    widthMm: story.widthMm,
    disinfectant: 'alcohol',
    ...(pot
      ? {
          container: pot.container,
          containers: pot.containers,
          mix: pot.mix,
          ...(pot.waterSchool === undefined ? {} : { waterSchool: pot.waterSchool }),
        }
      : { medium: 'Two parts pumice, one part fine grit' }),
  };
  const put: Draft = {
    kind: 'put',
    record: 'batch',
    day: cutOn < today ? cutOn : today,
    key: story.id,
    fields,
  };
  if (story.daysAgo < 0) return [put];

  const life: Draft[] = [put, { kind: 'cut', day: cutOn, batch: story.id }];
  const observe = (draft: Draft): void => {
    if (draft.day <= today) life.push(draft);
  };
  for (const touch of story.touches ?? [])
    observe({ kind: 'inspected', day: at(touch.day), batch: story.id, seen: touch.seen });

  const known = appendAll(setting, stamped(life));
  const batch = known.batches.get(story.id)!;
  const clock = clockOf(known, batch);
  const stick = story.unstuck ? null : clock ? clock.stickOn : cutOn;
  if (stick === null || stick > today) return life;
  observe({ kind: 'stuck', day: stick, batch: story.id });
  if (story.breach)
    observe({
      kind: 'watered',
      day: at(story.breach.day),
      batch: story.id,
      how: 'misted',
      breach: story.breach.reason,
    });
  if (story.note) observe({ kind: 'note', day: at(16), batch: story.id, text: story.note });
  if (story.dryStill) return life;
  const gate = clock === null ? cutOn : clock.gate.state === 'dated' ? clock.gate.opens : null;
  if (gate === null || gate > today) return life;
  const first = gate < stick ? stick : gate;
  if (pot) for (const draft of potLife(story.id, pot, first, today, setting, life)) observe(draft);
  else
    for (let day = first; day <= today; day = addDays(day, 9))
      observe({ kind: 'watered', day, batch: story.id, how: 'poured' });
  const counted = [...life, ...tallies(story, seed, today, setting, life)];
  const grown = appendAll(setting, stamped(counted)).batches.get(story.id)!;
  return [...counted, ...(tendings(grown, today, seed) as readonly Draft[])];
}

const MOST_LOOKS = 14;

/** Looks as the Round asks for them, at cuttings whose fate was drawn beforehand. */
function tallies(
  story: DemoBatch,
  seed: number,
  today: Day,
  setting: State,
  life: readonly Draft[],
): readonly Draft[] {
  const first = appendAll(setting, stamped(life));
  const figures = figuresOf(first, first.batches.get(story.id)!)!;
  const { tempC } = DEMO.spaces.find((s) => s.id === story.space)!;
  const plant = plantOf(first, first.batches.get(story.id)!.taxon)!.taxon;
  // By the usual warmth alone, so that the story is the same in every season.
  const rate = growthRate(tempC, grownAs(plant, story.method));
  const days = ({ from, to }: Span): Span => ({
    from: Math.round(from / rate),
    to: Math.round(to / rate),
  });
  const roots = days(figures.roots);
  const pups = figures.pups && days(figures.pups);
  const fates = drawFates(story, seed, roots, pups);
  const lastLook = addDays(today, -(story.countGap ?? 0));

  const entries: Draft[] = [];
  let potted = 0;
  const cutOn = addDays(today, -story.daysAgo);
  const spacing = Math.min(Math.max(Math.round((roots.to - roots.from) / 3), 6), 21);
  let age = 0;
  for (let look = 0; look < MOST_LOOKS; look++) {
    const before = countsAt(fates, age);
    const waits = story.count - sumCounts(before) > 0;
    // All have what they will have: nobody looks any more.
    if (potted === story.count || (!waits && (pups === null || before.rooted === 0))) break;
    age = Math.max(waits ? roots.from : pups!.from, age + (look === 0 ? 0 : spacing));
    const day = addDays(cutOn, age);
    if (day >= lastLook) break;
    entries.push({ kind: 'tally', day, batch: story.id, counts: countsAt(fates, age) });
    if (story.pottedShare === undefined) continue;
    const ready = Math.floor(
      fates.filter((f) => f.kind === 'lives' && age >= (f.pupDay ?? f.rootDay) + ROOTS_GROW_DAYS)
        .length * story.pottedShare,
    );
    if (ready <= potted) continue;
    entries.push({ kind: 'potted', day, batch: story.id, count: ready - potted });
    potted = ready;
  }
  // What sits on is looked at once more, some weeks ago: nobody lets it stand for months.
  const again = addDays(today, -LAST_LOOK_AGO);
  const last = entries.at(-1)?.day;
  if (
    fates.some((f) => f.kind === 'sits') &&
    last !== undefined &&
    last < again &&
    again < lastLook
  )
    entries.push({ kind: 'tally', day: again, batch: story.id, counts: countsAt(fates, age) });
  const endDay = addDays(today, -story.daysAgo + 2 * (pups?.to ?? roots.to));
  if (story.pottedShare !== undefined && endDay < addDays(today, -20)) {
    const alive = fates.filter((f) => f.kind === 'lives').length;
    const rest = Math.floor(alive * story.pottedShare) - potted;
    if (rest > 0) entries.push({ kind: 'potted', day: endDay, batch: story.id, count: rest });
    entries.push({ kind: 'ended', day: endDay, batch: story.id });
  }
  return entries;
}

/** Days since what has not rooted was last looked at. */
const LAST_LOOK_AGO = 14;

type Fate =
  | { readonly kind: 'lives'; readonly rootDay: number; readonly pupDay: number | null }
  | { readonly kind: 'rotted' | 'dried' | 'lost'; readonly day: number }
  | { readonly kind: 'sits' };

interface Span {
  readonly from: number;
  readonly to: number;
}

function drawFates(
  story: DemoBatch,
  seed: number,
  roots: Span,
  pups: Span | null,
): readonly Fate[] {
  const random = randomFrom(seed + 7);
  const { rot = 0, dry = 0, other = 0, sit = 0 } = story.fate;
  const share = (s: number): number => Math.round(s * story.count);
  const within = ({ from, to }: Span): number =>
    Math.round(from + (to - from) * (random() + random()) * 0.55);
  const kinds: Fate['kind'][] = [
    ...Array<'rotted'>(share(rot)).fill('rotted'),
    ...Array<'dried'>(share(dry)).fill('dried'),
    ...Array<'lost'>(share(other)).fill('lost'),
    ...Array<'sits'>(share(sit)).fill('sits'),
  ];
  return Array.from({ length: story.count }, (_, i): Fate => {
    const kind = kinds[i] ?? 'lives';
    switch (kind) {
      case 'lives': {
        const rootDay = within(roots);
        return { kind, rootDay, pupDay: pups && Math.max(rootDay + 4, within(pups)) };
      }
      case 'rotted':
        return { kind, day: Math.round(6 + random() * roots.to * 0.8) };
      case 'dried':
        return { kind, day: Math.round(roots.to * (0.8 + random())) };
      case 'lost':
        return { kind, day: 16 };
      case 'sits':
        return { kind };
    }
  });
}

function countsAt(fates: readonly Fate[], age: number): Counts {
  const counts = { ...NO_COUNTS };
  for (const fate of fates) {
    if (fate.kind === 'sits') continue;
    if (fate.kind === 'lives') {
      if (fate.pupDay !== null && fate.pupDay <= age) counts.pupped++;
      else if (fate.rootDay <= age) counts.rooted++;
    } else if (fate.day <= age) counts[fate.kind]++;
  }
  return counts;
}

const round = (value: number, digits: number): number => Number(value.toFixed(digits));
