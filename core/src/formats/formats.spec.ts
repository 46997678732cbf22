import * as fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { wateredEarly } from '../bench';
import {
  bringBack,
  canonical,
  EMPTY_STATE,
  fold,
  isAhead,
  isPlausibleClock,
  unite,
  type Entry,
} from '../journal';
import { anyJournal, batchPut, DAY, written } from '../testing/entries';
import {
  entriesToStore,
  JOURNAL_VERSION,
  JournalLines,
  MAX_JOURNAL_BYTES,
  previewImport,
  problemText,
  readJournal,
  sizeProblem,
  writeJournal,
  type Problem,
  type ReadJournal,
} from '.';

/** Both batches once had 30 cuttings, so that no tally of the arbitrary ones is too large. */
const roomy = written(
  { ...batchPut({ count: 30 }), id: 'l1' },
  { ...batchPut({ count: 30 }, 'b2'), id: 'l2' },
);
/** This device's clock while it reads. */
const NOW = Date.parse('2026-03-21T08:00:00Z');
const none = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
const good = written(
  batchPut(),
  { kind: 'cut', batch: 'b1', day: DAY },
  { kind: 'tally', batch: 'b1', day: '2026-03-20', counts: { ...none, rooted: 4, rotted: 1 } },
);

function problems(text: string, known = EMPTY_STATE): readonly Problem[] {
  const read = readJournal(text, known, NOW);
  return read.ok ? [] : read.problems;
}

/** The good file with one text in it replaced. */
const spoiled = (from: string | RegExp, to: string): string => {
  const text = writeJournal(good).replace(from, to);
  expect(text).not.toBe(writeJournal(good));
  return text;
};

/** The same file, read line by line. */
function byLines(text: string, known = EMPTY_STATE): ReadJournal {
  const lines = new JournalLines();
  for (const line of text.split('\n')) if (!lines.take(line)) break;
  return lines.end(known, NOW);
}

/** Entries of which some were written while the clock stood years ahead. */
const aheadOf = (journal: readonly Entry[], isWrong: readonly boolean[]): readonly Entry[] =>
  journal.map((e, i) => (isWrong[i % isWrong.length] ? { ...e, at: `2031${e.at.slice(4)}` } : e));

describe('every export is taken', () => {
  const wrongClocks = fc.array(fc.boolean(), { minLength: 1, maxLength: 5 });

  it('whatever the clocks were when it was written and are when it is read', () => {
    fc.assert(
      fc.property(
        anyJournal,
        wrongClocks,
        fc.integer({ min: 0, max: Date.UTC(2032, 0) }),
        (journal, isWrong, nowMs) => {
          const entries = aheadOf(unite([...roomy, ...journal]), isWrong);
          const read = readJournal(writeJournal(entries), EMPTY_STATE, nowMs);
          if (!read.ok) throw new Error(problemText(read.problems[0]!));
          expect(read.entries.map((e) => e.id).sort()).toEqual(entries.map((e) => e.id).sort());
          if (!isPlausibleClock(nowMs)) expect(read.ahead).toBe(0);
          else expect(read.entries.some((e) => isAhead(e.at, nowMs))).toBe(false);
        },
      ),
    );
  });

  it('also where most of it was written two years ahead, and changes nothing where it is here already', () => {
    const journal = Array.from({ length: 30 }, (_, i) => ({
      ...written({ kind: 'note', batch: 'b1', day: DAY, text: `${i}` })[0]!,
      id: `n${i}`,
    }));
    const entries = aheadOf(journal, [true, true, false]);
    const read = readJournal(writeJournal(entries), EMPTY_STATE, NOW);
    expect(read).toMatchObject({ ok: true, ahead: 20 });
    const here = bringBack(entries, NOW).entries;
    const again = readJournal(writeJournal(entries), fold(here), NOW);
    if (!again.ok) throw new Error('refused');
    expect(again.ahead).toBe(0);
    expect(entriesToStore(fold(here), again.entries)).toEqual([]);
  });
});

