import { CATALOGUE } from '@hypogeon/core/botany';
import { demoJournal } from '@hypogeon/core/demo';
import { fold, isKind, type Entry } from '@hypogeon/core/journal';
import { predicted, type Counted } from '@hypogeon/core/pool';
import { roundOn } from '@hypogeon/core/round';
import { randomFrom } from '@hypogeon/core/stats';
import { medianMs, type Figure } from './figure';

const TODAY = '2026-04-09';
const FILES = 50;
const WAYS = 300;

/** Counts of so many benches of one plant and way, all different. */
function manyBenches(benches: number, seed: number): readonly Counted[] {
  const random = randomFrom(seed);
  return Array.from({ length: benches }, () => {
    const of = 8 + Math.floor(40 * random());
    return { of, yes: Math.floor(of * (0.3 + 0.6 * random())) };
  });
}

/** The counts of one bench of three hundred plants and ways, as they lie in the journal once they are taken in. */
function benchFile(number: number): Entry {
  const random = randomFrom(number);
  const ways = CATALOGUE.flatMap((t) => t.methods.map(({ method }) => ({ taxon: t.id, method })));
  const rows = ways.slice(0, WAYS).map((way) => {
    const set = 10 + Math.floor(40 * random());
    const rooted = Math.floor(set * (0.3 + 0.6 * random()));
    return {
      ...way,
      course: 'dry' as const,
      year: 2025,
      half: 'warm',
      batches: 2,
      set,
      rooted,
      pupped: 0,
      rotted: set - rooted,
      dried: 0,
      lost: 0,
      waiting: 0,
      settled: true,
      roots: [],
    };
  });
  return {
    id: `file-${number}`,
    at: `2026-04-01T08:00:00.000Z~${number.toString(16).padStart(4, '0')}`,
    day: '2026-04-01',
    by: 'society',
    kind: 'put',
    record: 'bench',
    key: `benchnumber${number}`,
    fields: { name: `Bench ${number}`, edition: 1, rows },
  } as Entry;
}

/** Read, folded and what today asks worked out: what the first screen waits for. */
function openingMs(entries: readonly Entry[]): number {
  const text = JSON.stringify(entries);
  return medianMs(() => roundOn(fold(JSON.parse(text) as readonly Entry[]), TODAY), 9, 3);
}

export const POOL_BENCHES: Readonly<Record<string, () => Figure | readonly Figure[]>> = {
  pool: () => {
    const ways = Array.from({ length: WAYS }, (_, i) => manyBenches(FILES, i));
    const ms = medianMs(() => ways.map((counts) => predicted(counts)));
    return { name: '50 benches of 300 plants and ways pooled', value: ms, unit: 'ms', target: 300 };
  },
  opening: () => {
    const isPut = isKind('put');
    const demo = demoJournal(TODAY).filter((e) => !(isPut(e) && e.record === 'bench'));
    const files = Array.from({ length: FILES }, (_, n) => benchFile(n));
    const [without, withFiles] = [openingMs(demo), openingMs([...demo, ...files])];
    return [
      { name: 'the demo read, folded, its round: without files', value: without, unit: 'ms' },
      { name: 'the same with 50 files of 300 plants and ways', value: withFiles, unit: 'ms' },
    ];
  },
};
