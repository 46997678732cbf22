// Gathers the licences of all packages the product is made with and ships, for its page in the settings: every
// production dependency with what it depends on, name, version, licence and the text that lies in its folder.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const listed = spawnSync('npm', ['ls', '--omit=dev', '--all', '--parseable'], { encoding: 'utf8' });
const folders = [...new Set(listed.stdout.split('\n'))].filter((f) => f.includes('node_modules'));
const packages = folders.flatMap((folder) => {
  const path = join(folder, 'package.json');
  if (!existsSync(path)) return [];
  const { name, version, license, licenses } = JSON.parse(readFileSync(path, 'utf8'));
  const file = readdirSync(folder).find((f) => /^(licen[cs]e|copying)/i.test(f));
  const text = file ? readFileSync(join(folder, file), 'utf8').trim() : '';
  return [{ name, version, licence: String(license ?? licenses?.[0]?.type ?? 'see text'), text }];
});
if (packages.length === 0) {
  console.error('No packages were found: run npm ci first.');
  process.exit(1);
}
packages.sort((a, b) => (a.name < b.name ? -1 : 1));
mkdirSync('web/public/made-with', { recursive: true });
writeFileSync('web/public/made-with/licences.json', JSON.stringify(packages));
