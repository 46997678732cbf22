import { mount } from '../../testing/mount';
import { LICENCES, LicencesPage } from './licences-page';

const open = (list: () => Promise<unknown>) =>
  mount(LicencesPage, {}, [], [{ provide: LICENCES, useValue: list }]);

describe('what it is made with', () => {
  it('stands with version, licence and text', async () => {
    const page = await open(() =>
      Promise.resolve([
        { name: 'a-package', version: '1.2.3', licence: 'MIT', text: 'Permission is granted' },
        { name: 'b-package', version: '2.0.0', licence: 'OFL-1.1', text: '' },
      ]),
    );
    expect(page.text).toContain('It ships with 2 packages.');
    expect(page.text).toContain('a-package 1.2.3 MIT');
    expect(page.root.querySelector('pre')!.textContent).toBe('Permission is granted');
    expect(page.all('details')).toHaveLength(1);
  });

  it('says so where the list cannot be read, or is no list', async () => {
    const log = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    for (const list of [() => Promise.reject(new Error('no net')), () => Promise.resolve({ a: 1 })])
      expect((await open(list)).text).toContain('The list could not be read.');
    log.mockRestore();
  });
});
