import * as fc from 'fast-check';
import { addDays } from '@hypogeon/core/days';
import { anyLife, batchOf, contradictions, LIFE_DAYS, stateOf } from '@hypogeon/core/testing';
import { askBench, benchLines, spaceDrying, waterCaseOf } from '@hypogeon/core/bench';
import { demoJournal } from '@hypogeon/core/demo';
import { find, findables } from '@hypogeon/core/find';
import {
  guessMapping,
  readJournal,
  readTable,
  readWeather,
  writeJournal,
} from '@hypogeon/core/formats';
import { append, EMPTY_STATE, entriesOf, fold, type State } from '@hypogeon/core/journal';
import { ledgerCases, ledgerDesk, type LedgerCase, type LedgerFilter } from '@hypogeon/core/ledger';
import {
  fillPot,
  mediumOf,
  RECIPES,
  SHELF,
  solveMix,
  USUAL_CONTAINERS,
} from '@hypogeon/core/media';
import {
  bestCutMap,
  evenNodes,
  neededCurve,
  numberNeeded,
  stemRules,
  waysTo,
} from '@hypogeon/core/plan';
import {
  forecastOf,
  rehearse,
  rehearsing,
  strategyOf,
  whatMatters,
  type Strategy,
} from '@hypogeon/core/rehearse';
import { careOf } from '@hypogeon/core/care';
import { tasksAhead, roundOn } from '@hypogeon/core/round';
import { aalenJohansen, kaplanMeier, turnbull, type Timed } from '@hypogeon/core/stats';
import { columnOf, compareSchools, dry, evenly, judge } from '@hypogeon/core/water';
import { heapMb, medianMs, print, type Figure } from './figure';
import { heldFigures } from './held';
import { largeJournal } from './large-journal';
import { livingJournal } from './living-journal';
import { loggerYear } from './logger-year';
import { pottedJournal } from './potted-journal';
import { POOL_BENCHES } from './pool';

const TODAY = '2026-11-24';

type Bench = () => Figure | readonly Figure[];

