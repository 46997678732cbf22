import { spawnSync } from 'node:child_process';
import { cpus, totalmem } from 'node:os';
import { runApp } from './app';
import { nodePace } from './calibration';
import { CORE_BENCHES, runCore } from './core';

/** `npm run bench` prints every figure beside its target; `npm run bench -- NAME` one group. */
const names = [...Object.keys(CORE_BENCHES), 'app', 'door', 'places', 'jobs', 'work'];
const wanted = process.argv.slice(2);
const unknown = wanted.filter((name) => !names.includes(name));
if (unknown.length > 0) {
  console.error(`No bench named ${unknown.join(', ')}. There are: ${names.join(', ')}.`);
  process.exit(2);
}
console.log(
  `Node ${process.versions.node}, ${cpus().length} cores, ${(totalmem() / 1e9).toFixed(0)} GB; medians after a warm-up`,
);
const pace = nodePace();
console.log(`Node takes ${pace.toFixed(2)} times as long as the reference`);
for (const name of wanted.length > 0 ? wanted : names) {
  if (
    name === 'app' ||
    name === 'door' ||
    name === 'places' ||
    name === 'jobs' ||
    name === 'work'
  ) {
    const build = spawnSync(process.execPath, ['scripts/build.mjs', '--release'], {
      stdio: 'inherit',
    });
    if (build.status !== 0) process.exit(1);
    await runApp(name);
  } else runCore(name, pace);
}
