import { TestbedHarnessEnvironment } from '@angular/cdk/testing/testbed';
import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButtonHarness } from '@angular/material/button/testing';
import { MatChipListboxHarness } from '@angular/material/chips/testing';
import { MatDatepickerInputHarness } from '@angular/material/datepicker/testing';
import { MatFormFieldHarness } from '@angular/material/form-field/testing';
import { MatOption, MatSelect } from '@angular/material/select';
import { MatSelectHarness } from '@angular/material/select/testing';
import * as z from 'zod';
import { LOCALE } from '../data/locale';
import { mount } from '../../testing/mount';
import { DayField } from './day-field';
import { Field, FieldControl } from './field';
import { FilePick } from './file-pick';
import { WhyChips } from './why-chips';
import { firstWrong, judgedBy, sentenceAt } from './zod-problems';

@Component({
  selector: 'hy-day-host',
  imports: [DayField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-day label="On" [(value)]="day" />`,
})
class DayHost {
  readonly day = signal('2026-04-09');
}

describe('a day', () => {
  const open = async (locale = 'en-GB') => {
    const page = await mount(DayHost, {}, [], [{ provide: LOCALE, useValue: () => locale }]);
    const loader = TestbedHarnessEnvironment.loader(page.fixture);
    const input = await loader.getHarness(MatDatepickerInputHarness);
    return { page, input, day: page.fixture.componentInstance.day };
  };

  it('is shown as one writes it where one lives', async () => {
    expect(await (await open()).input.getValue()).toBe('9 Apr 2026');
    expect(await (await open('en-US')).input.getValue()).toBe('Apr 9, 2026');
  });

  it.each([
    ['20 May', 'en-GB', '2026-05-20'],
    ['14.4.2025', 'en-DE', '2025-04-14'],
    ['3/4/25', 'en-GB', '2025-04-03'],
    ['3/4/25', 'en-US', '2025-03-04'],
    ['3/14/25', 'en-GB', '2025-03-14'],
    ['yesterday', 'en-GB', '2026-04-08'],
    ['', 'en-GB', ''],
  ])('“%s” in %s is %s', async (text, locale, day) => {
    const host = await open(locale);
    await host.input.setValue(text);
    await host.input.blur();
    expect(host.day()).toBe(day);
  });

  it('hands on what is no day, says so, and leaves it as it was typed', async () => {
    const { page, input, day } = await open();
    await input.setValue('soon');
    await input.blur();
    await page.settle();
    expect(day()).toBe('soon');
    expect(page.text).toContain('“soon” is not a day. Write it like');
    expect(await input.getValue()).toBe('soon');
  });

  it('is picked from a calendar whose week begins where one lives', async () => {
    const { input, day } = await open('en-US');
    await input.openCalendar();
    const heads = [...document.querySelectorAll('.mat-calendar-table-header th')].map((h) =>
      h.textContent.trim().slice(0, 1),
    );
    expect(heads[0]).toBe('S');
    const calendar = await input.getCalendar();
    await calendar.selectCell({ text: '12' });
    expect(day()).toBe('2026-04-12');
  });
});

@Component({
  selector: 'hy-form-host',
  imports: [Field, FieldControl, FilePick, MatOption, MatSelect, ReactiveFormsModule, WhyChips],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form [formGroup]="form">
      <hy-field label="Name" [problem]="sentence('name')">
        <input hyControl formControlName="name" />
      </hy-field>
      <hy-field label="Light" hint="Where it stands">
        <mat-select formControlName="light">
          <mat-option value="dim">dim</mat-option>
          <mat-option value="sun">sunny</mat-option>
        </mat-select>
      </hy-field>
      <hy-why-chips label="Why" [reasons]="['rain', 'away']" [(value)]="why" />
    </form>
    <hy-file-pick label="A file" (picked)="picked.set($event[0]!.name)" />
  `,
})
class FormHost {
  readonly why = signal('');
  readonly picked = signal('');
  readonly tried = signal(false);
  readonly toFirstWrong = firstWrong();
  readonly form = new FormGroup(
    { name: new FormControl('', { nonNullable: true }), light: new FormControl('dim') },
    { validators: judgedBy(z.object({ name: z.string().min(1, 'Give it a name.') })) },
  );
  protected sentence(field: string): string {
    return sentenceAt(this.form, field, this.tried());
  }
}

describe('fields of a form', () => {
  const open = async () => {
    const page = await mount(FormHost, {}, []);
    const loader = TestbedHarnessEnvironment.loader(page.fixture);
    return { page, loader, host: page.fixture.componentInstance };
  };

  it('are labelled, hinted and filled through Material', async () => {
    const { loader, host } = await open();
    const light = await loader.getHarness(MatFormFieldHarness.with({ floatingLabelText: 'Light' }));
    expect(await light.getTextHints()).toEqual(['Where it stands']);
    const select = await loader.getHarness(MatSelectHarness);
    await select.clickOptions({ text: 'sunny' });
    expect(host.form.value.light).toBe('sun');
    expect(await select.getValueText()).toBe('sunny');
  });

  it('get the sentence of the schema once it was tried, and the hand goes to the first', async () => {
    const { page, loader, host } = await open();
    document.body.append(page.root);
    const name = await loader.getHarness(MatFormFieldHarness.with({ floatingLabelText: 'Name' }));
    expect(await name.hasErrors()).toBe(false);
    host.tried.set(true);
    await page.settle();
    expect(await name.getTextErrors()).toEqual(['Give it a name.']);
    host.toFirstWrong();
    await page.settle();
    expect(document.activeElement).toBe(page.field('Name'));
    await page.fill('Name', 'Sill');
    expect(await name.hasErrors()).toBe(false);
    page.root.remove();
  });

  it('take a reason by a tap or in words of one’s own', async () => {
    const { page, loader, host } = await open();
    const chips = await loader.getHarness(MatChipListboxHarness);
    await chips.selectChips({ text: 'rain' });
    expect(host.why()).toBe('rain');
    await page.fill('Another reason', 'the cat');
    expect(host.why()).toBe('the cat');
    expect(await Promise.all((await chips.getChips()).map((c) => c.isSelected()))).toEqual([
      false,
      false,
    ]);
  });

  it('ask for a file by a button, and for the same one twice', async () => {
    const { page, loader, host } = await open();
    await loader.getHarness(MatButtonHarness.with({ text: 'A file' }));
    const input = page.root.querySelector<HTMLInputElement>('input[type=file]')!;
    const choose = (): void => {
      Object.defineProperty(input, 'files', {
        value: [new File(['x'], 'log.csv')],
        configurable: true,
      });
      input.dispatchEvent(new Event('change'));
    };
    choose();
    expect(host.picked()).toBe('log.csv');
    host.picked.set('');
    choose();
    expect(host.picked()).toBe('log.csv');
  });
});
