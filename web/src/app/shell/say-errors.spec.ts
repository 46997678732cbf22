import { TestBed } from '@angular/core/testing';
import { Actions } from '../data/actions';
import { SayErrors } from './say-errors';

describe('what a page did not catch', () => {
  it('is logged each time and said once', () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const say = jest.fn();
    TestBed.configureTestingModule({ providers: [{ provide: Actions, useValue: { say } }] });
    const handler = TestBed.inject(SayErrors);
    const error = new RangeError('day must be YYYY-MM-DD');
    handler.handleError(error);
    handler.handleError(error);
    expect(log).toHaveBeenCalledTimes(2);
    expect(say.mock.calls).toEqual([
      ['Something on this page went wrong: day must be YYYY-MM-DD. What you recorded is safe.'],
    ]);
    log.mockRestore();
  });
});
