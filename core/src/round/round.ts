import {
  airOf,
  clockOf,
  countedPieces,
  figuresOf,
  firstDrinkFrom,
  OUTLOOK_DAYS,
  rootingPace,
  ROOTS_GROW_DAYS,
  spaceDrying,
  standsInJar,
  waterCaseOf,
} from '../bench';
import { METHOD, shareBy, timeWithin, windowAt, type TaxonMethod } from '../botany';
import { addDays, daysBetween, type Day } from '../days';
import type { Batch, State } from '../journal';
import { sparing } from '../faults';
import { FIRST_WATER, judge, type Drink, type WaterVerdict } from '../water';
import { chanceClosedOn, closureOn, WOUND_SCHOOL, type WoundClock } from '../wound';
import { chanceWords } from './chance-words';
import type { Do, LeaveAlone, Look, Round, RoundItem } from './item';
import { noticesOn } from './notices';
import { asked } from './put-off';
import { SOIL_ROOT_MM, tendItems } from './tend';

/** A wound is worth touching once it is this likely closed: sooner, a thumb does harm. */
const TOUCH_CHANCE = 0.5;
/** Looks at roots: a third of the rooting window apart, but neither daily nor forgotten. */
const LEAST_LOOK_DAYS = 4;
const MOST_LOOK_DAYS = 21;
/** Past this many times its window a cutting without roots wants help, not patience. */
const OVERDUE = 1.5;
/** Verdicts on the water of batches, by batch; they cost the most and may come later, from a worker. */
export type Verdicts = ReadonlyMap<string, WaterVerdict>;

/** The verdicts on all batches whose pot and mix are told. */
export function verdictsOn(state: State, today: Day): Verdicts {
  const drying = spaceDrying(state);
  const { results } = sparing(state.batches.values(), (b) => {
    const given = waterCaseOf(state, b, today, undefined, drying);
    return given ? [judge(given)] : [];
  });
  return new Map(results.flat().map((verdict) => [verdict.id, verdict]));
}

/** The round of a day: what to leave alone, what to look at, what to do. */
export function roundOn(state: State, today: Day, verdicts: Verdicts = new Map()): Round {
  const drying = spaceDrying(state);
  const { results, broken } = sparing(state.batches.values(), (b) =>
    batchRound(state, b, today, verdicts.get(b.id), drying),
  );
  const items = results.flat();
  const of = <B extends RoundItem['band']>(band: B) =>
    items.filter((i): i is Extract<RoundItem, { band: B }> => i.band === band);
  return {
    leave: of('leave').sort(
      (a, b) => rank(a) - rank(b) || (a.until < b.until ? -1 : a.until > b.until ? 1 : 0),
    ),
    look: of('look'),
    do: of('do'),
    notices: noticesOn(state, today),
    broken,
  };
}

/** Closed gates first: there the can does harm; then wet pots; a look too soon is only of no use. */
const RANK = { gate: 0, water: 1, rooting: 2 } as const;
const rank = (item: LeaveAlone): number => RANK[item.kind];

export function batchRound(
  state: State,
  batch: Batch,
  today: Day,
  verdict?: WaterVerdict,
  drying = spaceDrying(state),
): readonly RoundItem[] {
  if (batch.stage === 'done') return [];
  if (batch.stage === 'planned')
    return batch.cutOn <= today ? asked(batch, [cutItem(batch)], today) : [];
  const figures = figuresOf(state, batch);
  // Roots in the medium say more about the wound than the clock does.
  const clock = batch.stage === 'growing' ? null : clockOf(state, batch);
  const closure = clock ? closureOn(clock, today) : 1;
  const jar = standsInJar(state, batch);
  const items = [
    ...stickItems(batch, clock, closure, today),
    ...(jar
      ? []
      : [
          ...gateItems(batch, clock, closure, today, verdict),
          ...waterItems(batch, closure, today, verdict),
        ]),
    ...rootItems(state, batch, figures, clock, closure, today),
    ...(jar ? [] : potOnItems(batch, figures, closure, today)),
    ...tendItems(state, batch, today, drying),
  ];
  return asked(batch, items, today);
}

function cutItem(batch: Batch): Do {
  return {
    band: 'do',
    kind: 'cut',
    batch,
    closure: 0,
    count: batch.count,
    title: `Cut ${pieces(batch, batch.count)}`,
    reason: METHOD[batch.method].rule,
    sure: 'as planned',
  };
}

