import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  batchCode,
  batchTitle,
  clockOf,
  closureOn,
  daysBetween,
  pieceOf,
  spaceOn,
  type Batch,
  type BatchStage,
} from '@hypogeon/core';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { verdictWords } from '../data/verdict-words';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';
import { Field, FieldControl } from '../ui/field';

const STAGE_WORD: Readonly<Record<BatchStage, string>> = {
  planned: 'to be cut',
  callusing: 'callusing',
  stuck: 'stuck, no roots yet',
  growing: 'rooted',
  done: 'done',
};

/** A screenful; a bench of thousands is drawn as one asks for more. */
const FEW = 60;

@Component({
  selector: 'hy-bench-page',
  imports: [Field, FieldControl, RouterLink, CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bench-page.html',
  styleUrl: './bench-page.scss',
})
export class BenchPage {
  protected readonly words = inject(Words);
  protected readonly state = inject(Journal).state;
  protected readonly today = inject(Today).day;
  private readonly verdicts = inject(Water).verdicts;
  protected readonly stageWord = STAGE_WORD;

  protected readonly query = signal('');
  protected readonly withDone = signal(false);
  private readonly most = signal(FEW);

  private readonly found = computed(() => {
    const state = this.state();
    const words = this.query().toLowerCase().split(/\s+/).filter(Boolean);
    return [...state.batches.values()]
      .filter((b) => this.withDone() || b.stage !== 'done')
      .filter((b) => {
        if (words.length === 0) return true;
        const text = `${batchTitle(state, b)} ${batchCode(state, b)} ${b.place ?? ''} ${
          state.mothers.get(b.mother ?? '')?.name ?? ''
        } ${this.spaceName(b)} ${STAGE_WORD[b.stage]}`.toLowerCase();
        // At the beginning of a word: “tray g” is not every tray with a g in its plant.
        return words.every((w) => ` ${text}`.includes(` ${w}`));
      })
      .sort((a, b) => (a.cutOn < b.cutOn ? 1 : a.cutOn > b.cutOn ? -1 : 0));
  });

  /** Batches by the space they are in: the order one walks the benches. */
  protected readonly benches = computed(() => {
    const shown = this.found().slice(0, this.most());
    const names = [...new Set(shown.map((b) => this.spaceName(b)))];
    const rows = shown.map((batch) => this.row(batch));
    return names.map((name) => ({ name, batches: rows.filter((r) => r.space === name) }));
  });
  protected readonly more = computed(() => Math.max(0, this.found().length - this.most()));

  protected showMore(): void {
    this.most.update((n) => n + 4 * FEW);
  }

  private row(batch: Batch) {
    const state = this.state();
    const clock = clockOf(state, batch);
    const closure = clock && batch.cut ? closureOn(clock, batch.cutOn, this.today()) : 0;
    const alive = batch.counts.rooted + batch.counts.pupped;
    const age = daysBetween(batch.cutOn, this.today());
    const mark: MarkState = {
      ...FRESH,
      closure: clock === null ? 1 : closure,
      roots: alive > 0 ? 2 : 0,
      pup: batch.counts.pupped > 0,
      potted: batch.potted > 0,
    };
    return {
      batch,
      mark,
      space: this.spaceName(batch),
      title: batchTitle(state, batch),
      code: batchCode(state, batch),
      piece: pieceOf(state, batch),
      age: age < 0 ? `cut in ${this.words.days(-age)}` : `day ${age}`,
      mother: state.mothers.get(batch.mother ?? '')?.name,
      says: this.says(batch),
      water: this.water(batch),
    };
  }

  private water(batch: Batch): { readonly says: string; readonly now: boolean } | null {
    const verdict = this.verdicts().get(batch.id);
    if (!verdict) return null;
    const now = verdict.kind === 'water' || verdict.kind === 'overdue';
    return { says: verdictWords(this.words, batch, verdict), now };
  }

  private says({ counts, count, waiting, stage }: Batch): string {
    if (stage === 'planned' || stage === 'callusing') return `${count} in all`;
    const lost = counts.rotted + counts.dried + counts.lost;
    return [
      `${counts.rooted + counts.pupped} of ${count} rooted`,
      counts.pupped ? `${counts.pupped} with pups` : '',
      lost ? `${lost} lost` : '',
      waiting ? `${waiting} waiting` : '',
    ]
      .filter(Boolean)
      .join(', ');
  }

  private spaceName(batch: Batch): string {
    const id = spaceOn(batch, this.today(), batch.stuck !== null);
    return this.state().spaces.get(id)?.name ?? 'Somewhere';
  }
}
