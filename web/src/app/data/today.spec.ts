import { TestBed } from '@angular/core/testing';
import { localDay, Today } from './today';

describe('the grower’s day', () => {
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => {
    TestBed.resetTestingModule();
    jest.useRealTimers();
  });

  const open = (at: Date): Today => {
    jest.setSystemTime(at);
    return TestBed.inject(Today);
  };

  it('turns at midnight', () => {
    const today = open(new Date(2026, 3, 9, 23, 59, 30));
    expect(today.day()).toBe('2026-04-09');
    jest.advanceTimersByTime(29_000);
    expect(today.day()).toBe('2026-04-09');
    jest.advanceTimersByTime(3_000);
    expect(today.day()).toBe('2026-04-10');
    jest.advanceTimersByTime(24 * 3_600_000);
    expect(today.day()).toBe('2026-04-11');
  });

  it('is right when a phone wakes days later', () => {
    const today = open(new Date(2026, 11, 31, 20));
    jest.setSystemTime(new Date(2027, 0, 3, 7));
    document.dispatchEvent(new Event('visibilitychange'));
    expect(today.day()).toBe('2027-01-03');
  });

  it('is the local day, not that of Greenwich', () => {
    expect(localDay(new Date(2026, 0, 5, 0, 1))).toBe('2026-01-05');
    expect(localDay(new Date(2026, 0, 5, 23, 59))).toBe('2026-01-05');
  });
});
