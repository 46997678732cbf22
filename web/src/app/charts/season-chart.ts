import { seasonSpells, type SeasonDay, type SeasonSpell } from '@hypogeon/core/bench';
import { addDays, daysBetween } from '@hypogeon/core/days';
import {
  daySpan,
  dayText,
  decimal,
  monthName,
  temperatureText,
  type Speech,
} from '@hypogeon/words';
import { temperatureIn } from '@hypogeon/core/units';
import { say } from '@hypogeon/messages/season-chart';
import { band as stripe, HATCH, NARROW, type ChartModel, type Ink } from './chart-model';

const WORD: Readonly<Record<SeasonSpell['state'], string>> = {
  get active() {
    return say.grows();
  },
  get marginal() {
    return say.edge();
  },
  get resting() {
    return say.rests();
  },
  get frost() {
    return say.frost();
  },
};
const LEAST_HOURS = 6;
const MOST_HOURS = 18;

/**
 * A plant's year in one place: the day's mean over the soil line with the band it grows in, on the line what follows
 * from it, under it the hours of light.
 * @param band °C between which it grows
 */
export function seasonChart(
  year: readonly SeasonDay[],
  band: { readonly fromC: number; readonly toC: number },
  speech: Speech,
): ChartModel | null {
  const first = year[0]?.day;
  if (first === undefined) return null;
  const spells = seasonSpells(year);
  const lit = year.every((d) => d.dayHours !== undefined);
  const degrees = (tempC: number): number => +temperatureIn(tempC, speech.temperature).toFixed(1);
  const temps = year.map((d) => degrees(d.tempC));
  const [from, to] = [degrees(band.fromC), degrees(band.toC)];
  // Months are told by their means: where no night was read there is none to draw.
  const swing = year.every((d) => d.nightC !== undefined && d.noonC !== undefined)
    ? {
        nights: year.map((d, i) => [i, degrees(d.nightC!)] as const),
        noons: year.map((d, i) => [i, degrees(d.noonC!)] as const),
      }
    : null;
  const all = [
    ...temps,
    from,
    to,
    ...(swing ? [...swing.nights, ...swing.noons].map(([, t]) => t) : []),
  ];
  return {
    says: say.theYearFrom({
      day: dayText(first, speech),
      spells: spells.map((s) => `${WORD[s.state]} ${daySpan(s.from, s.to, speech)}`).join(', '),
    }),
    stops: year.map((d, i) => ({ x: i, y: temps[i]!, says: dayWords(d, speech) })),
    table: {
      header: [
        say.firstOfTheMonth(),
        say.mean(),
        say.night(),
        say.noon(),
        say.light(),
        say.season(),
      ],
      rows: year
        .filter((d, i) => i === 0 || d.day.endsWith('-01'))
        .map((d) => [
          d.day,
          temperatureText(d.tempC, speech.temperature, speech.locale),
          extreme(d.nightC, speech),
          extreme(d.noonC, speech),
          d.dayHours === undefined ? say.notKnown() : `${decimal(d.dayHours, 1, speech.locale)} h`,
          d.reason,
        ]),
    },
    option: (ink, wide) => {
      const narrow = wide < NARROW;
      const left = 46;
      const right = 12;
      const axis = { type: 'category', data: year.map((d) => d.day), boundaryGap: false } as const;
      const months = (day: string): boolean =>
        day.endsWith('-01') && (!narrow || Number(day.slice(5, 7)) % 2 === 1);
      return {
        axisPointer: { link: [{ xAxisIndex: 'all' }] },
        grid: [
          { left, right, top: 12, height: 130 },
          { left, right, top: 142, height: 28 },
          ...(lit ? [{ left, right, top: 170, height: 58 }] : []),
        ],
        xAxis: [0, 1, ...(lit ? [2] : [])].map((gridIndex) => ({
          ...axis,
          gridIndex,
          ...(gridIndex === 0
            ? { axisLine: { show: true, lineStyle: { color: ink('--ink'), width: 2 } } }
            : {}),
          axisTick:
            gridIndex === (lit ? 2 : 1)
              ? { show: true, interval: (_: number, day: string) => day.endsWith('-01') }
              : { show: false },
          axisLabel:
            gridIndex === (lit ? 2 : 1)
              ? {
                  interval: (_: number, day: string) => months(day),
                  formatter: (day: string) => monthName(day, speech),
                  align: 'left',
                }
              : { show: false },
        })),
        yAxis: [
          {
            type: 'value',
            min: Math.floor(Math.min(...all) - 2),
            max: Math.ceil(Math.max(...all) + 2),
            axisLabel: { customValues: [from, to], formatter: (t: number) => `${Math.round(t)}°` },
            splitLine: { show: false },
          },
          {
            type: 'value',
            min: 0,
            max: 1,
            gridIndex: 1,
            axisLabel: { show: false },
            splitLine: { show: false },
          },
          ...(lit
            ? [
                {
                  type: 'value',
                  min: LEAST_HOURS,
                  max: MOST_HOURS,
                  gridIndex: 2,
                  axisLabel: { customValues: [8, 16], formatter: (h: number) => `${h} h` },
                  splitLine: { show: false },
                },
              ]
            : []),
        ],
        series: [
          ...(swing
            ? stripe('swing', swing.nights, swing.noons, { color: ink('--pot'), opacity: 0.16 })
            : []),
          {
            type: 'line',
            silent: true,
            symbol: 'none',
            z: 3,
            data: temps.map((t, i) => [i, t]),
            lineStyle: { color: ink('--pot'), width: 2.2 },
            markArea: {
              silent: true,
              itemStyle: { color: ink('--living-soft'), opacity: 0.6 },
              data: [[{ yAxis: from }, { yAxis: to }]],
            },
          },
          {
            type: 'custom',
            silent: true,
            xAxisIndex: 1,
            yAxisIndex: 1,
            data: spells.map((s) => [
              daysBetween(first, s.from),
              Math.min(daysBetween(first, addDays(s.to, 1)), year.length - 1),
            ]),
            encode: { x: [0, 1] },
            renderItem: spellBox(spells, ink),
          },
          {
            type: 'line',
            silent: true,
            symbol: 'none',
            xAxisIndex: 1,
            yAxisIndex: 1,
            data: [
              [0, 0],
              [0, 1],
            ],
            lineStyle: { color: ink('--ink'), width: 2 },
          },
          ...(lit
            ? [
                {
                  type: 'line',
                  silent: true,
                  symbol: 'none',
                  xAxisIndex: 2,
                  yAxisIndex: 2,
                  data: year.map((d, i) => [
                    i,
                    Math.min(MOST_HOURS, Math.max(LEAST_HOURS, d.dayHours ?? LEAST_HOURS)),
                  ]),
                  lineStyle: { color: ink('--callus'), width: 1.4 },
                  areaStyle: { color: ink('--callus-soft'), opacity: 1, origin: 'start' },
                },
              ]
            : []),
        ],
      };
    },
  };
}

