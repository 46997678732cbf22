import { CATALOGUE } from '@hypogeon/core/botany';
import { mount, type Bench } from '../../testing/mount';
import { PlantField } from './plant-field';

const open = (problem = ''): Promise<Bench<PlantField>> =>
  mount(PlantField, { text: '', plants: CATALOGUE, problem }, []);

/** What stands in the list under the field; it is drawn outside the component. */
const offered = (): string[] =>
  [...document.querySelectorAll('mat-option i')].map((i) => i.textContent.trim());

async function type(page: Bench<PlantField>, text: string): Promise<void> {
  const input = page.all('input')[0] as HTMLInputElement;
  input.focus();
  input.dispatchEvent(new Event('focusin'));
  input.value = text;
  input.dispatchEvent(new Event('input'));
  await page.settle();
}

describe('the field of a plant', () => {
  it.each([
    ['jade', 'Crassula ovata'],
    ['crasula ov', 'Crassula ovata'],
    ['CRASSULA OVATA', 'Crassula ovata'],
  ])('finds it by “%s”, Latin, common or misspelt', async (typed, name) => {
    const page = await open();
    await type(page, typed);
    expect(offered()[0]).toBe(name);
    expect(offered().length).toBeLessThanOrEqual(8);
  });

  it('what is chosen stands in the field', async () => {
    const page = await open();
    await type(page, 'jade');
    document.querySelector<HTMLElement>('mat-option')!.click();
    await page.settle();
    expect(page.fixture.componentInstance.text()).toBe('Crassula ovata');
  });

  it('says at the field what is wrong', async () => {
    expect((await open('Which plant is it?')).text).toContain('Which plant is it?');
  });
});
