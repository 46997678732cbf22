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

  it('stays said when a page that fails after it finds no server, until it is put off', async () => {
    const answer = (ok: boolean, page: string): Promise<Response> =>
      Promise.resolve({ ok, text: () => Promise.resolve(page) } as Response);
    const fetched = jest.fn(() => answer(true, '<script src="main-NEW.js"></script>'));
    Object.assign(globalThis, { fetch: fetched });
    const updates = TestBed.inject(Updates);
    await updates.missing('/mixes');
    expect(updates.gone()).toBe('newer');
    fetched.mockImplementation(() => answer(false, ''));
    await updates.missing('');
    expect(updates.gone()).toBe('newer');
    updates.gone.set(null);
    await updates.missing('');
    expect(updates.gone()).toBe('unreached');
  });
});