function stickItems(
  batch: Batch,
  clock: WoundClock | null,
  closure: number,
  today: Day,
): readonly Do[] {
  if (batch.stuck !== null || batch.stage === 'growing') return [];
  if (clock !== null && (clock.stickOn === null || clock.stickOn > today)) return [];
  const reason =
    clock === null
      ? 'It has its own roots and no open wound.'
      : closure >= 1
        ? 'The wound is likely closed. Dry medium, and no water yet.'
        : `${WOUND_SCHOOL[batch.school].name}: into dry medium, and no water yet.`;
  return [
    {
      band: 'do',
      kind: 'stick',
      batch,
      closure,
      count: batch.count,
      title: `Stick ${pieces(batch, batch.count)}`,
      reason,
      sure:
        clock === null
          ? 'sure'
          : `closed by now: ${chanceWords(chanceClosedOn(clock, today))}`,
    },
  ];
}

function gateItems(
  batch: Batch,
  clock: WoundClock | null,
  closure: number,
  today: Day,
  verdict: WaterVerdict | undefined,
): readonly RoundItem[] {
  const settled = batch.stage === 'growing';
  if (clock !== null && !settled && batch.waterings.length === 0) {
    if (clock.gate.state === 'stopped')
      return [
        {
          band: 'look',
          kind: 'stopped',
          batch,
          closure,
          title: 'The wound stands still',
          reason: 'Too cold, too hot or too damp here to close within half a year. Move it.',
          sure: 'by the air of its place',
        },
      ];
    const { opens, earliest, latest } = clock.gate;
    if (today < opens)
      return [
        {
          band: 'leave',
          kind: 'gate',
          batch,
          until: opens,
          earliest,
          latest,
          closure,
          reason: closureWords(closure),
        },
        ...touchItems(batch, clock, closure, today),
      ];
  }
  if (settled || batch.stuck === null || batch.waterings.length > 0) return [];
  const from = firstDrinkFrom(batch, batch.stuck);
  if (from === null || from > today)
    return from === null ? [] : [waitsForWater(batch, closure, from)];
  return [
    {
      band: 'do',
      kind: 'first-water',
      batch,
      closure,
      count: batch.here.waiting,
      title: batch.method === 'leaf' ? 'First misting' : firstWater(batch, verdict),
      drink: verdict?.drink,
      reason:
        clock?.gate.state === 'dated'
          ? `The gate opened ${daysAgo(clock.gate.opens, today)}: ${WOUND_SCHOOL[batch.school].name.toLowerCase()}.`
          : 'No open wound: water settles the medium round the roots.',
      sure:
        clock === null
          ? 'sure'
          : `wounds closed: ${chanceWords(chanceClosedOn(clock, today))}`,
    },
  ];
}

function waitsForWater(batch: Batch, closure: number, until: Day): LeaveAlone {
  return {
    band: 'leave',
    kind: 'water',
    batch,
    until,
    earliest: until,
    latest: until,
    closure,
    reason: `first water: ${FIRST_WATER[batch.firstWater ?? 'with-gate'].name.toLowerCase()}`,
  };
}

function firstWater(batch: Batch, verdict: WaterVerdict | undefined): string {
  return verdict ? `First water, ${amountWords(batch, verdict.drink)}` : 'First water';
}

/** `about 45 mL each`: what a jug shows, not what the model has behind the comma. */
export function amountWords(
  { containers = 1 }: { readonly containers?: number | undefined },
  { ml }: Drink,
): string {
  const step = ml < 20 ? 1 : ml < 100 ? 5 : ml < 1000 ? 10 : 100;
  const rounded = Math.max(step, Math.round(ml / step) * step);
  const amount = rounded >= 1000 ? `${(rounded / 1000).toFixed(1)} L` : `${rounded} mL`;
  return containers > 1 ? `about ${amount} each` : `about ${amount}`;
}

