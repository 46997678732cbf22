// Installs what is missing, with Node's built-ins only: npm packages when the lock file changed and,
// with --browser, Debian's chromium for the tests in the real interface.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  fail(`Hypogeon needs Node 20.19 or newer; this is ${process.versions.node}.`);
}

const stamp = '.stamps/install';
const wanted = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
const have = existsSync(stamp) ? readFileSync(stamp, 'utf8') : '';
if (have !== wanted || !existsSync('node_modules')) {
  console.log('Installing packages (about a minute, once) …');
  run('npm', ['ci', '--include=dev', '--no-audit', '--no-fund', '--loglevel=error']);
  mkdirSync('.stamps', { recursive: true });
  writeFileSync(stamp, wanted);
}

// Messages are code before anything is compiled that says them.
run(process.execPath, ['scripts/messages.mjs']);

if (process.argv.includes('--browser')) {
  if (!browser())
    install(
      ['chromium'],
      'The tests drive the real interface in Chromium, which is not here. Install it ' +
        '(Debian: sudo apt-get install chromium), or name one: CHROMIUM_PATH=/path/to/chromium npm test',
    );
  // Labels are drawn and read by programs that had no hand in making them.
  if (!onPath('pdftoppm') || !onPath('zbarimg'))
    install(
      ['poppler-utils', 'zbar-tools'],
      'The tests read printed labels with pdftoppm and zbarimg, which are not here. Install them ' +
        '(Debian: sudo apt-get install poppler-utils zbar-tools).',
    );
}

function browser() {
  const named = process.env.CHROMIUM_PATH;
  if (named) return existsSync(named);
  return ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'].some((path) =>
    existsSync(path),
  );
}

function onPath(program) {
  return spawnSync('sh', ['-c', `command -v ${program}`]).status === 0;
}

/** Debian packages, where they may be installed; else a sentence that says what is missing. */
function install(packages, sentence) {
  const debian = spawnSync('apt-get', ['--version']).status === 0;
  if (!debian || process.getuid?.() !== 0) fail(sentence);
  console.log(`Installing Debian’s ${packages.join(' and ')} …`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  run('apt-get', ['update', '-qq'], env);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...packages], env);
}

function run(command, args, env = process.env) {
  const { status } = spawnSync(command, args, { stdio: ['ignore', 'inherit', 'inherit'], env });
  if (status !== 0) fail(`“${command} ${args.join(' ')}” failed; see above.`);
}

function fail(sentence) {
  console.error(sentence);
  process.exit(1);
}
