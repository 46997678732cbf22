import { Subject } from 'rxjs';
import { rested } from './rested';

describe('what has rested', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());

  it('is the last of a quick succession', () => {
    const taps = new Subject<number>();
    const seen: number[] = [];
    taps.pipe(rested(100)).subscribe((n) => seen.push(n));
    taps.next(1);
    jest.advanceTimersByTime(60);
    taps.next(2);
    jest.advanceTimersByTime(60);
    expect(seen).toEqual([]);
    jest.advanceTimersByTime(60);
    expect(seen).toEqual([2]);
  });

  it('comes also where the clock was set back meanwhile', () => {
    const taps = new Subject<number>();
    const seen: number[] = [];
    taps.pipe(rested(100)).subscribe((n) => seen.push(n));
    taps.next(1);
    jest.setSystemTime(Date.now() - 3_600_000);
    jest.advanceTimersByTime(120);
    expect(seen).toEqual([1]);
  });
});
