import { mount } from '../../testing/mount';
import { DraftNote } from './draft-note';

describe('the note of a draft', () => {
  it('says its age and can throw it away', async () => {
    const page = await mount(DraftNote, { at: Date.now() - 3 * 86_400_000 }, []);
    let thrown = 0;
    page.fixture.componentInstance.afresh.subscribe(() => thrown++);
    expect(page.text).toContain('Taken up where you left it 3 days ago.');
    await page.tap('Start over');
    expect(thrown).toBe(1);
  });

  it('says nothing where nothing was left', async () => {
    expect((await mount(DraftNote, { at: null }, [])).text.trim()).toBe('');
  });
});
