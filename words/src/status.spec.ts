import { statusText } from './status';

describe('how a batch stands', () => {
  it('by what it is and has', () => {
    expect(statusText({ is: 'callusing' })).toBe('callusing');
    expect(statusText({ is: 'to-set' })).toBe('to be set');
    expect(statusText({ is: 'bare' })).toBe('bare, no roots yet');
    expect(statusText({ is: 'set', ownRoots: false, jar: false })).toBe('set, no roots yet');
    expect(statusText({ is: 'set', ownRoots: true, jar: false })).toMatch(/own$/);
    expect(statusText({ is: 'set', ownRoots: false, jar: true })).toMatch(/^in the jar/);
    const growing = { is: 'growing', rooted: 8, waiting: 15, jar: false } as const;
    expect(statusText(growing)).toBe('8 rooted, 15 waiting');
    expect(statusText({ ...growing, waiting: 0, jar: true })).toBe('in the jar, rooted');
  });
});
