import { replay, SCENARIOS, type Act } from '@hypogeon/core/practice';
import { truthChart } from './truth-chart';

const ACTS: readonly Act[] = ['water', 'wait', 'set', 'water', 'week', 'week', 'look', 'week'];
const played = replay(SCENARIOS['damp-porch'], ACTS);
const watered = played.events.flatMap((e) => (e.kind === 'watered' ? [e.day] : []));
const model = truthChart(played.truth, watered);

interface Drawn {
  readonly type: string;
  readonly data: readonly (readonly number[])[];
  readonly lineStyle?: { readonly color?: string };
}
const ink = (token: string): string => token;
const drawn = (wide: number): readonly Drawn[] =>
  model.option(ink, wide).series as readonly Drawn[];
const by = (color: string): Drawn => drawn(900).find((s) => s.lineStyle?.color === color)!;

describe('the truth of a practice bench', () => {
  it.each([
    ['--callus', 'closure'],
    ['--water', 'wet'],
    ['--soil', 'reserves'],
    ['--living', 'rooted'],
    ['--rot', 'rotted'],
  ] as const)('draws %s as the play had it, day by day', (color, key) => {
    expect(by(color).data).toEqual(played.truth.map((t) => [t.day, t[key]]));
  });

  it('its stops say the same figures, and which days had water', () => {
    expect(model.stops).toHaveLength(played.truth.length);
    const last = played.truth.at(-1)!;
    expect(model.stops.at(-1)!.says).toContain(`wounds closed ${Math.round(100 * last.closure)}%`);
    for (const day of watered)
      expect(model.stops.find((s) => s.x === day)!.says).toMatch(/Watered\.$/);
    expect(model.stops.filter((s) => s.says.includes('Watered'))).toHaveLength(
      new Set(watered).size,
    );
    expect(model.says).toContain(`The truth over ${last.day} days.`);
  });

  it('drops stand where water was given; a table says it all again', () => {
    const drops = drawn(900).find((s) => s.type === 'scatter')!;
    expect(drops.data).toEqual(watered.map((day) => [day, 0]));
    expect(model.table.rows).toHaveLength(played.truth.length);
    expect(model.table.header).toEqual([
      'Day',
      'wounds closed',
      'stems wet',
      'reserves',
      'rooted',
      'rotted',
      'watered',
    ]);
    expect(drawn(320).length).toBe(drawn(900).length);
  });

  it('of a bench that was never played there is nothing to say', () => {
    expect(truthChart([], []).says).toContain('nothing');
  });
});
