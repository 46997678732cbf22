import type { Entry } from '../journal';
import { writeJournal } from '../formats';
import { randomFrom } from '../stats';
import { walkDeeds } from './deeds';

/*
 * Files that nobody's product wrote, or that were damaged on the way: one spoiled place in a good journal, or a text
 * made to hurt. The same seed makes the same file.
 */

export interface HostileFile {
  readonly name: string;
  readonly text: string;
  /** Must not be taken: what it holds cannot be. False where it is odd, but may stand. */
  readonly bad: boolean;
  /** One entry of it is spoiled: then the line is told. */
  readonly oneEntry: boolean;
  /** The clock of the device that reads it, ms since 1970. */
  readonly nowMs: number;
}

type Raw = Record<string, unknown>;
type Spoil = (entry: Raw, pick: <T>(from: readonly T[]) => T) => boolean;

const NUMBERS = [NaN, Infinity, -1, -300, 1e308, 9e15, 1.5, '7', null, {}, [5], true] as const;
const TEXTS = ['\ud800', '', 'x'.repeat(9000), 7, null, {}, []] as const;
const DAYS = ['never', '2026-02-30', '9999-12-31', '0100-01-01', '2026-2-3', '', 5, null] as const;
const STAMPS = [
  '9999-12-31T23:59:59.999Z~ffff',
  '2026-03-01T25:00:00.000Z~0000',
  '2026-03-01',
  '',
  3,
] as const;

const whole = (value: unknown): boolean =>
  typeof value === 'number' && Number.isSafeInteger(value) && value >= 0;

/** Each spoils one entry so that it cannot be right; false where it does not fit this entry. */
const SPOILS: Readonly<Record<string, Spoil>> = {
  'a broken day': (e, pick) => put(e, 'day', pick(DAYS)),
  'a stamp that cannot be': (e, pick) => put(e, 'at', pick(STAMPS)),
  'an id that is none': (e, pick) => put(e, 'id', pick(TEXTS)),
  'no device': (e) => delete e.by,
  'no kind': (e, pick) => put(e, 'kind', pick([null, 7, '', 'k'.repeat(60)])),
  'an entry that is none': (e, pick) => put(e, WHOLE, pick([null, 7, 'entry', [], true])),
  'a count that is none': (e, pick) =>
    inside(e, 'counts', (c) =>
      put(c, pick(['rooted', 'rotted']), pick(NUMBERS.filter((n) => !whole(n)))),
    ),
  'more than there are': (e) => inside(e, 'counts', (c) => put(c, 'rooted', 400_000)),
  'a place beyond the tray': (e) => 'places' in e && put(e, 'places', { '99999': 'rooted' }),
  'a batch of too many': (e, pick) =>
    of(e, 'batch', (f) => put(f, 'count', pick([0, -3, 2.5, 10_001, 1e9]))),
  'a batch cut on no day': (e, pick) =>
    of(e, 'batch', (f) => put(f, 'cutOn', pick(DAYS.slice(0, -1)))),
  'a school nobody has': (e) => of(e, 'batch', (f) => put(f, 'school', 'hope')),
  'a key with half a sign': (e) => e.kind === 'put' && put(e, 'key', 'b\udfff'),
  'a name too long': (e) => of(e, 'mother', (f) => put(f, 'name', 'n'.repeat(121))),
  'air that cannot be': (e, pick) =>
    // A degree of frost is cold, and no harm.
    of(e, 'space', (f) => put(f, pick(['rh', 'tempC']), pick([-300, 7e9, 'warm']))) ||
    inside(e, 'columns', (c) =>
      put(
        c,
        'rh',
        pick([
          [5, 5],
          [-1, 0.5],
          ['x', 1],
        ]),
      ),
    ),
  'heat that cannot be': (e) => inside(e, 'columns', (c) => put(c, 'tempC', [1e308, 1e308])),
  'more values than times': (e) => inside(e, 'columns', (c) => put(c, 'rh', [0.5, 0.5, 0.5])),
  'times that end never': (e) => 'offsets' in e && put(e, 'offsets', [0, 9e15]),
  'a start that is no time': (e, pick) =>
    'start' in e && put(e, 'start', pick(['2026-02-30T25:61', '2026-03-01T24:00', 'soon', 8])),
  'a series without a start': (e) => 'start' in e && delete e.start,
  'cuttings by the million': (e) =>
    e.kind === 'joined' &&
    put(
      e,
      'cuttings',
      Array.from({ length: 1000 }, () => group(10_000)),
    ),
  'carried by the million': (e) =>
    of(e, 'batch', (f) =>
      put(
        f,
        'carried',
        Array.from({ length: 9000 }, () => group(10_000)),
      ),
    ),
  'a note without end': (e) => e.kind === 'note' && put(e, 'text', 'n'.repeat(5000)),
};

