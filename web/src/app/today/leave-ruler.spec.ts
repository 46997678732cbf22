import { careOf, type Leave } from '@hypogeon/core/care';
import { addDays, type Day } from '@hypogeon/core/days';
import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { DAY, mount, type Bench } from '../../testing/mount';
import { Journal } from '../data/journal';
import { LeaveRuler } from './leave-ruler';

type Change = (gate: Leave, all: readonly Leave[]) => readonly Leave[];

/** The ruler over what the demo leaves alone, so often over as is asked. */
@Component({
  selector: 'hy-ruler-test',
  imports: [LeaveRuler],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-leave-ruler [items]="items()" [state]="state()" [today]="today" />`,
})
class RulerTest {
  protected readonly state = inject(Journal).state;
  protected readonly today = DAY;
  readonly change = input<Change>((l) => [l]);
  protected items(): readonly Leave[] {
    const state = this.state();
    const all = [...state.batches.values()].flatMap((b) => careOf(state, b, DAY).leave);
    const gate = all.find((l) => l.kind === 'gate' && l.until > DAY)!;
    return this.change()(gate, all);
  }
}

const span = (leave: Leave, earliest: Day, until: Day, latest: Day): Leave => ({
  ...leave,
  earliest,
  until,
  latest,
});
const open = (change: Change): Promise<Bench<RulerTest>> => mount(RulerTest, { change });
const part = (page: Bench<RulerTest>, kind: string): HTMLElement | undefined =>
  page.all(`i.${kind}`)[0];

describe('the ruler of what is left alone', () => {
  it('hatches the days without water for sure, fades over the doubtful, and draws the line between', async () => {
    const page = await open((l) => [span(l, addDays(DAY, 4), addDays(DAY, 7), addDays(DAY, 11))]);
    // Fourteen days wide.
    expect(parseFloat(part(page, 'solid')!.style.width)).toBeCloseTo((4 / 14) * 100, 6);
    expect(parseFloat(part(page, 'fade')!.style.left)).toBeCloseTo((4 / 14) * 100, 6);
    expect(parseFloat(part(page, 'fade')!.style.width)).toBeCloseTo((7 / 14) * 100, 6);
    expect(parseFloat(part(page, 'gate')!.style.left)).toBeCloseTo(50, 6);
  });

  it('points on where the day lies beyond its end, and is never wider than the ruler', async () => {
    const page = await open((l) => [span(l, addDays(DAY, 10), addDays(DAY, 40), addDays(DAY, 90))]);
    expect(part(page, 'gate')).toBeUndefined();
    expect(part(page, 'beyond')).toBeDefined();
    const wide = ['solid', 'fade'].map((kind) => parseFloat(part(page, kind)!.style.width));
    expect(wide[0]! + wide[1]!).toBeCloseTo(100, 6);
  });

  it('says the same in words, to who does not see it, and leads to the batch', async () => {
    const page = await open((l) => [l]);
    const [link] = page.all('li a');
    expect(link!.getAttribute('href')).toMatch(/^\/bench\/b-\d+$/);
    const [said] = page.all('li .unseen');
    expect(said!.textContent).toMatch(/\w+.*\. .*\d+ \w+.*\. \w+/);
  });

  it('shows eight, and the rest with one tap', async () => {
    let many = 0;
    const page = await open((_, all) => {
      many = all.length;
      return all;
    });
    expect(many).toBeGreaterThan(8);
    expect(page.all('li')).toHaveLength(8);
    await page.tap(`and ${many - 8} more`);
    expect(page.all('li')).toHaveLength(many);
    expect(page.text).not.toMatch(/\d+ more/);
  });

  it('marks each Monday of the two weeks', async () => {
    const page = await open((l) => [l]);
    const [head] = page.all('hy-leave-ruler > div');
    const days = [...head!.querySelectorAll('span')].map((s) => s.textContent.trim());
    expect(days).toHaveLength(14);
    // DAY is a Thursday.
    expect(days.slice(0, 5)).toEqual(['T', 'F', 'S', 'S', 'M']);
    expect(page.all('i.monday')).toHaveLength(2);
  });
});
