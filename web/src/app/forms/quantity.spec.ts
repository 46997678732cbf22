import { ChangeDetectionStrategy, Component } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { SETTINGS_KEY, type Entry } from '@hypogeon/core/journal';
import { DAY, mount } from '../../testing/mount';
import { Field, FieldControl } from './field';
import { Quantity, quantityProblem, type QuantityKind } from './quantity';

@Component({
  selector: 'hy-quantity-host',
  imports: [Field, FieldControl, Quantity, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (kind of kinds; track kind) {
      <hy-field [label]="kind">
        <input hyControl [hyQuantity]="kind" [formControl]="controls[kind]" />
      </hy-field>
    }
  `,
})
class Host {
  readonly kinds = ['length', 'temperature', 'volume', 'bag', 'weight', 'share'] as const;
  readonly controls: Readonly<Record<QuantityKind, FormControl<number | null>>> = {
    length: new FormControl(33.3),
    temperature: new FormControl(19.44),
    volume: new FormControl(250),
    bag: new FormControl(20_000),
    weight: new FormControl(310),
    share: new FormControl(0.4512),
  };
}

const INCHES: Entry = {
  id: 'in',
  at: '2026-04-09T06:00:00.000Z~0000',
  day: DAY,
  by: 'phone',
  kind: 'put',
  record: 'settings',
  key: SETTINGS_KEY,
  fields: { length: 'in', temperature: 'F' },
};

async function open(entries: readonly Entry[] = []) {
  const page = await mount(Host, {}, entries);
  return { page, controls: page.fixture.componentInstance.controls };
}

describe('a quantity', () => {
  it('shows itself in the grower’s unit, and is not changed by being shown', async () => {
    const metric = await open();
    expect(metric.page.field('length').value).toBe('33.3');
    const { controls, page } = await open([INCHES]);
    const shown = {
      length: '1.31',
      temperature: '67',
      volume: '8.45',
      bag: '21.13',
      share: '45.1',
    };
    for (const [kind, text] of Object.entries(shown)) expect(page.field(kind).value).toBe(text);
    expect(controls.length.value).toBe(33.3);
    expect(controls.temperature.value).toBe(19.44);
    expect(controls.share.value).toBe(0.4512);
  });

  it.each<[QuantityKind, string, number]>([
    ['length', '2 1/4 in', 57.15],
    ['length', '1,5 cm', 15],
    ['temperature', '68 F', 20],
    ['volume', '1 cup', 236.588],
    ['bag', '2', 2000],
    ['weight', '1 lb', 453.59237],
    ['share', '45%', 0.45],
  ])('a %s typed as “%s”', async (kind, text, value) => {
    const { controls, page } = await open();
    await page.fill(kind, text);
    expect(controls[kind].value).toBeCloseTo(value, 3);
    expect(controls[kind].valid).toBe(true);
  });

  it('what cannot be read stays typed, and is told', async () => {
    const { controls, page } = await open();
    await page.fill('temperature', 'warm');
    expect(page.field('temperature').value).toBe('warm');
    expect(controls.temperature.value).toBeNull();
    expect(quantityProblem(controls.temperature.errors)).toContain('“warm” is not a temperature');
    await page.fill('temperature', '');
    expect(controls.temperature.valid).toBe(true);
  });
});
