import { inSentence } from '@hypogeon/messages';
import * as say from '@hypogeon/messages/core-ledger-losses';
import { addDays, isoWeek } from '../days';
import { countLedger, type LedgerCount } from './count';
import { fisherP, newcombeOf, wilsonOf, type ShareDifference, type ShareInterval } from '../stats';
import { effectiveOf, shareOf, whole, type Effective } from './effective';
import { holm, strengthOf, type Strength } from './evidence';
import type { CaseName, LedgerCase } from './case';
import { gather } from './filter';
import { GROUPING_NAME, waterGaps, type Grouping } from './grouping';
import { LOSSES, type Loss } from './rows';
import { perCent } from '../units';

/** Losses of a stretch of time or a group, by cause; a loss between two looks is spread over the days between. */
export interface LossBar {
  readonly name: string;
  readonly of: Readonly<Record<Loss, number>>;
}

const none = (): Record<Loss, number> => ({ rotted: 0, dried: 0, lost: 0 });

/** By weeks since the cut, from the first; the last gathers what came later. */
export function lossesByWeek(cases: readonly LedgerCase[], weeks = 26): readonly LossBar[] {
  const out = Array.from({ length: weeks }, none);
  for (const one of cases)
    for (const { cause, left, right, count } of lossesOf(one)) {
      const from = Math.floor(left / 7);
      const to = Math.max(Math.ceil(right / 7), from + 1);
      for (let week = from; week < to; week++)
        out[Math.min(week, weeks - 1)]![cause] += count / (to - from);
    }
  const last = out.findLastIndex((w) => w.rotted + w.dried + w.lost > 0);
  return out.slice(0, last + 1).map((of, week) => ({ name: String(week + 1), of }));
}

/** By week of the year, 1–53 after ISO 8601: the season shows in it whatever the year. */
export function lossesByYearWeek(cases: readonly LedgerCase[]): readonly LossBar[] {
  const out = Array.from({ length: 53 }, none);
  for (const one of cases)
    for (const { cause, left, right, count } of lossesOf(one)) {
      const days = Math.max(1, Math.round(right - left));
      for (let day = 0; day < days; day += 7) {
        const share = Math.min(7, days - day) / days;
        const week = isoWeek(addDays(one.cutOn, Math.round(left) + day + 1));
        out[week - 1]![cause] += count * share;
      }
    }
  return out.map((of, week) => ({ name: String(week + 1), of }));
}

/**
 * By days from the cut to the first water: the share of the settled cuttings lost in each.
 * @param correlation of two cuttings of a tray, 0–1
 */
export function lossesByWater(
  cases: readonly LedgerCase[],
  correlation: number,
): readonly LossGroup[] {
  const groups = gather(
    cases.filter((c) => c.settled),
    'days to water',
  );
  return waterGaps().flatMap((name) => {
    const members = groups.get(name);
    return members ? [lossGroup(name, members, correlation)] : [];
  });
}

/** What a group lost of what is settled in it. */
export interface LossGroup {
  readonly name: string;
  readonly count: LedgerCount;
  readonly told: number;
  readonly lost: ShareInterval | null;
}

export function lossesBy(
  cases: readonly LedgerCase[],
  by: Grouping,
  correlation: number,
): readonly LossGroup[] {
  const groups = gather(
    cases.filter((c) => c.settled),
    by,
  );
  return [...groups]
    .map(([name, members]) => lossGroup(name, members, correlation))
    .sort((a, b) => b.told - a.told || (a.name < b.name ? -1 : 1));
}

function lossGroup(name: string, members: readonly LedgerCase[], correlation: number): LossGroup {
  const count = countLedger(members);
  const trays = members.map(({ count, waiting, counts }) => ({
    of: count - waiting,
    yes: count - waiting - counts.rooted - counts.pupped,
  }));
  return { name, count, told: count.stuck - count.waiting, lost: shareOf(trays, correlation) };
}

function lossesOf({ losses }: LedgerCase) {
  return losses.flatMap(({ left, right, cause, count = 1 }) => {
    const loss = LOSSES.find((l) => l === cause);
    return loss ? [{ cause: loss, left, right, count }] : [];
  });
}

