import { teachingText } from './teaching';

it('says what a batch teaches, or why not', () => {
  expect(teachingText({ kind: 'whole' })).toBe('Wholly');
  expect(teachingText({ kind: 'part', far: 0.6 })).toContain('60% of those that root');
  expect(teachingText({ kind: 'left-out', why: 'the cat' })).toBe('Not: left out, the cat');
  for (const kind of ['unseen', 'unknown'] as const) expect(teachingText({ kind })).toMatch(/^Not/);
  expect(teachingText({ kind: 'before', since: '2026-01-01' })).toContain('fresh start');
});
