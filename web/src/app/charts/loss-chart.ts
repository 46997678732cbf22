import type { LossBar } from '@hypogeon/core/ledger';
import { LOSS_CAUSES, lossBarText, lossText, lossWord } from '@hypogeon/words';
import { say } from '@hypogeon/messages/loss-chart';
import { hatched, type ChartModel } from './chart-model';

/**
 * Losses stacked by the week in which they came, over the soil line, each cause with its own hatching.
 * @param unit what the numbers under the line are: `week`, `week of year`
 */
export function lossChart(weeks: readonly LossBar[], unit = say.week()): ChartModel {
  return {
    says: lossText(weeks, unit),
    stops: weeks.map((w, i) => ({ x: i, says: lossBarText(w, unit) })),
    table: {
      header: [say.week(), say.rotted(), say.driedUp(), say.lostOtherwise()],
      rows: weeks.map((w) => [w.name, ...LOSS_CAUSES.map((c) => w.of[c].toFixed(1))]),
    },
    option: (ink) => ({
      grid: { left: 40, right: 62, top: 12, bottom: 66 },
      legend: {
        bottom: 0,
        left: 0,
        selectedMode: false,
        itemWidth: 18,
        itemHeight: 14,
        icon: 'rect',
        textStyle: { color: ink('--ink2'), fontSize: 13 },
        data: LOSS_CAUSES.map(lossWord),
      },
      xAxis: {
        type: 'category',
        data: weeks.map((w) => w.name),
        name: unit === say.week() ? say.week() : '',
        nameLocation: 'end',
        axisLine: { show: true, lineStyle: { color: ink('--ink'), width: 2 } },
      },
      yAxis: { type: 'value', min: 0, minInterval: 1, splitNumber: 3 },
      series: LOSS_CAUSES.map((cause) => ({
        type: 'bar',
        name: lossWord(cause),
        stack: 'losses',
        silent: true,
        barCategoryGap: '24%',
        itemStyle: { ...hatched(cause, ink), borderColor: ink('--rot'), borderWidth: 1 },
        data: weeks.map((w) => (w.of[cause] > 0.005 ? +w.of[cause].toFixed(3) : null)),
      })),
    }),
  };
}
