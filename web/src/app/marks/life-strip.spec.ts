import { careOf } from '@hypogeon/core/care';
import { demoJournal } from '@hypogeon/core/demo';
import { fold } from '@hypogeon/core/journal';
import { DAY, mount } from '../../testing/mount';
import { LifeStrip } from './life-strip';

const state = fold(demoJournal(DAY));

const open = (id: string, of = state) => {
  const batch = of.batches.get(id)!;
  const { steps, course } = careOf(of, batch, DAY);
  return mount(LifeStrip, { steps, course, batch, piece: 'leaf' }, []);
};

describe('the life strip', () => {
  it('draws what was solid and what is ahead as a ghost, in order', async () => {
    const page = await open('b-25');
    const stops = page.all('li').map((li) => li.className);
    expect(stops[0]).toBe('done');
    expect(stops.slice(1)).toEqual(Array(stops.length - 1).fill('ahead'));
    // Leaves of b-25 were cut two days before: roots are ahead, with the days they may come on.
    const roots = page.all('li').find((li) => li.textContent.includes('Roots'))!;
    expect(roots.className).toBe('ahead');
    expect(roots.textContent).toMatch(/\d{1,2}( \w{3})? ?– ?\d{1,2} \w{3}/);
  });

  it('names its stations as the piece brings them', async () => {
    // Sections bring shoots, leaves of a rosette pups.
    expect((await open('b-26')).text).toContain('New shoots');
    expect((await open('b-25')).text).toContain('Pups');
  });

  it('says what is due since, and what cannot be said', async () => {
    expect((await open('b-16')).text).toContain('due since');
    const frozen = fold([
      ...demoJournal(DAY),
      {
        id: 'cold',
        at: '2026-04-09T10:00:00.000Z~0000',
        day: DAY,
        by: 'x',
        kind: 'put',
        record: 'space',
        key: 'porch',
        fields: { monthly: Array(12).fill({ minC: 0, maxC: 2, rh: 0.8 }) },
      },
    ]);
    expect((await open('b-26', frozen)).text).toContain('not to be said yet');
  });
});
