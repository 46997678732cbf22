// Types of every part, each against its own tsconfig; templates are checked by the build.
import { spawnSync } from 'node:child_process';

const projects = [
  'core/tsconfig.json',
  'core/tsconfig.spec.json',
  'web/tsconfig.spec.json',
  'web/tsconfig.worker.json',
  'server/tsconfig.json',
  'e2e/tsconfig.json',
];
for (const project of projects) {
  const { status } = spawnSync('npx', ['tsc', '--noEmit', '-p', project], { stdio: 'inherit' });
  if (status !== 0) {
    console.error(`Types do not hold in ${project}.`);
    process.exit(1);
  }
}