/** The figures of the core, by name. */
export const CORE_BENCHES: Readonly<Record<string, Bench>> = {
  ...POOL_BENCHES,
  fold: () => {
    const entries = largeJournal(TODAY);
    const before = heapMb();
    let state: State = EMPTY_STATE;
    const ms = medianMs(() => {
      state = fold(entries);
    });
    const heap = heapMb() - before;
    const told = `${state.batches.size.toLocaleString('en')} batches, ${state.size.toLocaleString('en')} entries`;
    return [
      { name: `fold ${told}`, value: ms, unit: 'ms', target: 1500 },
      { name: 'fold, heap of the state', value: heap, unit: 'MB', target: 300 },
      { name: 'fold, whole heap with the entries', value: heapMb(), unit: 'MB', target: 300 },
    ];
  },
  append: () => {
    const state = fold(largeJournal(TODAY));
    let n = 0;
    const ms = medianMs(
      () => {
        append(state, {
          id: `fresh-${n++}`,
          at: '2026-11-24T10:00:00.000Z~0000',
          day: TODAY,
          by: 'bench',
          kind: 'watered',
          batch: `made-b${n}`,
          how: 'poured',
        });
      },
      200,
      50,
    );
    return { name: 'append one entry to it', value: ms, unit: 'ms', target: 5 };
  },
  export: () => {
    const state = fold(largeJournal(TODAY));
    let text = '';
    const ms = medianMs(() => {
      text = writeJournal(entriesOf(state));
    });
    return [
      { name: 'export it', value: ms, unit: 'ms' },
      { name: 'export, size of the file', value: text.length / 1e6, unit: 'MB' },
    ];
  },
  import: () => {
    const text = writeJournal(largeJournal(TODAY));
    const ms = medianMs(() => {
      const read = readJournal(text, EMPTY_STATE, Date.now());
      if (!read.ok) throw new Error('the made journal must be good');
    }, 3);
    return { name: 'import it, with every check', value: ms, unit: 'ms' };
  },
  care: () => {
    const entries = livingJournal(TODAY);
    const states = [1, 2, 3, 4, 5].map(() => fold(entries));
    const batches = (state: State) => [...state.batches.values()];
    const living = batches(states[0]!).filter((b) => b.stage !== 'done').length;
    let next = 0;
    const cold = medianMs(
      () => {
        const state = states[next++ % states.length]!;
        for (const batch of batches(state)) careOf(state, batch, TODAY);
      },
      4,
      1,
    );
    let state = states[0]!;
    roundOn(state, TODAY);
    let n = 0;
    const taps: number[] = [];
    for (const batch of batches(state).slice(0, 40)) {
      state = append(state, {
        id: `tap-${n}`,
        at: `2026-11-24T10:00:00.000Z~${(n++).toString(16).padStart(4, '0')}`,
        day: TODAY,
        by: 'bench',
        kind: 'watered',
        batch: batch.id,
        how: 'poured',
      });
      const from = performance.now();
      roundOn(state, TODAY);
      taps.push(performance.now() - from);
    }
    const calendar = medianMs(() => tasksAhead(states[1]!, TODAY), 3, 0);
    return [
      { name: `care of ${living} living batches, cold`, value: cold, unit: 'ms', target: 150 },
      {
        name: 'the round again after one tap',
        value: taps.sort((a, b) => a - b)[Math.floor(taps.length / 2)]!,
        unit: 'ms',
        target: 10,
      },
      { name: 'calendar of six weeks for them', value: calendar, unit: 'ms', target: 1500 },
    ];
  },
  held: heldFigures,
  laws: () => {
    const lives = fc.sample(anyLife, { numRuns: 1000, seed: 2026 });
    let days = 0;
    let silent = 0;
    let wrong = 0;
    for (const life of lives) {
      const state = stateOf(life);
      const batch = batchOf(state);
      const { waiting, rooted, pupped } = batch.here;
      for (let n = 0; n < LIFE_DAYS; n++, days++) {
        const care = careOf(state, batch, addDays(batch.cutOn, n));
        if (waiting + rooted + pupped > 0 && care.asks.length + care.leave.length === 0) silent++;
        wrong += contradictions(care, life.fields.firstWater === 'at-once').length;
      }
    }
    return [
      { name: 'laws of care, batches', value: lives.length, unit: '' },
      { name: 'laws of care, days', value: days, unit: '' },
      { name: 'laws of care, silent days', value: silent, unit: '', target: 0 },
      { name: 'laws of care, contradictions', value: wrong, unit: '', target: 0 },
    ];
  },
  round: () => {
    const state = fold(largeJournal(TODAY));
    const ms = medianMs(() => roundOn(state, TODAY));
    const demo = fold(demoJournal(TODAY));
    return [
      { name: 'round of 2,000 batches', value: ms, unit: 'ms', target: 300 },
      { name: 'round of the demo', value: medianMs(() => roundOn(demo, TODAY)), unit: 'ms' },
    ];
  },
  find: () => {
    const state = fold(largeJournal(TODAY));
    const index = medianMs(() => findables({ ...state }, TODAY, ({ is }) => is));
    const all = findables(state, TODAY, ({ is }) => is);
    const lines = benchLines(state, TODAY);
    return [
      {
        name: 'find in 2,000 batches',
        value: medianMs(() => find(all, 'echev tray 1')),
        unit: 'ms',
        target: 50,
      },
      { name: 'its index, lines known', value: index, unit: 'ms' },
      {
        name: 'bench list sieved and sorted',
        value: medianMs(() => askBench(lines, { query: 'tray', withDone: true, sort: 'lost' })),
        unit: 'ms',
        target: 50,
      },
      {
        name: 'tasks of six weeks for a calendar',
        value: medianMs(() => tasksAhead(state, TODAY), 3, 1),
        unit: 'ms',
      },
    ];
  },
  water: () => {
    const recipe = RECIPES.find((r) => r.id === 'two-to-one')!;
    const parts = recipe.parts.map(([id, n]) => ({
      component: SHELF.find((c) => c.id === id)!,
      parts: n,
    }));
    const column = columnOf(fillPot(mediumOf(parts), USUAL_CONTAINERS[0]!));
    const sixty = medianMs(
      () => {
        let wetness = evenly(column, 1);
        for (let day = 0; day < 60; day++) wetness = dry(column, wetness, 2, 1).wetness;
      },
      50,
      10,
    );
    const state = fold(pottedJournal(TODAY));
    const made = medianMs(() => casesOf(state));
    const cases = casesOf(state);
    return [
      { name: '60 days of one pot', value: sixty, unit: 'ms', target: 5 },
      { name: `make the cases of ${cases.length} pots`, value: made, unit: 'ms' },
      {
        name: `judge ${cases.length} pots`,
        value: medianMs(() => cases.map(judge)),
        unit: 'ms',
        target: 500,
      },
      {
        name: 'compare all schools on one pot',
        value: medianMs(() => compareSchools(cases[0]!)),
        unit: 'ms',
      },
    ];
  },
  plan: () => {
    const state = fold(demoJournal(TODAY));
    const wish = {
      taxon: 'graptopetalum-paraguayense',
      count: 60,
      size: 'small',
      by: '2027-05-20',
      certainty: 0.8,
      cutOn: TODAY,
      space: 'leanto',
    } as const;
    const figures = waysTo(state, wish)!.ways[0]!.figures;
    return [
      {
        name: 'number needed for 500',
        value: medianMs(
          () => numberNeeded(500, 0.9, [{ weight: 1, a: 30, b: 12, ready: 0.85 }]),
          20,
          5,
        ),
        unit: 'ms',
        target: 20,
      },
      {
        name: 'methods compared',
        value: medianMs(() => waysTo(state, wish)),
        unit: 'ms',
        target: 150,
      },
      {
        name: 'ways and several together, of a mother with too few',
        value: medianMs(() =>
          waysTo(state, { ...wish, mother: 'm-gra2', taxon: 'graptopetalum-paraguayense' }),
        ),
        unit: 'ms',
        target: 150,
      },
      {
        name: 'best cut map of a stem with 300 nodes',
        value: medianMs(() =>
          bestCutMap(
            { lengthMm: 6000, nodesMm: evenNodes(6000, 300) },
            stemRules(
              { chance: 0.92, least: { lengthMm: 50, nodes: 2 } },
              { chance: 0.8, least: { lengthMm: 30, nodes: 3 } },
            ),
          ),
        ),
        unit: 'ms',
        target: 50,
      },
      {
        name: 'curve of the day of cutting',
        value: medianMs(() => neededCurve(state, wish, figures, TODAY)),
        unit: 'ms',
      },
    ];
  },
  rehearse: () => {
    const state = fold(demoJournal(TODAY));
    const planned = strategyOf(
      state,
      'plan',
      {
        taxon: 'echeveria-elegans',
        method: 'crown',
        count: 1,
        cutOn: TODAY,
        widthMm: 7,
        school: 'dry-to-touch',
        callusAt: 'rack',
        callusSpace: 'leanto',
        space: 'leanto',
        firstWater: 'with-gate',
        waterSchool: 'top-25',
        container: 'pot-7',
        mix: 'mix-bench',
        disinfectant: 'alcohol',
      },
      120,
    );
    if ('problem' in planned) throw new Error(planned.problem);
    const six = Array.from({ length: 6 }, (_, i) => ({
      ...planned,
      dryDays: i,
      first: { day: i + 3 },
    }));
    const play = (cuttings: number) => rehearse({ strategies: six, cuttings, days: 120, seed: 1 });
    return [
      {
        name: '2,000 cuttings × 120 days × 6 strategies, one thread',
        value: medianMs(() => play(2000)),
        unit: 'ms',
        target: 2000,
      },
      {
        name: 'first answer, 200 cuttings',
        value: medianMs(() => play(200)),
        unit: 'ms',
        target: 300,
      },
      {
        name: 'most memory held while 2,000 × 120 × 6 are played',
        value: playMb(six, 2000),
        unit: 'MB',
        target: 150,
      },
      {
        name: 'the same with 10,000 cuttings',
        value: playMb(six, 10_000),
        unit: 'MB',
        target: 150,
      },
      {
        name: 'forecast of a batch of 20',
        value: medianMs(() =>
          forecastOf({
            strategy: planned,
            cuttings: 20,
            days: 120,
            seed: 1,
            rot: { factor: 1, low: 0.3, high: 3 },
          }),
        ),
        unit: 'ms',
      },
      {
        name: 'what matters, six choices',
        value: medianMs(() => whatMatters({ strategy: planned, days: 120, seed: 1 }), 1),
        unit: 'ms',
      },
    ];
  },
  weather: () => {
    const text = loggerYear();
    const ms = medianMs(() => {
      const table = readTable(text)!;
      readWeather(table, guessMapping(table));
    });
    return { name: 'read 52,560 rows of a logger', value: ms, unit: 'ms', target: 2000 };
  },
  ledger: () => {
    const state = fold(largeJournal(TODAY));
    // Fresh batches each time: cases are kept by batch.
    const read = (): readonly LedgerCase[] =>
      ledgerCases(
        state,
        [...state.batches.values()].map((b) => ({ ...b })),
      );
    const cases = read();
    const desk = ledgerDesk();
    desk.begin(0.1);
    desk.add(cases);
    const all = (filter: LedgerFilter): void => {
      desk.counted({ filter, by: 'method', most: 40, plateOf: null });
      desk.lost(filter);
      desk.compared({ filter, by: 'space', a: '', b: '' });
      desk.money(filter, 'method', 2);
    };
    const reading = medianMs(() => read(), 3);
    const asking = medianMs(() => all({}), 3);
    return [
      { name: 'ledger, cases of 2,000 batches', value: reading, unit: 'ms' },
      { name: 'ledger, every page of them', value: asking, unit: 'ms' },
      { name: 'all of the ledger', value: reading + asking, unit: 'ms', target: 1500 },
      ...(
        [
          [
            'counted, by a filter',
            () =>
              desk.counted({ filter: { season: 'Spring' }, by: 'method', most: 40, plateOf: null }),
          ],
          ['losses, by a filter', () => desk.lost({ season: 'Spring' })],
          [
            'compared, by a filter',
            () => desk.compared({ filter: { season: 'Spring' }, by: 'space', a: '', b: '' }),
          ],
          ['money, by a filter', () => desk.money({ season: 'Spring' }, 'method', 2)],
        ] as const
      ).map(([name, run]) => ({ name, value: medianMs(run, 3), unit: 'ms', target: 200 })),
      {
        name: 'ledger again after one more entry',
        value: medianMs(() => ledgerCases(state), 3),
        unit: 'ms',
      },
    ];
  },
  stats: () => {
    const { rows, interval } = timedRows();
    // A bench is looked at on whole days; the same with no two times alike is only told.
    const days = rows.map((r): Timed => ({
      ...r,
      left: Math.ceil(r.left),
      right: r.right === Infinity ? Infinity : Math.ceil(r.right),
    }));
    return [
      {
        name: 'Kaplan–Meier of 100,000 rows, in days',
        value: medianMs(() => kaplanMeier(days)),
        unit: 'ms',
        target: 150,
      },
      {
        name: 'Aalen–Johansen of 100,000 rows, in days',
        value: medianMs(() => aalenJohansen(days)),
        unit: 'ms',
        target: 150,
      },
      {
        name: 'Kaplan–Meier, no two times alike',
        value: medianMs(() => kaplanMeier(rows)),
        unit: 'ms',
      },
      {
        name: 'Aalen–Johansen, no two times alike',
        value: medianMs(() => aalenJohansen(rows)),
        unit: 'ms',
      },
      {
        name: 'Turnbull of 10,000 rows, 400 intervals',
        value: medianMs(() => turnbull(interval)),
        unit: 'ms',
        target: 1000,
      },
    ];
  },
  solve: () => {
    const choices = SHELF.map((component) => ({ component }));
    const ms = medianMs(() =>
      solveMix({
        choices,
        targets: [
          { name: 'water', min: 0.35, max: 0.4 },
          { name: 'air', min: 0.2 },
        ],
        container: USUAL_CONTAINERS[0]!,
        litres: 10,
        aim: 'closest',
        from: { pumice: 0.6, coir: 0.4 },
      }),
    );
    return { name: `solve a mix from ${choices.length} components`, value: ms, unit: 'ms' };
  },
};

