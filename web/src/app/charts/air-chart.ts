import type { AirReading, AirSeries } from '@hypogeon/core/climate';
import { dayNumber, type Day } from '@hypogeon/core/days';
import { temperatureIn } from '@hypogeon/core/units';
import { dayText, percent, temperatureText, type Speech } from '@hypogeon/words';
import { say } from '@hypogeon/messages/air-chart';
import { sliderZoom } from './zoom';
import type { ChartModel } from './chart-model';

const DAY_MS = 86_400_000;
const MINUTE_MS = 60_000;
const GAP_MS = 8 * DAY_MS;
/** More readings than this are drawn as a line alone. */
const FEW = 80;

interface AirPoint {
  /** Milliseconds, on the place's own wall clock. */
  readonly at: number;
  readonly tempC: number | null;
  readonly rh: number | null;
}

/** Raw readings where a logger gave them, else the days; broken where weeks are without one, which a line would hide. */
export function airPoints(
  series: AirSeries,
  days: readonly AirReading[],
  from: Day | null,
): readonly AirPoint[] {
  const first = from === null ? -Infinity : dayNumber(from) * 1440;
  const logged = new Set<number>();
  const points: AirPoint[] = [];
  const { tempC, minC, maxC, rh } = series.columns;
  series.minutes.forEach((minute, i) => {
    if (minute < first) return;
    logged.add(Math.floor(minute / 1440));
    const [low, high] = [minC?.[i], maxC?.[i]];
    points.push({
      at: minute * MINUTE_MS,
      tempC: tempC?.[i] ?? (low != null && high != null ? (low + high) / 2 : null),
      rh: rh?.[i] ?? null,
    });
  });
  for (const r of days) {
    const told = logged.has(dayNumber(r.day));
    if ((from === null || r.day >= from) && (!told || r.rhFilled))
      points.push({
        at: dayNumber(r.day) * DAY_MS + DAY_MS / 2,
        tempC: told ? null : r.tempC,
        rh: r.rh,
      });
  }
  points.sort((a, b) => a.at - b.at);
  return points.flatMap((p, i) => {
    const before = points[i - 1];
    return before && p.at - before.at > GAP_MS
      ? [{ at: before.at + 1, tempC: null, rh: null }, p]
      : [p];
  });
}

/** Temperature solid, humidity dashed, as it was read. */
export function airChart(
  place: string,
  points: readonly AirPoint[],
  days: readonly AirReading[],
  speech: Speech,
): ChartModel {
  const unit = speech.temperature;
  const told = (tempC: number | undefined): string =>
    tempC === undefined ? '' : temperatureText(tempC, unit, speech.locale);
  // A gap stays in as nothing; where only the other curve has a value, it is left out.
  const curve = (of: (p: AirPoint) => number | null): (number | null)[][] =>
    points.flatMap((p) => {
      const v = of(p);
      return v === null && (p.tempC !== null || p.rh !== null) ? [] : [[p.at, v]];
    });
  const temperature = curve((p) =>
    p.tempC === null ? null : +temperatureIn(p.tempC, unit).toFixed(2),
  );
  const humidity = curve((p) => (p.rh === null ? null : +(p.rh * 100).toFixed(1)));
  return {
    says: say.temperatureAndHumidityIn({ place, pointsCount: points.length }),
    stops: days.map((r) => ({
      x: dayNumber(r.day) * DAY_MS + DAY_MS / 2,
      y: +temperatureIn(r.tempC, unit).toFixed(2),
      says: say.humidity({
        day: dayText(r.day, speech),
        told: told(r.tempC),
        what:
          r.minC !== undefined && r.maxC !== undefined
            ? say.to({ told: told(r.minC), told2: told(r.maxC) })
            : '',
        percent: percent(r.rh),
        what2: r.rhFilled ? say.filledIn() : '',
      }),
    })),
    table: {
      header: [say.day(), say.mean(), say.low(), say.high(), say.humidity2()],
      rows: days.map((r) => [
        r.day,
        told(r.tempC),
        told(r.minC),
        told(r.maxC),
        `${percent(r.rh)}${r.rhFilled ? say.filledIn2() : ''}`,
      ]),
    },
    file: {
      header: ['day', 'tempC', 'rh', 'minC', 'maxC', 'humidity'],
      rows: days.map((r) => [
        r.day,
        r.tempC.toFixed(2),
        r.rh.toFixed(4),
        r.minC?.toFixed(2) ?? '',
        r.maxC?.toFixed(2) ?? '',
        r.rhFilled ? say.filled() : '',
      ]),
    },
    option: (ink) => ({
      grid: { left: 48, right: 52, top: 34, bottom: 64 },
      dataZoom: [{ type: 'inside' }, sliderZoom(ink, { bottom: 8 })],
      xAxis: {
        type: 'time',
        axisLine: { show: true, lineStyle: { color: ink('--ink') } },
        splitLine: { show: false },
      },
      yAxis: [
        { type: 'value', name: `°${unit}`, scale: true },
        { type: 'value', name: say.rh(), min: 0, max: 100, splitLine: { show: false } },
      ],
      series: [
        {
          name: `°${unit}`,
          type: 'line',
          silent: true,
          data: temperature,
          showSymbol: temperature.length < FEW,
          symbolSize: 5,
          sampling: 'lttb',
          lineStyle: { width: 2 },
          color: ink('--pot'),
        },
        {
          name: say.rh(),
          type: 'line',
          silent: true,
          yAxisIndex: 1,
          data: humidity,
          showSymbol: false,
          sampling: 'lttb',
          lineStyle: { width: 1.6, type: [6, 3] },
          color: ink('--water'),
        },
      ],
    }),
  };
}
