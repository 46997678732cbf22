// Builds if need be, then serves with the demo for browsers that have no journal yet.
import { spawn, spawnSync } from 'node:child_process';

const build = spawnSync(process.execPath, ['scripts/build.mjs'], { stdio: 'inherit' });
if (build.status !== 0) process.exit(build.status ?? 1);

// Through node itself and not npx: killing npx would orphan the server.
const server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts', '--demo'], {
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