/** Rows as a large bench would have them: 100,000 with causes, 10,000 between overlapping looks. */
function timedRows(): { readonly rows: Timed[]; readonly interval: Timed[] } {
  let seed = 7;
  const random = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const time = (arm = 0): number => 25 * (1 + arm * 0.2) * (-Math.log(random())) ** 0.4;
  const rows = Array.from({ length: 100_000 }, (): Timed => {
    const t = time();
    const cause = random() < 0.7 ? 'roots' : random() < 0.6 ? 'rotted' : 'dried';
    return random() < 0.15 ? { left: t, right: Infinity } : { left: t, right: t, cause };
  });
  // Twenty ways of spacing looks, twenty looks each: some 400 intervals.
  const interval = Array.from({ length: 10_000 }, (_, i): Timed => {
    const arm = i % 2;
    const every = 3 + (i % 20) * 0.5;
    const left = Math.floor(time(arm) / every) * every;
    return { left, right: left > 20 * every ? Infinity : left + every };
  });
  return { rows, interval };
}

function casesOf(state: State) {
  const drying = spaceDrying(state);
  return [...state.batches.values()].flatMap(
    (b) => waterCaseOf(state, b, TODAY, undefined, drying) ?? [],
  );
}

export function runCore(name: string, pace: number): void {
  const figures = CORE_BENCHES[name]!();
  for (const figure of Array.isArray(figures) ? (figures as Figure[]) : [figures as Figure])
    print(figure, pace);
}

/** Most that a play holds beside what stood before, MB; looked at after every bench. */
function playMb(strategies: readonly Strategy[], cuttings: number): number {
  globalThis.gc?.();
  const held = (): number => process.memoryUsage().heapUsed + process.memoryUsage().arrayBuffers;
  const before = held();
  let most = before;
  const play = rehearsing({ strategies, cuttings, days: 120, seed: 1 });
  while (!play.next().done) most = Math.max(most, held());
  return (Math.max(most, held()) - before) / 1e6;
}
