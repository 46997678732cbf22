import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { LANGUAGES } from '@hypogeon/messages/languages';
import { LOAD } from '@hypogeon/messages/load';
import { parse, type Token } from '@messageformat/parser';
import {
  inSentence,
  languageOf,
  messagesOf,
  placesWithout,
  plural,
  PSEUDO,
  readMessagesAs,
  fill,
  takeTable,
  type Said,
} from '.';

type Catalogue = Readonly<
  Record<string, Readonly<Record<string, Readonly<Record<string, string>>>>>
>;

const catalogue = (language: string): Catalogue =>
  JSON.parse(readFileSync(`messages/${language}.json`, 'utf8')) as Catalogue;
const english = catalogue('en');
const others = LANGUAGES.map((l) => l.id).filter((id) => id !== 'en');

const all = (of: Catalogue): readonly (readonly [id: string, text: string])[] =>
  Object.entries(of).flatMap(([place, parts]) =>
    Object.entries(parts).flatMap(([part, said]) =>
      Object.entries(said).map(([name, text]) => [`${place}/${part}/${name}`, text] as const),
    ),
  );

/** What a message is told, by what it does with it. */
function told(tokens: readonly Token[], of = new Map<string, string>()): Map<string, string> {
  for (const token of tokens) {
    if (token.type === 'argument' && !of.has(token.arg)) of.set(token.arg, 'shown');
    if (token.type === 'select' || token.type === 'plural' || token.type === 'selectordinal') {
      of.set(token.arg, token.type);
      for (const { tokens: inner } of token.cases) told(inner, of);
    }
  }
  return of;
}

const read = (text: string): readonly Token[] => parse(text, { strict: false });

afterEach(() => readMessagesAs({ locale: () => 'en', missing: () => undefined }));

describe('the catalogue', () => {
  it.each(others)('%s says all that is said in English, and nothing else', (language) => {
    const ids = new Set(all(catalogue(language)).map(([id]) => id));
    const wanted = new Set(all(english).map(([id]) => id));
    expect([...wanted].filter((id) => !ids.has(id))).toEqual([]);
    expect([...ids].filter((id) => !wanted.has(id))).toEqual([]);
  });

  it.each(others)(
    '%s is told what English is told, and says nothing it is not told',
    (language) => {
      const theirs = new Map(all(catalogue(language)));
      const odd = all(english).filter(([id, text]) => {
        const [here, there] = [told(read(text)), told(read(theirs.get(id)!))];
        return [...here.keys()].toSorted().join() !== [...there.keys()].toSorted().join();
      });
      expect(odd).toEqual([]);
    },
  );

  it.each(['en', ...others])(
    '%s begins and ends with spaces where English does, and never doubles them',
    (language) => {
      const theirs = new Map(all(catalogue(language)));
      for (const [id, text] of all(english)) {
        const said = theirs.get(id)!;
        if (text.trim() === '' || text.startsWith('{') || text.endsWith('}')) continue;
        expect([id, /^\s/.test(said)]).toEqual([id, /^\s/.test(text)]);
        expect([id, /\s$/.test(said)]).toEqual([id, /\s$/.test(text)]);
        expect([id, / {2}/.test(said)]).toEqual([id, false]);
      }
    },
  );

  it('has no message that nobody says', () => {
    const sources = filesOf(['core/src', 'words/src', 'web/src']).map((path) => ({
      path,
      text: readFileSync(path, 'utf8'),
    }));
    const parts = Object.values(english).flatMap((of) => Object.entries(of));
    const unsaid = parts.flatMap(([part, said]) => {
      const users = sources.filter(({ text }) => text.includes(`@hypogeon/messages/${part}'`));
      const stems = users.map(({ path }) => path.replace(/\.ts$/, ''));
      const texts = [
        ...users.map((u) => u.text),
        ...sources
          .filter(({ path }) => stems.includes(path.replace(/\.html$/, '')))
          .map((s) => s.text),
        ...(BY_ID.has(part) ? sources.map((s) => s.text) : []),
      ].join('\n');
      return Object.keys(said)
        .filter(() => part !== 'core-plant-names')
        .filter((name) => !new RegExp(`\\.${name}\\b|["']${name}["']`).test(texts))
        .map((name) => `${part}/${name}`);
    });
    expect(unsaid).toEqual([]);
  });
});

