import { addDays, type Day } from '@hypogeon/core/days';
import type { BatchFields, Entry } from '@hypogeon/core/journal';
import { RECIPES, USUAL_CONTAINERS } from '@hypogeon/core/media';
import { randomFrom } from '@hypogeon/core/stats';

/** 300 batches in pots, all stuck and watered, a twentieth of them weighed. */
export function pottedJournal(today: Day, pots = 300): readonly Entry[] {
  const random = randomFrom(7);
  const entries: Entry[] = [];
  const add = (day: Day, body: object): void => {
    const n = entries.length;
    entries.push({
      id: `pot-${n}`,
      at: `${day}T08:00:00.000Z~${(n % 0xffff).toString(16).padStart(4, '0')}`,
      day,
      by: 'maker',
      ...body,
    } as Entry);
  };
  const start = addDays(today, -60);
  for (let s = 0; s < 4; s++)
    add(start, {
      kind: 'put',
      record: 'space',
      key: `s${s}`,
      fields: {
        name: `Bench ${s}`,
        tempC: 14 + 4 * s,
        rh: 0.7 - 0.08 * s,
        lightLevel: 'shaded-glass',
      },
    });
  for (let p = 0; p < pots; p++) {
    const cutOn = addDays(today, -30 - Math.floor(random() * 20));
    const fields: BatchFields = {
      taxon: 'echeveria-elegans',
      method: 'crown',
      count: 12,
      cutOn,
      school: 'dry-to-touch',
      callusAt: 'rack',
      space: `s${p % 4}`,
      container: USUAL_CONTAINERS[p % USUAL_CONTAINERS.length]!.id,
      containers: 12,
      mix: RECIPES[p % RECIPES.length]!.id,
      place: `Tray ${p}`,
    };
    const batch = `pot-b${p}`;
    add(cutOn, { kind: 'put', record: 'batch', key: batch, fields });
    add(cutOn, { kind: 'cut', batch });
    add(addDays(cutOn, 4), { kind: 'stuck', batch });
    for (let d = 12; d < 30; d += 6 + Math.floor(random() * 4))
      add(addDays(cutOn, d), { kind: 'watered', batch, how: 'poured' });
    if (p % 20 === 0)
      for (let d = 14; d < 29; d += 3)
        add(addDays(cutOn, d), { kind: 'weighed', batch, grams: 210 - (d % 9) * 3 });
  }
  return entries;
}
