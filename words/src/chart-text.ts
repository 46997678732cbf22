import type { Young } from '@hypogeon/core/botany';
import type { Day } from '@hypogeon/core/days';
import type { Emergence, EmergenceStep, LossBar } from '@hypogeon/core/ledger';
import type { NeededCurve } from '@hypogeon/core/plan';
import * as say from '@hypogeon/messages/chart-text';
import { dayText, type DayStyle } from './days';
import { YOUNG_NAME } from './tasks';

const LOSS_WORD = {
  get rotted() {
    return say.rotted();
  },
  get dried() {
    return say.driedUp();
  },
  get lost() {
    return say.lostOtherwise();
  },
} as const;
export const LOSS_CAUSES = ['rotted', 'dried', 'lost'] as const;
export const lossWord = (cause: (typeof LOSS_CAUSES)[number]): string => LOSS_WORD[cause];

const upTo = (steps: readonly EmergenceStep[], day: number): EmergenceStep | undefined =>
  steps.findLast((s) => s.day <= day);

/** `Emergence over 60 days: of 40, 20 rooted, 12 with pups, 17 rotted, 2 dried up, 1 lost otherwise.` */
export function emergenceText(
  { count, pups, roots, losses, lastDay }: Emergence,
  young: Young = 'pups',
): string {
  const end = (steps: readonly EmergenceStep[]): number => Math.round(steps.at(-1)?.sure ?? 0);
  return say.rootsOverDaysOf({
    lastDay,
    count,
    end: end(roots),
    end2: end(pups),
    youngName: YOUNG_NAME[young],
    lossCauses: LOSS_CAUSES.map((c) => `${end(losses[c])} ${LOSS_WORD[c]}`).join(', '),
  });
}

/** `Day 30, of 40: 12–15 rooted, 3 with pups, 2 rotted.` */
export function emergenceOn(
  { count, pups, roots, losses }: Emergence,
  day: number,
  young: Young = 'pups',
): string {
  const span = (steps: readonly EmergenceStep[]): string => {
    const step = upTo(steps, day);
    const [low, high] = [Math.round(step?.sure ?? 0), Math.round(step?.possible ?? 0)];
    return high > low ? `${low}–${high}` : String(low);
  };
  const gone = LOSS_CAUSES.flatMap((c) => {
    const n = Math.round(upTo(losses[c], day)?.sure ?? 0);
    return n > 0 ? [`${n} ${LOSS_WORD[c]}`] : [];
  });
  return say.dayOfRootedWith({
    day,
    count,
    span: span(roots),
    span2: span(pups),
    youngName: YOUNG_NAME[young],
    join: gone.join(', ') || say.noneLost(),
  });
}

const sumOf = ({ of }: LossBar): number => of.rotted + of.dried + of.lost;

/** `Losses by week: most in week 3, 12.` */
export function lossText(weeks: readonly LossBar[], unit: string): string {
  const worst = weeks.reduce<LossBar | null>((a, b) => (a && sumOf(a) >= sumOf(b) ? a : b), null);
  return worst
    ? say.lossesByMostIn({ unit, name: worst.name, sumOf: sumOf(worst).toFixed(0) })
    : say.lossesByNone({ unit });
}

/** `Week 3: 4.5 rotted, 1.0 dried up.` A loss between two looks is spread over the days between. */
export function lossBarText(bar: LossBar, unit: string): string {
  const gone = LOSS_CAUSES.flatMap((c) =>
    bar.of[c] >= 0.05 ? [`${bar.of[c].toFixed(1)} ${LOSS_WORD[c]}`] : [],
  );
  return `${unit[0]!.toUpperCase()}${unit.slice(1)} ${bar.name}: ${gone.join(', ') || say.noneLost()}.`;
}

/** `Cuttings needed against the day of cutting: 12 at best, sensible until 3 May 2026.` */
export function neededText({ days, latest }: NeededCurve, style: DayStyle): string {
  const reached = days.flatMap((d) => (d.needed === null ? [] : [d.needed]));
  const until = latest === null ? '.' : say.sensibleUntil({ day: dayText(latest, style) });
  return say.cuttingsNeededAgainstThe({ min: Math.min(...reached), until });
}

/** `Cut on 3 May 2026: take 14. It rests then.` */
export function neededOnText(
  one: { readonly day: Day; readonly needed: number | null; readonly season: string },
  style: DayStyle,
): string {
  const take = one.needed === null ? say.noNumberWouldDo() : say.take({ needed: one.needed });
  const season =
    one.season === 'resting'
      ? say.itRestsThen()
      : one.season === 'marginal'
        ? say.edgeOfItsSeason()
        : '';
  return say.cutOn({ day: dayText(one.day, style), take, season });
}
