import { mount } from '../../testing/mount';
import { Stepper } from './stepper';

describe('a count moved by a thumb', () => {
  it('goes by one, no lower than its least, and takes what is typed', async () => {
    const page = await mount(
      Stepper,
      { of: 'leaves', label: 'How many: ', value: 1, least: 1 },
      [],
    );
    const told: (number | string)[] = [];
    const stepper = page.fixture.componentInstance;
    stepper.stepped.subscribe((n) => told.push(n));
    stepper.typed.subscribe((t) => told.push(t));
    expect((page.button('One less: leaves') as HTMLButtonElement).disabled).toBe(true);
    await page.tap('One more: leaves');
    await page.fill('How many: leaves', '12');
    expect(told).toEqual([2, '12']);
  });

  it('shows what is likely only as a hint until it is counted', async () => {
    const page = await mount(Stepper, { of: 'pads', label: 'It has, ', value: 9, guess: true }, []);
    expect(page.field('It has, pads').value).toBe('');
    expect(page.field('It has, pads').getAttribute('placeholder')).toBe('~9');
  });
});
