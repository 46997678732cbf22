import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  ElementRef,
  inject,
  Injector,
  signal,
  untracked,
} from '@angular/core';
import { BreakpointObserver } from '@angular/cdk/layout';
import { toSignal } from '@angular/core/rxjs-interop';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { map } from 'rxjs';
import { agendaOn, roundOn } from '@hypogeon/core/round';
import { capital } from '@hypogeon/words';
import { say } from '@hypogeon/messages/today-page';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { BackupDue } from './backup-due';
import { AgendaLine } from './agenda-line';
import { AirStrip } from './air-strip';
import { Bands, type Band } from './bands';
import { DayNotices } from './day-notices';
import { LeaveRuler } from './leave-ruler';
import { LookedOver } from './looked-over';
import { Welcome } from './welcome';

/** Lines as many as one works through before looking at the list again; the rest is a tap away. */
const FEW = 40;

/** What today asks, place by place, and what it wants left alone. */
@Component({
  selector: 'hy-today-page',
  imports: [
    BackupDue,
    AgendaLine,
    AirStrip,
    Bands,
    DayNotices,
    LeaveRuler,
    MatButton,
    RouterLink,
    Welcome,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './today-page.html',
  styleUrl: './today-page.scss',
})
export class TodayPage {
  protected readonly say = say;
  protected readonly capital = capital;

  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly injector = inject(Injector);
  private readonly water = inject(Water);
  protected readonly lookedOver = inject(LookedOver);
  protected readonly words = inject(Words);
  protected readonly state = inject(Journal).state;
  protected readonly today = inject(Today).day;
  protected readonly waterFailed = this.water.failed;
  protected readonly waterSlow = this.water.slow;

  protected readonly empty = computed(() => this.state().batches.size === 0);
  /** Numbers that jump are not believed: nothing is counted before the pots are judged. */
  protected readonly judged = computed(
    () =>
      this.empty() ||
      ((this.water.settled() || this.water.slow()) && this.lookedOver.only()?.size !== 0),
  );
  /** The first benches stand while the others are looked over: nothing is counted before all of them are. */
  protected readonly whole = this.lookedOver.all;
  protected readonly round = computed(() =>
    roundOn(this.state(), this.today(), this.water.verdicts(), this.lookedOver.only()),
  );
  protected readonly counts = computed((): Readonly<Record<Band, number>> => {
    const round = this.round();
    return { do: round.do.length, look: round.look.length, leave: round.leave.length };
  });

  private readonly agenda = computed(() => agendaOn(this.state(), this.round(), this.today()));
  private readonly most = signal(FEW);
  protected readonly places = computed(() => {
    let left = this.most();
    return this.agenda().flatMap(({ space, lines }) => {
      const some = lines.slice(0, Math.max(left, 0));
      left -= lines.length;
      const name = this.state().spaces.get(space)?.name ?? say.elsewhere();
      return some.length > 0 ? [{ space, name, lines: some }] : [];
    });
  });
  protected readonly more = computed(
    () =>
      this.agenda().reduce((sum, p) => sum + p.lines.length, 0) -
      this.places().reduce((sum, p) => sum + p.lines.length, 0),
  );

  protected readonly narrow = toSignal(
    inject(BreakpointObserver)
      .observe('(max-width: 760px)')
      .pipe(map((seen) => seen.matches)),
    { initialValue: false },
  );

  /** On a phone one band is shown: the first that has something, until another is chosen. */
  private readonly chosen = signal<Band | null>(null);
  protected readonly band = computed((): Band => {
    const counts = this.counts();
    return this.chosen() ?? (counts.do > 0 ? 'do' : counts.look > 0 ? 'look' : 'leave');
  });

  /** The line whose button was tapped, counted over all places: it goes, and the next takes its stand. */
  private tappedAt: number | null = null;

  constructor() {
    effect(() => {
      this.places();
      const at = untracked(() => this.tappedAt);
      if (at === null) return;
      this.tappedAt = null;
      afterNextRender(() => this.focusLine(at), { injector: this.injector });
    });
  }

  protected choose(band: Band): void {
    this.chosen.set(band);
  }

  protected showMore(): void {
    this.most.update((most) => most + 5 * FEW);
  }

  protected tapped(line: Element): void {
    this.tappedAt = this.lines().indexOf(line);
  }

  private lines(): Element[] {
    return [...this.host.nativeElement.querySelectorAll('hy-agenda-line')];
  }

  /** After an action focus goes to what comes next, unless the grower has gone elsewhere meanwhile. */
  private focusLine(at: number): void {
    if (document.activeElement !== null && document.activeElement !== document.body) return;
    const lines = this.lines();
    const next = lines[Math.min(at, lines.length - 1)];
    const target =
      next?.querySelector<HTMLElement>('[matButton], .mat-mdc-button-base') ??
      this.host.nativeElement.querySelector<HTMLElement>('h1');
    target?.focus();
  }
}
