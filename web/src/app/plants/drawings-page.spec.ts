import { CATALOGUE } from '@hypogeon/core/botany';
import { mount } from '../../testing/mount';
import { DrawingsPage } from './drawings-page';

it('shows every plant large and small, each with its name', async () => {
  const page = await mount(DrawingsPage, {});
  expect(page.all('hy-plant').length).toBeGreaterThanOrEqual(2 * CATALOGUE.length);
  expect(page.all('li').map((li) => li.textContent.trim())).toContain('Aloe vera');
  const named = page.all('svg[role=img]').map((svg) => svg.getAttribute('aria-label'));
  expect(named).toContain('Zamioculcas zamiifolia');
  // Each is drawn once, whoever uses it.
  const uses = page.all('use').map((use) => use.getAttribute('href')!.slice(1));
  for (const id of uses) expect(document.querySelectorAll(`[id="${id}"]`)).toHaveLength(1);
});
