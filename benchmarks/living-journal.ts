import { CATALOGUE, METHOD } from '@hypogeon/core/botany';
import { addDays, type Day } from '@hypogeon/core/days';
import type { Entry } from '@hypogeon/core/journal';
import { randomFrom } from '@hypogeon/core/stats';

/** A made bench: 2,000 batches that all live today, at every point of their course, seeded. */
export function livingJournal(today: Day, batches = 2000): readonly Entry[] {
  const random = randomFrom(7);
  const entries: Entry[] = [];
  let n = 0;
  const add = (day: Day, body: object): void => {
    entries.push({
      id: `live-${n}`,
      at: `${day}T08:00:00.000Z~${(n % 0xffff).toString(16).padStart(4, '0')}`,
      day,
      by: 'maker',
      ...body,
    } as Entry);
    n++;
  };
  for (const [i, name] of ['Lean-to', 'Warm shelf', 'Porch', 'Tunnel'].entries())
    add(addDays(today, -200), {
      kind: 'put',
      record: 'space',
      key: `s${i}`,
      fields: { name, tempC: 15 + 3 * i, rh: 0.7 - 0.08 * i },
    });
  for (let b = 0; b < batches; b++) {
    const taxon = CATALOGUE[b % CATALOGUE.length]!;
    const way = taxon.methods[b % taxon.methods.length]!;
    const ago = Math.floor(random() * 90);
    const cutOn = addDays(today, -ago);
    const batch = `live-b${b}`;
    const count = METHOD[way.method].piece === 'leaf' ? 40 : 12;
    add(cutOn, {
      kind: 'put',
      record: 'batch',
      key: batch,
      fields: {
        taxon: taxon.id,
        method: way.method,
        count,
        cutOn,
        school: 'dry-to-touch',
        callusAt: 'rack',
        space: `s${b % 4}`,
        place: `Tray ${Math.floor(b / 3)}`,
      },
    });
    add(cutOn, { kind: 'cut', batch });
    if (ago > 8) add(addDays(cutOn, 8), { kind: 'stuck', batch });
    for (let day = 20; day < ago; day += 9)
      add(addDays(cutOn, day), { kind: 'watered', batch, how: 'poured' });
    if (ago > 40)
      add(addDays(cutOn, 40), {
        kind: 'tally',
        batch,
        counts: {
          rooted: Math.floor(random() * 9),
          pupped: 0,
          rotted: b % 9 === 0 ? 1 : 0,
          dried: 0,
          lost: 0,
        },
      });
  }
  return entries;
}
