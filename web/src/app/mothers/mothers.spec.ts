import { mount } from '../../testing/mount';
import { MotherForm } from './mother-form';
import { MotherPage } from './mother-page';
import { MothersPage } from './mothers-page';

describe('what was done to a mother', () => {
  it('repotted: a week dry and in shade, then water is asked for', async () => {
    const page = await mount(MotherPage, { id: 'm-aeon' });
    await page.tap('Repotted');
    await page.fill('The roots came', 'bared');
    await page.tap('Repotted today');
    expect(page.recorded()).toMatchObject([{ kind: 'repotted', mother: 'm-aeon', roots: 'bared' }]);
    expect(page.text).toMatch(/No water until Thu 16 Apr/);
    expect(page.text).toMatch(/Shade until Sun 19 Apr/);
  });

  it('divided: how many parts, and whether anything was cut', async () => {
    const page = await mount(MotherPage, { id: 'm-aeon' });
    await page.tap('Divided');
    await page.fill('Parts, herself among them (optional)', '1');
    await page.tap('Divided today');
    expect(page.text).toContain('2 or more, or leave it empty');
    await page.fill('Parts, herself among them (optional)', '3');
    await page.tap('Divided today');
    expect(page.recorded()).toMatchObject([{ kind: 'divided', mother: 'm-aeon', pieces: 3 }]);
  });
});

describe('a look at what grows again', () => {
  it('new heads are counted, or not; what is no number is asked about', async () => {
    const page = await mount(MotherPage, { id: 'm-eche' });
    await page.fill('New heads or buds', 'some');
    await page.tap('Looked');
    expect(page.text).toContain('How many? A whole number, or empty.');
    expect(page.recorded()).toEqual([]);
    await page.fill('New heads or buds', '3');
    await page.tap('Looked');
    expect(page.recorded()).toMatchObject([{ kind: 'mothered', what: 'looked', heads: 3 }]);
    expect(page.text).toContain('3 new heads or buds today: the next cut when they are as large');
  });
});

describe('adding a mother', () => {
  it('asks for what is missing, at each field, and records nothing', async () => {
    const page = await mount(MotherForm, {}, []);
    await page.tap('Add the mother');
    expect(page.text).toContain('Which plant is it?');
    expect(page.text).toContain('What do you call it at the bench?');
    expect(page.text).toContain('May it be propagated?');
    expect(page.recorded()).toEqual([]);
  });

  it('records a plant of the library with its permission', async () => {
    const page = await mount(MotherForm, {}, []);
    await page.fill('Plant', 'aeonium ARBOREUM');
    expect(page.text).toContain('A leaf carries no bud');
    await page.fill('What you call it', '  The tall one ');
    await page.fill('May it be propagated?', 'asked');
    await page.tap('Add the mother');
    expect(page.recorded()).toMatchObject([
      {
        kind: 'put',
        record: 'mother',
        fields: { name: 'The tall one', taxon: 'aeonium-arboreum', permission: 'asked' },
      },
    ]);
  });

  it('makes an own plant once, however many mothers of it there are', async () => {
    const page = await mount(MotherForm, {}, []);
    for (const name of ['First', 'Second']) {
      await page.fill('Plant', 'Nameless cross');
      await page.fill('Most like', 'echeveria-elegans');
      await page.fill('What you call it', name);
      await page.fill('May it be propagated?', 'own');
      await page.tap('Add the mother');
    }
    const { ownTaxa, mothers } = page.journal.state();
    expect([...ownTaxa.values()].map((t) => t.name)).toEqual(['Nameless cross']);
    expect(new Set([...mothers.values()].map((m) => m.taxon)).size).toBe(1);
    expect(mothers.size).toBe(2);
  });

  it('does not take a day to come', async () => {
    const page = await mount(MotherForm, {}, []);
    await page.fill('With us since (optional)', '2026-12-01');
    await page.tap('Add the mother');
    expect(page.text).toContain('That day is still to come.');
  });

  it('keeps what was typed when the page is left and opened again', async () => {
    const page = await mount(MotherForm, {}, []);
    await page.fill('What you call it', 'Half done');
    expect(page.stores.draft('mother.new')).toEqual({ name: 'Half done' });
  });

  it('changes one that is known, starting from what is kept of her', async () => {
    const page = await mount(MotherForm, { id: 'm-aeon' });
    expect(page.field('What you call it').value).toBe('The tall aeonium');
    await page.fill('Where it came from', '');
    await page.tap('Keep the change');
    expect(page.journal.state().mothers.get('m-aeon')!.provenance).toBeUndefined();
    expect(page.journal.state().mothers.get('m-aeon')!.permission).toBe('asked');
  });
});

