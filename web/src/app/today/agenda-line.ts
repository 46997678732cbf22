import {
  ChangeDetectionStrategy,
  Component,
  computed,
  ElementRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { mdiDotsHorizontal } from '@mdi/js';
import { batchTitle, drawnOf, placeOf } from '@hypogeon/core/bench';
import type { Batch, State } from '@hypogeon/core/journal';
import { taskDone, type AgendaLine as Line } from '@hypogeon/core/round';
import { counted, NOUN } from '@hypogeon/words';
import { say } from '@hypogeon/messages/agenda-line';
import { Actions } from '../data/actions';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { markOfBatch } from '../marks/mark-state';
import { AgendaMore } from './agenda-more';
import { AskTaps } from './ask-taps';

/** What waits least: a drink once it is asked. */
const LOUD: ReadonlySet<Line['kind']> = new Set(['water', 'first-water', 'pot-water', 'mist']);

/** One line of the day's work: mark, what, how much, one button; the reason is one tap away. */
@Component({
  selector: 'hy-agenda-line',
  imports: [MatButton, MatIconButton, AgendaMore, AskTaps, CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block border-b border-line' },
  template: `
    @let first = line().items[0];
    <div
      class="line grid grid-cols-[40px_minmax(0,1fr)_auto_44px] items-center gap-y-0 gap-x-2.5 min-h-12 phone:gap-y-0 phone:gap-x-1.5 phone:grid-cols-[40px_minmax(0,1fr)_auto_36px] phone:min-h-13 phone:py-1"
      [class.open]="open()"
    >
      <hy-mark [piece]="piece()" [state]="mark()" [size]="40" />
      <button
        type="button"
        class="what"
        [attr.aria-expanded]="open()"
        [attr.aria-controls]="id"
        (click)="open.set(!open())"
      >
        <span class="title font-bold phone:leading-tight">{{ title() }}</span>
        <span
          class="flex gap-1.5 min-w-0 quiet small whitespace-nowrap phone:flex-wrap phone:gap-y-0 phone:whitespace-normal phone:leading-tight"
          ><span class="name overflow-hidden text-ellipsis phone:line-clamp-2">{{ who() }}</span>
          @if (late(); as l) {
            <span class="late flex-none text-ink font-semibold">{{ l }}</span>
          }
        </span>
      </button>
      @if (single()) {
        <hy-ask-taps
          [ask]="first"
          [name]="name(first.batch)"
          [loud]="loud()"
          (tapped)="tapped.emit(host)"
        />
      } @else if (line().band === 'do') {
        <button
          type="button"
          [matButton]="loud() ? 'filled' : 'outlined'"
          [attr.aria-label]="say.all({ itemsCount: line().items.length, word: word() })"
          (click)="all()"
        >
          {{ word() }}
        </button>
      } @else {
        <button
          type="button"
          matButton="outlined"
          [attr.aria-label]="say.showWhich({ title: title() })"
          [attr.aria-expanded]="open()"
          (click)="open.set(!open())"
        >
          {{ open() ? say.hide() : say.show() }}
        </button>
      }
      <button
        type="button"
        matIconButton
        class="more"
        [attr.aria-label]="say.whyPostpone({ title: title() })"
        [attr.aria-expanded]="open()"
        (click)="open.set(!open())"
      >
        <svg viewBox="0 0 24 24" aria-hidden="true"><path [attr.d]="dots" /></svg>
      </button>
    </div>
    @if (open()) {
      <hy-agenda-more
        [id]="id"
        [items]="line().items"
        [state]="state()"
        (tapped)="tapped.emit(host)"
        (closed)="open.set(false)"
        (keydown.escape)="open.set(false)"
      />
    }
  `,
  styleUrl: './agenda-line.scss',
})
export class AgendaLine {
  protected readonly say = say;

  protected readonly host = inject<ElementRef<Element>>(ElementRef).nativeElement;
  private readonly actions = inject(Actions);
  private readonly words = inject(Words);
  readonly line = input.required<Line>();
  readonly state = input.required<State>();
  /** Something was recorded: the line is about to go. */
  readonly tapped = output<Element>();

  protected readonly dots = mdiDotsHorizontal;
  protected readonly id = `why-${++count}`;
  protected readonly open = signal(false);
  protected readonly single = computed(() => this.line().items.length === 1);
  protected readonly title = computed(() => this.words.agendaTitle(this.line()));
  protected readonly late = computed(() => this.words.agendaLate(this.line()));
  protected readonly loud = computed(() => LOUD.has(this.line().kind));
  protected readonly word = computed(() => {
    const [first] = this.line().items;
    return first.band === 'do' ? taskDone(first).word : '';
  });
  protected readonly piece = computed(() => drawnOf(this.state(), this.line().items[0].batch));
  protected readonly mark = computed(() => markOfBatch(this.line().items[0]));
  /** Who it is, or where they stand. */
  protected readonly who = computed(() => {
    const { items } = this.line();
    const [{ batch }] = items;
    if (items.length === 1)
      return [this.name(batch), placeOf(this.state(), batch)].filter(Boolean).join(' · ');
    return [
      ...new Set(items.map((i) => placeOf(this.state(), i.batch) ?? this.name(i.batch))),
    ].join(' · ');
  });

  protected name(batch: Batch): string {
    return batchTitle(this.state(), batch);
  }

  protected all(): void {
    const { items } = this.line();
    const entries = items.flatMap((i) => (i.band === 'do' ? taskDone(i).entries : []));
    void this.actions.recordAll(entries, `${this.word()}: ${counted(items.length, NOUN.batch)}`);
    this.tapped.emit(this.host);
  }
}

let count = 0;