function waterItems(
  batch: Batch,
  closure: number,
  today: Day,
  verdict: WaterVerdict | undefined,
): readonly RoundItem[] {
  if (!verdict || batch.waterings.length === 0) return [];
  const { low, high } = verdict.fill;
  const holds = `holds ${Math.round(low * 100)}–${Math.round(Math.min(high, 1) * 100)} % of its water, 8 times in 10`;
  const common = { batch, closure, reason: verdict.reason, sure: holds };
  switch (verdict.kind) {
    case 'closed':
      return [];
    case 'hold': {
      if (verdict.poolMl > 0 && verdict.due === null)
        return [{ ...common, band: 'look', kind: 'pool', title: 'Water stands at the base' }];
      const until = verdict.due?.likely ?? addDays(today, OUTLOOK_DAYS);
      return [
        {
          batch,
          closure,
          reason: `${Math.round(Math.min(verdict.fill.likely, 1) * 100)} % of its water left`,
          band: 'leave',
          kind: 'water',
          until,
          earliest: verdict.due?.earliest ?? until,
          latest: verdict.due?.latest ?? until,
        },
      ];
    }
    case 'water':
    case 'overdue':
      return [
        {
          ...common,
          band: 'do',
          kind: 'water',
          count: batch.count,
          title: waterTitle(batch, verdict),
          drink: verdict.drink,
        },
      ];
  }
}

function waterTitle(batch: Batch, { kind, drink }: WaterVerdict): string {
  const verb = { misted: 'Mist', soaked: 'Soak', poured: 'Water', bottom: 'Water from below' };
  const amount = drink.manner === 'misted' ? '' : `, ${amountWords(batch, drink)}`;
  return `${verb[drink.manner]}${amount}${kind === 'overdue' ? ' (overdue)' : ''}`;
}

function touchItems(batch: Batch, clock: WoundClock, closure: number, today: Day): readonly Look[] {
  const last = batch.woundChecks.at(-1);
  if (last?.seen === 'firm' || (last && daysBetween(last.day, today) < restAfter(clock))) return [];
  if (chanceClosedOn(clock, today) < TOUCH_CHANCE) return [];
  return [
    {
      band: 'look',
      kind: 'wound',
      batch,
      closure,
      title: 'Touch one wound',
      reason: 'Dry and firm, or still tacky? Either answer moves the gate.',
      sure: `closed by now: ${chanceWords(chanceClosedOn(clock, today))}`,
    },
  ];
}

/** Days to leave a wound in peace after a touch: a quarter of the range it may close in. */
function restAfter({ gate }: WoundClock): number {
  if (gate.state === 'stopped') return 1;
  return Math.max(1, Math.round(daysBetween(gate.earliest, gate.latest) / 4));
}

function rootItems(
  state: State,
  batch: Batch,
  figures: TaxonMethod | null,
  clock: WoundClock | null,
  closure: number,
  today: Day,
): readonly RoundItem[] {
  if (figures === null || batch.stuck === null) return [];
  const jar = standsInJar(state, batch);
  if (!jar && batch.waterings.length === 0 && batch.stage !== 'growing') return [];
  const due = nextLook(state, batch, figures);
  if (due === null) return [];
  const age = daysBetween(batch.cutOn, today);
  if (due.day > today)
    return [
      {
        band: 'leave',
        kind: 'rooting',
        batch,
        until: due.day,
        earliest: due.day,
        latest: due.latest,
        closure,
        reason:
          batch.tallies.length === 0
            ? `${due.for} not expected sooner`
            : 'counted lately; each look sets roots back',
      },
    ];
  const overdue = due.for === 'roots' && batch.stage === 'stuck' && age > OVERDUE * due.window.to;
  const { rooted, pupped } = batch.counts;
  return [
    {
      band: 'look',
      kind: overdue ? 'overdue' : due.for,
      batch,
      closure,
      title: `Day ${age}: ${due.for === 'pups' ? 'look for pups' : jar ? 'look through the glass' : 'tug lightly'}`,
      reason: overdue
        ? 'Long past its window without roots: a fresh cut, more warmth, a little moisture.'
        : due.for === 'pups'
          ? `${pieces(batch, rooted + pupped)} with roots, ${pupped} with pups at the last count.`
          : jar
            ? 'Through the glass: nothing needs lifting. White tips are roots, slime is rot.'
            : lookFor(batch),
      sure: `due by now: ${chanceWords(shareBy(timeWithin(due.window), age))}`,
    },
  ];
}

function lookFor(batch: Batch): string {
  const held = batch.counts.rooted + batch.counts.pupped;
  const before =
    batch.tallies.length > 0 ? `${held} of ${batch.count} held at the last count. ` : '';
  return `${before}Wrinkled is normal; mind a dark, soft base.`;
}

