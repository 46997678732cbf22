import { mount, type Bench } from '../../testing/mount';
import { MotherLook } from '../mothers/mother-look';
import { PlanPage } from '../plan/plan-page';
import { SettingsPage } from '../settings/settings-page';
import { Journal, type Taken } from '../data/journal';

/** Whatever a form hands in is refused at the door, as what no reader of ours would take. */
const REFUSED: Taken = {
  entries: [],
  refused: 'Nothing was changed: place: is too long.',
  saved: Promise.resolve(false),
};
let enter: jest.SpyInstance;
const refuse = (): void => {
  enter = jest.spyOn(Journal.prototype, 'enter').mockReturnValue(REFUSED);
};
afterEach(() => enter.mockRestore());

const said = async (page: Bench<unknown>): Promise<void> => {
  await page.settle();
  expect(document.body.textContent).toContain('Nothing was changed: place: is too long.');
  expect(page.recorded()).toEqual([]);
};

describe('a form whose record is refused keeps what was typed', () => {
  it('a plan', async () => {
    const page = await mount(PlanPage, { mother: 'm-eche' });
    await page.fill('Wound width, mm', '4.5');
    await page.fill('How many', '6');
    refuse();
    await page.tap('Put 6 leaves on the bench');
    await said(page);
    expect(page.field('Wound width, mm').value).toBe('4.5');
    expect(page.stores.draft('plan')).toMatchObject({ width: '4.5' });
  });

  it('a look at a mother', async () => {
    const page = await mount(MotherLook, { mother: 'm-aeon' });
    await page.fill('Anything else (optional)', 'mealybug');
    refuse();
    await page.tap('Record the look');
    await said(page);
    expect(page.field('Anything else (optional)').value).toBe('mealybug');
  });

  it('a place', async () => {
    const page = await mount(SettingsPage, {}, []);
    await page.tap('Add a place');
    await page.fill('Name', 'Loft');
    await page.fill('Usual mean, °C', '18');
    await page.fill('Relative humidity, %', '60');
    refuse();
    await page.tap('Save the place');
    await said(page);
    expect(page.field('Name').value).toBe('Loft');
  });
});
