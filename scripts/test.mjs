// The whole check: format, lint, arrows, types, build, Jest, Playwright. What is looked at once is looked at by two
// lanes side by side; then Jest and Playwright have the machine to themselves, two workers each. Every step runs even
// when one before it failed, and the last line adds up: checks count as one test each.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';

const results = '.stamps/results';
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

let passed = 0;
let failed = 0;
const took = [];
const begun = Date.now();

const [built] = await Promise.all([
  lane(
    ['build', process.execPath, ['scripts/build.mjs', '--checked']],
    ['format', 'npm', ['run', '--silent', 'format:check']],
    ['arrows', 'npm', ['run', '--silent', 'arrows']],
    ['types', 'npm', ['run', '--silent', 'types']],
  ),
  lane(['lint', 'npm', ['run', '--silent', 'lint']]),
]);

const jest = await run('unit tests', 'npx', [
  'jest',
  '--ci',
  '--maxWorkers=2',
  '--json',
  `--outputFile=${results}/jest.json`,
]);
const jestResult = read(`${results}/jest.json`);
count(jestResult?.numPassedTests, jestResult?.numFailedTests, jest);
if (jestResult && jestResult.numRuntimeErrorTestSuites > 0)
  failed += jestResult.numRuntimeErrorTestSuites;

if (built) {
  const e2e = await run('end to end', 'npx', ['playwright', 'test'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: `${results}/e2e.json`,
  });
  const stats = read(`${results}/e2e.json`)?.stats;
  // A test that passes only on a second try is no pass.
  count(stats?.expected, stats && stats.unexpected + stats.flaky, e2e);
}

console.log(`\n${took.join(', ')}; ${seconds(begun)} s in all`);
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);

/** Checks one after the other. @returns whether the first of them held */
async function lane(...checks) {
  let first;
  for (const [name, command, args] of checks) {
    const ok = await run(name, command, args, {}, true);
    first ??= ok;
    if (ok) passed++;
    else failed++;
  }
  return first;
}

function count(good, bad, ok) {
  if (good === undefined) {
    failed++;
    return;
  }
  passed += good;
  failed += bad;
  if (!ok && bad === 0) failed++;
}

/** @param quiet what it prints is shown when it has ended: another runs beside it */
function run(name, command, args, env = {}, quiet = false) {
  const start = Date.now();
  if (!quiet) console.log(`\n── ${name}`);
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      stdio: ['ignore', quiet ? 'pipe' : 'inherit', quiet ? 'pipe' : 'inherit'],
      env: { ...process.env, ...env },
    });
    const said = [];
    child.stdout?.on('data', (data) => said.push(data));
    child.stderr?.on('data', (data) => said.push(data));
    child.on('error', (error) => said.push(Buffer.from(String(error))));
    child.on('close', (status) => {
      if (quiet) console.log(`\n── ${name}\n${Buffer.concat(said).toString()}`);
      console.log(`── ${name}: ${status === 0 ? 'good' : 'FAILED'} (${seconds(start)} s)`);
      took.push(`${name} ${seconds(start)} s`);
      resolve(status === 0);
    });
  });
}

function seconds(since) {
  return ((Date.now() - since) / 1000).toFixed(0);
}

function read(path) {
  return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : null;
}
