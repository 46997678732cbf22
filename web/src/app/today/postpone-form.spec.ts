import { addDays } from '@hypogeon/core/days';
import { DAY, mount, type Bench } from '../../testing/mount';
import { PostponeForm } from './postpone-form';

async function open(): Promise<{ page: Bench<PostponeForm>; closed: string[] }> {
  const page = await mount(PostponeForm, { batch: 'b-19', task: 'water' });
  const closed: string[] = [];
  page.fixture.componentInstance.done.subscribe(() => closed.push('done'));
  page.fixture.componentInstance.cancelled.subscribe(() => closed.push('cancelled'));
  return { page, closed };
}

describe('a task postponed', () => {
  it('two taps: why, and until when', async () => {
    const { page, closed } = await open();
    const chip = page.all('mat-chip-option button').find((b) => b.textContent.includes('rain'))!;
    chip.click();
    await page.settle();
    await page.tap('tomorrow');
    expect(page.recorded()).toEqual([
      {
        kind: 'put-off',
        batch: 'b-19',
        task: 'water',
        until: addDays(DAY, 1),
        text: 'rain',
        day: DAY,
      },
    ]);
    expect(closed).toEqual(['done']);
  });

  it('until a day of one’s own, which must still come', async () => {
    const { page, closed } = await open();
    await page.tap('Another day');
    await page.fill('Until', '9 April 2026');
    expect(page.text).toContain('Choose a day that is still to come.');
    expect(page.recorded()).toEqual([]);
    await page.fill('Until', '20 April 2026');
    expect(page.recorded()).toMatchObject([{ until: '2026-04-20', text: 'no time' }]);
    expect(closed).toEqual(['done']);
  });

  it('skipped for good, or left as it is', async () => {
    const { page, closed } = await open();
    await page.tap('Do not ask again');
    const [entry] = page.recorded();
    expect(entry).toMatchObject({ kind: 'put-off', task: 'water' });
    expect(entry).not.toHaveProperty('until');
    const other = await open();
    await other.page.tap('Cancel');
    expect(other.page.recorded()).toEqual([]);
    expect([closed, other.closed]).toEqual([['done'], ['cancelled']]);
  });
});
