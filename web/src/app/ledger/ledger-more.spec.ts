import { mount } from '../../testing/mount';
import { ComparePage } from './compare-page';
import { LearnedPage } from './learned-page';
import { LossesPage } from './losses-page';

describe('ways compared', () => {
  it('answers in plain words first, then figures, then what else differs', async () => {
    const page = await mount(ComparePage);
    await page.fill('By', 'school');
    expect(page.all('.answer')[0]!.textContent).toMatch(
      /Not told apart yet: chance alone would do as much \d+ times in a hundred/,
    );
    expect(page.text).toMatch(/Dry to touch: \d+ of \d+ rooted, \d+–\d+ %; Straight in: /);
    expect(page.text).toMatch(/The difference is -?\d+ points \(-?\d+ to \d+\)/);
    expect(page.text).toContain('They differ in other things too');
    expect(page.text).toMatch(/about \d+ cuttings each/);
    const plate = page.all('hy-incidence-plate svg')[0]!.getAttribute('aria-label')!;
    expect(plate).toMatch(/Dry to touch: \d+ % rooted and \d+ % lost by day \d+; Straight in/);
    expect(page.all('details tbody tr').length).toBeGreaterThan(5);
    expect(page.root.innerHTML).not.toMatch(/NaN|Infinity/);
  });

  it.each(['method', 'plant', 'gate', 'watering', 'pot', 'space', 'mother', 'mix', 'first water'])(
    'by %s: any pair is defined',
    async (by) => {
      const page = await mount(ComparePage);
      await page.fill('By', by);
      expect(page.root.innerHTML).not.toMatch(/NaN|Infinity|undefined/);
    },
  );

  it('keeps to one plant where asked, and says what is missing', async () => {
    const page = await mount(ComparePage);
    await page.fill('Only of (optional)', 'Echeveria elegans');
    expect(page.text).toMatch(/Leaf: 27 of 36 rooted/);
    expect((await mount(ComparePage, {}, [])).text).toContain('Two groups with counted batches');
  });
});

describe('losses', () => {
  it('finds nothing in noise and says what comes nearest; weeks and places stand beside', async () => {
    const page = await mount(LossesPage);
    expect(page.text).toContain('Nothing stands out from chance.');
    expect(page.text).toMatch(/\d+ comparisons were made/);
    expect(page.text).toMatch(/Nearest: .* against \d+ % elsewhere/);
    expect(page.all('hy-loss-weeks svg')[0]!.getAttribute('aria-label')).toMatch(/most in week \d/);
    expect(page.text).toContain('North porch');
    expect((await mount(LossesPage, {}, [])).text).toContain('Nothing lost yet');
  });
});

describe('what was learned', () => {
  it('shows catalogue and bench side by side, with the cuttings behind it', async () => {
    const page = await mount(LearnedPage);
    expect(page.text).toMatch(
      /Wounds close here \d+ % slower than modelled \(\d\.\d\d to \d\.\d\d/,
    );
    const leaf = page
      .all('tbody tr')
      .map((r) => r.textContent.replace(/\s+/g, ' '))
      .find((r) => /Echeveria elegans ?leaves/.test(r))!;
    expect(leaf).toMatch(/70 % ?74 % ?36/);
    expect((await mount(LearnedPage, {}, [])).text).toContain('the clock runs as modelled');
  });

  it('a batch is left out with a reason, and taken in again', async () => {
    const page = await mount(LearnedPage);
    const leave = /^Leave out Echeveria leaves/;
    await page.tap(leave);
    expect(page.text).toContain('Say why');
    const input = page.button(leave).closest('li')!.querySelector('input')!;
    input.value = 'The cat slept on it';
    input.dispatchEvent(new Event('input'));
    await page.settle();
    await page.tap(leave);
    expect(page.recorded()).toMatchObject([{ fields: { excluded: 'The cat slept on it' } }]);
    expect(page.text).not.toMatch(/Echeveria elegans ?leaves/);
    await page.tap('Take in again');
    expect(page.text).toMatch(/Echeveria elegans ?leaves/);
  });
});
