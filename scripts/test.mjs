// The whole check: format, lint and its arrows, types, Jest, build, Playwright. Every step runs even
// when one before it failed, and the last line adds up: checks count as one test each.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';

const results = '.stamps/results';
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });

let passed = 0;
let failed = 0;

check('format', 'npm', ['run', '--silent', 'format:check']);
check('lint', 'npm', ['run', '--silent', 'lint']);
check('arrows', 'npm', ['run', '--silent', 'arrows']);
check('types', 'npm', ['run', '--silent', 'types']);

const jest = run('unit tests', 'npx', [
  'jest',
  '--ci',
  '--json',
  `--outputFile=${results}/jest.json`,
]);
const jestResult = read(`${results}/jest.json`);
count(jestResult?.numPassedTests, jestResult?.numFailedTests, jest);
if (jestResult && jestResult.numRuntimeErrorTestSuites > 0)
  failed += jestResult.numRuntimeErrorTestSuites;

if (check('build', process.execPath, ['scripts/build.mjs'])) {
  const e2e = run('end to end', 'npx', ['playwright', 'test'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: `${results}/e2e.json`,
  });
  const stats = read(`${results}/e2e.json`)?.stats;
  // A test that passes only on a second try is no pass.
  count(stats?.expected, stats && stats.unexpected + stats.flaky, e2e);
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);

function check(name, command, args) {
  const ok = run(name, command, args);
  if (ok) passed++;
  else failed++;
  return ok;
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

function run(name, command, args, env = {}) {
  const start = Date.now();
  console.log(`\n── ${name}`);
  const { status } = spawnSync(command, args, {
    stdio: ['ignore', 'inherit', 'inherit'],
    env: { ...process.env, ...env },
  });
  const seconds = ((Date.now() - start) / 1000).toFixed(0);
  console.log(`── ${name}: ${status === 0 ? 'good' : 'FAILED'} (${seconds} s)`);
  return status === 0;
}

function read(path) {
  return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : null;
}
