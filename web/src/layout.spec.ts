import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { compile } from 'tailwindcss';

const APP = join(__dirname, 'app');
const files = readdirSync(APP, { recursive: true, encoding: 'utf8' });
const read = (names: readonly string[]): string =>
  names.map((name) => readFileSync(join(APP, name), 'utf8')).join('\n');
const templates = read(files.filter((f) => /\.(ts|html)$/.test(f) && !f.endsWith('.spec.ts')));

/** Every class that stands in a template or on a host. */
const worn = new Set(
  [
    ...templates.matchAll(/(?<![\w.\]-])class="([^"]*)"/g),
    ...templates.matchAll(/host: \{ class: '([^']*)'/g),
  ].flatMap((found) => found[1]!.split(/\s+/).filter(Boolean)),
);

/** The class names of a style sheet, as they stand in a template. */
const namesIn = (css: string): Set<string> =>
  new Set([...css.matchAll(/\.((?:\\.|[\w-])+)/g)].map((found) => found[1]!.replaceAll('\\', '')));

async function utilities(): Promise<Set<string>> {
  const compiler = await compile(readFileSync(join(__dirname, 'layout.css'), 'utf8'), {
    base: __dirname,
    loadStylesheet: (id) => {
      const path = require.resolve(id);
      const content = readFileSync(path, 'utf8');
      return Promise.resolve({ path, base: dirname(path), content });
    },
  });
  return namesIn(compiler.build([...worn]));
}

it('no class stands in a template that nobody styles, and that no test finds its way by', async () => {
  const known = await utilities();
  const sheets = files.filter((f) => f.endsWith('.scss'));
  const tests = files.filter((f) => f.endsWith('.spec.ts'));
  const journeys = join(__dirname, '../../e2e');
  const named = namesIn(
    [
      templates,
      read([...sheets, ...tests]),
      readFileSync(join(__dirname, 'styles.scss'), 'utf8'),
      ...readdirSync(journeys).map((name) => readFileSync(join(journeys, name), 'utf8')),
    ].join('\n'),
  );
  // Those of the library itself.
  const theirs = /^(mat|mdc|cdk)-/;
  expect([...worn].filter((c) => !known.has(c) && !named.has(c) && !theirs.test(c))).toEqual([]);
  expect(worn.size).toBeGreaterThan(300);
});
