import {
  append,
  demoJournal,
  EMPTY_STATE,
  entriesOf,
  fold,
  readJournal,
  roundOn,
  writeJournal,
  type State,
} from '@hypogeon/core';
import { heapMb, medianMs, print, type Figure } from './figure';
import { largeJournal } from './large-journal';

const TODAY = '2026-11-24';

type Bench = () => Figure | readonly Figure[];

/** The figures of the core, by name. */
export const CORE_BENCHES: Readonly<Record<string, Bench>> = {
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
      const read = readJournal(text, EMPTY_STATE);
      if (!read.ok) throw new Error('the made journal must be good');
    }, 3);
    return { name: 'import it, with every check', value: ms, unit: 'ms' };
  },
  round: () => {
    const state = fold(largeJournal(TODAY));
    const ms = medianMs(() => roundOn(state, TODAY));
    const demo = fold(demoJournal(TODAY));
    return [
      { name: 'round of 2,000 batches', value: ms, unit: 'ms' },
      { name: 'round of the demo', value: medianMs(() => roundOn(demo, TODAY)), unit: 'ms' },
    ];
  },
};

export function runCore(name: string): void {
  const figures = CORE_BENCHES[name]!();
  for (const figure of Array.isArray(figures) ? (figures as Figure[]) : [figures as Figure])
    print(figure);
}
