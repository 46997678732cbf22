import { CATALOGUE } from '@hypogeon/core/botany';
import { addDays, type Day } from '@hypogeon/core/days';
import type { BatchFields, Entry } from '@hypogeon/core/journal';
import { randomFrom } from '@hypogeon/core/stats';

/**
 * A made journal: 2,000 batches of several years with 50 entries each, seeded.
 * @param living so many of the youngest live today; the rest have ended, as in a grower's own journal. All live where
 * it is left out: more than any bench holds
 */
export function largeJournal(
  today: Day,
  batches = 2000,
  each = 50,
  living = batches,
): readonly Entry[] {
  const random = randomFrom(42);
  const entries: Entry[] = [];
  let n = 0;
  const add = (day: Day, body: object): void => {
    entries.push({
      id: `made-${n.toString(36).padStart(8, '0')}`,
      at: `${day}T08:00:00.000Z~${(n % 0xffff).toString(16).padStart(4, '0')}`,
      day,
      by: 'maker',
      ...body,
    } as Entry);
    n++;
  };
  const start = addDays(today, -1500);
  for (const [i, name] of ['Lean-to', 'Warm shelf', 'Porch', 'Tunnel'].entries())
    add(start, {
      kind: 'put',
      record: 'space',
      key: `s${i}`,
      fields: { name, tempC: 12 + 4 * i, rh: 0.75 - 0.1 * i },
    });
  for (let b = 0; b < batches; b++) {
    const taxon = CATALOGUE[b % CATALOGUE.length]!;
    const way = taxon.methods[b % taxon.methods.length]!;
    const count = 12 + Math.floor(random() * 60);
    // Most batches are old; the last fifth is on the bench now.
    const over = b < batches - living;
    const ago = b < batches * 0.8 ? 200 + Math.floor(random() * 1250) : Math.floor(random() * 120);
    const cutOn = addDays(today, -ago);
    const batch = `made-b${b}`;
    const fields: BatchFields = {
      taxon: taxon.id,
      method: way.method,
      count,
      cutOn,
      school: 'dry-to-touch',
      callusAt: 'rack',
      space: `s${b % 4}`,
      place: `Tray ${b}`,
    };
    add(cutOn, { kind: 'put', record: 'batch', key: batch, fields });
    add(cutOn, { kind: 'cut', batch });
    add(addDays(cutOn, Math.min(ago, 4)), { kind: 'stuck', batch });
    const counts = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
    for (let e = 3; e < each; e++) {
      if (over && e === each - 1) {
        add(addDays(cutOn, Math.min(ago, 6 + e * 3)), { kind: 'ended', batch, text: 'done' });
        continue;
      }
      const day = addDays(cutOn, Math.min(ago, 6 + Math.floor(e * 3)));
      if (e % 3 !== 0) {
        add(day, { kind: 'watered', batch, how: 'poured' });
        continue;
      }
      const outcome = random() < 0.8 ? 'rooted' : 'rotted';
      const left = count - counts.rooted - counts.rotted;
      counts[outcome] += Math.min(left, Math.floor(random() * 5));
      add(day, { kind: 'tally', batch, counts: { ...counts } });
    }
  }
  return entries;
}
