import * as fc from 'fast-check';
import { anyToldLife, facesOf, toldEntries } from './testing/faces';
import { fold } from './journal';
import { careOf } from './care';
import { storyDay } from './testing/story';
const [kind, skip, N] = [
  process.argv[2]!,
  Number(process.argv[3] ?? 0),
  Number(process.argv[4] ?? 200),
];
let s = skip;
for (const l of fc.sample(anyToldLife, { numRuns: N, seed: Number(process.argv[5] ?? 5) })) {
  const f = facesOf(l);
  const d = f.differences.find((x) => x.kind === kind);
  if (!d) continue;
  if (s-- > 0) continue;
  console.log(JSON.stringify(l.life.fields));
  console.log(
    JSON.stringify(l.life.room),
    l.life.deeds.map(([n, w], i) => `${n}(+${l.late[(i + 2) % 24]}) ${w}`).join(' | '),
  );
  console.log(d);
  const st = fold(toldEntries(l).filter((e) => e.at.slice(0, 10) <= storyDay(d.day)));
  const b = st.batches.get('b1')!;
  const c = careOf(st, b, storyDay(d.day));
  console.log(
    c.course,
    'stuck',
    b.stuck,
    'settings',
    JSON.stringify(b.settings),
    'here',
    JSON.stringify(b.here),
    'water',
    JSON.stringify(b.waterings.map((w) => w.day + w.how)),
  );
  console.log(
    c.asks
      .map((a) => `${a.kind} n${a.count} ${a.since} late ${a.late} ${JSON.stringify(a.reason)}`)
      .join('\n'),
  );
  console.log(
    c.leave.map((a) => `LEAVE ${a.kind} ${a.until} ${JSON.stringify(a.reason)}`).join('\n'),
  );
  console.log(
    c.steps.map((x) => `${x.id} ${x.is} ${'from' in x ? x.from + '…' + x.to : ''}`).join(' | '),
  );
  break;
}
