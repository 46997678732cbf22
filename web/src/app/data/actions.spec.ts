import { ChangeDetectionStrategy, Component } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { mount } from '../../testing/mount';
import { Actions } from './actions';
import { freshId } from './fresh-id';

@Component({
  selector: 'hy-bare',
  template: '',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
class Bare {}

const open = async () => {
  const page = await mount(Bare, {}, []);
  return { page, actions: TestBed.inject(Actions) };
};
const add = (name: string) =>
  ({ kind: 'put', record: 'mother', key: freshId(), fields: { name } }) as const;

describe('the one writer', () => {
  it('does nothing twice at a second tap, though the form makes a new id each time', async () => {
    const { page, actions } = await open();
    const taps = await Promise.all([
      actions.record(add('Blue one'), 'Added'),
      actions.record(add('Blue one'), 'Added'),
    ]);
    expect(taps).toEqual([true, true]);
    await actions.record(add('Blue one'), 'Added');
    expect(page.journal.state().mothers.size).toBe(1);
  });

  it('does what differs, and the same again later', async () => {
    const { page, actions } = await open();
    jest.useFakeTimers();
    await Promise.all([actions.record(add('Blue'), ''), actions.record(add('Green'), '')]);
    expect(page.journal.state().mothers.size).toBe(2);
    await jest.advanceTimersByTimeAsync(650);
    await actions.record(add('Blue'), '');
    expect(page.journal.state().mothers.size).toBe(2);
    await jest.advanceTimersByTimeAsync(100);
    await actions.record(add('Blue'), '');
    expect(page.journal.state().mothers.size).toBe(3);
    jest.useRealTimers();
  });

  it('says saved when it is, with undo, and nothing but the reason when it is not taken', async () => {
    const { page, actions } = await open();
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    await actions.record(add('Blue'), 'Blue added');
    await page.settle();
    expect(document.body.textContent).toContain('Blue added. Saved.');
    const refused = await actions.record(add('B'.repeat(200)), 'Long one added');
    await page.settle();
    expect(refused).toBe(false);
    expect(document.body.textContent).toContain('Nothing was changed: fields.name');
    expect(document.body.textContent).not.toContain('Long one added');
    page.stores.refuses = new DOMException('full', 'QuotaExceededError');
    // It is taken, so that no form offers it again; that it is not saved stands above the page.
    expect(await actions.record(add('Green'), 'Green added')).toBe(true);
    await page.settle();
    expect(page.journal.saving()).toMatchObject({ is: 'failed', unsaved: 1 });
    expect(document.body.textContent).not.toContain('Green added');
    log.mockRestore();
  });
});
