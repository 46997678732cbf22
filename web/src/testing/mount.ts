import { signal, type Type } from '@angular/core';
import { TestBed, type ComponentFixture } from '@angular/core/testing';
import { MatSelect } from '@angular/material/select';
import { By } from '@angular/platform-browser';
import { provideRouter } from '@angular/router';
import type { Day } from '@hypogeon/core/days';
import { demoJournal } from '@hypogeon/core/demo';
import { JOURNAL_VERSION } from '@hypogeon/core/formats';
import type { Entry } from '@hypogeon/core/journal';
import { of } from 'rxjs';
import { STORES } from '../app/data/book';
import { Journal } from '../app/data/journal';
import { LOCALE } from '../app/data/locale';
import { Today } from '../app/data/today';
import { MemoryStores } from './stores';

/** The day on which component tests play. */
export const DAY: Day = '2026-04-09';

const DEMO = demoJournal(DAY);

/** A screen as a grower meets it: found by the words on it, worked by taps. */
export class Bench<T> {
  constructor(
    readonly fixture: ComponentFixture<T>,
    readonly journal: Journal,
    readonly stores: MemoryStores,
  ) {}

  get root(): HTMLElement {
    return this.fixture.nativeElement as HTMLElement;
  }

  get text(): string {
    return this.root.textContent.replace(/\s+/g, ' ');
  }

  all(selector: string): HTMLElement[] {
    return [...this.root.querySelectorAll<HTMLElement>(selector)];
  }

  /** A button or link by its name, as a screen reader says it. */
  button(name: string | RegExp): HTMLElement {
    const found = this.all('button, a').find((el) => {
      const said = el.getAttribute('aria-label') ?? el.textContent.replace(/\s+/g, ' ').trim();
      return typeof name === 'string' ? said === name : name.test(said);
    });
    if (!found) throw new Error(`no button ${name.toString()} in: ${this.text}`);
    return found;
  }

  field(label: string): HTMLInputElement {
    const found = this.all('label').find((l) => l.textContent.trim() === label);
    const id = found?.getAttribute('for');
    const control = id ? this.root.querySelector<HTMLInputElement>(`#${id}`) : null;
    if (!control) throw new Error(`no field ${label} in: ${this.text}`);
    return control;
  }

  /** A list one chooses from, by its label. */
  list(label: string): MatSelect | null {
    const found = this.all('label').find((l) => l.textContent.trim() === label);
    if (!found) return null;
    const lists = this.fixture.debugElement.queryAll(By.directive(MatSelect));
    const at = lists.find((l) =>
      (l.nativeElement as HTMLElement)
        .getAttribute('aria-labelledby')
        ?.split(' ')
        .includes(found.id),
    );
    return (at?.componentInstance as MatSelect | undefined) ?? null;
  }

  /** What a list shows as chosen. */
  shown(label: string): string {
    const list = this.list(label);
    if (!list) throw new Error(`no list ${label} in: ${this.text}`);
    return list.triggerValue;
  }

  /** Opens a menu and chooses from it; it lies over the page, not in it. */
  async menu(opener: string | RegExp, item: string): Promise<void> {
    await this.tap(opener);
    const found = [...document.querySelectorAll<HTMLElement>('.mat-mdc-menu-item')].find(
      (i) => i.textContent.replace(/\s+/g, ' ').trim() === item,
    );
    if (!found) throw new Error(`no ${item} in the menu`);
    found.click();
    await this.settle();
  }

  /** Opens all that is folded. */
  async unfold(): Promise<void> {
    for (const box of this.all('details') as HTMLDetailsElement[]) {
      box.open = true;
      box.dispatchEvent(new Event('toggle'));
    }
    await this.settle();
  }

  /** What asks over the page, once it has come up. */
  async dialog(): Promise<Bench<unknown>> {
    await this.settle();
    const box = document.querySelector<HTMLElement>('mat-dialog-container');
    if (!box) throw new Error('nothing asks over the page');
    return Object.create(this, { root: { value: box } }) as Bench<unknown>;
  }

  async tap(name: string | RegExp): Promise<void> {
    this.button(name).click();
    await this.settle();
  }

  /** Types into a field, or chooses from a list by what an option stands for or says. */
  async fill(label: string, value: string): Promise<void> {
    const list = this.list(label);
    if (list) {
      list.open();
      await this.settle();
      const option =
        list.options.find((o) => `${o.value}` === value) ??
        list.options.find((o) => o.viewValue === value);
      if (!option) throw new Error(`no ${value} in the list ${label}`);
      option._getHostElement().click();
      return this.settle();
    }
    const control = this.field(label);
    control.value = value;
    control.dispatchEvent(new Event('input', { bubbles: true }));
    control.dispatchEvent(new Event('change', { bubbles: true }));
    await this.settle();
  }

  /** Chooses a file of such a text where the page takes one first. */
  async pick(text: string, name = 'log.csv', size = text.length): Promise<void> {
    const [box] = this.all('input[type=file]') as HTMLInputElement[];
    if (!box) throw new Error(`no file is asked for in: ${this.text}`);
    const file = { name, size, text: () => Promise.resolve(text) };
    Object.defineProperty(box, 'files', { value: [file], configurable: true });
    box.dispatchEvent(new Event('change', { bubbles: true }));
    await this.settle();
  }

  async settle(): Promise<void> {
    await this.fixture.whenStable();
    // Storage answers in a microtask or two.
    await new Promise((resolve) => setTimeout(resolve));
    await this.fixture.whenStable();
  }

  /** The entries recorded since the screen was opened, without their envelopes. */
  recorded(): object[] {
    return [...this.journal.state().log.values()]
      .flat()
      .filter((e) => e.by !== 'demo')
      .map(({ id: _id, at: _at, by: _by, ...rest }) => rest);
  }
}

/** Opens a screen over a journal, the demo's unless another is handed in, on a fixed day. */
export async function mount<T>(
  type: Type<T>,
  inputs: Readonly<Record<string, unknown>> = {},
  entries: readonly Entry[] = DEMO,
  providers: readonly object[] = [],
): Promise<Bench<T>> {
  localStorage.clear();
  const stores = new MemoryStores();
  if (entries.length > 0)
    stores.books.own.set('chunk/given', JSON.stringify({ version: JOURNAL_VERSION, entries }));
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({
    providers: [
      provideRouter([{ path: '**', children: [] }]),
      { provide: STORES, useValue: stores },
      { provide: LOCALE, useValue: () => 'en-GB' },
      { provide: Today, useValue: { day: signal(DAY), today$: of(DAY) } },
      ...providers,
    ],
  });
  const journal = TestBed.inject(Journal);
  await journal.open();
  const fixture = TestBed.createComponent(type);
  for (const [name, value] of Object.entries(inputs)) fixture.componentRef.setInput(name, value);
  await fixture.whenStable();
  const bench = new Bench(fixture, journal, stores);
  // Answers of a worker come a turn later.
  await bench.settle();
  return bench;
}
