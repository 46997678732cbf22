import { careOf, type Ask } from '@hypogeon/core/care';
import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import { roundOn, verdictsOn } from '@hypogeon/core/round';
import { addDays } from '@hypogeon/core/days';
import { DAY, mount, type Bench } from '../../testing/mount';
import { AskTaps } from './ask-taps';
import { DayNotices } from './day-notices';
import { WalkEnd } from './walk-end';

const STATE = fold(demoJournal(DAY));
const ROUND = roundOn(STATE, DAY, verdictsOn(STATE, DAY));
const ASKS: readonly Ask[] = [...ROUND.do, ...ROUND.look];
const of = (kind: Ask['kind']): Ask => {
  const ask = ASKS.find((a) => a.kind === kind);
  if (!ask) throw new Error(`the demo asks for no ${kind}`);
  return ask;
};
const open = async (
  ask: Ask,
  inputs: object = {},
): Promise<{ page: Bench<AskTaps>; taps: string[] }> => {
  const page = await mount(AskTaps, { ask, name: 'Jelly beans', ...inputs });
  const taps: string[] = [];
  page.fixture.componentInstance.tapped.subscribe(() => taps.push('tapped'));
  page.fixture.componentInstance.move.subscribe(() => taps.push('move'));
  return { page, taps };
};

describe('what is asked, at a tap', () => {
  it('everything the day asks of the demo can be told, by a button or a way', async () => {
    expect(ASKS.length).toBeGreaterThan(8);
    for (const ask of ASKS) {
      const { page } = await open(ask);
      const buttons = page.all('button, a');
      expect(buttons.length).toBeGreaterThan(0);
      for (const b of buttons) expect(b.getAttribute('aria-label')).toMatch(/: Jelly beans$/);
    }
  });

  it('water given is an entry of the day, once, and of another day where that is told', async () => {
    const ask = of('water');
    const { page, taps } = await open(ask);
    const [button] = page.all('button');
    button!.click();
    // The second half of a double click is not meant for what has moved under the finger.
    button!.dispatchEvent(new MouseEvent('click', { detail: 2 }));
    await page.settle();
    expect(page.recorded()).toMatchObject([{ kind: 'watered', batch: ask.batch.id, day: DAY }]);
    expect(taps).toEqual(['tapped']);
    const yesterday = addDays(DAY, -1);
    const other = await open(ask, { on: yesterday });
    other.page.all('button')[0]!.click();
    await other.page.settle();
    expect(other.page.recorded()).toMatchObject([{ day: yesterday }]);
  });

  it('a look at a wound has two answers', async () => {
    const ask = of('wound');
    const { page, taps } = await open(ask);
    await page.tap('Still tacky: Jelly beans');
    expect(page.recorded()).toMatchObject([
      { kind: 'inspected', batch: ask.batch.id, seen: 'tacky' },
    ]);
    expect(taps).toEqual(['tapped']);
  });

  it('a count has a page of its own, unless it is taken here', async () => {
    const ask = of('roots');
    const { page } = await open(ask);
    expect(page.button('Count: Jelly beans').getAttribute('href')).toBe(
      `/bench/${ask.batch.id}/count`,
    );
    const here = await open(ask, { counted: true });
    expect(here.page.all('a')).toHaveLength(0);
  });

  it('on a wrong day nothing can be told', async () => {
    const { page, taps } = await open(of('water'), { disabled: true });
    page.all('button')[0]!.click();
    await page.settle();
    expect(page.recorded()).toEqual([]);
    expect(taps).toEqual([]);
  });

  it('a wound that stands still leads to a move: here, or on its page', async () => {
    const batch = [...STATE.batches.values()].find((b) => b.cut && !b.stuck)!;
    const stopped = { ...of('wound'), batch, kind: 'stopped' } as Ask;
    const away = await open(stopped);
    expect(away.page.button('Move: Jelly beans').getAttribute('href')).toContain('tell=move');
    const here = await open(stopped, { moves: true });
    await here.page.tap('Move: Jelly beans');
    expect(here.taps).toEqual(['move']);
    expect(careOf(STATE, batch, DAY).asks.length).toBeGreaterThanOrEqual(0);
  });
});

describe('what concerns no single batch', () => {
  it('is one line a kind; mothers are seen to where one stands', async () => {
    const page = await mount(DayNotices, { round: ROUND });
    await page.unfold();
    expect(page.text).not.toContain('undefined');
    const [first] = ROUND.mothers;
    expect(page.text).toContain('to see to');
    const buttons = page.all('button');
    expect(buttons).toHaveLength(ROUND.mothers.length);
    buttons[0]!.click();
    await page.settle();
    expect(page.recorded()).toMatchObject([
      { kind: 'mothered', mother: first!.mother.id, what: first!.kind },
    ]);
  });

  it('says what could not be worked out, and that the others stand', async () => {
    const [batch] = STATE.batches.values();
    const broken = {
      ...ROUND,
      mothers: [],
      broken: [{ of: batch!, reason: 'a pot without walls' }],
    };
    const page = await mount(DayNotices, {
      round: broken,
      waterFailed: 'No worker',
      waterSlow: true,
    });
    expect(page.text).toContain('cannot be worked out: a pot without walls.');
    expect(page.text).toContain('The pots are still being worked out.');
    expect(page.text).toContain('Water could not be judged.No worker.');
  });
});

describe('the end of a walk', () => {
  const [batch] = STATE.batches.values();
  const row = {
    batch: batch!,
    title: 'Ghost plant, leaves',
    code: 'GRA-1',
    isNew: false,
    rooted: 4,
    pupped: 0,
    lost: 1,
    looked: true,
    waterings: 2,
  };
  const changes = { rows: [row], rooted: 4, pupped: 0, lost: 1, waterings: 2 };

  it('says what it changed, with its sign, and what else was done', async () => {
    const page = await mount(WalkEnd, {
      passed: 9,
      skipped: 2,
      changes,
      lastRound: null,
      sinceLast: null,
    });
    expect(page.text).toContain('7 of 9 batches done, 2 skipped.');
    expect(page.text).toContain('On this walk');
    expect(page.text).toMatch(/\+4 with roots.*0 with pups.*1 lost.*2 waterings/);
    expect(page.text).toContain('looked at, watered');
  });

  it('tells all since the last round where there was one, and when nothing changed', async () => {
    const none = { rows: [], rooted: 0, pupped: 0, lost: 0, waterings: 0 };
    const page = await mount(WalkEnd, {
      passed: 9,
      skipped: 0,
      changes,
      lastRound: '2026-04-02',
      sinceLast: none,
    });
    expect(page.text).toContain('9 of 9 batches done.');
    expect(page.text).toMatch(/Since the walk of .*2 Apr/);
    expect(page.text).toContain('Nothing changed.');
    const went: string[] = [];
    page.fixture.componentInstance.finished.subscribe(() => went.push('finished'));
    page.fixture.componentInstance.back.subscribe(() => went.push('back'));
    await page.tap('Back to the last stop');
    await page.tap('Finish the walk');
    expect(went).toEqual(['back', 'finished']);
  });
});
