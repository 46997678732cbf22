import { endingOf, luckFor, replay, SCENARIO_IDS, SCENARIOS, seenOf, adviceFor, type Act } from '.';
import { runBench } from '../rehearse';

const weeks = (n: number): Act[] => Array<Act>(n).fill('week');
const END = weeks(40);

describe('a bench to practise on', () => {
  it.each(SCENARIO_IDS)('%s: the same acts give the same game, and it ends', (id) => {
    const acts: Act[] = ['wait', 'set', 'week', 'water', 'look', ...END];
    const once = replay(SCENARIOS[id], acts);
    expect(once.over).toBe(true);
    expect(replay(SCENARIOS[id], acts).truth).toEqual(once.truth);
    expect(once.day).toBeLessThanOrEqual(SCENARIOS[id].days);
    for (const t of once.truth)
      for (const share of [t.closure, t.wet, t.reserves, t.rooted, t.rotted]) {
        expect(share).toBeGreaterThanOrEqual(0);
        expect(share).toBeLessThanOrEqual(1);
      }
  });

  it.each(SCENARIO_IDS)('%s: whoever does as advised does as well as the advice', (id) => {
    const scenario = SCENARIOS[id];
    const run = runBench(adviceFor(scenario), luckFor(scenario), scenario.weather, scenario.days);
    const { habits } = endingOf(replay(scenario, END));
    // Where nothing was found set and wet, the advice of the ending is the advice itself.
    if (!scenario.setAtOnce)
      expect(habits[0]!.plants.rooted).toBe(
        run.fates.filter((f) => f.rooted >= 0 && f.rotted < 0 && f.dried < 0).length,
      );
    const [advice, weekly] = habits;
    expect(advice!.plants.rooted).toBeGreaterThanOrEqual(weekly!.plants.rooted);
  });

  it('water on open wounds in a cool place rots what patience roots', () => {
    const scenario = SCENARIOS['damp-porch'];
    const hasty = endingOf(replay(scenario, ['set', 'water', ...weeks(2), 'water', ...END]));
    const patient = endingOf(replay(scenario, [...weeks(3), 'set', ...END]));
    expect(hasty.you.rotted).toBeGreaterThan(patient.you.rotted);
    expect(patient.score).toBeGreaterThan(hasty.score);
    expect(hasty.needless).toBeGreaterThan(0);
    expect(hasty.lessons[0]).toMatchObject({ kind: 'early', day: 0 });
    expect(patient.lessons.map((l) => l.kind)).not.toContain('early');
  });

  it('patience is days on end, not all the days between nine waterings', () => {
    const scenario = SCENARIOS['damp-porch'];
    const lessons = (acts: Act[]) =>
      endingOf(replay(scenario, acts)).lessons.flatMap((l) =>
        l.kind === 'patience' ? l.days : [],
      );
    const often = Array.from({ length: 9 }, () => ['week', 'water'] as const).flat();
    expect(
      lessons([...weeks(3), 'set', ...often, ...weeks(1), ...Array<Act>(60).fill('look')]),
    ).toEqual([]);
    for (const days of lessons([...weeks(3), 'set', ...END])) expect(days).toBeGreaterThan(20);
  });

  it('thirst: leaves never given a drink in a warm dry room dry up', () => {
    const scenario = SCENARIOS['warm-leaves'];
    expect(endingOf(replay(scenario, END)).lessons[0]).toMatchObject({ kind: 'thirst' });
  });

  it('warmth brings an order in time that a cool house does not', () => {
    const scenario = SCENARIOS.order;
    const cool = endingOf(replay(scenario, END)).you.rooted;
    expect(endingOf(replay(scenario, ['warm', ...END])).you.rooted).toBeGreaterThan(cool);
  });

  it('what is moved out of reach is watered by nobody else', () => {
    const scenario = SCENARIOS['weekly-can'];
    const by = (acts: Act[]): number =>
      replay(scenario, acts).events.filter((e) => e.kind === 'watered' && e.by === 'somebody')
        .length;
    expect(by(END)).toBeGreaterThan(5);
    expect(by(['move', ...END])).toBe(0);
  });

  it('tugs tear young roots and set the others back; looks take rot out', () => {
    const scenario = SCENARIOS['one-rotting'];
    const fuss: Act[] = Array.from({ length: 50 }, () => ['tug', 'wait'] as const).flat();
    const fussed = endingOf(replay(scenario, [...fuss, ...END])).you.rooted;
    expect(fussed).toBeLessThan(endingOf(replay(scenario, END)).you.rooted);
    const looked = replay(scenario, [...Array<Act>(6).fill('wait'), 'look']);
    expect(looked.removed.size).toBeGreaterThan(0);
    expect(seenOf(looked).pieces.filter((p) => p.looks === 'gone')).toHaveLength(
      looked.removed.size,
    );
    expect(seenOf(looked).pieces.some((p) => p.below !== null)).toBe(true);
    // A day later it is covered again.
    const after = seenOf(replay(scenario, [...looked.acts, 'wait']));
    expect(after.pieces.every((p) => p.below === null)).toBe(true);
  });

  it('shows what can be seen and felt, and no more', () => {
    const seen = seenOf(replay(SCENARIOS['winter-sill'], ['wait']));
    expect(seen).toMatchObject({ waterMl: null, weight: null, finger: null, smell: false });
    const set = seenOf(replay(SCENARIOS['winter-sill'], ['set', 'water', 'wait']));
    expect(set.weight).toBe('heavy');
    expect(set.finger).toBe('wet');
    const sour = seenOf(replay(SCENARIOS['one-rotting'], [...Array<Act>(5).fill('wait')]));
    expect(sour.smell).toBe(true);
  });

  it('says what was needless: a can with nothing set, a tug with nothing to feel', () => {
    const events = replay(SCENARIOS['winter-sill'], ['water', 'tug', 'recut', 'move']).events;
    expect(events.map((e) => e.kind)).toEqual(['needless', 'tugged', 'needless', 'needless']);
    expect(
      endingOf(replay(SCENARIOS['winter-sill'], ['water', 'tug', 'recut', 'move'])).needless,
    ).toBe(4);
  });

  it('gives three lessons at most, the score within a hundred', () => {
    for (const id of SCENARIO_IDS)
      for (const acts of [END, ['set', 'water', ...END] as Act[]]) {
        const ending = endingOf(replay(SCENARIOS[id], acts));
        expect(ending.lessons.length).toBeLessThanOrEqual(3);
        expect(ending.score).toBeGreaterThanOrEqual(0);
        expect(ending.score).toBeLessThanOrEqual(100);
      }
  });
});
