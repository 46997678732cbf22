// Makes code of the messages: `messages/en.json` and its translations become typed functions, one file for each part of
// the product in English (it comes with the code that says it) and one for each place in every other language (fetched
// as it is needed). What is made is not kept: `messages/made/`.
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { parse } from '@messageformat/parser';
import { LETTERS } from './pseudo.mjs';

const SOURCE = 'en';
const PSEUDO = 'en-XA';
const from = 'messages';
const to = 'messages/made';

/** Languages there are: every file beside the English one. */
export const languages = () =>
  readdirSync(from)
    .filter((f) => /^[a-z]{2,3}\.json$/.test(f))
    .map((f) => f.slice(0, -'.json'.length));

export const readLanguage = (language) =>
  JSON.parse(readFileSync(join(from, `${language}.json`), 'utf8'));

/** Parts whose messages files of data name by id: told nothing, and looked up. */
export const BY_ID = new Set([
  'core-ways',
  'core-hazard-parts',
  'core-component-names',
  'core-dust',
  'core-plant-names',
  'look-words',
  'promise-names',
  'table-titles',
]);

/** Every message of a language: place, part, name, text. */
export function* messagesOf(catalogue) {
  for (const [place, parts] of Object.entries(catalogue))
    for (const [part, said] of Object.entries(parts))
      for (const [name, text] of Object.entries(said)) yield { place, part, name, text };
}

/** What a message is told, by kind: `n: number` where it asks for a form, else words or numbers. */
export function toldOf(tokens, told = new Map()) {
  for (const token of tokens)
    if (token.type === 'argument') {
      if (!told.has(token.arg)) told.set(token.arg, 'Shown');
    } else if (token.type === 'plural' || token.type === 'selectordinal') {
      told.set(token.arg, 'number');
      for (const { tokens } of token.cases) toldOf(tokens, told);
    } else if (token.type === 'select') {
      const keys = token.cases.map(({ key }) => (key === 'other' ? null : key));
      const kind =
        keys.filter((key) => key === 'true' || key === 'false').length > 0
          ? 'boolean | string'
          : 'string';
      told.set(token.arg, kind);
      for (const { tokens } of token.cases) toldOf(tokens, told);
    } else if (token.type === 'function')
      throw new Error(
        `{${token.arg}, ${token.key}}: numbers and days are written before a message is told them`,
      );
  return told;
}

export const read = (text) => parse(text, { strict: false });

/** A message as an expression. @param counted what `#` stands for */
function expression(tokens, counted) {
  const parts = tokens.map((token) => {
    switch (token.type) {
      case 'content':
        return JSON.stringify(token.value);
      case 'argument':
        return `d.${token.arg}`;
      case 'octothorpe':
        return `number(d.${counted})`;
      default: {
        const forms = token.cases.map(
          ({ key, tokens }) =>
            `${JSON.stringify(key.replace(/^=/, ''))}: ${expression(tokens, token.type === 'select' ? counted : token.arg)}`,
        );
        const called = { plural: 'plural', selectordinal: 'ordinal', select: 'select' }[token.type];
        return `${called}(${token.type === 'select' ? `String(d.${token.arg})` : `d.${token.arg}`}, { ${forms.join(', ')} })`;
      }
    }
  });
  if (parts.length === 0) return "''";
  const textual = parts.some((p, i) => tokens[i].type !== 'argument');
  return parts.length === 1 && textual
    ? parts[0]
    : ["''", ...parts].slice(textual && tokens[0].type !== 'argument' ? 1 : 0).join(' + ');
}

/** A message of another language as data, as `src/said.ts` fills it. @param counted what `#` stands for */
function data(tokens, plain, counted) {
  const parts = tokens.map((token) => {
    switch (token.type) {
      case 'content':
        return plain(token.value);
      case 'argument':
        return [token.arg];
      case 'octothorpe':
        return [counted, '#'];
      default:
        return [
          token.arg,
          { plural: 'plural', selectordinal: 'ordinal', select: 'select' }[token.type],
          Object.fromEntries(
            token.cases.map(({ key, tokens }) => [
              key.replace(/^=/, ''),
              data(tokens, plain, token.type === 'select' ? counted : token.arg),
            ]),
          ),
        ];
    }
  });
  return parts.every((part) => typeof part === 'string') ? parts.join('') : parts;
}

const usedBy = (code) =>
  ['plural', 'ordinal', 'number', 'select'].filter((name) =>
    new RegExp(`\\b${name}\\(`).test(code),
  );

/** An English message as a value: its text where it is told nothing. */
function value(text) {
  const tokens = read(text);
  const told = toldOf(tokens);
  if (told.size === 0) return tokens.length === 0 ? "''" : expression(tokens);
  const type = [...told].map(([name, kind]) => `readonly ${name}: ${kind}`).join('; ');
  return `(d: { ${type} }) => ${expression(tokens)}`;
}

const HEAD = '// Made by scripts/messages.mjs of messages/. Not kept, not to be changed by hand.\n';

