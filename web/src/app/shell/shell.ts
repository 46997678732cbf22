import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  Injector,
  type Type,
} from '@angular/core';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { Journal } from '../data/journal';
import { JournalFile } from '../data/journal-file';
import { Updates } from '../data/updates';
import { HatchDefs } from '../marks/hatch-defs';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { Alarms } from './alarms';
import { ABOVE, BELOW } from './places';
import { mdiDotsHorizontal, mdiMagnify } from '@mdi/js';
import { toSignal } from '@angular/core/rxjs-interop';
import { filter, map } from 'rxjs';
import { say } from '@hypogeon/messages/shell';

/** The day stands, and the thread is free. */
const KEPT_FILE_MS = 4_000;

@Component({
  selector: 'hy-shell',
  imports: [Alarms, MatButton, RouterOutlet, RouterLink, RouterLinkActive, HatchDefs, CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './shell.html',
  styleUrls: ['./shell.scss', './alarm.scss'],
  host: {
    class:
      'grid grid-cols-[168px_minmax(0,1fr)] min-h-[100dvh] phone:pb-[calc(60px_+_env(safe-area-inset-bottom))] phone:block print:block',
    '(window:beforeunload)': 'warn($event)',
    '(document:keydown)': 'key($event)',
    '[class.walking]': 'walking()',
  },
})
export class Shell {
  protected readonly say = say;

  protected readonly journal = inject(Journal);
  protected readonly updates = inject(Updates);
  private readonly file = inject(JournalFile);
  private readonly router = inject(Router);
  protected readonly dots = mdiDotsHorizontal;
  protected readonly glass = mdiMagnify;
  private readonly address = toSignal(
    this.router.events.pipe(
      filter((e) => e instanceof NavigationEnd),
      map((e) => e.urlAfterRedirects),
    ),
    { initialValue: '' },
  );
  /** On the walk a phone has the walk’s own bar, and nothing else to tap by mistake. */
  protected readonly walking = computed(() => this.address().startsWith('/today/walk'));
  /** On a phone: one is at a place that stands under “More”. */
  protected readonly elsewhere = computed(() =>
    [...ABOVE, ...BELOW].some((p) => !p.first && this.address().startsWith(p.path)),
  );
  private readonly injector = inject(Injector);

  protected readonly halves = [
    { side: 'above', places: ABOVE },
    { side: 'below', places: BELOW },
  ] as const;
  protected readonly emblem = { ...FRESH, closure: 1, roots: 2 as const };
  protected readonly opened = computed(() => this.journal.saving().is !== 'opening');
  protected readonly slow = computed(() => {
    const saving = this.journal.saving();
    return (saving.is === 'opening' || saving.is === 'saving') && saving.slow;
  });
  /** What seldom comes, and whose words are fetched when the day stands. */
  protected readonly odd = computed(
    () =>
      this.journal.leftBehind() + this.journal.rewritten() + this.journal.broughtBack() > 0 ||
      this.journal.clockDoubt() > 0 ||
      this.journal.setAside().length > 0 ||
      this.journal.gone() !== null,
  );
  protected readonly failure = computed(() => {
    const saving = this.journal.saving();
    return saving.is === 'failed' ? saving : null;
  });

  constructor() {
    // A file that is kept by itself is nobody's first screen.
    const later = setTimeout(() => void this.keepFile(), KEPT_FILE_MS);
    inject(DestroyRef).onDestroy(() => clearTimeout(later));
  }

  private async keepFile(): Promise<void> {
    const { KeptFile } = await import('../data/kept-file');
    this.injector.get(KeptFile);
  }

  /** A tab that holds what the store has not confirmed does not close without asking. */
  protected warn(event: BeforeUnloadEvent): void {
    const saving = this.journal.saving();
    if (
      saving.is === 'saving' ||
      (saving.is === 'failed' && saving.unsaved > 0) ||
      this.journal.leftBehind() > 0
    )
      event.preventDefault();
  }

  /** Where one types, a stroke is a letter; elsewhere it is a key. */
  protected key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const { tagName, isContentEditable } = event.target as HTMLElement;
    if (isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(tagName)) return;
    if (event.key !== '/' && event.key !== '?') return;
    event.preventDefault();
    if (event.key === '/') this.find();
    else void this.openDialog(() => import('./keys-dialog').then((m) => m.KeysDialog));
  }

  protected home(): void {
    void this.journal.openOwn();
  }

  /** The places that a phone’s bar has no room for, from below, where the thumb is. */
  protected async openMore(): Promise<void> {
    const [{ MatBottomSheet }, { MoreSheet }] = await Promise.all([
      import('@angular/material/bottom-sheet'),
      import('./more-sheet'),
    ]);
    const sheet = this.injector
      .get(MatBottomSheet)
      .open(MoreSheet, { ariaLabel: say.morePlaces() });
    sheet.afterDismissed().subscribe((then) => {
      if (then === 'find') this.find();
    });
  }

  protected find(): void {
    void this.openDialog(() => import('./find-dialog').then((m) => m.FindDialog), 'find-title');
  }

  /** The code of a dialog comes when it is first asked for. */
  private async openDialog(
    load: () => Promise<Type<unknown>>,
    ariaLabelledBy?: string,
  ): Promise<void> {
    const [{ MatDialog }, component] = await Promise.all([
      import('@angular/material/dialog'),
      load(),
    ]);
    const dialog = this.injector.get(MatDialog);
    if (dialog.openDialogs.length > 0) return;
    dialog.open(component, {
      width: '38rem',
      maxWidth: '94vw',
      ...(ariaLabelledBy ? { ariaLabelledBy } : {}),
    });
  }

  protected skip(main: HTMLElement): void {
    main.focus();
  }

  protected retry(): void {
    void this.journal.retry();
  }

  protected saveFile(): void {
    void this.file.save();
  }
}
