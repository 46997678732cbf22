import { demoJournal } from '../demo';
import { addDays } from '../days';
import { fold } from '../journal';
import { careOf, linesOf, waterSays, type Ask, type Leave } from '.';

const DAY = '2026-04-09';
const state = fold(demoJournal(DAY));

describe('the lines of a batch', () => {
  const days = Array.from({ length: 12 }, (_, i) => addDays(DAY, 4 * i));
  const all = days.flatMap((day) =>
    [...state.batches.values()]
      .filter((b) => b.ended === null)
      .map((batch) => {
        const care = careOf(state, batch, day);
        return { batch, care, day, lines: linesOf(state, batch, care, day) };
      }),
  );

  it('say all that is asked, each once', () => {
    for (const { care, lines } of all) {
      const said: readonly Ask[] = [
        ...lines.deeds,
        ...(lines.water.is === 'now' ? lines.water.asks : []),
        ...(lines.look.is === 'now' ? lines.look.asks : []),
      ];
      expect([...said].sort(byKind)).toEqual([...care.asks].sort(byKind));
    }
    expect(all.some(({ lines }) => lines.deeds.length > 0)).toBe(true);
  });

  it('say all that is left alone, in one of them', () => {
    for (const { care, lines } of all) {
      const water: readonly (Leave | null)[] =
        lines.water.is === 'not before' || lines.water.is === 'jar' ? [lines.water.leave] : [];
      const said = [...lines.leave, lines.untouched, ...water];
      for (const leave of care.leave)
        if (said.includes(leave)) expect(said.filter((l) => l === leave)).toHaveLength(1);
        else expect(['gate', 'held', 'water']).toContain(leave.kind);
    }
  });

  it('say of the water what every other page says of it', () => {
    for (const { care, day, lines } of all) {
      const says = waterSays(care, day);
      if (says.is === 'not before') expect(lines.water).toEqual(says);
    }
    expect(all.filter(({ lines }) => lines.water.is === 'not before').length).toBeGreaterThan(50);
  });

  it('date the next look as the day on which it is asked', () => {
    let looked = 0;
    for (const { batch, lines } of all) {
      if (lines.look.is !== 'next' || batch.stuck === null) continue;
      const { day } = lines.look.look;
      if (lines.untouched) expect(lines.untouched.until).toBe(day);
      looked++;
    }
    expect(looked).toBeGreaterThan(2);
  });
});

const byKind = (a: { readonly kind: string }, b: { readonly kind: string }): number =>
  a.kind.localeCompare(b.kind);
