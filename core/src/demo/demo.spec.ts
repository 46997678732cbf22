import { EMPTY_STATE, fold } from '../journal';
import { readJournal, writeJournal } from '../formats';
import { roundOn } from '../round';
import { countLedger } from '../ledger';
import { plantOf } from '../bench';
import { judgeTrial } from '../trial';
import { demoJournal } from '.';

const TODAY = '2026-11-24';
const entries = demoJournal(TODAY);
const state = fold(entries);

describe('the demo', () => {
  it('is a good journal without contradictions', () => {
    const read = readJournal(writeJournal(entries), EMPTY_STATE, Date.parse(`${TODAY}T12:00:00Z`));
    expect(read.ok ? [] : read.problems).toEqual([]);
    for (const batch of state.batches.values()) expect(batch.conflicts).toEqual([]);
  });

  it('tells the same story on any day, so that it never ages', () => {
    const other = fold(demoJournal('2031-07-02'));
    for (const [id, batch] of state.batches)
      expect(other.batches.get(id)).toMatchObject({ counts: batch.counts, stage: batch.stage });
  });

  it('has about 25 batches over 14 months in all states, nothing in the future but a plan', () => {
    const batches = [...state.batches.values()];
    expect(batches.length).toBeGreaterThanOrEqual(25);
    expect(new Set(batches.map((b) => b.stage)).size).toBe(5);
    expect(batches.some((b) => b.cutOn < '2025-10-15')).toBe(true);
    for (const e of entries) expect(e.day <= TODAY).toBe(true);
    for (const b of batches) expect(plantOf(state, b.taxon)).not.toBeNull();
  });

  it('gives the round something in every band', () => {
    const round = roundOn(state, TODAY);
    const left = round.leave.map((i) => i.kind);
    expect(left).toEqual(expect.arrayContaining(['gate', 'water']));
    expect(round.look.length).toBeGreaterThan(2);
    expect(new Set(round.do.map((i) => i.kind)).size).toBeGreaterThanOrEqual(3);
  });

  it('has a trial that was judged as agreed, and found nothing', () => {
    const trial = state.trials.get('t-cinnamon')!;
    const result = judgeTrial(state, trial, TODAY);
    expect(result.stage).toBe('judged');
    expect(result.arms.map((a) => [a.rooted, a.lost, a.waiting])).toEqual([
      [15, 8, 1],
      [17, 7, 0],
    ]);
    expect(result.departures).toEqual([]);
    expect(result.against[0]!.found).toBe(false);
  });

  it('loses cuttings to causes that differ by method', () => {
    const rot = (method: string): number => {
      const c = countLedger(
        [...state.batches.values()].filter((b) => b.method === method && b.stage === 'done'),
      );
      return c.rotted / c.stuck;
    };
    expect(rot('rooted-offset')).toBe(0);
    expect(rot('column')).toBeGreaterThan(rot('crown'));
    const breaches = [...state.batches.values()].flatMap((b) =>
      b.waterings.filter((w) => w.breach),
    );
    expect(breaches.length).toBeGreaterThanOrEqual(2);
  });
});
