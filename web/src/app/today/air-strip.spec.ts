import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { closureRate, MOULD_RH, referenceClosureDays } from '@hypogeon/core/wound';
import { airOf } from '@hypogeon/core/bench';
import type { Entry } from '@hypogeon/core/journal';
import { demoJournal } from '@hypogeon/core/demo';
import { DAY, mount } from '../../testing/mount';
import { Journal } from '../data/journal';
import { AirStrip } from './air-strip';

@Component({
  selector: 'hy-strip-test',
  imports: [AirStrip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-air-strip [state]="state()" [today]="today" />`,
})
class StripTest {
  protected readonly state = inject(Journal).state;
  protected readonly today = DAY;
}

/** Readings of today, the last word on the air of a place. */
const read = (space: string, tempC: number, rh: number): Entry => ({
  id: `r-${space}`,
  at: '2026-04-09T09:00:00.000Z~0001',
  by: 'test',
  kind: 'air',
  day: DAY,
  space,
  tempC,
  rh,
});

describe('the air on the benches', () => {
  it('says of each how fast a cut closes there, as the wound clock has it', async () => {
    const page = await mount(StripTest);
    const state = page.journal.state();
    const [card] = page.all('a').filter((a) => a.textContent.includes('Lean-to'));
    const days = referenceClosureDays(5, 'soft stem') / closureRate(airOf(state, 'leanto', DAY));
    const said = /closes in about ([\d.]+) days/.exec(card!.textContent)!;
    expect(Number(said[1])).toBeCloseTo(days, days < 10 ? 0.9 : 0);
    expect(card!.getAttribute('href')).toBe('/settings/air/leanto');
  });

  it('draws a week, today in another tone, a day without a reading dashed', async () => {
    const page = await mount(StripTest);
    for (const svg of page.all('svg')) {
      expect(svg.querySelectorAll('rect')).toHaveLength(7);
      expect(svg.querySelectorAll('rect.now')).toHaveLength(1);
      expect(svg.getAttribute('aria-label')).toContain('the last 7 days');
      for (const bar of svg.querySelectorAll('rect')) {
        const tall = Number(bar.getAttribute('height'));
        expect(tall).toBeGreaterThan(0);
        expect(tall).toBeLessThanOrEqual(28);
      }
    }
  });

  it('warns where it is so damp that cuts mould, and where they stand still', async () => {
    const page = await mount(StripTest, {}, [
      ...demoJournal(DAY),
      read('leanto', 18, MOULD_RH + 0.02),
      read('porch', 2, 0.6),
    ]);
    const [damp] = page.all('a').filter((a) => a.textContent.includes('Lean-to'));
    expect(damp!.textContent).toContain('So damp that cuts may mould');
    expect(damp!.classList).toContain('warn');
    const [cold] = page.all('a').filter((a) => a.textContent.includes('North porch'));
    const rate = closureRate(airOf(page.journal.state(), 'porch', DAY));
    expect(rate).toBe(0);
    expect(cold!.textContent).toContain('Cuts stand still here');
  });

  it('without a place leads to where one is added', async () => {
    const page = await mount(StripTest, {}, []);
    expect(page.text).toContain('No places yet. Add one in Settings.');
    expect(page.button('Add one in Settings').getAttribute('href')).toBe('/settings');
  });
});
