import { TestScheduler } from 'rxjs/testing';
import { patiently, type StreamEvent } from './device-stream';

const open: StreamEvent = { is: 'open' };
const pack: StreamEvent = { is: 'pack', data: '[]' };
const lost = (retryInSeconds: number): StreamEvent => ({ is: 'lost', retryInSeconds });

type Helpers = Parameters<Parameters<TestScheduler['run']>[0]>[0];

function run(test: (helpers: Helpers) => void): void {
  new TestScheduler((actual, expected) => expect(actual).toEqual(expected)).run(test);
}

describe('listening patiently', () => {
  it('tries again after 1, 2, 4 … seconds while nobody answers', () => {
    run(({ cold, expectObservable }) => {
      const dead = cold<StreamEvent>('#');
      expectObservable(
        patiently(() => dead, ''),
        '20s !',
      ).toBe('a 999ms b 1999ms c 3999ms d 7999ms e', {
        a: lost(1),
        b: lost(2),
        c: lost(4),
        d: lost(8),
        e: lost(16),
      });
    });
  });

  it('never waits longer than a minute', () => {
    run(({ cold, expectObservable }) => {
      const dead = cold<StreamEvent>('#');
      expectObservable(
        patiently(() => dead, ''),
        '200s !',
      ).toBe('a 999ms b 1999ms c 3999ms d 7999ms e 15999ms f 31999ms g 59999ms g 59999ms g', {
        ...{ a: lost(1), b: lost(2), c: lost(4), d: lost(8), e: lost(16), f: lost(32) },
        g: lost(60),
      });
    });
  });

  it('a good connection makes it patient anew', () => {
    run(({ cold, expectObservable }) => {
      const tries = [
        cold<StreamEvent>('#'),
        cold<StreamEvent>('op#', { o: open, p: pack }),
        cold<StreamEvent>('#'),
      ];
      let n = 0;
      expectObservable(
        patiently(() => tries[Math.min(n++, 2)]!, ''),
        '2500ms !',
      ).toBe('a 999ms opb 999ms c', { a: lost(1), o: open, p: pack, b: lost(1), c: lost(2) });
    });
  });

  it('an end is no break', () => {
    run(({ cold, expectObservable }) => {
      expectObservable(
        patiently(() => cold<StreamEvent>('p|', { p: pack }), ''),
        '9s !',
      ).toBe('pe', { p: pack, e: { is: 'ended' } });
    });
  });
});
