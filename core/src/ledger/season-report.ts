import * as say from '@hypogeon/messages/core-season-report';
import type { Day } from '../days';
import type { Emergence } from './emergence';
import type { LedgerCase } from './case';
import { countedBy, overallOf, type CountedRow, type Overall } from './counted';
import {
  findLosses,
  lossesByWater,
  lossesByWeek,
  type Findings,
  type LossBar,
  type LossGroup,
} from './losses';
import { moneyBy, moneyOf, type MoneyRow } from './money';
import { pooledEmergence } from './plate';

/** All that is told of the batches cut in a stretch of time. */
export interface SeasonReport {
  readonly batches: number;
  readonly overall: Overall;
  readonly plate: Emergence | null;
  readonly methods: readonly CountedRow[];
  readonly plants: readonly CountedRow[];
  readonly losses: readonly LossBar[];
  readonly byWater: readonly LossGroup[];
  readonly findings: Findings;
  readonly money: readonly MoneyRow[];
  readonly moneyOfAll: MoneyRow;
}

/**
 * @param from, to days of the cut, both within
 * @param correlation of two cuttings of a tray, 0–1
 */
export function seasonReport(
  cases: readonly LedgerCase[],
  from: Day,
  to: Day,
  correlation: number,
  plantPrice?: number,
): SeasonReport {
  const mine = cases.filter((c) => c.cutOn >= from && c.cutOn <= to);
  const counted = mine.filter((c) => c.counted);
  return {
    batches: mine.length,
    overall: overallOf(mine, correlation),
    plate: pooledEmergence(mine),
    methods: countedBy(mine, 'method', correlation),
    plants: countedBy(mine, 'plant', correlation),
    losses: lossesByWeek(counted),
    byWater: lossesByWater(mine, correlation),
    findings: findLosses(mine, correlation),
    money: moneyBy(mine, 'method', correlation, plantPrice),
    moneyOfAll: moneyOf(say.all(), mine, correlation, plantPrice),
  };
}