describe('mothers', () => {
  it('tells where each came from and what she gave', async () => {
    const page = await mount(MothersPage);
    const rows = page.all('li').map((li) => li.textContent.replace(/\s+/g, ' '));
    expect(rows).toHaveLength(12);
    const aeonium = rows.find((r) => r.includes('The tall aeonium'))!;
    expect(aeonium).toContain('the owner said yes');
    expect(aeonium).toContain('gave 33, 19 rooted so far');
    expect(aeonium).toContain('North porch');
  });

  it('shows one with her ways, cautions and batches', async () => {
    const page = await mount(MotherPage, { id: 'm-opun' });
    expect(page.text).toContain('Pad or joint');
    expect(page.text).toMatch(/Roots in 14–35 days, pups in 60–180 at 22 °C; \d+–\d+% succeed/);
    expect(page.text).toContain('Glochids');
    expect(page.text).toMatch(/14 taken in 2 batches: 7 rooted, \d lost, \d still waiting/);
    expect(page.text).toContain('5 of 17 to spare');
    expect(page.all('.tree a')).toHaveLength(3);
    expect((await mount(MotherPage, { id: 'no' })).text).toContain('No such mother');
  });

  it('wears the grower’s own picture where there is one, and is drawn again on demand', async () => {
    const page = await mount(MotherPage, { id: 'm-opun' });
    expect(page.all('hy-mother-picture svg').length).toBeGreaterThan(0);
    await page.journal.record({
      kind: 'put',
      record: 'mother',
      key: 'm-opun',
      fields: { picture: { id: 'p1', width: 1600, height: 1200 } },
    });
    await page.settle();
    expect(page.all('hy-mother-picture hy-picture')).toHaveLength(1);
    expect(page.all('hy-mother-picture svg')).toHaveLength(0);
    await page.tap('Draw it instead');
    expect(page.journal.state().mothers.get('m-opun')).not.toHaveProperty('picture');
    expect(page.all('hy-mother-picture svg').length).toBeGreaterThan(0);
  });

  it('answers first whether she may be cut, and why', async () => {
    const verdict = async (id: string) => {
      const page = await mount(MotherPage, { id });
      return [page.all('.verdict')[0]!.textContent.trim(), page.text] as const;
    };
    expect((await verdict('m-eche'))[0]).toBe('May be cut today');
    expect((await verdict('m-sedu'))[0]).toBe('Check the plant first');
    const [mealy, pests] = await verdict('m-mamm');
    expect(mealy).toBe('Do not cut it');
    expect(pests).toContain('clean for 14 days');
    const [limp, thirst] = await verdict('m-hawo');
    expect(limp).toBe('Wait until Sat 11 Apr');
    expect(thirst).toContain('Pulled in tight; the tap was off.');
    const [resting] = await verdict('m-cere');
    expect(resting).toMatch(/^Wait/);
  });

  it('a look changes the answer, and is recorded as seen', async () => {
    const page = await mount(MotherPage, { id: 'm-mamm' });
    await page.tap('Record the look');
    expect(page.text).toContain('Answer one question at least.');
    const radio = (name: string, yes: boolean) =>
      page.all(`[aria-labelledby=q-${name}] button`)[yes ? 0 : 1]!.click();
    radio('turgid', true);
    radio('clean', true);
    await page.fill('Last watered (optional)', '2026-04-12');
    expect(page.text).toContain('That day is still to come.');
    await page.fill('Last watered (optional)', '2026-04-07');
    await page.tap('Record the look');
    expect(page.recorded()).toEqual([
      {
        kind: 'examined',
        mother: 'm-mamm',
        turgid: true,
        clean: true,
        wateredOn: '2026-04-07',
        day: '2026-04-09',
      },
    ]);
    // Clean for fourteen days first: the pests were seen two days ago.
    expect(page.all('.verdict')[0]!.textContent.trim()).toBe('Wait until Thu 23 Apr');
  });

  it('draws her year, with its spells in words and a table', async () => {
    const page = await mount(MotherPage, { id: 'm-eche' });
    const year = page.all('hy-mother-season .place')[0]!.getAttribute('aria-label')!;
    expect(year).toMatch(/^The year from Thu 9 Apr: grows .*, edge /);
    expect(page.text).toMatch(/Roots should stand by \w+ \d+ (Oct|Nov), when it closes/);
    await page.unfold();
    expect(page.all('hy-mother-season tbody tr')).toHaveLength(13);
    expect(page.root.innerHTML).not.toContain('NaN');
    const bare = await mount(MotherPage, { id: 'm1' }, [
      {
        id: 'e1',
        at: '2026-03-01T08:00:00.000Z~0000',
        by: 'demo',
        day: '2026-03-01',
        kind: 'put',
        record: 'mother',
        key: 'm1',
        fields: { name: 'Bare', taxon: 'aeonium-arboreum', permission: 'own' },
      },
    ]);
    expect(bare.text).toContain('Give it a place');
    expect(bare.text).toContain('Nothing taken yet.');
  });

  it('shows the family over generations, as a picture and as a table', async () => {
    const page = await mount(MotherPage, { id: 'm-gra2' });
    const names = page.all('.tree a strong').map((a) => a.textContent.trim());
    expect(names[0]).toBe('Ghost plant by the tap');
    expect(names).toContain('Ghost plant, the second');
    expect(page.all('.tree .here')).toHaveLength(1);
    expect(page.all('hy-family-tree tbody tr')).toHaveLength(names.length);
  });
});

describe('a mother raised here', () => {
  it('is filled in from her batch, with place, height and what she has', async () => {
    const page = await mount(MotherForm, { from: 'b-11' });
    expect(page.field('Plant').value).toBe('Graptopetalum paraguayense');
    await page.fill('What you call it', 'The third');
    await page.fill('Height, mm', 'tall');
    await page.fill('Good leaves', '2.5');
    await page.tap('Add the mother');
    expect(page.text).toContain('“tall” is not a length.');
    expect(page.text).toContain('Whole numbers, please');
    await page.fill('Height, mm', '5 in');
    await page.fill('Good leaves', '24');
    await page.tap('Add the mother');
    expect(page.recorded()).toMatchObject([
      // She leaves her batch, and stays counted there.
      { kind: 'parted', batch: 'b-11', why: 'mother', taken: { pupped: 1 } },
      {
        record: 'mother',
        fields: {
          name: 'The third',
          fromBatch: 'b-11',
          heightMm: 127,
          has: { leaf: 24 },
          provenance: 'Raised here',
          permission: 'own',
        },
      },
    ]);
  });
});