export function make() {
  const english = readLanguage(SOURCE);
  const made = new Set();
  /** Only what has changed is written: builds and tests that watch begin anew for nothing else. */
  const write = (file, text) => {
    const path = join(to, file);
    made.add(path);
    if (existsSync(path) && readFileSync(path, 'utf8') === text) return;
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(path, text);
  };
  /** Short ids, the same in every language: a place's messages in their order. */
  const short = new Map();
  const counts = new Map();
  for (const { place, part, name } of messagesOf(english)) {
    const n = counts.get(place) ?? 0;
    counts.set(place, n + 1);
    short.set(`${place}/${part}/${name}`, BY_ID.has(part) ? `${part}/${name}` : n.toString(36));
  }
  for (const [place, parts] of Object.entries(english))
    for (const [part, said] of Object.entries(parts)) {
      if (BY_ID.has(part)) {
        const lines = Object.entries(said).map(([name, text]) => `  ${name}: ${value(text)},`);
        write(
          join(SOURCE, `${part}.ts`),
          `${HEAD}import { texts } from '../../src';\n\nexport const say = /*#__PURE__*/ texts('${place}', '${part}', {\n${lines.join('\n')}\n});\n`,
        );
        continue;
      }
      const each = Object.entries(said).map(([name, text]) => {
        const made = value(text);
        return [name, `/*#__PURE__*/ m('${short.get(`${place}/${part}/${name}`)}', ${made})`];
      });
      // Words are shaken out one by one; what a screen says is said together.
      const code =
        place === 'words' || place === 'core'
          ? each.map(([name, made]) => `export const ${name} = ${made};`).join('\n')
          : `export const say = {\n${each.map(([name, made]) => `  ${name}: ${made},`).join('\n')}\n};`;
      const types = /\bShown\b/.test(code) ? ', type Shown' : '';
      const used = usedBy(code).join(', ');
      write(
        join(SOURCE, `${part}.ts`),
        `${HEAD}import { messagesOf${used ? `, ${used}` : ''}${types} } from '../../src';\n\nconst m = /*#__PURE__*/ messagesOf('${place}');\n${code}\n`,
      );
    }
  const others = languages().filter((l) => l !== SOURCE);
  const load = [];
  for (const language of [...others, PSEUDO]) {
    const told = language === PSEUDO ? english : readLanguage(language);
    for (const place of Object.keys(english)) {
      const lines = [];
      for (const { part, name, text } of messagesOf({ [place]: told[place] ?? {} })) {
        const id = short.get(`${place}/${part}/${name}`);
        if (id === undefined) continue;
        lines.push(
          `  '${id}': ${JSON.stringify(data(read(text), language === PSEUDO ? pseudo : (t) => t))},`,
        );
      }
      write(
        join(language, `${place}.ts`),
        `${HEAD}import type { Table } from '../../src';\n\nexport const table: Table = {\n${lines.join('\n')}\n};\n`,
      );
    }
    load.push(
      `  '${language}': {\n${Object.keys(english)
        .map((place) => `    '${place}': () => import('./${language}/${place}'),`)
        .join('\n')}\n  },`,
    );
  }
  write(
    'load.ts',
    `${HEAD}import type { Places } from '../src';\n\nexport const LOAD: Readonly<Record<string, Places>> = {\n${load.join('\n')}\n};\n`,
  );
  const listed = languages().map((language) => {
    const whole = missingIn(english, readLanguage(language)).length === 0;
    return `  { id: '${language}', whole: ${whole} },`;
  });
  write(
    'languages.ts',
    `${HEAD}\n/** Every language there is a file of, and whether it says everything. */\nexport type LanguageId = ${languages()
      .map((l) => `'${l}'`)
      .join(
        ' | ',
      )};\n\nexport const LANGUAGES: readonly { readonly id: LanguageId; readonly whole: boolean }[] = [\n${listed.join('\n')}\n];\n`,
  );
  for (const file of readdirSync(to, { recursive: true }))
    if (file.endsWith('.ts') && !made.has(join(to, file))) rmSync(join(to, file));
}

/** What a language does not say yet. */
export const missingIn = (english, told) =>
  [...messagesOf(english)].filter(
    ({ place, part, name }) => told[place]?.[part]?.[name] === undefined,
  );

/** `No water` → `⟦Ñô~ ŵàţéŕ~~⟧`: what is read is seen to come from a message; every word needs a third more room. */
function pseudo(text) {
  if (!/\p{L}/u.test(text)) return text;
  const written = [...text].map((c) => LETTERS[c] ?? c).join('');
  const [, before, middle, after] = /^(\s*)(.*?)(\s*)$/s.exec(written);
  const longer = middle.replace(
    /\p{L}+/gu,
    (word) => word + '~'.repeat(Math.ceil(word.length / 3)),
  );
  return `${before}⟦${longer}⟧${after}`;
}

if (process.argv[1]?.endsWith('messages.mjs')) make();
