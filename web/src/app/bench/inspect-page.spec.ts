import { mount } from '../../testing/mount';
import { InspectPage } from './inspect-page';

const open = () => mount(InspectPage, { id: 'b-20' });
type Page = Awaited<ReturnType<typeof open>>;

async function say(page: Page, sign: string, answer: 'yes' | 'no'): Promise<void> {
  const group = page.all('.answers').find((g) => g.getAttribute('aria-label') === sign)!;
  [...group.querySelectorAll('button')].find((b) => b.textContent.trim() === answer)!.click();
  await page.settle();
}

describe('what do you see', () => {
  it('ranks what it may be, says what to do, and asks for what tells most', async () => {
    const page = await open();
    expect(page.text).toContain('Answer what you have looked at');
    expect(page.all('ul li')[0]!.classList).toContain('next');
    await say(page, 'Base dark', 'yes');
    expect(page.text).toMatch(/Not sure yet. Look at this next:/);
    await say(page, 'Base soft or wet', 'yes');
    await say(page, 'Foul smell', 'yes');
    const [first] = page.all('ol li');
    expect(first!.textContent).toMatch(/Rot.*\d\d%.*Cut back to clean white tissue/s);
    // What stands in the same tray is looked at too.
    expect(page.text).toMatch(/Look at these too ?Jelly beans, crowns ?in the same tray/);
    expect(page.button('Count more')).toBeTruthy();
    // What the likely cause asks for is the one filled button; what was seen is noted with it.
    const filled = page.all('button[matbutton=filled], .mat-mdc-unelevated-button');
    expect(filled.map((b) => b.textContent.trim())).toEqual(['Cut afresh']);
    await say(page, 'Foul smell', 'yes');
    expect(page.all('[aria-pressed="true"]')).toHaveLength(2);
  });

  it('survives a reload, is noted in one tap, and then is gone', async () => {
    const page = await open();
    await say(page, 'Wrinkled', 'yes');
    await say(page, 'Firm when pressed', 'yes');
    expect(page.stores.draft('look.b-20')).toEqual({
      wrinkled: true,
      firm: true,
    });
    await page.tap('Note it');
    expect(page.recorded()).toMatchObject([
      {
        kind: 'inspected',
        batch: 'b-20',
        seen: 'wrinkled',
        text: expect.stringMatching(/^Living off itself, \d\d%: wrinkled, firm when pressed$/),
      },
    ]);
    await page.settle();
    expect(page.stores.draft('look.b-20')).toBeNull();
  });

  it.each([
    ['started over', (page: Page) => page.tap('Start over')],
    ['taken back', (page: Page) => say(page, 'Wrinkled', 'yes')],
  ])('leaves no empty draft to be taken up once it is %s', async (_how, undo) => {
    const page = await open();
    await say(page, 'Wrinkled', 'yes');
    expect(page.stores.draft('look.b-20')).toEqual({ wrinkled: true });
    await undo(page);
    expect(page.stores.draft('look.b-20')).toBeNull();
    expect(page.text).toContain('Answer what you have looked at');
  });

  it('counts a loss with its cause and stage in one tap', async () => {
    const page = await open();
    const before = page.journal.state().batches.get('b-20')!.counts;
    await say(page, 'Base soft or wet', 'yes');
    await say(page, 'Foul smell', 'yes');
    await page.tap('Count one as rotted');
    expect(page.recorded()).toMatchObject([
      { kind: 'inspected', text: expect.stringMatching(/^Rot, set, no roots yet, \d\d%/) },
      { kind: 'tally', counts: { ...before, rotted: before.rotted + 1 } },
    ]);
  });

  it('lays the grower’s latest picture beside the signs', async () => {
    const page = await open();
    expect(page.all('hy-picture')).toHaveLength(0);
    for (const [picture, day] of [
      ['p1', '2026-04-02'],
      ['p2', '2026-04-08'],
    ] as const)
      await page.journal.record({
        kind: 'photo',
        batch: 'b-20',
        day,
        picture,
        width: 800,
        height: 600,
        bytes: 10,
      });
    await page.settle();
    expect(page.all('hy-picture')).toHaveLength(1);
    expect(page.text).toContain('Yours, Wed 8 Apr');
  });

  it('says when there is no such batch', async () => {
    expect((await mount(InspectPage, { id: 'nobody' })).text).toContain('No such batch');
  });
});
