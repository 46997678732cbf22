import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { mount } from '../../testing/mount';
import { Field, FieldControl } from './field';

@Component({
  selector: 'hy-field-host',
  imports: [Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-field label="Width" hint="Across the cut." [problem]="problem()"
      ><input hyControl
    /></hy-field>
    <hy-field label="Other" unseen><textarea hyControl></textarea></hy-field>
  `,
})
class Host {
  readonly problem = signal('');
}

describe('a field', () => {
  it('names its control by the label alone and describes it by the hint', async () => {
    const page = await mount(Host, {}, []);
    const input = page.field('Width');
    expect(
      page.root.querySelector(`#${input.getAttribute('aria-describedby')!}`)!.textContent,
    ).toBe('Across the cut.');
    expect(input.getAttribute('aria-invalid')).not.toBe('true');
    expect(page.field('Other').hasAttribute('aria-describedby')).toBe(false);
    expect(page.field('Other').id).not.toBe(input.id);
  });

  it('puts the problem in the hint’s place, as an alert', async () => {
    const page = await mount(Host, {}, []);
    page.fixture.componentInstance.problem.set('Too wide.');
    await page.settle();
    const input = page.field('Width');
    const described = page.root.querySelector(`#${input.getAttribute('aria-describedby')!}`)!;
    expect(described.textContent).toBe('Too wide.');
    expect(described.getAttribute('role')).toBe('alert');
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(page.text).not.toContain('Across the cut.');
  });
});
