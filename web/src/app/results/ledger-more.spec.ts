import { DAY, mount } from '../../testing/mount';
import { ComparePage } from './compare-page';
import { LearnedPage } from './learned-page';
import { LossesPage } from './losses-page';
import { MoneyPage } from './money-page';
import { ReportPage } from './report-page';

describe('ways compared', () => {
  it('answers in plain words first, then figures, then what else differs', async () => {
    const page = await mount(ComparePage);
    await page.fill('By', 'school');
    expect(page.all('.words')[0]!.textContent).toMatch(
      /^(No clear difference|.* roots more often|.* seems to root more often)/,
    );
    // The picture is of the two that the sentence names; tests and p values are folded.
    expect(page.all('hy-chart .place')[0]!.getAttribute('aria-label')).toMatch(
      /Share that rooted. Dry to the touch: \d+%, \d+% to \d+%. Pot at once, no water: /,
    );
    expect(page.text).not.toMatch(/Fisher|Wilson|\bp 0/);
    expect(page.text).toMatch(/They differ in \d+ other things too/);
    expect(page.text).toMatch(/about \d+ cuttings each/);
    await page.unfold();
    expect(page.text).toMatch(
      /Dry to the touch: \d+ of \d+ rooted, \d+–\d+%; Pot at once, no water: /,
    );
    expect(page.text).toMatch(/The difference is −?\d+ of 100 \(−?\d+ to −?\d+\), p \d/);
    const plate = page.all('hy-chart .place')[1]!.getAttribute('aria-label')!;
    expect(plate).toMatch(
      /Dry to the touch: \d+% rooted and \d+% lost by day \d+; Pot at once, no water/,
    );
    await page.unfold();
    expect(page.all('hy-chart tbody tr').length).toBeGreaterThan(5);
    expect(page.root.innerHTML).not.toMatch(/NaN|Infinity/);
    await page.fill('By', 'method');
    expect(page.text).toMatch(/All \d+ side by side/);
    expect(page.text).toMatch(/Leaf ?\d+ ?\d+ ?\d+–\d+% ?\d+–\d+ ?(no clear difference|differs)/);
  });

  it.each(['method', 'plant', 'gate', 'watering', 'pot', 'space', 'mother', 'mix', 'first water'])(
    'by %s: any pair is defined',
    async (by) => {
      const page = await mount(ComparePage);
      await page.fill('By', by);
      await page.unfold();
      // Two groups with their shares, or the sentence that there are none: never an empty page.
      expect(page.text).toMatch(
        /: \d+ of \d+ rooted, \d+–\d+%; .*: \d+ of \d+ rooted|Two groups with counted batches/,
      );
      expect(page.root.innerHTML).not.toMatch(/NaN|Infinity|undefined/);
    },
  );

  it('keeps to one plant where asked, and says what is missing', async () => {
    const page = await mount(ComparePage);
    await page.fill('Only by', 'plant');
    await page.fill('Which plant', 'Echeveria elegans');
    await page.unfold();
    expect(page.text).toMatch(/Leaf: 27 of 36 rooted/);
    expect((await mount(ComparePage, {}, [])).text).toContain('Two groups with counted batches');
  });
});

describe('losses', () => {
  it('finds nothing in noise and says what comes nearest; weeks and places stand beside', async () => {
    const page = await mount(LossesPage);
    expect(page.all('.words')[0]!.textContent).toMatch(
      /^Nothing stands out from chance; three in four were lost by week \d+ after the cut\.$/,
    );
    // The picture of that sentence stands alone until more is asked for.
    expect(page.all('hy-chart')).toHaveLength(1);
    expect(page.text).not.toMatch(/Fisher|Holm/);
    await page.unfold();
    expect(page.text).toMatch(/\d+ comparisons were made/);
    expect(page.text).toMatch(/Nearest: .* against \d+% elsewhere/);
    expect(page.all('hy-chart .place')[0]!.getAttribute('aria-label')).toMatch(/most in week \d/);
    expect(page.text).toContain('North porch');
    expect(page.text).toContain('After 4–7 days');
    expect(page.all('hy-chart')).toHaveLength(2);
    expect((await mount(LossesPage, {}, [])).text).toContain('Nothing lost yet');
  });
});