/** Parts whose messages are named by id in files of data. */
const BY_ID: ReadonlySet<string> = new Set([
  'core-ways',
  'core-hazard-parts',
  'core-component-names',
  'core-dust',
  'core-plant-names',
  'look-words',
  'promise-names',
  'table-titles',
]);

function filesOf(roots: readonly string[]): string[] {
  return roots.flatMap((root) =>
    readdirSync(root).flatMap((name) => {
      const path = join(root, name);
      if (statSync(path).isDirectory()) return filesOf([path]);
      return /\.(ts|html|json)$/.test(name) && !name.endsWith('.spec.ts') ? [path] : [];
    }),
  );
}

describe('every message', () => {
  it.each([...others, PSEUDO])('of %s is written whole, whatever it is told', async (language) => {
    const texts = new Map(all(language === PSEUDO ? english : catalogue(language)));
    readMessagesAs({ locale: () => language, missing: () => undefined });
    for (const [place, load] of Object.entries(LOAD[language]!)) {
      const { table } = await load();
      const ids = all({ [place]: english[place]! });
      ids.forEach(([id], i) => {
        const made = table[i.toString(36)] ?? table[id.split('/').slice(1).join('/')]!;
        for (const n of [0, 1, 2, 5, 1_000_000]) {
          const of = new Map(
            [...told(read(texts.get(id)!))].map(([name, is]) => [name, is === 'plural' ? n : 'X']),
          );
          const said = fill(made, Object.fromEntries(of));
          expect([id, /undefined|NaN|\[object|\{\w+\}/.exec(said)]).toEqual([id, null]);
        }
      });
    }
  });

  it('of the pseudo-language is marked, and longer than in English', async () => {
    const { table } = await LOAD[PSEUDO]!.today!();
    const said = Object.values(table).filter((m): m is string => typeof m === 'string');
    expect(said.length).toBeGreaterThan(50);
    for (const text of said.filter((t) => /\p{L}/u.test(t))) expect(text).toMatch(/⟦.*\p{L}~.*⟧/su);
  });
});

describe('a message', () => {
  const water = messagesOf('test')('0', (d: { readonly n: number; readonly of: string }) =>
    plural(d.n, { one: `One ${d.of}`, other: `${d.n} ${d.of}` }),
  );

  it('is said in English until its place has come, and asks for it once it is missed', () => {
    const missing = jest.fn();
    readMessagesAs({ locale: () => 'de-AT', missing });
    expect(water({ n: 2, of: 'leaves' })).toBe('2 leaves');
    expect(missing).toHaveBeenCalledTimes(1);
    expect(placesWithout('de')).toContain('test');
    takeTable('de', 'test', { '0': [['n'], ' × ', ['of']] });
    expect(water({ n: 2, of: 'Blätter' })).toBe('2 × Blätter');
    expect(placesWithout('de')).not.toContain('test');
    readMessagesAs({ locale: () => 'en-GB', missing });
    expect(water({ n: 1, of: 'leaf' })).toBe('One leaf');
  });

  it('of another language is data: words, what it is told, forms within forms', () => {
    readMessagesAs({ locale: () => 'de-DE', missing: () => undefined });
    const told: Said = [
      ['n', '#'],
      ' ',
      [
        'n',
        'plural',
        { one: 'Blatt', other: ['Blätter', ['dry', 'select', { yes: ', trocken', other: '' }]] },
      ],
    ];
    expect([1, 1200].map((n) => fill(told, { n, dry: 'yes' }))).toEqual([
      '1 Blatt',
      '1.200 Blätter, trocken',
    ]);
    expect(fill(told, { n: 2, dry: 'no' })).toBe('2 Blätter');
    expect(fill([['n', 'ordinal', { other: [['n', '#'], '.'] }]], { n: 3 })).toBe('3.');
    expect(fill([['n', 'plural', { 0: 'keins', other: 'viele' }]], { n: 0 })).toBe('keins');
  });

  it('is of the language of a locale, the pseudo-language being one of its own', () => {
    expect(['de-AT', 'es', 'en-GB', PSEUDO].map(languageOf)).toEqual(['de', 'es', 'en', PSEUDO]);
  });

  it('writes a name within a sentence as its language does', () => {
    expect(inSentence('Stem segment')).toBe('stem segment');
    readMessagesAs({ locale: () => 'de-DE', missing: () => undefined });
    expect(inSentence('Stammstück')).toBe('Stammstück');
  });
});
