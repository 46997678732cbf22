import { mount, type Bench } from '../../testing/mount';
import { CoursePage } from './course-page';

const open = (id: string): Promise<Bench<CoursePage>> => mount(CoursePage, { id });

describe('how a batch is grown', () => {
  it('sets its courses side by side, each with its dates and its risk', async () => {
    const page = await open('b-25');
    const courses = page.all('.courses .course');
    expect(courses.length).toBeGreaterThan(3);
    for (const c of courses) {
      expect(c.querySelector('.stops')!.textContent).toMatch(/\d+ (Apr|May)/);
      expect(c.querySelector('.risk')!.textContent.trim().length).toBeGreaterThan(10);
    }
    expect(page.all('.courses .chosen')[0]!.textContent).toContain('Laid on the mix');
  });

  it('another course is a tap away, and is what the batch is on from then', async () => {
    const page = await open('b-25');
    page.all('input[value="water"]')[0]!.click();
    await page.settle();
    expect(page.recorded()).toMatchObject([
      { record: 'batch', key: 'b-25', fields: { course: 'water' } },
    ]);
    expect(page.all('.courses .chosen')[0]!.textContent).toContain('In water');
  });

  it('days to dry of one’s own are kept, refused where they are no days, and cleared', async () => {
    const page = await open('b-25');
    await page.fill('My own days to dry', 'long');
    expect(page.text).toContain('A number from 0 to 120');
    await page.fill('My own days to dry', '2,5');
    await page.fill('My own days to dry', '');
    expect(page.recorded()).toMatchObject([
      { fields: { dryDays: 2.5 } },
      { fields: { dryDays: null } },
    ]);
  });

  it('says what water at once would risk', async () => {
    const page = await open('b-26');
    await page.fill('First water', 'at-once');
    expect(page.recorded()).toMatchObject([{ fields: { firstWater: 'at-once' } }]);
    expect(page.text).toMatch(/The cut would still be open: (about|nearly)/);
  });

  it('a knife through the rhizome is a wound, parted by itself is none', async () => {
    const page = await open('b-25');
    await page.fill('The blade went through', 'rhizome');
    expect(page.text).toContain('a wound of 12 mm');
    await page.fill('It was', 'parted');
    expect(page.text).toContain('no open cut');
    expect(page.recorded()).toMatchObject([
      { fields: { through: 'rhizome' } },
      { fields: { opening: 'parted' } },
    ]);
  });

  it('what growers disagree about is told, each choice with its risk', async () => {
    // What lies on the surface is neither firmed nor deep.
    expect((await open('b-25')).text).not.toContain('Hard stands firm');
    const page = await open('b-19');
    expect(page.text).toContain('Hard stands firm, loose stays airy.');
    await page.fill('Firmed', 'hard');
    expect(page.text).toContain('a soft end may bruise');
    await page.fill('How deep it stands, mm', 'deep');
    expect(page.text).toMatch(/number|length/i);
    await page.fill('How deep it stands, mm', '40');
    await page.fill('Length of the pieces, mm', '9 cm');
    expect(page.recorded()).toMatchObject([
      { fields: { firmed: 'hard' } },
      { fields: { stemMm: 40 } },
      { fields: { lengthMm: 90 } },
    ]);
  });

  it('says so where there is no such batch', async () => {
    expect((await open('nowhere')).text).toContain('No such batch');
  });
});
