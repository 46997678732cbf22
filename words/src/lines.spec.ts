import { demoJournal } from '@hypogeon/core/demo';
import { careOf, linesOf } from '@hypogeon/core/care';
import { fold, type BatchFields } from '@hypogeon/core/journal';
import { batchIn, storyDay, storyState } from '@hypogeon/core/testing';
import { linesText, speechFor } from '.';

const DAY = '2026-04-09';
const state = fold(demoJournal(DAY));
const speech = speechFor(state, { locale: 'en-GB', today: DAY });

const saidOf = (id: string) => {
  const batch = state.batches.get(id)!;
  return linesText(linesOf(state, batch, careOf(state, batch, DAY), DAY), speech);
};

describe('the lines of a batch in words', () => {
  it('say a day and a reason each', () => {
    const { water, leave } = saidOf('b-24');
    expect(water).toEqual([
      {
        what: 'Not before Fri 1 May',
        why: 'No roots yet, so it drinks next to nothing: dry until they show, look Fri 1 May. Wrinkling is normal.',
      },
    ]);
    expect(leave[0]!.what).toMatch(/^Let it dry until /);
  });

  it('have something to say of water, look and leave for every batch that lives', () => {
    for (const batch of state.batches.values()) {
      if (batch.ended !== null) continue;
      const { deeds, water, look, leave } = saidOf(batch.id);
      for (const said of [water, look, leave]) expect(said.length).toBeGreaterThan(0);
      for (const { what, why } of [...deeds, ...water, ...look, ...leave]) {
        expect(what).toMatch(/^[A-Z0-9].*[^.]$/);
        expect(why).not.toMatch(/undefined|NaN|\.\./);
      }
    }
  });

  it('fit the very piece: seed is sown and comes up, a plantlet takes hold, a root piece shoots', () => {
    const says = (fields: BatchFields, lines: Parameters<typeof storyState>[1], n: number) => {
      const story = storyState(fields, lines);
      const batch = batchIn(story);
      const day = storyDay(n);
      const text = linesText(
        linesOf(story, batch, careOf(story, batch, day), day),
        speechFor(story, { locale: 'en-GB', today: day }),
      );
      return [...text.water, ...text.look].map((l) => `${l.what}. ${l.why}`).join(' ');
    };
    const seed = { taxon: 'lithops-lesliei', method: 'seed' } as const;
    const kept = says(seed, [[0, 'cut', '', '']], 2);
    expect(kept).toContain('sown');
    expect(kept).not.toMatch(/have roots|is set/);
    const shown = says(
      { taxon: 'kalanchoe-daigremontiana', method: 'plantlet' },
      [[0, 'cut', '', '']],
      0,
    );
    expect(shown).not.toMatch(/dries|Half of those that root/);
  });
});
