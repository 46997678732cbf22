import { MatAutocomplete } from '@angular/material/autocomplete';
import { By } from '@angular/platform-browser';
import { Router } from '@angular/router';
import { TestBed } from '@angular/core/testing';
import { mount, type Bench } from '../../testing/mount';
import { FindSetting } from './find-setting';

const found = (page: Bench<FindSetting>): readonly string[] =>
  (
    page.fixture.debugElement.query(By.directive(MatAutocomplete))
      .componentInstance as MatAutocomplete
  ).options.map((o) => o.viewValue.trim());

async function type(page: Bench<FindSetting>, text: string): Promise<readonly string[]> {
  const box = page.field('Find a setting');
  box.dispatchEvent(new Event('focusin'));
  box.value = text;
  box.dispatchEvent(new Event('input'));
  await page.settle();
  return found(page);
}

describe('a setting by typing', () => {
  it.each([
    ['dark', 'Theme: Noon or Lamp'],
    ['fahr', 'Temperatures: °C or °F'],
    ['EURO', 'Prices and currency'],
    ['spread', 'Tables as CSV'],
    ['bluetooth', 'Sensors and scales'],
    ['hard water', 'Air of North porch'],
  ])('“%s” finds %s', async (typed, name) => {
    expect(await type(await mount(FindSetting), typed)).toContain(name);
  });

  it('leads there, and says where there is none', async () => {
    const page = await mount(FindSetting);
    const go = jest.spyOn(TestBed.inject(Router), 'navigate');
    await type(page, 'heat mat porch');
    document.querySelector<HTMLElement>('mat-option')!.click();
    await page.settle();
    expect(go).toHaveBeenCalledWith(['/settings/air', 'porch']);
    await type(page, 'flux capacitor');
    expect(page.text).toContain('No setting is called so. Try another word.');
  });
});