describe('what was learned', () => {
  it('shows catalogue and bench side by side, with the cuttings behind it', async () => {
    const page = await mount(LearnedPage);
    await page.unfold();
    expect(page.text).toMatch(/Wounds close here \d+% slower than modelled \(\d\.\d\d to \d\.\d\d/);
    const leaf = page
      .all('tbody tr')
      .map((r) => r.textContent.replace(/\s+/g, ' '))
      .find((r) => /Echeveria elegans ?leaves/.test(r))!;
    expect(leaf).toMatch(/70% ?72% ?36/);
    expect((await mount(LearnedPage, {}, [])).text).toContain('the clock runs as modelled');
  });

  it('a batch is left out with a reason, and taken in again', async () => {
    const page = await mount(LearnedPage);
    await page.unfold();
    const leave = /^Leave out Snowball bowl, leaves/;
    await page.tap(leave);
    const asks = await page.dialog();
    await asks.tap('Leave out');
    expect(asks.text).toContain('Say why');
    await asks.fill('Why', 'The cat slept on it');
    await asks.tap('Leave out');
    // The dialog fades before it answers.
    for (let i = 0; i < 50 && page.recorded().length === 0; i++) {
      await new Promise((resolve) => setTimeout(resolve, 20));
      await page.settle();
    }
    expect(page.recorded()).toMatchObject([{ fields: { excluded: 'The cat slept on it' } }]);
    expect(page.text).not.toMatch(/Echeveria elegans ?leaves/);
    await page.tap(/^Take in again/);
    expect(page.text).toMatch(/Echeveria elegans ?leaves/);
  });
});

describe('learning afresh', () => {
  it('begins on a day, with a reason, and can be taken back', async () => {
    const page = await mount(LearnedPage);
    await page.unfold();
    await page.tap('Start afresh');
    expect(page.text).toContain('Say why');
    await page.fill('Why', 'New water from the tank');
    await page.tap('Start afresh');
    expect(page.recorded()).toMatchObject([
      { record: 'settings', fields: { learnFrom: DAY, learnWhy: 'New water from the tank' } },
    ]);
    expect(page.text).toContain('Nothing yet: a batch teaches once');
    expect(page.text).toContain('New water from the tank');
    await page.tap('Learn from all again');
    await page.unfold();
    expect(page.text).toMatch(/Echeveria elegans ?leaves/);
  });
});

describe('money and time', () => {
  it('says what a plant cost with its range, by method and mix, and what the lost were worth', async () => {
    const page = await mount(MoneyPage);
    expect(page.text).toMatch(/A finished plant cost €\d+\.\d\d \(€\d+\.\d\d–€\d+\.\d\d\)/);
    expect(page.text).toMatch(/and \d+\.\d minutes/);
    // Without a price a plant sells for, what was lost is worth nothing that could be said.
    const price = (plantPrice: number | null) =>
      page.journal.record({
        kind: 'put',
        record: 'settings',
        key: 'grower',
        fields: { plantPrice },
      });
    await price(null);
    await page.settle();
    expect(page.text).toContain('Say what a plant sells for');
    await page.fill('A row for each', 'mix');
    expect(page.all('tbody tr').length).toBeGreaterThan(1);
    expect(page.root.innerHTML).not.toMatch(/NaN|Infinity|undefined/);
    await price(2);
    await page.settle();
    const [lost, fetched] = /(\d+) were lost.*, €(\d+\.\d\d) they would have sold for/
      .exec(page.text)!
      .slice(1)
      .map(Number);
    expect(fetched).toBe(2 * lost!);
    expect((await mount(MoneyPage, {}, [])).text).toContain('No batch is settled yet');
  });
});

describe('the season report', () => {
  it('tells of the batches cut between two days and no others', async () => {
    const page = await mount(ReportPage);
    const batches = (): number => Number(/(\d+) batch(es)?, \d+ cuttings set/.exec(page.text)![1]);
    const year = batches();
    expect(page.all('hy-counted-table')).toHaveLength(2);
    await page.fill('Cut from', '2026-02-01');
    expect(batches()).toBeLessThan(year);
    expect(page.text).toContain('Made by Hypogeon on Thursday 9 April');
    await page.fill('To', '2026-01-01');
    expect(page.text).toContain('The first day lies after the last');
    await page.fill('Cut from', '2001-01-01');
    await page.fill('To', '2001-02-01');
    expect(page.text).toContain('Nothing was cut between these days');
  });
});
