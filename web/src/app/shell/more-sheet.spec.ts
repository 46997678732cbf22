import { MatBottomSheetRef } from '@angular/material/bottom-sheet';
import { mount } from '../../testing/mount';
import { MoreSheet } from './more-sheet';

describe('the sheet of further places on a phone', () => {
  const dismiss = jest.fn();
  const open = () =>
    mount(MoreSheet, {}, [], [{ provide: MatBottomSheetRef, useValue: { dismiss } }]);

  it('leads to every place that the bar leaves out, and to no other', async () => {
    const page = await open();
    const named = page.all('a').map((a) => a.textContent.trim());
    expect(named).toEqual(['Mother plants', 'Mixes', 'Plant guide', 'Settings']);
    expect(page.all('a').map((a) => a.getAttribute('href'))).toEqual([
      '/mothers',
      '/mixes',
      '/plants',
      '/settings',
    ]);
  });

  it('closes as one goes on, and asks for finding where that was tapped', async () => {
    const page = await open();
    page.all('a')[0]!.click();
    expect(dismiss).toHaveBeenLastCalledWith(undefined);
    await page.tap('Find anything');
    expect(dismiss).toHaveBeenLastCalledWith('find');
  });
});
