import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { nameOf, drawnOf, placeOf } from '@hypogeon/core/bench';
import { METHOD } from '@hypogeon/core/botany';
import { addDays, daysBetween, weekday, type Day } from '@hypogeon/core/days';
import type { Batch, State } from '@hypogeon/core/journal';
import type { Leave } from '@hypogeon/core/care';
import { piecesText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/leave-ruler';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';

const HORIZON = 14;
/** As many as a glance takes in; the rest is a tap away. */
const FEW = 8;

interface Tick {
  readonly day: Day;
  readonly left: number;
  readonly name: string;
  readonly monday: boolean;
}

interface Row {
  readonly item: Leave;
  readonly mark: MarkState;
  readonly solid: number;
  readonly fade: number;
  readonly line: number | null;
  readonly name: string;
  readonly short: string;
  readonly says: string;
  readonly why: string;
}

/**
 * What is left alone, on a ruler of days: hatched while no water for sure, fading over the
 * range in which the wound may close, with a line where the gate opens.
 */
@Component({
  selector: 'hy-leave-ruler',
  imports: [MatButton, RouterLink, CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './leave-ruler.html',
  styleUrl: './leave-ruler.scss',
})
export class LeaveRuler {
  protected readonly say = say;

  private readonly words = inject(Words);
  readonly items = input.required<readonly Leave[]>();
  readonly state = input.required<State>();
  readonly today = input.required<Day>();

  protected readonly ticks = computed((): readonly Tick[] =>
    Array.from({ length: HORIZON }, (_, n) => {
      const day = addDays(this.today(), n);
      return {
        day,
        left: (n / HORIZON) * 100,
        name: this.words.weekday(day).slice(0, 1),
        monday: weekday(day) === 0,
      };
    }),
  );

  private readonly all = signal(false);
  protected readonly rows = computed((): readonly Row[] =>
    (this.all() ? this.items() : this.items().slice(0, FEW)).map((i) => this.row(i)),
  );
  protected readonly more = computed(() => this.items().length - this.rows().length);

  protected showAll(): void {
    this.all.set(true);
  }

  protected piece(batch: Batch) {
    return drawnOf(this.state(), batch);
  }

  protected where(batch: Batch): string {
    const many = batch.count === 1 ? METHOD[batch.method].one : METHOD[batch.method].many;
    return [`${batch.count} ${many}`, placeOf(this.state(), batch)].filter(Boolean).join(', ');
  }

  private row(item: Leave): Row {
    const opens = this.at(item.until);
    const from = Math.min(this.at(item.earliest), opens);
    const to = Math.max(this.at(item.latest), opens);
    const beyond = daysBetween(this.today(), item.until) >= HORIZON;
    const { cuttings } = item.batch;
    const roots = cuttings.some((c) => c.rooted) ? 2 : 0;
    return {
      item,
      mark: { ...FRESH, closure: item.closure, roots },
      solid: from,
      fade: to - from,
      line: beyond ? null : opens,
      name: nameOf(this.state(), item.batch),
      short: `${piecesText(item.batch.method, item.batch.count)}, ${this.words.near(item.until)}`,
      says: this.words.leave(item),
      why: this.words.leaveWhy(item),
    };
  }

  private at(day: Day): number {
    const share = daysBetween(this.today(), day) / HORIZON;
    return Math.min(Math.max(share, 0), 1) * 100;
  }
}