describe('a file read line by line', () => {
  it('tells what it tells as a whole', () => {
    fc.assert(
      fc.property(anyJournal, (journal) => {
        const text = writeJournal(unite(journal));
        expect(byLines(text)).toEqual(readJournal(text, EMPTY_STATE, NOW));
      }),
    );
    const bad = spoiled(`"day":"${DAY}"`, '"day":"2026-02-30"');
    expect(byLines(bad)).toEqual(readJournal(bad, EMPTY_STATE, NOW));
    const many = writeJournal(Array.from({ length: 50 }, () => ({ ...good[1]!, day: 'never' })));
    expect(byLines(many)).toEqual(readJournal(many, EMPTY_STATE, NOW));
  });

  it('that was cut off, or has something behind its end, is refused', () => {
    const text = writeJournal(good);
    for (const cut of [
      text.slice(0, -6),
      text.slice(0, -30),
      text.slice(0, text.lastIndexOf(']}')),
    ])
      expect(byLines(cut)).toMatchObject({
        ok: false,
        problems: [{ sentence: expect.stringMatching(/ends in the middle/) }],
      });
    expect(byLines(`${text}{}\n`)).toMatchObject({
      problems: [{ line: 6, sentence: expect.stringMatching(/behind the end/) }],
    });
    const deep = text.replace('"id":"e1"', `"x":${'['.repeat(90)}${']'.repeat(90)},"id":"e1"`);
    expect(byLines(deep)).toMatchObject({
      problems: [{ line: 3, sentence: expect.stringMatching(/nested/) }],
    });
  });

  it('laid out by another hand is left to be read as a whole', () => {
    const pretty = JSON.stringify(JSON.parse(writeJournal(good)), null, 2);
    expect(JournalLines.fits(pretty.split('\n')[0]!)).toBe(false);
    expect(byLines(pretty)).toMatchObject({ ok: false, problems: [{ line: 1 }] });
    expect(JournalLines.fits(writeJournal(good).split('\n')[0]!)).toBe(true);
  });
});

describe('the journal file', () => {
  it('export → import is the identity', () => {
    fc.assert(
      fc.property(anyJournal, (journal) => {
        const entries = unite([...roomy, ...journal]);
        const read = readJournal(writeJournal(entries), EMPTY_STATE, NOW);
        if (!read.ok) throw new Error(problemText(read.problems[0]!));
        expect(canonical(read.entries)).toBe(canonical(entries));
        expect(fold(read.entries)).toEqual(fold(entries));
      }),
    );
  });

  it('carries what a newer version wrote through untouched', () => {
    const entries = [
      ...good,
      {
        id: 'n1',
        at: '2026-03-01T08:00:00.000Z~0009',
        day: DAY,
        by: 'x',
        kind: 'sang-to',
        song: ['la', { deep: 1 }],
      },
      {
        id: 'n2',
        at: '2026-03-01T08:00:00.000Z~000a',
        day: DAY,
        by: 'x',
        kind: 'put',
        record: 'jar',
        key: 'j',
        fields: { litres: 0.3 },
      },
      { ...good[1]!, id: 'n3', moonPhase: 'new' },
    ] as Entry[];
    const read = readJournal(writeJournal(entries), EMPTY_STATE, NOW);
    expect(read.ok && read.entries).toEqual(entries);
  });

  it('reads version 1 forward', () => {
    const read = readJournal(
      readFileSync(join(__dirname, 'fixtures/journal-v1.json'), 'utf8'),
      EMPTY_STATE,
      NOW,
    );
    if (!read.ok) throw new Error(problemText(read.problems[0]!));
    const batch = fold(read.entries).batches.get('b1')!;
    expect(batch.widthMm).toBe(4.5);
    expect(batch.counts).toEqual({ rooted: 12, pupped: 0, rotted: 1, dried: 3, lost: 0 });
    expect(writeJournal(read.entries)).toContain(`"version":${JOURNAL_VERSION}`);
  });

  it('of version 3 keeps its meaning: set as a whole, watered late enough', () => {
    const read = readJournal(
      readFileSync(join(__dirname, 'fixtures/journal-v3.json'), 'utf8'),
      EMPTY_STATE,
      NOW,
    );
    if (!read.ok) throw new Error(problemText(read.problems[0]!));
    const state = fold(read.entries);
    const batch = state.batches.get('b1')!;
    expect(batch.settings).toEqual([{ day: '2026-01-08', count: null, wet: false }]);
    expect(batch.waterings).toEqual([{ entry: 'd5', day: '2026-01-16', how: 'poured', ml: 45 }]);
    expect(wateredEarly(state, batch)).toBe(false);
    expect(batch.counts.rooted).toBe(5);
    expect(batch.course).toBeUndefined();
  });

  it('of version 2 keeps its meaning: drinks and readings as they were', () => {
    const read = readJournal(
      readFileSync(join(__dirname, 'fixtures/journal-v2.json'), 'utf8'),
      EMPTY_STATE,
      NOW,
    );
    if (!read.ok) throw new Error(problemText(read.problems[0]!));
    const state = fold(read.entries);
    expect(state.batches.get('b1')!.waterings).toEqual([
      { entry: 'c5', day: '2025-06-09', how: 'soaked' },
    ]);
    expect(state.air.get('s1')).toEqual([{ day: '2025-06-09', tempC: 24.5, rh: 0.42 }]);
  });
});

