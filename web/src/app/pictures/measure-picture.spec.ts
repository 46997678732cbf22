import type { Photo } from '@hypogeon/core/journal';
import { DAY, mount, type Bench } from '../../testing/mount';
import { MeasurePicture } from './measure-picture';
import { PicturesPage } from './pictures-page';

const PHOTO: Photo = {
  id: 'p',
  at: `${DAY}T08:00:00.000Z~0000`,
  by: 'phone',
  day: DAY,
  kind: 'photo',
  batch: 'b-19',
  picture: 'none',
  width: 1000,
  height: 500,
  bytes: 1,
};
const open = () => mount(MeasurePicture, { photo: PHOTO });
const stage = (page: Bench<unknown>): HTMLElement => page.all('[role=application]')[0]!;
const press = (page: Bench<unknown>, key: string, shiftKey = false): void =>
  void stage(page).dispatchEvent(new KeyboardEvent('keydown', { key, shiftKey }));
/** A point so many steps of 50 px right of the middle, by keys alone. */
async function point(page: Bench<unknown>, right: number): Promise<void> {
  for (let i = 0; i < Math.abs(right); i++)
    press(page, right > 0 ? 'ArrowRight' : 'ArrowLeft', true);
  press(page, 'Enter');
  await page.settle();
}

describe('a length on a picture', () => {
  it('by keys alone: two ends of what is known, two of what is not', async () => {
    const page = await open();
    const taken: unknown[] = [];
    page.fixture.componentInstance.measured.subscribe((m) => taken.push(m));
    expect(page.text).toContain('Tap one end of a length you know');
    await point(page, -4);
    expect(page.text).toContain('Tap its other end.');
    await point(page, 4);
    expect(page.text).toContain('Now tap one end of what is to be measured.');
    await point(page, 0);
    await point(page, 2);
    // 200 px are 10 mm, so that 100 px are 5.
    expect(page.text).toMatch(/5 mm ± \d/);
    await page.tap('Save');
    expect(taken).toMatchObject([{ what: 'wound', length: { mm: 5 } }]);
  });

  it('a root has bends: it is measured along them', async () => {
    const page = await open();
    await page.fill('Measured is', 'root');
    for (const right of [-4, 4, 0, 1, 1, 1]) await point(page, right);
    // Three steps of 50 px along.
    expect(page.text).toMatch(/7\.5 mm ± /);
  });

  it('a known length that is none gets a sentence, and no measure', async () => {
    const page = await open();
    await page.fill('The known length is', 'a bit');
    for (const right of [-4, 4, 0, 2]) await point(page, right);
    expect(page.all('mat-error')).toHaveLength(1);
    expect(page.text).not.toContain('±');
    await page.fill('The known length is', '1 in');
    expect(page.text).toMatch(/13 mm ± 0\.\d mm/);
  });

  it('begins anew, or is left', async () => {
    const page = await open();
    await point(page, -4);
    await page.tap('Points anew');
    expect(page.text).toContain('Tap one end of a length you know');
    let left = 0;
    page.fixture.componentInstance.closed.subscribe(() => left++);
    await page.tap('Cancel');
    expect(left).toBe(1);
    // The cross never leaves the picture.
    for (let i = 0; i < 40; i++) press(page, 'ArrowRight', true);
    await page.settle();
    expect(page.all('.cross')[0]!.getAttribute('d')).toMatch(/^M966\.\d+ /);
  });
});

describe('the pictures of a batch', () => {
  it('asks for one where there is none, and knows no batch that is not there', async () => {
    const page = await mount(PicturesPage, { id: 'b-19' });
    expect(page.text).toContain('A picture of the wound every few days');
    await page.fill('Taken on', '30 April 2026');
    expect(page.text).toContain('That day is still to come.');
    expect((await mount(PicturesPage, { id: 'nope' })).text).toContain('No such batch');
  });

  it('holds the first and the last beside each other, or the two that are chosen', async () => {
    const { demoJournal } = await import('@hypogeon/core/demo');
    const photos = ['2026-03-20', '2026-03-27', '2026-04-03'].map((day, i) => ({
      ...PHOTO,
      id: `photo-${i}`,
      at: `2026-04-0${i + 4}T08:00:00.000Z~0000`,
      day,
      picture: `pic-${i}`,
      text: `look ${i + 1}`,
    }));
    const page = await mount(PicturesPage, { id: 'b-19' }, [...demoJournal(DAY), ...photos]);
    const beside = (): string[] =>
      page.all('section[aria-labelledby=beside] figcaption').map((f) => f.textContent.trim());
    expect(beside()).toEqual([
      expect.stringMatching(/^Day 17.*look 1$/),
      expect.stringMatching(/^Day 31.*look 3$/),
    ]);
    await page.tap(/^Side by side: .*look 1/);
    await page.tap(/^Side by side: .*look 2/);
    expect(beside().map((b) => b.slice(-6))).toEqual(['look 1', 'look 2']);
    await page.tap(/^Measure on: .*look 2/);
    for (const right of [-4, 4, 0, 2]) await point(page, right);
    await page.tap('Save');
    expect(page.journal.state().batches.get('b-19')!.widthMm).toBe(5);
    expect(page.journal.state().batches.get('b-19')!.measured).toMatchObject([
      { what: 'wound', mm: 5, picture: 'pic-1', day: '2026-03-27' },
    ]);
    expect(page.text).toContain('look 2: wound 5 mm');
    await page.tap(/^Undo: .*look 3/);
    expect(beside()[1]).toContain('look 2');
  });
});
