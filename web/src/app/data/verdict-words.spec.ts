import { TestBed } from '@angular/core/testing';
import { careOf, waterSays } from '@hypogeon/core/care';
import { verdictsOn } from '@hypogeon/core/round';
import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import { isThirsty, waterGlance } from './verdict-words';
import { Words } from './words';

const DAY = '2026-04-09';

describe('the water of a batch at a glance', () => {
  const state = fold(demoJournal(DAY));
  const verdicts = verdictsOn(state, DAY);

  it('says what its care says, whatever the pot by itself would', () => {
    const words = TestBed.inject(Words);
    let compared = 0;
    for (const [id, verdict] of verdicts) {
      const batch = state.batches.get(id)!;
      const says = waterSays(careOf(state, batch, DAY, verdict), DAY);
      const glance = waterGlance(words, batch, says, verdict);
      compared++;
      if (says.is === 'free') expect(glance).toBe('');
      if (says.is === 'not before') expect(glance).toMatch(/^no water/);
      if (says.is === 'now' && isThirsty(verdict)) expect(glance).toMatch(/^water/);
    }
    expect(compared).toBeGreaterThan(5);
  });

  it('a gate keeps a dry pot waiting', () => {
    const words = TestBed.inject(Words);
    const [batch] = [...state.batches.values()];
    const [verdict] = [...verdicts.values()].filter((v) => isThirsty(v));
    const shut = { is: 'not before', day: '2026-04-12', leave: null } as const;
    expect(waterGlance(words, batch!, shut, verdict!)).toMatch(/^no water until .*12/);
    expect(waterGlance(words, batch!, { is: 'free' }, verdict!)).toBe('');
  });
});
