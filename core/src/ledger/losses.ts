import type { Batch, State } from '../journal';
import {
  countLedger,
  fisherExact,
  newcombe,
  wilson,
  type ShareDifference,
  type ShareInterval,
} from '../stats';
import { holm, strengthOf, weightOf, type Strength } from './evidence';
import { gather, GROUPING_NAME, isSettled, type Grouping } from './grouping';
import { FATES, fateRows, type Fate } from './rows';

export type Loss = Exclude<Fate, 'rooted'>;
const LOSSES = FATES.filter((f): f is Loss => f !== 'rooted');

/** Losses that came in a week since the cut, by cause; a loss between two looks is spread over its weeks. */
export interface LossWeek {
  readonly week: number;
  readonly of: Readonly<Record<Loss, number>>;
}

export function lossesByWeek(batches: readonly Batch[], weeks = 26): readonly LossWeek[] {
  const out = Array.from({ length: weeks }, () => ({ rotted: 0, dried: 0, lost: 0 }));
  for (const batch of batches)
    for (const { left, right, cause, count = 1 } of fateRows(batch)) {
      const loss = LOSSES.find((l) => l === cause);
      if (!loss) continue;
      const [from, to] = [
        Math.floor(left / 7),
        Math.max(Math.ceil(right / 7), Math.floor(left / 7) + 1),
      ];
      for (let week = from; week < to; week++)
        out[Math.min(week, weeks - 1)]![loss] += count / (to - from);
    }
  const last = out.findLastIndex((w) => w.rotted + w.dried + w.lost > 0);
  return out.slice(0, last + 1).map((of, week) => ({ week, of }));
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
  readonly batches: readonly Batch[];
}

/** Looked at for what goes with losses. */
const LOOKED_AT: readonly Grouping[] = [
  'method',
  'genus',
  'school',
  'place of callus',
  'gate',
  'first water',
  'watering',
  'mix',
  'pot',
  'space',
];

/** Fewer batches than this on one side are an anecdote. Working assumption. */
const LEAST_BATCHES = 2;
/** A finding must be at least this unlikely by chance, all looks counted. Working assumption; 0.01–0.1. */
const NOISE = 0.1;

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
export function findLosses(state: State, most = 3): Findings {
  const batches = [...state.batches.values()].filter(isSettled);
  const candidates: (Omit<Finding, 'p' | 'strength'> & { readonly raw: number })[] = [];
  for (const by of LOOKED_AT) {
    const groups = gather(state, batches, by);
    for (const [group, members] of groups) {
      const rest = [...groups].flatMap(([name, others]) => (name === group ? [] : others));
      if (members.length < LEAST_BATCHES || rest.length < LEAST_BATCHES) continue;
      for (const cause of ['rotted', 'lost in all'] as const) {
        const found = against(by, group, cause, members, rest);
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
  by: Grouping,
  group: string,
  cause: Finding['cause'],
  members: readonly Batch[],
  rest: readonly Batch[],
): (Omit<Finding, 'p' | 'strength'> & { readonly raw: number }) | null {
  const lostOf = (
    list: readonly Batch[],
  ): { lost: number; stuck: number; yes: number; no: number } => {
    const { rotted, dried, lost, stuck, waiting } = countLedger(list);
    let [yes, no] = [0, 0];
    for (const b of list) {
      const gone =
        cause === 'rotted' ? b.counts.rotted : b.counts.rotted + b.counts.dried + b.counts.lost;
      yes += weightOf(b.count) * gone;
      no += weightOf(b.count) * (b.count - b.waiting - gone);
    }
    return {
      lost: cause === 'rotted' ? rotted : rotted + dried + lost,
      stuck: stuck - waiting,
      yes: Math.round(yes),
      no: Math.round(no),
    };
  };
  const [a, b] = [lostOf(members), lostOf(rest)];
  const here = wilson(a.lost, a.stuck);
  const elsewhere = wilson(b.lost, b.stuck);
  const difference = newcombe(
    { successes: a.lost, trials: a.stuck },
    { successes: b.lost, trials: b.stuck },
  );
  const test = fisherExact({ a, b });
  if (!here || !elsewhere || !difference || !test) return null;
  return { by, group, cause, here, elsewhere, difference, raw: test.p, batches: members };
}

/** A finding in one plain sentence. */
export function findingWords({ by, group, cause, here, elsewhere }: Finding): string {
  const percent = (s: ShareInterval): string => `${Math.round(s.share * 100)} %`;
  const what = cause === 'rotted' ? 'rotted' : 'were lost';
  return `${GROUPING_NAME[by]}, ${group.charAt(0).toLowerCase()}${group.slice(1)}: ${percent(here)} ${what}, against ${percent(elsewhere)} elsewhere.`;
}
