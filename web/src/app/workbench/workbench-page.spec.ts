import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { MatButtonHarness } from '@angular/material/button/testing';
import { MatDialogHarness } from '@angular/material/dialog/testing';
import { MatTabNavBarHarness } from '@angular/material/tabs/testing';
import { mount } from '../../testing/mount';
import { WorkbenchPage } from './workbench-page';

describe('the workbench of components', () => {
  it('shows the kit, and asks before what cannot be undone', async () => {
    const page = await mount(WorkbenchPage, {}, []);
    const loader = TestbedHarnessEnvironment.loader(page.fixture);
    const root = TestbedHarnessEnvironment.documentRootLoader(page.fixture);
    const tabs = await loader.getHarness(MatTabNavBarHarness);
    expect(await Promise.all((await tabs.getLinks()).map((l) => l.getLabel()))).toEqual([
      'This one',
      'Another',
    ]);
    const answer = async (text: string): Promise<string> => {
      const ask = await loader.getHarness(MatButtonHarness.with({ text: 'A question first' }));
      await ask.click();
      const dialog = await root.getHarness(MatDialogHarness);
      expect(await dialog.getTitleText()).toBe('Empty the bench?');
      const button = await root.getHarness(MatButtonHarness.with({ text }));
      await button.click();
      // The dialog fades before it answers.
      const told = (): string => page.root.querySelector('section [role=status]')!.textContent;
      const before = told();
      for (let i = 0; i < 50 && told() === before; i++) {
        await new Promise((resolve) => setTimeout(resolve, 20));
        await page.settle();
      }
      return page.root.querySelector('[role=status]')!.textContent;
    };
    expect(await answer('Cancel')).toBe('Left as it was');
    expect(await answer('Empty it')).toBe('Emptied');
  });
});