/** Something that goes with more losses than the rest. */
export interface Finding {
  readonly by: Grouping;
  readonly group: string;
  readonly cause: 'rotted' | 'lost in all';
  readonly here: ShareInterval;
  readonly elsewhere: ShareInterval;
  readonly difference: ShareDifference;
  /** Corrected for all that was looked at. */
  readonly p: number;
  readonly strength: Strength;
  readonly batches: readonly CaseName[];
}

/** Looked at for what goes with losses. */
const LOOKED_AT: readonly Grouping[] = [
  'method',
  'genus',
  'school',
  'place of callus',
  'gate',
  'first water',
  'medium or water',
  'days to dry',
  'days to water',
  'watering',
  'aid',
  'mix',
  'pot',
  'space',
  'air',
  'neighbours',
  'season',
];

/** Fewer batches than this on one side are an anecdote. Working assumption. */
const LEAST_BATCHES = 2;
/** A finding must be at least this unlikely by chance, all looks counted. */
const NOISE = 0.05;

export interface Findings {
  /** Those that matter most, worst first. */
  readonly findings: readonly Finding[];
  /** What comes nearest where nothing stands out: told as what it is, perhaps chance. */
  readonly nearest: Finding | null;
  /** How many comparisons were made to find them. */
  readonly looked: number;
}

/**
 * Where this bench loses cuttings: every group against the rest, by Fisher's test on effective numbers, corrected by
 * Holm for the number of looks. No finding from noise: what could be chance is not told.
 */
export function findLosses(cases: readonly LedgerCase[], correlation: number, most = 3): Findings {
  const settled = cases.filter((c) => c.settled);
  const candidates: (Omit<Finding, 'p' | 'strength'> & { readonly raw: number })[] = [];
  for (const by of LOOKED_AT) {
    const groups = gather(settled, by);
    for (const [group, members] of groups) {
      const rest = [...groups].flatMap(([name, others]) => (name === group ? [] : others));
      if (members.length < LEAST_BATCHES || rest.length < LEAST_BATCHES) continue;
      for (const cause of ['rotted', 'lost in all'] as const) {
        const found = against({ by, group, cause }, members, rest, correlation);
        if (found) candidates.push(found);
      }
    }
  }
  const corrected = holm(candidates.map((c) => c.raw));
  const worse = candidates
    .map(({ raw: _raw, ...c }, i): Finding => ({
      ...c,
      p: corrected[i]!,
      strength: strengthOf(corrected[i]!),
    }))
    .filter((f) => f.difference.difference > 0)
    .sort((a, b) => a.p - b.p || b.difference.difference - a.difference.difference);
  const findings = worse.filter((f) => f.p < NOISE);
  // One group is told once, by what is most certain.
  const told = findings.filter(
    (f, i) => findings.findIndex((o) => o.by === f.by && o.group === f.group) === i,
  );
  return {
    findings: told.slice(0, most),
    nearest: told.length > 0 ? null : (worse[0] ?? null),
    looked: candidates.length,
  };
}

function against(
  what: Pick<Finding, 'by' | 'group' | 'cause'>,
  members: readonly LedgerCase[],
  rest: readonly LedgerCase[],
  correlation: number,
): (Omit<Finding, 'p' | 'strength'> & { readonly raw: number }) | null {
  const lostOf = (list: readonly LedgerCase[]): Effective =>
    effectiveOf(
      list.map(({ count, waiting, counts: { rotted, dried, lost } }) => ({
        of: count - waiting,
        yes: what.cause === 'rotted' ? rotted : rotted + dried + lost,
      })),
      correlation,
    );
  const [a, b] = [lostOf(members), lostOf(rest)];
  const [here, elsewhere] = [wilsonOf(a), wilsonOf(b)];
  const difference = newcombeOf({ a, b });
  const raw = fisherP({ a: whole(a), b: whole(b) });
  if (!here || !elsewhere || !difference || raw === null) return null;
  return {
    ...what,
    here,
    elsewhere,
    difference,
    raw,
    batches: members.map(({ id, title, cutOn }) => ({ id, title, cutOn })),
  };
}

/** A finding in one plain sentence. */
export function findingWords({ by, group, cause, here, elsewhere }: Finding): string {
  const percent = (s: ShareInterval): string => perCent(Math.round(s.share * 100));
  const what = cause === 'rotted' ? 'rotted' : say.wereLost();
  return say.againstElsewhere({
    groupingName: GROUPING_NAME[by],
    inSentence: inSentence(group),
    percent: percent(here),
    what,
    percent2: percent(elsewhere),
  });
}
