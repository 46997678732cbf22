import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { batchTitle, pieceOf, placeOf } from '@hypogeon/core/bench';
import { spaceOn, type Batch } from '@hypogeon/core/journal';
import type { Ask, Do, Look, MotherAsk } from '@hypogeon/core/care';
import { groupTasks, roundOn, taskDone, type DoRow, type Notice } from '@hypogeon/core/round';
import { TASK_NAME } from '@hypogeon/words';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';
import { AirStrip } from './air-strip';
import { LeaveRuler } from './leave-ruler';
import { PutOffForm } from './put-off-form';

/** As many as one walks past before looking at the list again; the rest is a tap away. */
const FEW = 20;

@Component({
  selector: 'hy-round-page',
  imports: [RouterLink, CuttingMark, LeaveRuler, AirStrip, PutOffForm],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './round-page.html',
  styleUrl: './round-page.scss',
})
export class RoundPage {
  private readonly actions = inject(Actions);
  protected readonly words = inject(Words);
  protected readonly state = inject(Journal).state;
  protected readonly today = inject(Today).day;

  private readonly verdicts = inject(Water).verdicts;
  protected readonly waterFailed = inject(Water).failed;

  protected readonly round = computed(() => roundOn(this.state(), this.today(), this.verdicts()));
  protected readonly summary = computed(() => {
    const { leave, look, do: todo, mothers } = this.round();
    return `${leave.length} to leave alone, ${look.length} to look at, ${todo.length + mothers.length} to do`;
  });

  private readonly most = signal({ do: FEW, look: FEW });
  protected readonly rows = computed(() => groupTasks(this.round().do));
  protected readonly todo = computed(() => this.rows().slice(0, this.most().do));
  protected readonly taskName = TASK_NAME;
  protected readonly looks = computed(() => this.round().look.slice(0, this.most().look));

  protected showMore(band: 'do' | 'look'): void {
    this.most.update((most) => ({ ...most, [band]: most[band] + 5 * FEW }));
  }

  protected title(batch: Batch): string {
    return batchTitle(this.state(), batch);
  }

  protected piece(batch: Batch) {
    return pieceOf(this.state(), batch);
  }

  protected where(batch: Batch): string {
    const id = spaceOn(batch, this.today(), batch.stuck !== null);
    const space = this.state().spaces.get(id)?.name;
    return [placeOf(this.state(), batch), space].filter(Boolean).join(' · ');
  }

  protected mark({ batch, closure }: Ask): MarkState {
    const { rooted, pupped } = batch.counts;
    return {
      ...FRESH,
      closure,
      roots: rooted + pupped > 0 ? 2 : 0,
      pup: pupped > 0,
    };
  }

  protected touched({ batch }: Look, seen: 'firm' | 'tacky'): void {
    const said = seen === 'firm' ? 'Dry and firm' : 'Still tacky';
    void this.actions.record({ kind: 'inspected', batch: batch.id, seen }, said);
  }

  protected done(item: Do): void {
    const { entries, said } = taskDone(item);
    void this.actions.recordAll(entries, said);
  }

  protected allDone({ kind, items }: DoRow): void {
    const entries = items.flatMap((item) => taskDone(item).entries);
    void this.actions.recordAll(entries, `${TASK_NAME[kind]}, ${items.length} batches`);
  }

  protected doneWord(item: Do): string {
    return taskDone(item).word;
  }

  protected motherDone({ mother, kind }: MotherAsk): void {
    void this.actions.record(
      { kind: 'mothered', mother: mother.id, what: kind },
      `${mother.name ?? 'The mother'}: noted`,
    );
  }

  protected motherWord({ kind }: MotherAsk): string {
    return MOTHER_WORD[kind];
  }

  /** Looked at, and nothing amiss. */
  protected looked({ batch }: Look, seen: 'fine' | 'soft'): void {
    void this.actions.record(
      { kind: 'inspected', batch: batch.id, seen },
      seen === 'fine' ? 'Looked: fine' : 'Looked: soft',
    );
  }

  protected leafOff({ batch }: Look): void {
    void this.actions.record(
      { kind: 'tended', batch: batch.id, what: 'leaf-off' },
      'Leaf taken off',
    );
  }

  /** The item whose putting off is open. */
  protected readonly putting = signal('');
  protected keyOf({ batch, kind }: Do | Look): string {
    return `${batch.id}/${kind}`;
  }
  protected togglePutting(item: Do | Look): void {
    const key = this.keyOf(item);
    this.putting.update((open) => (open === key ? '' : key));
  }

  protected noticeLink({ kind, about }: Notice): readonly string[] {
    switch (kind) {
      case 'frost':
        return ['/store-room/air', about];
      case 'season':
        return ['/mothers', about];
      case 'order':
        return ['/bench/orders'];
    }
  }
}

const MOTHER_WORD = {
  watered: 'Watered',
  light: 'Brighter',
  feed: 'Fed',
  looked: 'Looked',
} as const;
