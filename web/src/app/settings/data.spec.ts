import type { Entry } from '@hypogeon/core/journal';
import { mount, type Bench } from '../../testing/mount';
import { FILES_WORKER } from '../data/workers';
import { DataPage } from './data-page';
import { PaperPage } from './paper-page';

describe('data out', () => {
  it('offers every table with its number of rows', async () => {
    const page = await mount(DataPage);
    const list = page.list('A single table')!;
    list.open();
    await page.settle();
    const options = list.options.map((o) => o.viewValue);
    expect(options).toContain('Benches and rooms, 3');
    expect(options).toContain('Batches of cuttings, 30');
  });
});

describe('data out, where it fails', () => {
  it('says why, and can be tried again', async () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const page = await mount(DataPage, {}, undefined, [
      { provide: FILES_WORKER, useValue: { ask: () => Promise.reject(new Error('no room')) } },
    ]);
    await page.tap('Save package');
    expect(page.text).toContain('That did not work: no room.');
    expect(page.button('Save package')).toHaveProperty('disabled', false);
    log.mockRestore();
  });
});

describe('a paper log', () => {
  const open = async (text: string, told?: readonly Entry[]): Promise<Bench<PaperPage>> => {
    const page = await mount(PaperPage, {}, told);
    const input = page.root.querySelector<HTMLInputElement>('input[type=file]')!;
    const file = new File([text], 'log.csv');
    // jsdom's files have no text().
    Object.defineProperty(file, 'text', { value: () => Promise.resolve(text) });
    Object.defineProperty(input, 'files', { value: [file], configurable: true });
    input.dispatchEvent(new Event('change'));
    await page.settle();
    return page;
  };
  const LOG =
    'plant,how,date,qty,took\nEcheveria elegans,leaf,2025-03-01,20,14\nNobody knows,leaf,2025-03-02,5,1\n';

  it('is refused where it is no table', async () => {
    expect((await open('nothing')).text).toContain('There is no table in “log.csv”');
  });

  it('shows what becomes of every row, and lets a column mean one thing', async () => {
    const page = await open(LOG);
    expect(page.text).toContain('1 of 2 rows become batches; 1 are left out.');
    expect(page.text).toContain('20 leaves of Echeveria elegans, cut Sat 1 Mar 2025, 14 rooted');
    await page.fill('Rotted', '4');
    expect(page.list('Rooted')!.value).toBe('');
    expect(page.text).toContain('14 rotted');
  });

  it('takes the good rows in with one entry group that can be undone', async () => {
    const page = await open(LOG);
    await page.tap('Take one batch in');
    const made = [...page.journal.state().batches.values()].filter(
      (b) => b.count === 20 && b.cutOn === '2025-03-01',
    );
    expect(made).toMatchObject([{ counts: { rooted: 14 }, stage: 'done' }]);
  });

  it('says which rows the journal has already, and takes them again only where it is asked to', async () => {
    const first = await open(LOG);
    await first.tap('Take one batch in');
    const told = [...first.journal.state().log.values()].flat();
    const page = await open(LOG, told);
    expect(page.text).toContain('0 of 2 rows become batches; 1 are left out.');
    expect(page.text).toMatch(/One of them is in the journal already.*In the journal already\./);
    const twice = page.all('mat-checkbox input')[0] as HTMLInputElement;
    twice.click();
    await page.settle();
    expect(page.text).toContain('1 of 2 rows become batches');
    expect(page.button('Take one batch in')).toHaveProperty('disabled', false);
  });
});
