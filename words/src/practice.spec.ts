import {
  endingOf,
  replay,
  SCENARIO_IDS,
  SCENARIOS,
  seenOf,
  type Act,
} from '@hypogeon/core/practice';
import { lessonText, plantsText, seenText } from './practice';

const units = { length: 'mm', temperature: 'C', locale: 'en' } as const;

describe('practice in words', () => {
  it('says what is seen and felt', () => {
    const bare = seenText(seenOf(replay(SCENARIOS['damp-porch'], [])), units);
    expect(bare[0]).toMatch(/^\d+ °C today, \d+% humidity\.$/);
    expect(bare[1]).toBe('They lie bare, on a rack.');
    const set = seenText(seenOf(replay(SCENARIOS['damp-porch'], ['set', 'water', 'wait'])), units);
    expect(set.join(' ')).toMatch(
      /The pot is heavy: about .* of water in it\. A finger at the depth/,
    );
  });

  it('every lesson is a sentence of its own', () => {
    const games: Act[][] = [
      Array<Act>(40).fill('week'),
      ['set', ...Array.from({ length: 40 }, () => ['water', 'week'] as const).flat()],
      [
        'look',
        'wait',
        ...Array.from({ length: 40 }, () => ['tug', 'wait'] as const).flat(),
        ...Array<Act>(20).fill('week'),
      ],
    ];
    const told = new Set<string>();
    for (const id of SCENARIO_IDS)
      for (const acts of games)
        for (const lesson of endingOf(replay(SCENARIOS[id], acts)).lessons) {
          expect(lessonText(lesson)).toMatch(/^[A-Z0-9].*\.$/);
          told.add(lesson.kind);
        }
    expect(told.size).toBeGreaterThanOrEqual(7);
    expect(plantsText({ rooted: 3, rotted: 0, dried: 2 })).toBe('3 rooted, 2 dried up');
  });
});
