import { effect, runInInjectionContext } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { addDays } from '@hypogeon/core/days';
import type { Entry } from '@hypogeon/core/journal';
import { batchPut, FIELDS, written } from '@hypogeon/core/testing';
import { DAY, mount } from '../../testing/mount';
import { LookedOver } from './looked-over';
import { TodayPage } from './today-page';

const SPACES = ['lean-to', 'shelf'];

/** So many batches, by turns on two benches, set weeks ago. */
function bench(count: number): readonly Entry[] {
  const day = addDays(DAY, -40);
  return written(
    ...SPACES.map((key) => ({
      kind: 'put' as const,
      record: 'space' as const,
      key,
      day,
      fields: { name: key, tempC: 21, rh: 0.5 },
    })),
    ...Array.from({ length: count }, (_, i) => `batch-${i}`).flatMap((batch, i) => [
      batchPut({ ...FIELDS, cutOn: day, space: SPACES[i % 2] }, batch),
      { kind: 'cut' as const, batch, day },
      { kind: 'stuck' as const, batch, day: addDays(day, 3) },
    ]),
  );
}

/** What stood on the page at every turn, until the whole day does. */
async function watched(count: number): Promise<readonly (number | null)[]> {
  const seen: (number | null)[] = [];
  const page = await mount(TodayPage, {}, bench(count));
  const over = TestBed.inject(LookedOver);
  runInInjectionContext(page.fixture.componentRef.injector, () => {
    effect(() => seen.push(over.only()?.size ?? null));
  });
  for (let turns = 0; turns < 200 && seen.at(-1) !== null; turns++) {
    if (over.only()?.size)
      expect(page.text).toMatch(/\d+ of \d+ batches looked over|to leave alone/);
    await page.settle();
  }
  await page.settle();
  expect(page.text).toMatch(new RegExp(`to do · ${count} to look at`));
  expect(page.text).not.toContain('looked over');
  return seen;
}

describe('benches looked over', () => {
  it('a short journal stands whole at once', async () => {
    expect(await watched(20)).toEqual([null]);
  });

  it('of a long one the first batches stand, then bench by bench, then all is counted', async () => {
    const seen = await watched(240);
    const parts = seen.filter((n) => n !== null);
    expect(parts).toEqual([...parts].sort((a, b) => a - b));
    expect(parts.every((n) => [0, 100, 120, 240].includes(n))).toBe(true);
    expect(seen.at(-1)).toBeNull();
  });

  it('what is told meanwhile is there once all are looked over', async () => {
    const page = await mount(TodayPage, {}, bench(240));
    await page.journal.record({
      kind: 'tally',
      batch: 'batch-0',
      day: DAY,
      counts: { rooted: 1, pupped: 0, rotted: 0, dried: 0, lost: 0 },
    });
    for (let turns = 0; turns < 200 && !page.text.includes('to look at'); turns++)
      await page.settle();
    expect(page.text).toMatch(/240 to look at|239 to look at/);
    expect(page.journal.state().batches.get('batch-0')?.counts.rooted).toBe(1);
  });

  it('goes on when nothing else is to be done, here or on another page', async () => {
    const idle: IdleRequestCallback[] = [];
    const asks = jest.fn((goOn: IdleRequestCallback) => idle.push(goOn));
    Object.assign(window, { requestIdleCallback: asks, cancelIdleCallback: () => undefined });
    try {
      const today = await mount(TodayPage, {}, bench(240));
      const over = TestBed.inject(LookedOver);
      for (let turns = 0; turns < 100 && idle.length === 0; turns++) await today.settle();
      // The thread is taken by other things: what stands is what was worked out before.
      const stood = over.only()?.size;
      expect(idle.length).toBeGreaterThan(0);
      expect(over.all()).toBe(false);
      for (let turns = 0; turns < 5; turns++) await today.settle();
      expect(over.only()?.size).toBe(stood);
      for (let turns = 0; turns < 400 && !over.all(); turns++) {
        for (const goOn of idle.splice(0)) goOn({ didTimeout: false, timeRemaining: () => 40 });
        await today.settle();
      }
      expect(over.all()).toBe(true);
    } finally {
      const page = window as Partial<Window>;
      delete page.requestIdleCallback;
      delete page.cancelIdleCallback;
    }
  });
});
