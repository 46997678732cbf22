import { askBench, benchLines } from '../bench';
import { demoJournal } from '../demo';
import { fold } from '../journal';
import { find, findables } from './find';

const TODAY = '2026-04-09';
const STATE = fold(demoJournal(TODAY));
const found = (query: string): readonly string[] =>
  find(
    findables(STATE, TODAY, ({ is }) => is),
    query,
  ).map((f) => `${f.kind} ${f.title}`);

describe('finding anything by typing', () => {
  it.each([
    ['tall aeo', 'mother The tall aeonium'],
    ['ox tongue', 'mother Ox tongue, shelf end'],
    ['bench mix', 'mix Bench mix'],
    ['lean', 'space Lean-to'],
    ['pachyphytum ovif', 'plant Pachyphytum oviferum'],
  ])('“%s” leads with %s', (query, first) => {
    expect(found(query)[0]).toBe(first);
  });

  it('finds a batch by the code on its stake, in small letters too', () => {
    const line = benchLines(STATE, TODAY)[0]!;
    expect(found(line.code.toLowerCase())).toEqual([`batch ${line.title} ${line.code}`]);
  });

  it('finds names with accents typed without', () => {
    const state = fold([
      {
        id: 'a',
        at: '2026-03-01T08:00:00.000Z~0000',
        day: TODAY,
        by: 'x',
        kind: 'put',
        record: 'mother',
        key: 'm',
        fields: { name: 'Émilie’s échévéria' },
      },
    ]);
    expect(
      find(
        findables(state, TODAY, ({ is }) => is),
        'echev em',
      )[0],
    ).toMatchObject({ id: 'm' });
  });

  it('finds nothing by letters in the middle of a word', () => {
    expect(found('ngue')).toEqual([]);
    expect(found('')).toEqual([]);
  });
});

describe('the bench list', () => {
  const lines = benchLines(STATE, TODAY);
  const ids = (ask: Parameters<typeof askBench>[1]): readonly string[] =>
    askBench(lines, ask).map((l) => l.batch.id);

  it('answers by stage, space, plant, method, mother, age and trouble', () => {
    for (const line of askBench(lines, { stage: 'callusing', space: 'leanto' }))
      expect([line.batch.stage, line.space]).toEqual(['callusing', 'leanto']);
    expect(ids({ method: 'pad' }).length).toBeGreaterThan(0);
    for (const l of askBench(lines, { mother: 'm-aeon', withDone: true }))
      expect(l.batch.mother).toBe('m-aeon');
    for (const l of askBench(lines, { age: [0, 14] })) expect(l.age).toBeLessThanOrEqual(14);
    for (const l of askBench(lines, { trouble: 'any' })) expect(l.troubles).not.toEqual([]);
  });

  it('leaves out what is done unless it is asked for', () => {
    expect(askBench(lines, {}).some((l) => l.batch.stage === 'done')).toBe(false);
    expect(ids({ withDone: true })).toHaveLength(lines.length);
  });

  it('sorts by age, by plant, by roots and by losses', () => {
    const ages = askBench(lines, { sort: 'age' }).map((l) => l.age);
    expect(ages).toEqual([...ages].sort((a, b) => b - a));
    const [worst] = askBench(lines, { sort: 'lost', withDone: true });
    for (const { batch } of lines) {
      const share = (b: typeof batch): number =>
        (b.counts.rotted + b.counts.dried + b.counts.lost) / b.count;
      expect(share(worst!.batch)).toBeGreaterThanOrEqual(share(batch));
    }
  });
});