describe('a bad file is refused with its line and field', () => {
  it('cut off in the middle', () => {
    const text = writeJournal(good);
    const [problem] = problems(text.slice(0, text.length - 60));
    expect(problem).toMatchObject({ line: 4, sentence: expect.stringMatching(/cut off/) });
    // Wherever the end falls: within a text, a number, a word or between them.
    for (let less = 1; less < 300; less++) {
      const [p] = problems(text.slice(0, text.length - 3 - less));
      expect(p!.sentence).toMatch(/cut off/);
    }
  });

  it('not JSON at all', () => {
    expect(problems('taxon;method;n\n')[0]!.sentence).toMatch(/not JSON/);
    expect(problems('')[0]!.sentence).toMatch(/cut off/);
  });

  it('another schema', () => {
    expect(problems('{"rows":[]}')[0]).toMatchObject({ field: 'format' });
    expect(problems('[1,2]')[0]).toMatchObject({ field: 'format' });
    expect(problems('{"format":"hypogeon-journal","version":2}')[0]!.sentence).toMatch(
      /no entries/,
    );
  });

  it('from a newer version', () => {
    const text = spoiled(`"version":${JOURNAL_VERSION}`, '"version":7');
    expect(problems(text)).toEqual([
      { field: 'version', sentence: expect.stringMatching(/version 7, newer than this Hypogeon/) },
    ]);
  });

  it.each<[string, string | RegExp, string, number, string, RegExp]>([
    [
      'an impossible day',
      '"day":"2026-03-20"',
      '"day":"2026-02-30"',
      4,
      'day',
      /not a day of the calendar/,
    ],
    [
      'a negative count',
      '"rotted":1',
      '"rotted":-1',
      4,
      'counts.rotted',
      /whole number of 0 or more/,
    ],
    [
      'a fractional count',
      '"rooted":4',
      '"rooted":4.5',
      4,
      'counts.rooted',
      /whole number of 0 or more/,
    ],
    ['a count in words', '"rooted":4', '"rooted":"four"', 4, 'counts.rooted', /must be a number/],
    [
      'more outcomes than cuttings',
      '"rooted":4',
      '"rooted":10',
      4,
      'counts',
      /11 outcomes are counted, but the batch has 10/,
    ],
    ['no cuttings', '"count":10', '"count":0', 2, 'fields.count', /1 is the least/],
    ['a fraction of a cutting', '"count":10', '"count":1.5', 2, 'fields.count', /whole number/],
    [
      'an unknown school',
      '"dry-to-touch"',
      '"hope"',
      2,
      'fields.school',
      /must be one of: straight-in/,
    ],
    ['a broken stamp', '08:00:00.000Z~0001', '28:00:00.000Z~0001', 3, 'at', /not a time stamp/],
    ['an entry without an id', '"id":"e1",', '', 3, 'id', /must be a string/],
    [
      'an impossible day of the cut',
      '"cutOn":"2026-03-01"',
      '"cutOn":"2026-13-01"',
      2,
      'fields.cutOn',
      /calendar/,
    ],
  ])('%s', (_name, from, to, line, field, sentence) => {
    const found = problems(spoiled(from, to));
    expect(found[0]).toEqual({ line, field, sentence: expect.stringMatching(sentence) });
    expect(problemText(found[0]!)).toBe(`Line ${line}, ${field}: ${found[0]!.sentence}`);
  });

  /** One entry that no form lets through, in a file of its own. */
  const alone = (fields: object): readonly Problem[] =>
    problems(writeJournal([{ ...good[1]!, ...fields }]));
  const put = (record: string, fields: object) => ({ kind: 'put', record, key: 'k', fields });
  const series = (change: object) => ({
    kind: 'series',
    space: 's',
    source: 'logger',
    start: '2026-03-01T08:00',
    offsets: [0, 10],
    columns: { tempC: [20, 21] },
    ...change,
  });
  const LONE = String.fromCharCode(0xd800);

  it.each<[string, object, string, RegExp]>([
    ['damp beyond wet', series({ columns: { rh: [5, 0.5] } }), 'columns.rh.0', /between 0 and 1/],
    ['heat of 1e308', series({ columns: { tempC: [1e308, 1e308] } }), 'columns.tempC.0', /80/],
    ['−300 °C', put('space', { tempC: -300 }), 'fields.tempC', /too small/],
    ['a humidity below nothing', put('space', { rh: -1 }), 'fields.rh', /too small/],
    [
      'columns longer than times',
      series({ columns: { rh: [1, 1, 1] } }),
      'columns.rh',
      /3 values for 2 times/,
    ],
    ['a time past every year', series({ offsets: [0, 9e15] }), 'offsets.1', /too large/],
    ['a start that is no time', series({ start: '2026-02-30T25:61' }), 'start', /not a time/],
    ['a start in the year 100', series({ start: '0100-02-03T08:00' }), 'start', /not a time/],
    [
      'a low above its high',
      { kind: 'air', space: 's', tempC: 9, rh: 0.5, minC: 9, maxC: 2 },
      'minC',
      /above the high/,
    ],
    [
      'a season that ends before it begins',
      put('taxon', { season: { fromC: 45, toC: -10 } }),
      'fields.season',
      /begin cooler/,
    ],
    [
      'a month with its low above its high',
      put('space', { monthly: Array(12).fill({ minC: 9, maxC: 1, rh: 0.5 }) }),
      'fields.monthly.0',
      /low above its high/,
    ],
    [
      'a pot filled above its rim',
      put('container', { heightMm: 50, freeboardMm: 50 }),
      'fields.freeboardMm',
      /no room for medium/,
    ],
    ['a key with half a sign', { ...put('batch', {}), key: `b${LONE}` }, 'key', /half a sign/],
    ['a name with half a sign', put('mother', { name: `b${LONE}` }), 'fields.name', /half a sign/],
    [
      'cuttings by the million',
      {
        kind: 'joined',
        from: 'b2',
        cuttings: Array(1000).fill({ count: 10_000, outcome: 'waiting', lastLook: DAY }),
      },
      'cuttings',
      /more than 10000 cuttings/,
    ],
    [
      'roots seen before they were looked for',
      put('batch', {
        carried: [
          { count: 1, outcome: 'rooted', lastLook: DAY, rooted: ['2026-03-09', '2026-03-01'] },
        ],
      }),
      'fields.carried.0.rooted',
      /end before it begins/,
    ],
    ['a day no bench has', { day: '9999-12-31' }, 'day', /between 1900/],
  ])('%s', (_name, fields, field, sentence) => {
    expect(alone(fields)[0]).toEqual({
      line: 2,
      field,
      sentence: expect.stringMatching(sentence),
    });
  });

  it('nested deeper than anything of ours, before any parser runs out of room', () => {
    const deep = spoiled('"entries":[', `"entries":[${'['.repeat(100_000)}`);
    expect(problems(deep)[0]).toMatchObject({ line: 1, sentence: expect.stringMatching(/nested/) });
    const field = `${'{"a":'.repeat(3000)}1${'}'.repeat(3000)}`;
    expect(problems(spoiled('"id":"e1"', `"x":${field},"id":"e1"`))[0]).toMatchObject({ line: 3 });
    // Brackets within a text are text.
    const note = [
      ...good,
      ...written({ kind: 'note', batch: 'b1', day: DAY, id: 'n', text: '[{"\\"'.repeat(90) }),
    ];
    expect(problems(writeJournal(note))).toEqual([]);
  });

  it('a batch that grew past all measure by what joined it', () => {
    const group = { count: 10_000, outcome: 'waiting', lastLook: DAY } as const;
    const joined = Array.from({ length: 12 }, (_, i) => ({
      kind: 'joined' as const,
      batch: 'b1',
      day: DAY,
      from: 'b2',
      cuttings: [group],
      id: `j${i}`,
    }));
    const [problem] = problems(writeJournal([...good, ...written(...joined)]));
    expect(problem).toMatchObject({
      field: 'cuttings',
      sentence: expect.stringMatching(/Split it/),
    });
  });

  it('not the grower’s own backup: what joined a batch may be counted in it', () => {
    const own = [
      ...good,
      ...written(
        {
          kind: 'joined',
          batch: 'b1',
          day: '2026-03-21',
          from: 'b2',
          id: 'j',
          cuttings: [{ count: 7, outcome: 'waiting', lastLook: DAY }],
        },
        {
          kind: 'tally',
          batch: 'b1',
          day: '2026-03-21',
          id: 't2',
          counts: { ...none, rooted: 14, rotted: 1 },
        },
        { kind: 'tally', batch: 'b1', day: '2026-03-21', id: 't3', places: { '16': 'rotted' } },
      ),
    ];
    expect(problems(writeJournal(own))).toEqual([]);
    expect(problems(writeJournal(own).replace('"rooted":14', '"rooted":17'))[0]!.sentence).toMatch(
      /batch has 17/,
    );
  });

  it('a place beyond the tray', () => {
    const text = writeJournal([
      ...good,
      ...written({ kind: 'tally', batch: 'b1', day: DAY, id: 'p', places: { '10': 'rooted' } }),
    ]);
    expect(problems(text)[0]).toMatchObject({ line: 5, field: 'places.10' });
  });

  it('holds tallies against batches this bench knows already', () => {
    const tally = written({ kind: 'tally', batch: 'b1', day: DAY, counts: { ...none, dried: 11 } });
    expect(problems(writeJournal(tally), fold(good))[0]!.sentence).toMatch(/batch has 10/);
    expect(problems(writeJournal(tally))).toEqual([]);
  });

  it('a file of 410 MB, before reading it', () => {
    expect(sizeProblem(410_000_000)!.sentence).toMatch(/410 MB; a journal has 400 MB at most/);
    expect(sizeProblem(MAX_JOURNAL_BYTES)).toBeNull();
    expect(problems(' '.repeat(410_000_000))[0]!.sentence).toMatch(/410 MB/);
  });

  it('of a newer version says so, and what to do', () => {
    const newer = writeJournal(good).replace(/"version":\d+/, '"version":99');
    expect(problems(newer)[0]!.sentence).toMatch(/newer than this Hypogeon/);
    expect(byLines(newer)).toMatchObject({ ok: false, problems: [{ field: 'version' }] });
  });

  it('tells of many problems at once, but not of thousands', () => {
    const bad = good.concat(
      ...Array.from({ length: 50 }, (_, i) => ({ ...good[1]!, id: `x${i}`, day: 'never' })),
    );
    expect(problems(writeJournal(bad)).length).toBe(20);
  });

  it('keeps HTML in names as the text it is', () => {
    const name = '<img src=x onerror=alert(1)>';
    const entries = written({
      kind: 'put',
      record: 'mother',
      key: 'm',
      day: DAY,
      fields: { name },
    });
    const read = readJournal(writeJournal(entries), EMPTY_STATE, NOW);
    expect(read.ok && fold(read.entries).mothers.get('m')!.name).toBe(name);
  });
});

