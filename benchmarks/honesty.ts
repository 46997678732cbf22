import { readFileSync, writeFileSync } from 'node:fs';
import * as prettier from 'prettier';
import { promises, type Promise } from './promises';

/**
 * `npm run honesty` plays every promise the product makes, seeded, and prints stated beside reached; `-- --write` lays
 * the table into the methods and into the page of what was learned. Minutes long: a small form of each is in the suite.
 */
const BEGIN = '<!-- honesty: made by npm run honesty -- --write -->';
const END = '<!-- /honesty -->';
const METHODS = 'docs/methods.md';
const SHOWN = 'web/src/app/results/honesty.json';
const quick = process.argv.includes('--quick');
const runs = quick ? { benches: 60, draws: 1000 } : { benches: 1200, draws: 20_000 };

const figure = ({ is }: Promise, value: number): string =>
  is === 'off by at most' ? value.toFixed(3) : `${(100 * value).toFixed(1)}%`;

/** Within two points of what is said, or no worse than it. */
function keeps({ is, stated }: Promise, reached: number): boolean {
  return is === 'holds'
    ? reached >= stated - 0.02
    : reached <= stated + (is === 'errs at most' ? 0.01 : 0);
}

const rows: string[] = [];
const shown: object[] = [];
let broken = 0;
for (const promise of promises(runs)) {
  const { id, says, played, is, stated, reached, harsh } = promise;
  const kept = keeps(promise, reached);
  if (!kept) broken++;
  const cells = [
    says,
    played,
    `${is} ${figure(promise, stated)}`,
    `${figure(promise, reached)}${kept ? '' : ' (short)'}`,
    harsh === null ? '–' : figure(promise, harsh),
  ];
  console.log(cells.join(' | '));
  rows.push(`| ${cells.join(' | ')} |`);
  if (id !== null) shown.push({ id, is, stated, reached, harsh });
}
console.log(broken === 0 ? 'All kept under the stated model.' : `${broken} not kept.`);

if (process.argv.includes('--write') && !quick) {
  const table = [
    '| what is said | played | stated | reached | under a harsher truth |',
    '| --- | --- | --- | --- | --- |',
    ...rows,
  ].join('\n');
  const text = readFileSync(METHODS, 'utf8');
  const [before, rest] = text.split(BEGIN);
  const after = rest?.split(END)[1];
  if (before === undefined || after === undefined)
    throw new Error(`${METHODS} has no place for it`);
  const whole = `${before}${BEGIN}\n\n${table}\n\n${END}${after}`;
  writeFileSync(SHOWN, await prettier.format(JSON.stringify(shown), { parser: 'json' }));
  const options = (await prettier.resolveConfig(METHODS)) ?? {};
  writeFileSync(METHODS, await prettier.format(whole, { ...options, filepath: METHODS }));
}
