import { Injector } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { careOf, waterSays } from '@hypogeon/core/care';
import { demoJournal } from '@hypogeon/core/demo';
import { append, fold, type State } from '@hypogeon/core/journal';
import { verdictsOn } from '@hypogeon/core/round';
import { nearDay } from '@hypogeon/words';
import { Today } from './today';
import { waterMovedBy } from './water-moved';
import { Words } from './words';

const DAY = '2026-04-09';

describe('what a tap moves of the water', () => {
  beforeEach(() => TestBed.overrideProvider(Today, { useValue: { day: () => DAY } }));

  const before = fold(demoJournal(DAY));
  const felt = (batch: string) => ({ kind: 'felt', batch, depthMm: 60, seen: 'wet' }) as const;
  const waterOf = (state: State, id: string) => {
    const batch = state.batches.get(id)!;
    return waterSays(careOf(state, batch, DAY, verdictsOn(state, DAY).get(id)), DAY);
  };

  it('is the day that Today says then, with the pot judged anew', () => {
    const speech = TestBed.inject(Words).speech();
    const injector = TestBed.inject(Injector);
    let moved = 0;
    for (const id of verdictsOn(before, DAY).keys()) {
      const after = append(before, {
        ...felt(id),
        id: `felt-${id}`,
        at: `${DAY}T09:00:00.000Z~0000`,
        day: DAY,
        by: 'phone',
      });
      const [was, is] = [waterOf(before, id), waterOf(after, id)];
      const says = waterMovedBy([felt(id)], before, after, injector);
      if (was.is !== 'not before' || is.is !== 'not before') continue;
      if (was.day === is.day) expect(says).toBe('');
      else {
        moved++;
        expect(says).toContain(nearDay(was.day, speech));
        expect(says).toContain(nearDay(is.day, speech));
      }
    }
    expect(moved).toBeGreaterThan(0);
  });

  it('is nothing of a drink, of several batches at once, or of nothing', () => {
    const injector = TestBed.inject(Injector);
    const drink = { kind: 'watered', batch: 'b-14', how: 'poured' } as const;
    expect(waterMovedBy([drink], before, before, injector)).toBe('');
    expect(waterMovedBy([felt('b-14'), felt('b-09')], before, before, injector)).toBe('');
    expect(waterMovedBy([], before, before, injector)).toBe('');
  });
});
