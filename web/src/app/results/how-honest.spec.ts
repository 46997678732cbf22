import { mount } from '../../testing/mount';
import { HowHonest } from './how-honest';
import PLAYED from './honesty.json';

it('says beside every promise how often it held, once it is opened', async () => {
  const page = await mount(HowHonest);
  page.all('mat-expansion-panel-header')[0]!.click();
  await page.settle();
  const rows = page.all('tbody tr').map((tr) => tr.textContent);
  expect(rows).toHaveLength(PLAYED.length);
  const shares = PLAYED.filter((p) => p.is === 'holds');
  expect(shares.length).toBeGreaterThan(5);
  // Short of what is said by two of a hundred at most.
  for (const { stated, reached } of shares) expect(reached).toBeGreaterThan(stated - 0.02);
  expect(page.text).toContain('nine times in ten');
});
