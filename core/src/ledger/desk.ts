import * as say from '@hypogeon/messages/core-desk';
import type { Day } from '../days';
import type { Emergence } from './emergence';
import type { CaseName, LedgerCase } from './case';
import {
  allGroups,
  compareGroups,
  groupSizes,
  type GroupRow,
  resultOf,
  type Comparison,
} from './compare';
import { countedBy, overallOf, type CountedRow, type Overall } from './counted';
import { choicesOf, matching, type LedgerFilter } from './filter';
import type { Grouping } from './grouping';
import { USUAL_CORRELATION } from '../learn';
import {
  findLosses,
  lossesBy,
  lossesByWater,
  lossesByWeek,
  lossesByYearWeek,
  type Findings,
  type LossBar,
  type LossGroup,
} from './losses';
import { moneyBy, moneyOf, type MoneyRow } from './money';
import { pooledEmergence } from './plate';
import { chanceToFind, eachFor, type TrialSize } from '../trial';
import { seasonReport, type SeasonReport } from './season-report';

export interface CountedAsk {
  readonly filter: LedgerFilter;
  readonly by: Grouping | 'batch';
  /** So many rows. */
  readonly most: number;
  /** The batch whose plate is drawn; null for all that fit. */
  readonly plateOf: string | null;
}

export interface Counted {
  readonly overall: Overall;
  readonly rows: readonly CountedRow[];
  /** How many rows there are in all. */
  readonly of: number;
  readonly plate: Emergence | null;
  /** Batches that have something to draw. */
  readonly drawable: readonly CaseName[];
}

export interface CompareAsk {
  readonly filter: LedgerFilter;
  readonly by: Grouping;
  /** Names of the groups; where one is not there the largest are taken. */
  readonly a: string;
  readonly b: string;
}

export interface Compared {
  readonly groups: readonly { readonly name: string; readonly told: number }[];
  readonly comparison: Comparison | null;
  /** All groups side by side, where there are more than two. */
  readonly all: readonly GroupRow[];
}

export interface Lost {
  readonly weeks: readonly LossBar[];
  readonly yearWeeks: readonly LossBar[];
  readonly byWater: readonly LossGroup[];
  readonly byGate: readonly LossGroup[];
  readonly byNeighbours: readonly LossGroup[];
  readonly byDry: readonly LossGroup[];
  readonly byMedium: readonly LossGroup[];
  readonly byPlace: readonly LossGroup[];
  readonly byAir: readonly LossGroup[];
  readonly findings: Findings;
}

export interface TrialOutlook {
  readonly needed: number | null;
  /** With the number given, or with the needed one. */
  readonly chance: number | null;
}

export interface Money {
  readonly rows: readonly MoneyRow[];
  readonly all: MoneyRow;
}

/** The desk at which the ledger is worked out: it is handed the cases, then asked. Lives in a worker. */
export function ledgerDesk() {
  let cases: LedgerCase[] = [];
  let correlation = USUAL_CORRELATION;
  return {
    /** @param of two cuttings of a tray, as learned */
    begin(of: number): void {
      cases = [];
      correlation = of;
    },
    add(part: readonly LedgerCase[]): void {
      cases.push(...part);
    },
    choices(by: Grouping) {
      return choicesOf(cases, by);
    },
    counted({ filter, by, most, plateOf }: CountedAsk): Counted {
      const mine = matching(cases, filter);
      const drawable = mine.filter((c) => c.counted);
      const drawn = drawable.filter((c) => plateOf === null || c.id === plateOf);
      const rows = countedBy(mine, by, correlation, most);
      return {
        overall: overallOf(mine, correlation),
        rows: rows.slice(0, most),
        of: by === 'batch' ? mine.filter((c) => c.stuck).length : rows.length,
        plate: pooledEmergence(drawn.length > 0 ? drawn : drawable),
        drawable: drawable.map(({ id, title, cutOn }) => ({ id, title, cutOn })),
      };
    },
    compared({ filter, by, a, b }: CompareAsk): Compared {
      const mine = matching(cases, filter);
      const groups = groupSizes(mine, by);
      const first = groups.find((g) => g.name === a) ?? groups[0];
      const second =
        groups.find((g) => g.name === b && g !== first) ?? groups.find((g) => g !== first);
      return {
        groups: groups.map(({ name, told }) => ({ name, told })),
        comparison:
          first && second
            ? compareGroups(
                by,
                resultOf(first.name, first.members, correlation),
                resultOf(second.name, second.members, correlation),
              )
            : null,
        all: groups.length > 2 ? allGroups(mine, by, correlation) : [],
      };
    },
    lost(filter: LedgerFilter): Lost {
      const mine = matching(cases, filter);
      const counted = mine.filter((c) => c.counted);
      return {
        weeks: lossesByWeek(counted),
        yearWeeks: lossesByYearWeek(counted),
        byWater: lossesByWater(mine, correlation),
        byGate: lossesBy(mine, 'gate', correlation),
        byNeighbours: lossesBy(mine, 'neighbours', correlation),
        byDry: lossesBy(mine, 'days to dry', correlation),
        byMedium: lossesBy(mine, 'medium or water', correlation),
        byPlace: lossesBy(mine, 'space', correlation),
        byAir: lossesBy(mine, 'air', correlation),
        findings: findLosses(mine, correlation),
      };
    },
    money(filter: LedgerFilter, by: Grouping, plantPrice?: number): Money {
      const mine = matching(cases, filter);
      return {
        rows: moneyBy(mine, by, correlation, plantPrice),
        all: moneyOf(say.all(), mine, correlation, plantPrice),
      };
    },
    /** How many a trial wants in each arm, and the chance with as many as are given. */
    trialSize(size: TrialSize, each: number | null): TrialOutlook {
      const needed = eachFor(size);
      const given = each ?? needed;
      return { needed, chance: given === null ? null : chanceToFind(given, size) };
    },
    report(from: Day, to: Day, plantPrice?: number): SeasonReport {
      return seasonReport(cases, from, to, correlation, plantPrice);
    },
  };
}

export type LedgerDesk = ReturnType<typeof ledgerDesk>;
