import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import { agendaOn, roundOn, verdictsOn } from '@hypogeon/core/round';
import { agendaLate, agendaTitle } from './agenda';
import { speechFor } from './speech';

const DAY = '2026-04-09';
const state = fold(demoJournal(DAY));
const round = roundOn(state, DAY, verdictsOn(state, DAY));
const agenda = agendaOn(state, round, DAY);
const speech = speechFor(state, { locale: 'en-GB', today: DAY });
const inches = { ...speech, length: 'in' as const };

describe('a line of the day’s work', () => {
  it('has every task of the round once, in the place where its batch stands', () => {
    const asked = agenda.flatMap((p) => p.lines.flatMap((l) => l.items));
    expect(asked).toHaveLength(round.do.length + round.look.length);
    expect(new Set(asked)).toEqual(new Set([...round.do, ...round.look]));
    expect(agenda.map((p) => state.spaces.get(p.space)!.name)).toEqual(['Lean-to', 'Warm shelf']);
  });

  it('puts what is to be done before what is to be looked at', () => {
    for (const { lines } of agenda) {
      const bands = lines.map((l) => l.band);
      expect(bands).toEqual([...bands].sort());
    }
  });

  it('says how much in the grower’s units, all batches of a place together', () => {
    const water = agenda[1]!.lines.find((l) => l.kind === 'water')!;
    expect(agendaTitle(water, speech)).toMatch(/^Water 2 batches, about \d\.\d L in all$/);
    expect(agendaTitle(water, inches)).toMatch(/^Water 2 batches, about \d\.\d qt in all$/);
    const first = agenda[0]!.lines.find((l) => l.kind === 'water')!;
    expect(agendaLate(first)).toBe('up to 4 days late');
  });

  it('says of one batch what is asked of it, and of many each kind in its own words', () => {
    const titles = agenda.flatMap((p) => p.lines.map((l) => agendaTitle(l, speech)));
    expect(titles).toContain('Set 7 crowns in the mix');
    expect(titles).toContain('Look for roots: 2 batches');
    expect(titles.join()).toMatch(/Water 2 batches, about \d\.\d L in all/);
    for (const title of titles) expect(title).not.toMatch(/undefined|NaN|\b1 batches/);
  });
});
