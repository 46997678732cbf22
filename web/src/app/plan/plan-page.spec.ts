import { demoJournal } from '@hypogeon/core/demo';
import { DAY, mount, type Bench } from '../../testing/mount';
import { PlanPage } from './plan-page';

const open = (mother: string): Promise<Bench<PlanPage>> => mount(PlanPage, { mother });
const gate = (page: Bench<PlanPage>): number =>
  Number(/(\d+) days? after the cut/.exec(page.text)![1]);
/** What the row of a way says. */
const row = (page: Bench<PlanPage>, name: string): string =>
  page
    .all('hy-way-rows button')
    .map((b) => b.textContent.replace(/\s+/g, ' ').trim())
    .find((text) => text.includes(name)) ?? '';
const take = async (page: Bench<PlanPage>, name: string): Promise<void> => {
  page
    .all('hy-way-rows button')
    .find((b) => b.textContent.includes(name))!
    .click();
  await page.settle();
};

describe('planning a batch', () => {
  it('asks for a mother first', async () => {
    expect((await mount(PlanPage, {}, [])).text).toContain('First a mother');
    const page = await mount(PlanPage);
    expect(page.all('hy-mother-wall button')).toHaveLength(12);
    await page.tap(/^Snowball bowl/);
    expect(page.text).toContain('Cut today; set Sun 12 Apr.');
  });

  it('says which months of the place are guesses, and that its dates carry them', async () => {
    const page = await open('m-eche');
    expect(page.text).not.toContain('is a guess from other months');
    const monthly = Array.from({ length: 12 }, () => ({ minC: 8, maxC: 18, rh: 0.6, spreadC: 2 }));
    const guessed = demoJournal(DAY).map((entry) => {
      const put = entry as { readonly record?: string; readonly fields?: object };
      return put.record === 'space'
        ? ({ ...put, fields: { ...put.fields, monthly } } as typeof entry)
        : entry;
    });
    const unsure = await mount(PlanPage, { mother: 'm-eche' }, guessed);
    expect(unsure.text).toMatch(/The warmth of April, May.* there is a guess from other months/);
  });

  it('shows the gate for the usual cut before anything is typed', async () => {
    const page = await open('m-eche');
    expect(page.text).toMatch(
      /Cut today; set Sun 12 Apr\. First mist \w+ \d+ Apr\. Look for roots from/,
    );
    expect(page.field('Wound width, mm').placeholder).toBe('usually 3.5 mm');
    expect(page.all('hy-gate-ranges')).toHaveLength(3);
  });

  it('a mother who had better wait is planned for her day in one tap', async () => {
    const page = await open('m-gast');
    const [, weekday] = /Wait until (\w+ \d+ \w+)/.exec(page.text)!;
    expect(page.text).toContain('Cut today;');
    await page.tap(/^Plan it for /);
    expect(page.text).toContain(`Cut ${weekday}; set`);
    expect(page.text).not.toContain('Cut today;');
    expect(page.text).not.toContain('Plan it for');
  });

  it('moves it with what is typed, in any unit', async () => {
    const page = await open('m-eche');
    const usual = gate(page);
    await page.fill('Wound width, mm', '1 in');
    const wide = gate(page);
    expect(wide).toBeGreaterThan(usual);
    await page.fill('Wound width, mm', '25.4');
    expect(gate(page)).toBe(wide);
    await page.fill('Dries in', 'porch');
    expect(gate(page)).toBeGreaterThan(wide);
  });

  it('has the chosen school, width and place stand out among what moves the gate', async () => {
    const page = await open('m-eche');
    const chosen = page
      .all('hy-gate-ranges tr.chosen th')
      .map((th) => th.textContent.replace(', chosen', '').trim());
    expect(chosen).toEqual(['Dry to the touch', '3.5 mm', 'Lean-to']);
  });

  it('asks for a thickness only where a strap is cut, and has no gate without a wound', async () => {
    const page = await open('m-hawo');
    expect(() => page.field('Its thickness, mm')).toThrow();
    await take(page, 'Offset with roots');
    expect(page.text).toContain('No open cut');
    expect(() => page.field('Wound width, mm')).toThrow();
    expect(() => (page.field('How long to dry the cut'), null)).toThrow();
    expect((await open('m-gast')).field('Its thickness, mm').placeholder).toBe('usually 10 mm');
  });

  it('records the plan and the cut together, and only what was chosen', async () => {
    const page = await open('m-opun');
    await page.fill('How many', '6');
    await page.fill('Tray or place (optional)', 'Rack D');
    await page.tap(/^Put .* on the bench$/);
    const [put, cut] = page.recorded() as [{ key: string; fields: object }, object];
    expect(put.fields).toEqual({
      mother: 'm-opun',
      taxon: 'opuntia-microdasys',
      method: 'pad',
      count: 6,
      cutOn: '2026-04-09',
      school: 'long-cure',
      callusAt: 'rack',
      callusSpace: 'leanto',
      space: 'leanto',
      disinfectant: 'alcohol',
      place: 'Rack D',
    });
    expect(cut).toEqual({ kind: 'cut', batch: put.key, day: '2026-04-09' });
    expect(page.stores.books.own.size).toBe(2);
  });

  it('only plans what is cut later', async () => {
    const page = await open('m-opun');
    await page.fill('How many', '2');
    await page.fill('Cut on', '2026-05-01');
    await page.tap('Plan 2 pads');
    expect(page.recorded()).toHaveLength(1);
    const [batch] = [...page.journal.state().batches.values()].filter((b) => b.count === 2);
    expect(batch).toMatchObject({ stage: 'planned', cutOn: '2026-05-01' });
  });

  it.each([
    ['How many', '', 'How many are taken?'],
    ['How many', '0', 'A whole number of 1 or more.'],
    ['How many', '10001', 'At most 10,000 in one batch.'],
    ['Wound width, mm', '-3', 'A length is more than nothing.'],
    ['Wound width, mm', '3 kg', 'is not a length'],
    ['Wound width, mm', '0', 'A length is more than nothing.'],
    ['Cut on', '2030-01-01', 'More than two years ahead.'],
    ['Cut on', '1999-01-01', 'More than ten years back.'],
  ])('%s “%s” gets a sentence at its field and records nothing', async (label, typed, sentence) => {
    const page = await open('m-eche');
    await page.fill('How many', '5');
    await page.fill(label, typed);
    await page.tap(/^(Put|Plan) .*/);
    expect(page.text).toContain(sentence);
    expect(page.field(label).getAttribute('aria-invalid')).toBe('true');
    expect(page.recorded()).toEqual([]);
  });

  it('lays all ways to what is wanted on one scale, and takes one by a tap', async () => {
    const page = await open('m-eche');
    expect(row(page, 'Crown')).toMatch(/\d+% live/);
    await page.fill('Plants wanted', '24');
    await page.fill('Grown to', 'small');
    await page.fill('By', '2026-07-20');
    expect(page.all('hy-way-rows button')).toHaveLength(4);
    expect(page.all('hy-way-rows .target')).toHaveLength(4);
    expect(page.all('hy-way-rows [aria-pressed=true]')).toHaveLength(1);
    expect(page.all('hy-way-rows [aria-pressed=true]')[0]!.textContent).toMatch(
      /best for this|first by little/,
    );
    expect(page.text).toMatch(/Take \d+ crowns for 24 small plants by Mon 20 Jul\./);
    await take(page, 'Leaf');
    // What the demo's finished batches taught stands beside the catalogue.
    expect(page.text).toMatch(/It can spare 300: a third of its leaves/);
    expect(page.text).toMatch(/\d+% (slower|sooner) than the guide, by your own \d+/);
    expect(page.text).toMatch(/your own \d+ leaves, with the guide/);
    await take(page, 'Crown');
    expect(page.text).toContain('Upside down it never roots');
    const number = Number(page.field('How many').value);
    expect(number).toBeGreaterThan(24);
    expect(number).toBeLessThan(40);
    expect(page.button(/^Put /).textContent.trim()).toBe(`Put ${number} crowns on the bench`);
    page
      .all('mat-expansion-panel-header')
      .find((h) => h.textContent.includes('by the day of cutting'))!
      .click();
    await page.settle();
    expect(page.all('hy-chart .place')[0]!.getAttribute('aria-label')).toMatch(
      /Cuttings needed against the day of cutting: \d+ at best, sensible until/,
    );
    expect(page.root.innerHTML).not.toContain('NaN');
  });

  it('puts ways together where none alone is enough, and records each as its own batch', async () => {
    const page = await open('m-gra2');
    await page.fill('Plants wanted', '12');
    expect(row(page, 'together')).toMatch(/all it can spare.*12 \+ 1/);
    // What cannot be is answered by what would do.
    expect(page.text).toMatch(
      /12 leaves and 1 crown give about \d+ rooted by .*\. For 12 you need \d+ such plants, or until /,
    );
    expect(page.text).toMatch(/12 leaves: ?Cut today.*1 crown: ?Cut today/);
    await page.tap(/^Put .* on the bench$/);
    const kinds = page.recorded() as { kind: string; fields?: { method: string; count: number } }[];
    expect(kinds.map((e) => e.kind)).toEqual(['put', 'cut', 'put', 'cut']);
    expect(kinds.flatMap((e) => (e.fields ? [[e.fields.method, e.fields.count]] : []))).toEqual([
      ['leaf', 12],
      ['crown', 1],
    ]);
  });

  it('keeps what was counted of one mother when another is turned to, and says what is no number', async () => {
    const page = await open('m-gra2');
    await page.tap('One more: crowns');
    await page.fill('It has, leaves', 'many');
    expect(page.text).toContain('A whole number.');
    await page.fill('Mother', 'm-sedu');
    await new Promise((done) => setTimeout(done, 600));
    await page.settle();
    expect(page.recorded()).toMatchObject([
      { record: 'mother', key: 'm-gra2', fields: { has: { leaf: 38, crown: 3 } } },
    ]);
  });

  it('asks what she has where it matters, and keeps it as one count', async () => {
    const page = await open('m-gra2');
    await page.fill('Plants wanted', '12');
    expect(page.field('It has, segments').placeholder).toMatch(/^~\d+$/);
    for (let i = 0; i < 3; i++) await page.tap('One more: crowns');
    expect(page.field('It has, crowns').value).toBe('5');
    await page.fill('It has, leaves', '90');
    await new Promise((done) => setTimeout(done, 600));
    await page.settle();
    expect(page.recorded()).toHaveLength(1);
    expect(page.recorded()[0]).toMatchObject({
      record: 'mother',
      key: 'm-gra2',
      fields: { has: { leaf: 90, crown: 5 } },
    });
    expect(row(page, 'Leaf')).toContain('best for this');
  });

  it('another mother is asked the same', async () => {
    const page = await open('m-eche');
    await page.fill('Plants wanted', '24');
    await page.fill('How sure', '90');
    page.fixture.componentRef.setInput('mother', 'm-sedu');
    await page.settle();
    expect(page.field('Plants wanted').value).toBe('24');
    expect(page.text).toMatch(/24 rooted by/);
  });

  it('a wish that cannot be is told at its field and beneath', async () => {
    const page = await open('m-eche');
    await page.fill('Plants wanted', '0');
    expect(page.text).toContain('A whole number of 1 or more.');
    expect(page.text).toContain('Put the marked field right, and the ways are shown.');
  });

  it('says what can be done instead of what cannot', async () => {
    const page = await open('m-eche');
    await page.fill('Plants wanted', '24');
    await page.fill('By', '2026-04-12');
    expect(page.text).toMatch(/None is rooted by Sun 12 Apr\. For 24 it takes until |The soonest/);
    await page.fill('By', '2026-04-09');
    expect(page.text).toContain('That is before the cut can become anything.');
    await page.fill('Plants wanted', '0');
    expect(page.text).toContain('A whole number of 1 or more.');
    await page.fill('Plants wanted', '6000');
    expect(page.text).toContain('At most 5,000 at once.');
  });

  it('warns where the owner was not asked', async () => {
    const page = await open('m-eche');
    expect(page.text).not.toContain('Not asked yet');
    await page.journal.record({
      kind: 'put',
      record: 'mother',
      key: 'm-eche',
      fields: { permission: 'unknown', protectedVariety: true },
    });
    await page.settle();
    expect(page.text).toContain('Not asked yet');
    expect(page.text).toContain('Often a protected variety');
  });

  it('gives as many as it can spare, by her build where nobody counted', async () => {
    const page = await open('m-grap');
    await page.fill('What for', 'safe');
    expect(row(page, 'Leaf')).toMatch(/take 36 ?about \d+ ?\d+–\d+/);
    await take(page, 'Leaf');
    expect(page.text).toMatch(/36 leaves give about \d+ rooted by/);
    expect(page.field('How many').value).toBe('36');
    await page.journal.record({
      kind: 'put',
      record: 'mother',
      key: 'm-grap',
      fields: { has: null },
    });
    await page.settle();
    expect(row(page, 'Leaf')).toContain('take about');
    expect(page.text).toContain('not counted: count what you want to take');
  });

  it('reckons with thirty fallen leaves', async () => {
    const page = await open('m-grap');
    await page.fill('What for', 'have');
    await page.fill('Pieces', '0');
    expect(page.text).toContain('A whole number of 1 or more.');
    await page.fill('Pieces', '30');
    expect(page.all('hy-way-rows button')).toHaveLength(1);
    expect(page.text).toMatch(/30 leaves give about \d+ rooted/);
  });

  it('shows steps, materials, cost and schools of first water once it is whole', async () => {
    const page = await open('m-eche');
    expect(page.all('hy-plan-result')).toEqual([]);
    await page.fill('How many', '12');
    await page.fill('Goes into (optional)', 'pot-7');
    // One to a pot of seven centimetres, until someone says otherwise.
    expect(page.field('How many of them').placeholder).toBe('12');
    expect(page.text).toContain('12 × ');
    await page.fill('Filled with (optional)', 'mix-bench');
    const mixes = page
      .all('hy-media-outlook tbody tr')
      .map((r) => r.textContent.replace(/\s+/g, ' '));
    expect(mixes).toHaveLength(6);
    expect(mixes[0]).toMatch(/Bench mix ?chosen ?\d+% ?\d+–\d+ d ?\d+–\d+ d/);
    expect(page.text).toContain('What to do when');
    expect(page.text).toMatch(/\d\.\d L of Bench mix, dry: /);
    expect(page.text).toMatch(/in all, €\d\.\d\d a plant that lives/);
    const waters = page
      .all('hy-first-waters tbody tr')
      .map((r) => r.textContent.replace(/\s+/g, ' '));
    expect(waters).toHaveLength(6);
    // At once is at once, with what it risks.
    expect(waters.find((w) => w.includes('At once'))).toMatch(/At once \w+ \d+ Apr\s*\d+%/);
    await page.fill('First water', 'week');
    await page.fill('On the wound', 'cinnamon');
    await page.tap(/^Put .* on the bench$/);
    const [put] = page.recorded() as { fields: object }[];
    expect(put!.fields).toMatchObject({ firstWater: 'week', aid: 'cinnamon', containers: 12 });
  });

  it('a protocol fills in what it names, and a new one is kept under its name', async () => {
    const page = await open('m-eche');
    await page.fill('My routine (optional)', 'p-fair');
    expect(page.list('First water')!.value).toBe('few-days');
    expect(page.list('Goes into (optional)')!.value).toBe('pot-7');
    await page.tap('Save');
    expect(page.text).toContain('Give it a name');
    await page.fill('Its name', 'Slow and dry');
    await page.fill('How long to dry the cut', 'long-cure');
    await page.tap('Save');
    const [kept] = page.recorded() as { record: string; fields: object }[];
    expect(kept).toMatchObject({
      record: 'protocol',
      fields: { name: 'Slow and dry', school: 'long-cure', firstWater: 'few-days' },
    });
  });

  it('says beside the mother whether she may be cut', async () => {
    expect((await open('m-mamm')).text).toContain('Do not cut it. Pests or rot.');
    expect((await open('m-eche')).text).toContain('May be cut today.');
  });
});