export interface NextLook {
  readonly day: Day;
  readonly latest: Day;
  readonly for: 'roots' | 'pups';
  /** The window, days since the cut: one in ten has it at its beginning, nine in ten at its end. */
  readonly window: { readonly from: number; readonly to: number };
}

/**
 * When to look next, spaced by the window of what is awaited; null if nothing is. Never daily: roots
 * that are lifted to be seen start again.
 */
export function nextLook(state: State, batch: Batch, figures: TaxonMethod): NextLook | null {
  const awaits =
    batch.here.waiting > 0
      ? ({ for: 'roots', window: figures.roots } as const)
      : batch.here.rooted > 0 && figures.pups !== null
        ? ({ for: 'pups', window: figures.pups } as const)
        : null;
  if (awaits === null) return null;
  const { tempC } = airOf(state, batch.space, batch.cutOn);
  const pace = rootingPace(state, batch.taxon, figures).factor;
  const { from, to } = windowAt(awaits.window, tempC, pace);
  const spacing = Math.min(Math.max(Math.round((to - from) / 3), LEAST_LOOK_DAYS), MOST_LOOK_DAYS);
  const first = addDays(batch.cutOn, from);
  const last = batch.tallies.at(-1);
  const after = last === undefined ? first : addDays(last, spacing);
  const day = after > first ? after : first;
  return {
    day,
    latest: addDays(day, Math.ceil(spacing / 2)),
    for: awaits.for,
    window: { from, to },
  };
}

function potOnItems(
  batch: Batch,
  figures: TaxonMethod | null,
  closure: number,
  today: Day,
): readonly Do[] {
  const waitsForPup = figures?.pups != null;
  const told = potOnTold(batch);
  const ready =
    told?.ready ??
    batch.cuttings.filter((c) => {
      if (c.lost || c.left) return false;
      const sign = waitsForPup ? c.pupped : c.rooted;
      return sign !== undefined && addDays(sign.by, ROOTS_GROW_DAYS) <= today;
    }).length;
  const count = ready - batch.here.potted;
  if (count <= 0) return [];
  return [
    {
      band: 'do',
      kind: 'pot-on',
      batch,
      closure,
      count,
      title: `Pot on ${pieces(batch, count)}`,
      reason: told?.reason ?? potOnReason(batch, waitsForPup),
      sure: told ? 'by what was seen' : 'counted; four weeks are a rule, a ruler is surer',
    },
  ];
}

/** What was seen says more than four weeks do: roots by the ruler, or a mother leaf that is gone. */
function potOnTold(batch: Batch): { readonly ready: number; readonly reason: string } | null {
  const root = batch.measured.findLast((m) => m.what === 'root');
  const { rooted, pupped } = batch.here;
  if (root)
    return root.mm >= SOIL_ROOT_MM
      ? {
          ready: rooted + pupped,
          reason: `Roots of ${Math.round(root.mm)} mm: 2.5–5 cm is the time.`,
        }
      : { ready: 0, reason: '' };
  if (batch.method === 'leaf' && batch.tendings.some((t) => t.what === 'leaf-off'))
    return { ready: pupped, reason: 'The mother leaf is gone.' };
  return null;
}

function potOnReason(batch: Batch, waitsForPup: boolean): string {
  if (!waitsForPup) return 'Roots for four weeks: likely past 2.5 cm.';
  return batch.method === 'leaf' || batch.method === 'leaf-section'
    ? 'Pups for four weeks. Leave the mother leaf on until it is crisp.'
    : 'New shoots for four weeks: roots likely past 2.5 cm.';
}

const pieces = (batch: Pick<Batch, 'method'>, count: number): string =>
  countedPieces(batch.method, count);

/** How far a wound is, in words a glance can take in. */
export function closureWords(closure: number): string {
  if (closure < 0.15) return 'still fresh';
  if (closure < 0.4) return 'a third closed';
  if (closure < 0.65) return 'half closed';
  if (closure < 0.9) return 'mostly closed';
  return 'likely closed, not surely';
}

function daysAgo(day: Day, today: Day): string {
  const days = daysBetween(day, today);
  if (days === 0) return 'today';
  return days === 1 ? 'yesterday' : `${days} days ago`;
}