/** Each is odd and may stand: kept, passed on, and nothing breaks by it. */
const ODDITIES: Readonly<Record<string, Spoil>> = {
  'an unknown field, deep': (e) => put(e, 'later', nested(20)),
  'a kind of tomorrow': (e) => put(e, 'kind', 'sang-to'),
  'names of every object': (e) =>
    of(e, 'mother', (f) => put(f, 'name', 'constructor')) || put(e, 'toString', 'x'),
  'an old day': (e) => put(e, 'day', '1900-01-01'),
  'a batch cut long ago': (e) => of(e, 'batch', (f) => put(f, 'cutOn', '1900-01-01')),
};

const WHOLE = '*';
const put = (raw: Raw, key: string, value: unknown): true => {
  raw[key] = value;
  return true;
};
const inside = (raw: Raw, key: string, spoil: (inner: Raw) => boolean): boolean =>
  typeof raw[key] === 'object' && raw[key] !== null && spoil(raw[key] as Raw);
const of = (raw: Raw, record: string, spoil: (fields: Raw) => boolean): boolean =>
  raw.kind === 'put' && raw.record === record && inside(raw, 'fields', spoil);
const group = (count: number) => ({ count, outcome: 'waiting', lastLook: '2026-03-01' });

function nested(deep: number): unknown {
  let value: unknown = 1;
  for (let i = 0; i < deep; i++) value = { in: value };
  return value;
}

/** Texts that are no journal at all. */
const TEXTS_OF_HARM: Readonly<Record<string, (good: string, random: () => number) => string>> = {
  'cut off': (good, random) => good.slice(0, Math.floor(random() * (good.length - 2))),
  'nested a hundred thousand deep': (good) =>
    good.replace('"entries":[', `"entries":[${'['.repeat(100_000)}`),
  'an unknown field three thousand deep': (good) =>
    good.replace('"id":', `"later":${'{"a":'.repeat(3000)}1${'}'.repeat(3000)},"id":`),
  'another format': (good) => good.replace('hypogeon-journal', 'someone-else'),
  'a version to come': (good) => good.replace(/"version":\d+/, '"version":99'),
  'a version that is none': (good) => good.replace(/"version":\d+/, '"version":"three"'),
  'no entries': () => '{"format":"hypogeon-journal","version":3}',
  'a table': () => 'plant;how many\nEcheveria;5\n',
  'signs at random': (_good, random) =>
    Array.from({ length: 400 }, () => String.fromCharCode(32 + Math.floor(random() * 1000))).join(
      '',
    ),
  nothing: () => '',
  'numbers out of range': (good) => good.replace(/"count":\d+/, '"count":1e999'),
  'a sign flipped': (good, random) => {
    const at = good.indexOf('"entries"') + 12 + Math.floor(random() * (good.length - 60));
    return `${good.slice(0, at)}\u0007${good.slice(at + 1)}`;
  },
};

/** One file by its seed; every kind of harm comes up in turn. */
export function hostileFile(seed: number): HostileFile {
  const random = randomFrom(seed);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const { entries, nowMs } = walkOf(seed);
  const kinds = [
    ...Object.keys(SPOILS).map((name) => ({ name, from: SPOILS, bad: true })),
    ...Object.keys(ODDITIES).map((name) => ({ name, from: ODDITIES, bad: false })),
  ];
  const texts = Object.keys(TEXTS_OF_HARM);
  const turn = seed % (kinds.length + texts.length);
  const good = writeJournal(entries);
  if (turn >= kinds.length) {
    const name = texts[turn - kinds.length]!;
    return { name, text: TEXTS_OF_HARM[name]!(good, random), bad: true, oneEntry: false, nowMs };
  }
  const { name, from, bad } = kinds[turn]!;
  const raw = structuredClone(entries) as unknown as Raw[];
  const begin = Math.floor(random() * raw.length);
  for (let i = 0; i < raw.length; i++) {
    const at = (begin + i) % raw.length;
    const entry = raw[at]!;
    if (!from[name]!(entry, pick)) continue;
    const spoiled: unknown[] = [...raw];
    if (WHOLE in entry) spoiled[at] = entry[WHOLE];
    return { name, text: jsonOf(spoiled), bad, oneEntry: true, nowMs };
  }
  // Nothing in this walk to spoil so: the file is good.
  return { name: `${name} (nothing to spoil)`, text: good, bad: false, oneEntry: false, nowMs };
}

/** Walks are dear: a few serve all files. */
const WALKS = 12;
const walked = new Map<number, { readonly entries: readonly Entry[]; readonly nowMs: number }>();
function walkOf(seed: number): { readonly entries: readonly Entry[]; readonly nowMs: number } {
  const name = seed % WALKS;
  let known = walked.get(name);
  if (!known) walked.set(name, (known = walkDeeds(1000 + name, 70)));
  return known;
}

/** As a careless program writes it: what JSON has no word for becomes a number too large for any. */
function jsonOf(entries: readonly unknown[]): string {
  const lines = entries.map((e) =>
    JSON.stringify(e, (_key, v: unknown) =>
      typeof v === 'number' && !Number.isFinite(v) ? 'NOT-A-NUMBER' : v,
    ).replaceAll('"NOT-A-NUMBER"', '1e999'),
  );
  return `{"format":"hypogeon-journal","version":3,"entries":[\n${lines.join(',\n')}\n]}\n`;
}
