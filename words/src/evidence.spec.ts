import { countedHere, restsOn } from '.';

describe('what a figure rests on', () => {
  it.each([
    ['common practice', 'practice', 'common practice, no source'],
    ['working assumption', 'guess', 'working assumption, no source'],
    ['from memory', 'guess', 'from memory, no source'],
    ['measured here', 'here', 'measured here'],
  ] as const)('%s is %s, and says so', (evidence, ground, text) => {
    expect(restsOn(evidence)).toEqual({ ground, text });
  });

  it('is a source where one is named, whatever its words', () => {
    const published = 'A bench of from memory (1998), here';
    expect(restsOn({ published })).toEqual({ ground: 'published', text: published });
  });

  it('is this bench where it was counted', () => {
    expect(countedHere('your own 36 leaves, with the guide').ground).toBe('here');
  });
});