describe('the same id with other content', () => {
  const mine = fold(good);
  const [put, cut, tally] = good as [Entry, Entry, Entry];
  const other = { ...tally, counts: { ...none, rooted: 9 } } as Entry;

  it('is said, and of the two the same one is kept on every device', () => {
    expect(previewImport(mine, [put, cut, other])).toMatchObject({
      fresh: 0,
      known: 3,
      clashing: 1,
    });
    const here = fold([...good, ...entriesToStore(mine, [other])]);
    const there = fold([put, cut, other, ...entriesToStore(fold([put, cut, other]), good)]);
    expect(here).toEqual(there);
  });

  it('nothing is stored where nothing differs', () => {
    expect(entriesToStore(mine, [...good])).toEqual([]);
    const { by, ...rest } = tally;
    expect(entriesToStore(mine, [{ by, ...rest }])).toEqual([]);
  });
});

describe('the preview of an import', () => {
  it('says what will change before it does', () => {
    const mine = fold(good.slice(0, 2));
    const theirs = [...good, ...written({ ...batchPut(undefined, 'b2'), id: 'z' })];
    expect(previewImport(mine, theirs)).toEqual({
      fresh: 2,
      known: 2,
      unknown: 0,
      clashing: 0,
      newBatches: 1,
      changedBatches: 1,
    });
  });
});
