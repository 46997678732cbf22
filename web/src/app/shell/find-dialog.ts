import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { MatDialogRef } from '@angular/material/dialog';
import { Router } from '@angular/router';
import { find, findables, type Findable } from '@hypogeon/core/find';
import { statusText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/find-dialog';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { FOUND_BY_NAME } from './pages';

const KIND_WORD: Readonly<Record<Findable['kind'], string>> = {
  get batch() {
    return say.batch();
  },
  get tray() {
    return say.tray();
  },
  get mother() {
    return say.mother();
  },
  get plant() {
    return say.plant();
  },
  get mix() {
    return say.mix();
  },
  get space() {
    return say.bench();
  },
  get order() {
    return say.order();
  },
  get trial() {
    return say.trial();
  },
  get page() {
    return say.page();
  },
};

/** Everything by typing: batches, trays, mothers, plants, pages. */
@Component({
  selector: 'hy-find-dialog',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'grid grid-cols-1 grid-rows-[auto_minmax(0,1fr)_auto] gap-2.5 h-[min(34rem,80vh)] p-4',
  },
  template: `
    <h2 class="unseen" id="find-title">{{ say.find() }}</h2>
    <input
      type="search"
      role="combobox"
      [attr.aria-label]="say.findAnything()"
      aria-autocomplete="list"
      aria-controls="find-list"
      aria-expanded="true"
      [attr.aria-activedescendant]="found().length > 0 ? 'find-' + at() : null"
      [placeholder]="say.plantCodeTrayMother()"
      autocomplete="off"
      (input)="type(query.value)"
      (keydown)="key($event)"
      #query
    />
    <ul class="bare overflow-y-auto" id="find-list" role="listbox" [attr.aria-label]="say.found()">
      @for (item of found(); track item.kind + item.id) {
        <li
          class="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-y-0 gap-x-4 min-h-12 py-1.5 px-2.5 border-l-4 border-transparent cursor-pointer"
          role="option"
          [id]="'find-' + $index"
          [attr.aria-selected]="$index === at()"
          [class.at]="$index === at()"
          (click)="go(item)"
          (keydown.enter)="go(item)"
          (mousemove)="at.set($index)"
          tabindex="-1"
        >
          <strong>{{ item.title }}</strong>
          <span class="col-start-1 small quiet">{{ item.says }}</span>
          <small class="col-start-2 row-start-1 quiet">{{ word[item.kind] }}</small>
        </li>
      }
    </ul>
    <p class="quiet" role="status">
      @if (typed().trim() === '') {
        {{ say.beginToTypeArrows() }}
      } @else if (found().length === 0) {
        {{ say.nothingBeginsSoTry() }}
      } @else {
        {{ say.found2({ what: found().length === 40 ? say.theFirst40() : found().length }) }}
      }
    </p>
  `,
  styles: `
    input {
      width: 100%;
      min-height: 52px;
      font-size: 1.15rem;
    }
    li.at {
      background: var(--living-soft);
      border-left-color: var(--living);
    }
    li.at span,
    li.at small {
      color: var(--ink);
    }
  `,
})
export class FindDialog {
  protected readonly say = say;

  private readonly dialog = inject<MatDialogRef<FindDialog>>(MatDialogRef);
  private readonly router = inject(Router);
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  private readonly query = viewChild.required<ElementRef<HTMLInputElement>>('query');

  protected readonly word = KIND_WORD;
  protected readonly typed = signal('');
  protected readonly at = signal(0);
  protected readonly found = computed(() =>
    find(findables(this.state(), this.today(), statusText, FOUND_BY_NAME), this.typed()),
  );

  protected type(text: string): void {
    this.typed.set(text);
    this.at.set(0);
  }

  protected key(event: KeyboardEvent): void {
    const last = this.found().length - 1;
    const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 8, PageUp: -8 }[event.key];
    if (step !== undefined) {
      event.preventDefault();
      this.at.update((at) => Math.min(Math.max(at + step, 0), Math.max(last, 0)));
      document.getElementById(`find-${this.at()}`)?.scrollIntoView({ block: 'nearest' });
    } else if (event.key === 'Enter') {
      const item = this.found()[this.at()];
      if (item) this.go(item);
    } else if (event.key === 'Escape' && this.query().nativeElement.value === '')
      this.dialog.close();
  }

  protected go(item: Findable): void {
    this.dialog.close();
    void this.router.navigate(item.kind === 'page' ? [item.path[0]] : [...item.path]);
  }
}