interface Pen {
  value(dim: number): number;
  coord(point: readonly number[]): number[];
}

/** One spell as a box with its word, where there is room for it. */
function spellBox(spells: readonly SeasonSpell[], ink: Ink) {
  return ({ dataIndex }: { readonly dataIndex: number }, pen: Pen): object => {
    const { state } = spells[dataIndex]!;
    const [x, bottom] = pen.coord([pen.value(0), 0]) as [number, number];
    const [end, top] = pen.coord([pen.value(1), 1]) as [number, number];
    const [width, height] = [end - x, bottom - top];
    const fill = {
      active: { fill: ink('--living') },
      marginal: { fill: ink('--callus-soft') },
      resting: { fill: ink('--paper'), decal: { ...HATCH.dried, color: ink('--ink2') } },
      frost: { fill: ink('--water') },
    }[state];
    const word = width > 44 ? WORD[state] : '';
    return {
      type: 'group',
      children: [
        { type: 'rect', shape: { x, y: top, width, height }, style: fill },
        {
          type: 'text',
          style: {
            text: word,
            x: x + width / 2,
            y: top + height / 2,
            align: 'center',
            verticalAlign: 'middle',
            fontSize: 13,
            fontWeight: 600,
            fontFamily: ink('--text-face'),
            fill: state === 'active' || state === 'frost' ? ink('--paper') : ink('--ink'),
            ...(state === 'resting' ? { backgroundColor: ink('--paper'), padding: [1, 5] } : {}),
          },
        },
      ],
    };
  };
}

const extreme = (tempC: number | undefined, speech: Speech): string =>
  tempC === undefined ? '' : temperatureText(tempC, speech.temperature, speech.locale);

/** `3 May 2026: 18 °C, nights 9 °C, noons 27 °C, 14.8 h of light; warm enough to grow.` */
function dayWords(d: SeasonDay, speech: Speech): string {
  const parts = [
    extreme(d.tempC, speech),
    d.nightC === undefined ? '' : say.nights({ extreme: extreme(d.nightC, speech) }),
    d.noonC === undefined ? '' : say.noons({ extreme: extreme(d.noonC, speech) }),
    d.dayHours === undefined
      ? ''
      : say.hOfLight({ dayHours: decimal(d.dayHours, 1, speech.locale) }),
  ];
  return `${dayText(d.day, speech)}: ${parts.filter(Boolean).join(', ')}; ${d.reason}.`;
}
