import { demoJournal } from '../demo';
import { fold } from '../journal';
import { teachingOf } from './teaching';

const DAY = '2026-04-09';
const state = fold(demoJournal(DAY));
const batches = [...state.batches.values()];

describe('what a batch teaches', () => {
  it('wholly when settled, part of it while it waits, and nothing before anything is settled', () => {
    const settled = batches.filter((b) => b.stage === 'done' && b.lastLook !== null);
    expect(settled.length).toBeGreaterThan(3);
    for (const b of settled) expect(teachingOf(state, b).kind).toBe('whole');
    const open = batches.filter(
      (b) => b.stage !== 'done' && b.tallies.length > 0 && b.waiting < b.count,
    );
    expect(open.length).toBeGreaterThan(0);
    for (const b of open) {
      const told = teachingOf(state, b);
      expect(['part', 'whole']).toContain(told.kind);
      if (told.kind === 'part') expect(told.far).toBeGreaterThanOrEqual(0);
    }
    const unseen = batches.find((b) => b.cut !== null && b.lastLook === null)!;
    expect(teachingOf(state, unseen)).toEqual({ kind: 'unseen' });
  });

  it('nothing where it was left out, or lies before a fresh start', () => {
    const b = batches.find((one) => one.stage === 'done')!;
    expect(teachingOf(state, { ...b, excluded: 'the cat' })).toEqual({
      kind: 'left-out',
      why: 'the cat',
    });
    const afresh = { ...state, settings: { ...state.settings, learnFrom: DAY } };
    expect(teachingOf(afresh, b)).toEqual({ kind: 'before', since: DAY });
  });
});
