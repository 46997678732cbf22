import { TestBed } from '@angular/core/testing';
import { SwUpdate, type VersionEvent } from '@angular/service-worker';
import { Subject } from 'rxjs';
import { Updates } from './updates';

describe('a new version', () => {
  const events = new Subject<VersionEvent>();
  const checkForUpdate = jest.fn(() => Promise.resolve(false));
  beforeEach(() => {
    TestBed.resetTestingModule();
    TestBed.configureTestingModule({
      providers: [
        {
          provide: SwUpdate,
          useValue: { isEnabled: true, versionUpdates: events, checkForUpdate },
        },
      ],
    });
  });

  it('is announced once it lies ready, not while it is fetched', () => {
    const updates = TestBed.inject(Updates);
    events.next({ type: 'VERSION_DETECTED', version: { hash: 'b' } });
    expect(updates.ready()).toBe(false);
    events.next({
      type: 'VERSION_READY',
      currentVersion: { hash: 'a' },
      latestVersion: { hash: 'b' },
    });
    expect(updates.ready()).toBe(true);
  });

  it('is asked for when a tab left open is looked at again', () => {
    TestBed.inject(Updates);
    document.dispatchEvent(new Event('visibilitychange'));
    expect(checkForUpdate).toHaveBeenCalled();
  });
});
