import { CdkDrag, createDragRef, type CdkDragEnd, type DragRef } from '@angular/cdk/drag-drop';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  ElementRef,
  inject,
  Injector,
  input,
  signal,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatRadioButton } from '@angular/material/radio';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  batchCode,
  batchesIn,
  batchTitle,
  carryTray,
  cellName,
  cellsOf,
  fillTray,
  moveInTray,
  drawnOf,
  sidesOf,
  standIn,
  takeOut,
  unlaid,
  placesIn,
} from '@hypogeon/core/bench';
import type { Batch } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/tray-page';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { oneAtATime } from '../data/one-at-a-time';
import { markOf, OUTCOME_WORD } from '../marks/mark-state';
import { Stamp } from '../marks/stamp';
import { Field, FieldControl } from '../forms/field';
import { KIND_WORD } from './trays-page';
import { namePage } from '../shell/page-title';

/** A tray as it stands: who sits where, laid out by filling, by dragging or by keys. */
@Component({
  selector: 'hy-tray-page',
  imports: [
    MatRadioButton,
    MatButton,
    MatOption,
    MatSelect,
    CdkDrag,
    Stamp,
    Field,
    FieldControl,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  templateUrl: './tray-page.html',
  styleUrl: './tray-page.scss',
})
export class TrayPage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly journal = inject(Journal);
  private readonly router = inject(Router);
  private readonly today = inject(Today).day;
  private readonly injector = inject(Injector);
  private readonly gripped = new Map<EventTarget, DragRef>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly state = this.journal.state;
  readonly id = input.required<string>();

  protected readonly word = KIND_WORD;
  protected readonly tray = computed(() => this.state().trays.get(this.id()) ?? null);
  protected readonly celled = computed(() => (this.tray()?.kind ?? 'tray') === 'tray');
  protected readonly sides = computed(() => sidesOf(this.tray() ?? { id: '' }));
  protected readonly spaces = computed(() => placesIn(this.state()));
  protected readonly problem = signal('');
  /** The cell whose cutting is in the hand. */
  protected readonly held = signal<number | null>(null);
  protected readonly focus = signal(0);
  protected readonly by = signal<'rows' | 'columns'>('rows');

  protected readonly inside = computed(() => {
    const state = this.state();
    return batchesIn(state, this.id()).map((batch, i) => ({
      batch,
      letter: LETTERS[i % LETTERS.length]!,
      title: batchTitle(state, batch),
      code: batchCode(state, batch),
      piece: drawnOf(state, batch),
      here: batch.here.waiting + batch.here.rooted + batch.here.pupped,
      unlaid: unlaid(batch),
    }));
  });
  /** Batches of the same bench that stand in no tray of record, then those of others. */
  protected readonly outside = computed(() => {
    const state = this.state();
    const space = this.tray()?.space;
    return [...state.batches.values()]
      .filter((b) => b.tray === undefined && b.stage !== 'done' && b.stage !== 'planned')
      .sort((a, b) => Number(b.space === space) - Number(a.space === space))
      .map((batch) => ({
        batch,
        name: `${batchTitle(state, batch)} ${batchCode(state, batch)}, ${batch.count}`,
        where: [batch.place, state.spaces.get(batch.space)?.name].filter(Boolean).join(', '),
      }));
  });

  protected readonly cells = computed(() => {
    const tray = this.tray();
    if (!tray || !this.celled()) return [];
    const { rows, columns } = this.sides();
    const there = cellsOf(this.state(), tray);
    const inside = new Map(this.inside().map((b) => [b.batch.id, b]));
    return Array.from({ length: rows * columns }, (_, cell) => {
      const found = there.get(cell);
      const about = found ? inside.get(found.batch.id) : undefined;
      return {
        cell,
        name: cellName(cell, columns),
        letter: about?.letter,
        piece: about?.piece,
        mark: found ? markOf(found.cutting, 1, false, this.today()) : null,
        says: found ? `${about?.title ?? ''}, ${OUTCOME_WORD[found.cutting.outcome]}` : say.free(),
      };
    });
  });

  constructor() {
    namePage(() => this.tray()?.name ?? '');
    inject(DestroyRef).onDestroy(() => this.gripped.forEach((drag) => drag.dispose()));
  }

  protected fill(batch: Batch, from = 0): void {
    const tray = this.tray();
    if (!tray) return;
    const laid = fillTray(this.state(), tray, batch, from, this.by(), this.today());
    this.problem.set(laid.ok ? '' : laid.problem);
    if (laid.ok) void this.actions.recordAll(laid.entries, say.laidOut());
  }

  protected putIn(id: string): void {
    const tray = this.tray();
    const batch = this.state().batches.get(id);
    if (!tray || !batch) return this.problem.set(say.whichBatchChooseOne());
    if (this.celled()) return this.fill(batch);
    this.problem.set('');
    void this.actions.recordAll(standIn(tray, batch, this.today()), say.putIn());
  }

  protected out(batch: Batch): void {
    void this.actions.recordAll(takeOut(this.state(), batch), say.takenOutOfThe());
  }

  protected carry(space: string): void {
    const tray = this.tray();
    if (tray && space !== tray.space)
      void this.actions.recordAll(
        carryTray(this.state(), tray, space, this.today()),
        say.carried(),
      );
  }

  protected resize(rows: string, columns: string): void {
    const side = (text: string): number =>
      Math.min(100, Math.max(1, Math.round(Number(text) || 1)));
    const fields = { rows: side(rows), columns: side(columns) };
    const last = Math.max(-1, ...cellsOf(this.state(), this.tray()!).keys());
    if (fields.columns !== this.sides().columns && last >= 0)
      return this.problem.set(say.itsRowsAreLaid());
    if (last >= fields.rows * fields.columns) return this.problem.set(say.cuttingsSitInThe());
    this.problem.set('');
    void this.actions.record(
      { kind: 'put', record: 'tray', key: this.id(), fields },
      say.changed(),
    );
  }

  protected readonly putAway = oneAtATime(() => this.clearAway());

  private async clearAway(): Promise<void> {
    if (this.inside().length > 0) return this.problem.set(say.somethingStandsInIt());
    const put = { kind: 'put', record: 'tray', key: this.id(), fields: { away: true } } as const;
    if (!(await this.actions.record(put, say.putAway()))) return;
    await this.router.navigate(['/bench/trays']);
  }

  /** A tap takes a cutting up, the next puts it down. */
  protected tap(cell: number): void {
    this.focus.set(cell);
    const held = this.held();
    const filled = this.cells()[cell]?.mark != null;
    if (held === null) this.held.set(filled ? cell : null);
    else {
      this.held.set(null);
      this.move(held, cell);
    }
  }

  /** What is touched can be dragged from then on: two hundred that could be would be slow to draw. */
  protected grip({ currentTarget: piece }: Event, from: number): void {
    if (!(piece instanceof HTMLElement) || this.gripped.has(piece)) return;
    const drag = createDragRef(this.injector, piece);
    drag.ended.subscribe(({ dropPoint }) => {
      drag.reset();
      const cell = this.cellUnder(piece, dropPoint);
      if (cell !== null) this.move(from, cell);
    });
    this.gripped.set(piece, drag);
  }

  protected droppedBatch(event: CdkDragEnd, batch: Batch): void {
    event.source.reset();
    const cell = this.cellUnder(event.source.element.nativeElement, event.dropPoint);
    if (cell !== null) this.fill(batch, cell);
  }

  protected key(event: KeyboardEvent): void {
    const { rows, columns } = this.sides();
    if (event.key === 'Escape' && this.held() !== null) {
      event.preventDefault();
      this.held.set(null);
      return;
    }
    const step = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -columns, ArrowDown: columns }[event.key];
    if (step === undefined) return;
    event.preventDefault();
    const next = this.focus() + step;
    if (next < 0 || next >= rows * columns) return;
    this.focus.set(next);
    this.host.nativeElement.querySelector<HTMLElement>(`[data-cell="${next}"]`)?.focus();
  }

  private move(from: number, to: number): void {
    const tray = this.tray();
    if (!tray) return;
    const entries = moveInTray(this.state(), tray, from, to);
    if (entries.length > 0)
      void this.actions.recordAll(
        entries,
        say.movedTo({ place: cellName(to, this.sides().columns) }),
      );
  }

  private cellUnder(moved: HTMLElement, dropPoint: CdkDragEnd['dropPoint']): number | null {
    const under = document
      .elementsFromPoint(dropPoint.x, dropPoint.y)
      .filter((el) => !moved.contains(el))
      .map((el) => el.closest<HTMLElement>('[data-cell]'))
      .find((el) => el !== null);
    return under ? Number(under.dataset.cell) : null;
  }
}

/** What tells the batches of a tray apart beside their shape. */
const LETTERS = 'abcdefghijkmnpqrstuvwxyz';
