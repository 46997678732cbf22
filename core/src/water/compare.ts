import { addDays, type Day } from '../days';
import type { WaterCase } from './case';
import { fitPace, type PotPace } from './pace';
import { mannerOf, runPot, type PotDay } from './run';
import { WATER_SCHOOLS, type WaterSchoolId } from './school';

/** Wetter than this round the stem, against drained, a cutting stands wet. */
export const STANDS_WET = 0.5;

/** What one school would make of a pot over the weeks to come. */
export interface SchoolOutlook {
  readonly school: WaterSchoolId;
  /** First watering that it asks for: likely, and eight times in ten between; null beyond the outlook. */
  readonly next: Day | null;
  readonly earliest: Day | null;
  readonly latest: Day | null;
  /** Mean days between waterings; null with fewer than two. */
  readonly everyDays: number | null;
  /** mL of one container at each watering, mean; 0 where it never waters. */
  readonly ml: number;
  readonly waterings: readonly Day[];
  /** Share of the days on which the stem stands wet, 0–1. */
  readonly wetShare: number;
  /** Water against drained on each morning from today. */
  readonly fill: readonly number[];
}

/** The same pot and air under every watering habit, from today to the end of the outlook. */
export function compareSchools(given: WaterCase, pace = fitPace(given)): readonly SchoolOutlook[] {
  const correction = pace.correction ?? undefined;
  const at = (factor: number): PotDay =>
    runPot(given, {
      pace: factor,
      until: given.today + 1,
      settledOn: given.today,
      correction,
    })[given.today]!;
  const nows = { low: at(pace.low), likely: at(pace.likely), high: at(pace.high) };
  // What was given today is in the pot already.
  const ahead = { ...given, waterings: given.waterings.filter((w) => w.at !== given.today) };
  return WATER_SCHOOLS.map((school) => outlook(ahead, school, pace, nows));
}

function outlook(
  given: WaterCase,
  school: WaterSchoolId,
  pace: PotPace,
  nows: Readonly<Record<'low' | 'likely' | 'high', PotDay>>,
): SchoolOutlook {
  const { today } = given;
  const until = given.evaporation.length;
  const opens = Math.max(today, given.gateAt ?? until);
  const fromNow = (pick: 'low' | 'likely' | 'high', stop: boolean): readonly PotDay[] =>
    runPot(given, {
      pace: pace[pick],
      school,
      until,
      start: { at: today, day: nows[pick] },
      ...(stop ? { stopAt: opens } : { watersFrom: opens, manner: mannerOf(school) }),
    });
  const days = fromNow('likely', false);
  const asked = days.flatMap((d, i) => (d.asks && today + i >= opens ? [i] : []));
  const first = (pick: 'low' | 'high'): Day | null => {
    const run = fromNow(pick, true);
    return run.at(-1)!.asks ? addDays(given.from, today + run.length - 1) : null;
  };
  const gaps = asked.slice(1).map((a, i) => a - asked[i]!);
  const drinks = asked.map((i) => days[i]!.drankMl);
  return {
    school,
    next: asked[0] === undefined ? null : addDays(given.from, today + asked[0]),
    earliest: first('high'),
    latest: first('low'),
    everyDays: gaps.length === 0 ? null : gaps.reduce((a, b) => a + b, 0) / gaps.length,
    ml: drinks.length === 0 ? 0 : drinks.reduce((a, b) => a + b, 0) / drinks.length,
    waterings: asked.map((i) => addDays(given.from, today + i)),
    wetShare: days.filter((d) => d.stem > STANDS_WET).length / days.length,
    fill: days.map((d) => d.fill),
  };
}
