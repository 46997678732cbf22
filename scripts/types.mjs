// Types of every part: everything together once, then what a part must do without (core and its lack of a screen, the
// server, the workers), each against its own tsconfig. Templates are checked by the build.
import { spawnSync } from 'node:child_process';

const projects = [
  'tsconfig.all.json',
  'core/tsconfig.json',
  'words/tsconfig.json',
  'web/tsconfig.worker.json',
  'server/tsconfig.json',
];
for (const project of projects) {
  const { status } = spawnSync('npx', ['tsc', '--noEmit', '-p', project], { stdio: 'inherit' });
  if (status !== 0) {
    console.error(`Types do not hold in ${project}.`);
    process.exit(1);
  }
}
