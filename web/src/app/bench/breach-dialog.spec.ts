import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { mount, type Bench } from '../../testing/mount';
import { BreachDialog } from './breach-dialog';

async function open(): Promise<{ page: Bench<BreachDialog>; said: unknown[] }> {
  const said: unknown[] = [];
  const page = await mount(
    BreachDialog,
    {},
    [],
    [
      {
        provide: MAT_DIALOG_DATA,
        useValue: { title: 'Ghost plant, leaves', opens: 'until 12 Apr' },
      },
      { provide: MatDialogRef, useValue: { close: (reason?: string) => said.push(reason) } },
    ],
  );
  return { page, said };
}

const anyway = (page: Bench<BreachDialog>): HTMLButtonElement =>
  page.button('Water anyway') as HTMLButtonElement;

describe('water on an open cut', () => {
  it('is named for what it is, and held back unless a reason is given', async () => {
    const { page, said } = await open();
    expect(page.text).toContain('No water until 12 Apr');
    expect(page.text).toContain('The cut of Ghost plant, leaves is still open');
    expect(anyway(page).disabled).toBe(true);
    await page.tap('Don’t water');
    expect(said).toEqual([undefined]);
  });

  it('goes with a reason of the list', async () => {
    const { page, said } = await open();
    const [first] = page.all('mat-radio-button');
    const reason = first!.textContent.trim();
    first!.querySelector('input')!.click();
    await page.settle();
    expect(anyway(page).disabled).toBe(false);
    await page.tap('Water anyway');
    expect(said).toEqual([reason]);
  });

  it('goes with another reason, once it is said in words', async () => {
    const { page, said } = await open();
    page.all('mat-radio-button').at(-1)!.querySelector('input')!.click();
    await page.settle();
    await page.fill('The other reason', '   ');
    expect(anyway(page).disabled).toBe(true);
    await page.fill('The other reason', ' they shrivel ');
    await page.tap('Water anyway');
    expect(said).toEqual(['they shrivel']);
  });
});
