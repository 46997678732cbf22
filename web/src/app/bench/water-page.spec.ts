import { mount, type Bench } from '../../testing/mount';
import { WaterPage } from './water-page';

const open = (id: string): Promise<Bench<WaterPage>> => mount(WaterPage, { id });
const settled = async (id: string): Promise<Bench<WaterPage>> => {
  const page = await open(id);
  await page.settle();
  return page;
};

describe('the water of a batch', () => {
  it('says first what the can may do, why, and what would change it', async () => {
    const page = await settled('b-09');
    expect(page.text).toMatch(/Leave it until \w+/);
    expect(page.text).toMatch(/It still holds \d+% of its water; water once/);
    expect(page.text).toContain('eight times in ten');
    expect(page.text).toMatch(/Four degrees warmer/);
  });

  it('draws the pot to scale and the course of its water, with all drinks and weighings', async () => {
    const page = await settled('b-18');
    const pot = page.all('hy-pot-section svg')[0]!;
    expect(pot.getAttribute('aria-label')).toMatch(/Small pot cut through.*the foot is full/);
    expect(pot.querySelectorAll('.grain')).toHaveLength(2);
    await page.unfold();
    const done = page.all('hy-chart tbody tr').map((tr) => tr.lastElementChild!.textContent);
    expect(done.filter((d) => d.includes('weighed')).length).toBeGreaterThan(4);
    expect(done.filter((d) => d.includes('watered')).length).toBeGreaterThan(0);
    expect(page.root.innerHTML).not.toContain('NaN');
  });

  it('tells what weighing has taught, and the weight at which it asks', async () => {
    const page = await settled('b-15');
    expect(page.text).toMatch(
      /dries (\d+% (faster|slower) than|as) modelled, give or take \d+% \(7 weighings\)/,
    );
    expect(page.text).toMatch(/At \d+ g it asks for water; drained it weighs \d+ g/);
  });

  it('sets all schools side by side and changes to another by a tap', async () => {
    const page = await settled('b-18');
    expect(page.all('hy-school-outlooks tbody tr')).toHaveLength(8);
    expect(page.all('hy-school-outlooks tr.marked')[0]!.textContent).toContain('Top 2.5 cm dry');
    await page.tap('Water by: Bone dry, then soak');
    await page.settle();
    expect(page.recorded()).toMatchObject([{ fields: { waterSchool: 'bone-dry' } }]);
    expect(page.all('hy-school-outlooks tr.marked')[0]!.textContent).toContain('Bone dry');
  });

  it('says why a habit is the usual one, where nobody chose it', async () => {
    expect((await settled('b-18')).text).not.toContain('Usual');
    expect((await settled('b-21')).text).toContain('it has stores of its own');
    expect((await settled('b-16')).text).toContain('Usual: by dryness, not by calendar');
  });

  it('notes a drink with its amount, a weight and a touch', async () => {
    const page = await settled('b-19');
    expect(page.text).toContain('Water, overdue');
    await page.tap('Watered');
    await page.fill('How', 'bottom');
    await page.fill('mL a pot (optional)', '550');
    await page.tap('Note it');
    await page.tap('Felt');
    await page.tap('moist');
    await page.tap('Weighed');
    await page.fill('One pot as it stands, g', '3100');
    await page.tap('Note it');
    expect(page.recorded()).toMatchObject([
      { kind: 'watered', how: 'bottom', ml: 550 },
      { kind: 'felt', depthMm: 25, seen: 'moist' },
      { kind: 'weighed', grams: 3100 },
    ]);
  });

  it.each([
    ['Weighed', 'One pot as it stands, g', 'heavy', 'What does one pot weigh'],
    ['Weighed', 'One pot as it stands, g', '12', 'Lighter than this pot without a drop'],
    ['Weighed', 'One pot as it stands, g', '300000', 'More than 200 kg'],
    ['Watered', 'mL a pot (optional)', '-5', 'How much did one pot get?'],
  ])('%s: %s “%s” is asked about and not recorded', async (panel, field, typed, sentence) => {
    const page = await settled('b-15');
    await page.tap(panel);
    await page.fill(field, typed);
    await page.tap('Note it');
    expect(page.text).toContain(sentence);
    expect(page.recorded()).toEqual([]);
  });

  it('refuses days to come and before the cut', async () => {
    const page = await settled('b-15');
    await page.tap('Felt');
    await page.fill('On', '2026-05-01');
    await page.tap('dry');
    expect(page.text).toContain('That day is still to come');
    await page.fill('On', '2025-01-01');
    await page.tap('dry');
    expect(page.text).toContain('It was cut on');
    expect(page.recorded()).toEqual([]);
  });

  it('asks for pot and mix where they are not told, once', async () => {
    const page = await settled('b-25');
    expect(page.text).toContain('What does it stand in?');
    await page.tap('Save');
    expect(page.text).toContain('Choose a pot and a mix');
    await page.fill('Container', 'tray-4');
    await page.fill('Mix', 'leaf-bed');
    await page.tap('Save');
    expect(page.recorded()).toMatchObject([
      { fields: { container: 'tray-4', containers: 1, mix: 'leaf-bed', stemMm: 8 } },
    ]);
    expect(page.text).toContain('Not set yet');
  });

  it('a batch of another journal is no error', async () => {
    expect((await open('nowhere')).text).toContain('No such batch');
  });
});
