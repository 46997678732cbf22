import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { agendaOn, roundOn, type AgendaLine as Line } from '@hypogeon/core/round';
import { DAY, mount, type Bench } from '../../testing/mount';
import { Journal } from '../data/journal';
import { AgendaLine } from './agenda-line';

/** The first line of the demo's day that is asked for. */
@Component({
  selector: 'hy-line-test',
  imports: [AgendaLine],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (line(); as l) {
      <hy-agenda-line [line]="l" [state]="state()" (tapped)="taps = taps + 1" />
    }
  `,
})
class LineTest {
  protected readonly state = inject(Journal).state;
  readonly such = input.required<(line: Line) => boolean>();
  protected readonly line = computed(() =>
    agendaOn(this.state(), roundOn(this.state(), DAY, new Map()), DAY)
      .flatMap((place) => place.lines)
      .find((l) => this.such()(l)),
  );
  taps = 0;
}

const open = (such: (line: Line) => boolean): Promise<Bench<LineTest>> => mount(LineTest, { such });

describe('a line of the day', () => {
  it('of one batch names it, where it stands and how late it is, and is done with one tap', async () => {
    const page = await open((l) => l.band === 'do' && l.items.length === 1 && l.kind === 'pot-on');
    const line = page.all('hy-agenda-line')[0]!.textContent.replace(/\s+/g, ' ');
    expect(line).toMatch(/Pot on \d+ \w+/);
    expect(line).toMatch(/· (\w| )+/);
    await page.tap(/Potted/);
    expect(page.fixture.componentInstance.taps).toBe(1);
  });

  it('says why behind it, how sure, and closes again by Escape', async () => {
    const page = await open((l) => l.band === 'do' && l.items.length === 1);
    const more = page.button(/^Why, postpone: /);
    expect(more.getAttribute('aria-expanded')).toBe('false');
    await page.tap(/^Why, postpone: /);
    expect(page.button(/^Why, postpone: /).getAttribute('aria-expanded')).toBe('true');
    const [why] = page.all('hy-agenda-more p');
    expect(why!.textContent.trim().length).toBeGreaterThan(20);
    page
      .all('hy-agenda-more')[0]!
      .dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
    await page.settle();
    expect(page.all('hy-agenda-more')).toHaveLength(0);
  });

  it('of several is one tap for all, and each by itself behind it', async () => {
    const page = await open((l) => l.band === 'look' && l.items.length > 1);
    const [line] = page.all('hy-agenda-line');
    if (!line) throw new Error('the demo has no line of several');
    await page.tap(/^Show which: /);
    const each = page.all('hy-agenda-more li');
    expect(each.length).toBeGreaterThan(1);
    for (const li of each)
      expect(li.querySelector('a')!.getAttribute('href')).toMatch(/^\/bench\//);
    await page.tap(/^Show which: /);
    expect(page.all('hy-agenda-more')).toHaveLength(0);
  });
});
