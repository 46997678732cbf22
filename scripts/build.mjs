// Builds the web app, unless nothing it is made of has changed since the last build.
//   --checked  types and templates too, as `npm test` wants it; a demo need not wait for what the tests have asked
//   --release  as small as it gets: for serving elsewhere, and for the figures of the benchmark
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';
import { make } from './messages.mjs';
import { preload } from './preload.mjs';

make();
const [checked, release] = ['--checked', '--release'].map((flag) => process.argv.includes(flag));
const folder = 'dist/web/browser';
const stamp = '.stamps/build';
const made = fingerprint([
  'core',
  'messages',
  'words',
  'web',
  'angular.json',
  '.postcssrc.json',
  'package-lock.json',
  'scripts/build.mjs',
  'scripts/messages.mjs',
  'scripts/pseudo.mjs',
  'scripts/preload.mjs',
  'tsconfig.base.json',
]);
const [have, ...how] = existsSync(stamp) ? readFileSync(stamp, 'utf8').split(' ') : [''];
const enough = (!checked || how.includes('checked')) && (!release || how.includes('release'));
if (have === made && enough && existsSync(join(folder, 'index.html'))) {
  console.log('Nothing changed since the last build.');
} else {
  const begun = Date.now();
  const gathered = spawnSync(process.execPath, ['scripts/licences.mjs'], { stdio: 'inherit' });
  if (gathered.status !== 0) process.exit(1);
  const status = await build();
  if (status !== 0) process.exit(status);
  preload(folder);
  await squeeze(folder);
  mkdirSync('.stamps', { recursive: true });
  writeFileSync(
    stamp,
    [made, ...(checked ? ['checked'] : []), ...(release ? ['release'] : [])].join(' '),
  );
  console.log(`Built in ${((Date.now() - begun) / 1000).toFixed(0)} s.`);
}

/** Half a minute of silence looks like a hung machine: it says how long it has been at it. */
function build() {
  const env = {
    ...process.env,
    NG_CLI_ANALYTICS: 'false',
    // What is always fetched together becomes one file: half the requests of the first screen, and less to fetch.
    NG_BUILD_OPTIMIZE_CHUNKS: 'true',
    NG_BUILD_TYPE_CHECK: checked ? '1' : '0',
  };
  const begun = Date.now();
  console.log('Building the app: under a minute the first time, less after a small change …');
  const ticking = setInterval(
    () => console.log(`  … ${((Date.now() - begun) / 1000).toFixed(0)} s`),
    10_000,
  );
  return new Promise((resolve) => {
    const child = spawn('npx', ['ng', 'build'], {
      stdio: ['ignore', 'inherit', 'inherit'],
      env,
    });
    child.on('close', (code) => {
      clearInterval(ticking);
      resolve(code ?? 1);
    });
  });
}

function fingerprint(paths) {
  const hash = createHash('sha256');
  const add = (path) => {
    let entries;
    try {
      entries = readdirSync(path, { withFileTypes: true });
    } catch {
      hash.update(path).update(readFileSync(path));
      return;
    }
    for (const entry of entries.sort((a, b) => (a.name < b.name ? -1 : 1))) {
      if (!entry.name.endsWith('.spec.ts') && !['made-with', 'made'].includes(entry.name))
        add(join(path, entry.name));
    }
  };
  paths.forEach(add);
  return hash.digest('hex');
}

/** A brotli beside every text file for the server to hand out: at its best takes ten times as long for a tenth less. */
async function squeeze(root) {
  const files = readdirSync(root, { recursive: true, withFileTypes: true })
    .filter((f) => f.isFile() && /\.(js|css|html|json|svg|webmanifest|txt|csv)$/.test(f.name))
    .map((f) => join(f.parentPath, f.name));
  const params = { [constants.BROTLI_PARAM_QUALITY]: release ? 11 : 6 };
  const compress = promisify(brotliCompress);
  const worker = async () => {
    for (let path = files.pop(); path; path = files.pop())
      writeFileSync(`${path}.br`, await compress(readFileSync(path), { params }));
  };
  await Promise.all(Array.from({ length: availableParallelism() }, worker));
}
