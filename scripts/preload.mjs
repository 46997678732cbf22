// The code of the first screen is asked for in one wave: the page names all of it, and the browser need not read one
// file to learn of the next.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/** A sign by which the file of the first screen is known: the name its page is drawn under. */
const FIRST = 'hy-today-page';

/** @param folder the built app */
export function preload(folder) {
  const code = new Map(
    readdirSync(folder)
      .filter((name) => /^(chunk|main)-.*\.js$/.test(name))
      .map((name) => [name, readFileSync(join(folder, name), 'utf8')]),
  );
  const isFirst = ([name, text]) => name.startsWith('chunk') && text.includes(FIRST);
  const first = [...code].find(isFirst)?.[0];
  if (!first) throw new Error(`No file of the build draws ${FIRST}: the first screen has moved.`);
  const wanted = new Set();
  const walk = (name) => {
    if (wanted.has(name) || !code.has(name) || name.startsWith('main')) return;
    wanted.add(name);
    for (const [, next] of code.get(name).matchAll(/(?:from|import)\s*"\.\/(chunk-[\w-]+\.js)"/g))
      walk(next);
  };
  walk(first);
  const links = [...wanted].map((name) => `<link rel="modulepreload" href="${name}">`).join('');
  const path = join(folder, 'index.html');
  const page = readFileSync(path, 'utf8').replace('</head>', `${links}</head>`);
  writeFileSync(path, page);
  // The offline worker keeps only what is as its list says.
  const list = join(folder, 'ngsw.json');
  const kept = JSON.parse(readFileSync(list, 'utf8'));
  kept.hashTable['/index.html'] = createHash('sha1').update(page).digest('hex');
  writeFileSync(list, JSON.stringify(kept, null, 2));
}
