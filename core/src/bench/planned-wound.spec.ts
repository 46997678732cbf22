import { daysBetween } from '../days';
import { fold } from '../journal';
import { DAY, written } from '../testing/entries';
import { plannedClock, whatMoves, type PlannedWound, type Variant } from '.';

const space = (key: string, tempC: number, rh: number) =>
  ({ kind: 'put', record: 'space', day: DAY, key, fields: { name: key, tempC, rh } }) as const;
const state = fold(written(space('warm', 24, 0.45), space('cool', 12, 0.75)));

const plan: PlannedWound = {
  taxon: 'aeonium-arboreum',
  method: 'crown',
  cutOn: DAY,
  widthMm: 15,
  school: 'dry-to-touch',
  callusAt: 'rack',
  callusSpace: 'warm',
  space: 'warm',
};
const opens = ({ clock }: Pick<Variant, 'clock'>): number =>
  clock.gate.state === 'dated' ? daysBetween(DAY, clock.gate.opens) : Infinity;

describe('the clock of a planned cut', () => {
  it('runs in the air where it calluses, then where it stands', () => {
    const usual = opens({ clock: plannedClock(state, plan)! });
    expect(
      opens({ clock: plannedClock(state, { ...plan, callusSpace: 'cool' })! }),
    ).toBeGreaterThan(usual);
    const stuckInTheCool = plannedClock(state, { ...plan, school: 'short-dry', space: 'cool' })!;
    const stuckInTheWarm = plannedClock(state, { ...plan, school: 'short-dry' })!;
    expect(opens({ clock: stuckInTheCool })).toBeGreaterThan(opens({ clock: stuckInTheWarm }));
  });

  it('straight in lies on medium from the first day, whatever was chosen', () => {
    const rack = plannedClock(state, { ...plan, school: 'straight-in' })!;
    const medium = plannedClock(state, { ...plan, school: 'straight-in', callusAt: 'medium' })!;
    expect(rack.doses).toEqual(medium.doses);
  });

  it('is none where nothing is cut, or nobody knows the plant', () => {
    expect(
      plannedClock(state, { ...plan, taxon: 'gasteria-carinata', method: 'rooted-offset' }),
    ).toBeNull();
    expect(plannedClock(state, { ...plan, taxon: 'oak' })).toBeNull();
    expect(plannedClock(state, { ...plan, method: 'leaf' })).toBeNull();
  });
});

describe('what moves the gate', () => {
  const moves = whatMoves(state, plan, (mm) => `${mm} mm`);

  it('has one chosen variant in each row, the same as planned', () => {
    const planned = opens({ clock: plannedClock(state, plan)! });
    for (const variants of Object.values(moves) as (readonly Variant[])[]) {
      const chosen = variants.filter((v) => v.chosen);
      expect(chosen).toHaveLength(1);
      expect(opens(chosen[0]!)).toBe(planned);
    }
  });

  it('goes the way growers expect', () => {
    const days = (list: readonly Variant[]) => list.map(opens);
    const width = days(moves.width);
    expect(width).toEqual([...width].sort((a, b) => a - b));
    expect(moves.width.map((v) => v.name)).toEqual(['7.5 mm', '15 mm', '30 mm']);
    const [warm, cool] = days(moves.air);
    expect(cool!).toBeGreaterThan(warm!);
    const school = days(moves.school);
    expect(school[3]!).toBeGreaterThanOrEqual(school[2]!);
    expect(school[2]!).toBeGreaterThanOrEqual(school[1]!);
  });

  it('follows a reading noted today', () => {
    const cold = fold(
      written(space('warm', 24, 0.45), { kind: 'air', space: 'warm', day: DAY, tempC: 9, rh: 0.8 }),
    );
    expect(opens({ clock: plannedClock(cold, plan)! })).toBeGreaterThan(
      opens({ clock: plannedClock(state, plan)! }),
    );
  });
});
