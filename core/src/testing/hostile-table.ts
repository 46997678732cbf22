import { minuteText } from '../climate';
import { EMPTY_STATE, type Entry, type EntryDraft } from '../journal';
import {
  guessMapping,
  guessPaper,
  paperEntries,
  possibleOrders,
  readMonthly,
  readPaper,
  readSenml,
  readTable,
  readWeather,
  splitSeries,
} from '../formats';
import { randomFrom } from '../stats';

/*
 * Tables and packs that nobody sane wrote, given to every importer of tables and sensors. Whatever comes of them,
 * nothing is thrown, and what is taken could stand in a journal.
 */

const CELLS = [
  '',
  '-',
  'n/a',
  '20',
  '21.5',
  '1.234,5',
  '0x1F',
  '1e999',
  '-999',
  '99999999999999999999',
  '2026-04-01',
  '01.04.2026',
  '2026-02-30',
  '9999-12-31',
  '0100-01-01',
  '2026-04-01T08:00+05:00',
  '2026-04-01 24:59',
  '1775692800',
  '12',
  '10000',
  '10001',
  '-5',
  'Echeveria elegans',
  'constructor',
  '__proto__',
  'toString',
  'leaf',
  'offset',
  'x'.repeat(200),
  '🌵'.repeat(70),
  '\ud800',
  '=cmd()',
  '"',
  '<b>',
  '\u0000',
] as const;

const HEADS = [
  'date',
  'time',
  'temp °C',
  'min temp',
  'max temp',
  'humidity %',
  'wind km/h',
  'rain',
  'lux',
  'plant',
  'method',
  'number',
  'rooted',
  'rotted',
  'pups',
  'lost',
  'counted',
  'mother',
  'notes',
  'place',
  'constructor',
  '',
] as const;

/** A table by its seed, as the text of a file. */
export function hostileTable(seed: number): string {
  const random = randomFrom(seed * 2 + 1);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const columns = 1 + Math.floor(random() * 9);
  const rows = pick([0, 1, 3, 12, 12, 40]);
  const sign = pick([',', ';', '\t']);
  // Now and then a row is shorter or longer than the header.
  const row = (): string =>
    Array.from({ length: random() < 0.1 ? columns + 3 : columns }, () => pick(CELLS)).join(sign);
  const head = Array.from({ length: columns }, () => pick(HEADS)).join(sign);
  return [head, ...Array.from({ length: rows }, row)].join(pick(['\n', '\r\n']));
}

/** What every importer of tables would write down of a text; throws what they throw. */
export function takenFrom(text: string): readonly EntryDraft[] {
  const table = readTable(text);
  if (!table) return [];
  const drafts: EntryDraft[] = [];
  const guessed = guessMapping(table);
  const [order = guessed.order] = possibleOrders(table, guessed);
  for (const piece of splitSeries(readWeather(table, { ...guessed, order }).series)) {
    const [start] = piece.minutes as [number];
    drafts.push({
      kind: 'series',
      day: minuteText(start).slice(0, 10),
      space: 's',
      source: 'table',
      start: minuteText(start),
      offsets: piece.minutes.map((m) => m - start),
      columns: Object.fromEntries(Object.entries(piece.columns).map(([k, v]) => [k, [...v]])),
    });
  }
  const monthly = readMonthly(table);
  if (monthly.ok)
    drafts.push({
      kind: 'put',
      record: 'space',
      key: 's',
      fields: { monthly: monthly.monthly.map((m) => ({ ...m })) },
    });
  let ids = 0;
  const mapping = { ...guessPaper(table), method: 'leaf' } as const;
  const rows = readPaper(EMPTY_STATE, table, mapping, '2026-04-09');
  drafts.push(...paperEntries(EMPTY_STATE, rows, 's', () => `id${ids++}`));
  return drafts;
}

/** A draft as the journal would write it down. */
export const writtenDown = (draft: EntryDraft, n: number): Entry => ({
  ...draft,
  id: `e${n}`,
  at: `2026-04-09T08:00:00.000Z~${n.toString(16).padStart(4, '0')}`,
  day: draft.day ?? '2026-04-09',
  by: 'here',
});

/** A pack of a sensor that lies, stammers or was never one. */
export function hostilePack(seed: number): unknown {
  const random = randomFrom(seed * 3 + 2);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const values = [1, NaN, Infinity, 'x', null, {}, [], true, -1e308, undefined, '\ud800'];
  const record = (): object =>
    Object.fromEntries(
      Array.from({ length: Math.floor(random() * 6) }, () => [
        pick(['bn', 'bt', 'bu', 'bv', 'bver', 'n', 'u', 't', 'v', 'vs', 'vb', 'vd', 's', 'must_']),
        pick(values),
      ]),
    );
  return pick<unknown>([
    Array.from({ length: Math.floor(random() * 5) }, record),
    record(),
    null,
    'text',
    7,
    [[]],
  ]);
}

/** Whether a pack was read or refused with a sentence. */
export function packSays(pack: unknown): string {
  const read = readSenml(pack, 1_775_692_800);
  return read.ok ? 'read' : read.problem;
}
