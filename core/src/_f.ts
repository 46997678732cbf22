import * as fc from 'fast-check';
import { anyToldLife, facesOf, FACE_KINDS } from './testing/faces';
const N = Number(process.argv[2] ?? 100),
  seed = Number(process.argv[3] ?? 5);
const lives = fc.sample(anyToldLife, { numRuns: N, seed });
const cmp: Record<string, number> = {},
  dif: Record<string, number> = {};
const ex: Record<string, string[]> = {};
const t = performance.now();
for (const l of lives) {
  const f = facesOf(l);
  for (const k of FACE_KINDS) cmp[k] = (cmp[k] ?? 0) + f.compared[k];
  for (const d of f.differences) {
    dif[d.kind] = (dif[d.kind] ?? 0) + 1;
    const e = (ex[d.kind] ??= []);
    const sig = d.says.replace(/[0-9-]+/g, '#');
    if (e.length < Number(process.argv[4] ?? 3) && !e.some((x) => x.endsWith('@' + sig)))
      e.push(
        `${l.life.fields.taxon}/${l.life.fields.method}/${l.life.fields.course ?? '-'} day ${d.day}: ${d.says}@${sig}`,
      );
  }
}
for (const k of FACE_KINDS) {
  console.log(k, dif[k] ?? 0, 'of', cmp[k]);
  for (const e of ex[k] ?? []) console.log('    ', e);
}
console.log(Math.round(performance.now() - t), 'ms');
