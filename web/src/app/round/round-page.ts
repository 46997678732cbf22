import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  batchTitle,
  pieceOf,
  roundOn,
  spaceOn,
  type Batch,
  type Do,
  type Look,
  type RoundItem,
} from '@hypogeon/core';
import { Deeds } from '../data/deeds';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';
import { AirStrip } from './air-strip';
import { LeaveRuler } from './leave-ruler';

/** As many as one walks past before looking at the list again; the rest is a tap away. */
const FEW = 20;

@Component({
  selector: 'hy-round-page',
  imports: [RouterLink, CuttingMark, LeaveRuler, AirStrip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './round-page.html',
  styleUrl: './round-page.scss',
})
export class RoundPage {
  private readonly deeds = inject(Deeds);
  protected readonly words = inject(Words);
  protected readonly state = inject(Journal).state;
  protected readonly today = inject(Today).day;

  private readonly verdicts = inject(Water).verdicts;

  protected readonly round = computed(() => roundOn(this.state(), this.today(), this.verdicts()));
  protected readonly summary = computed(() => {
    const { leave, look, do: todo } = this.round();
    return `${leave.length} to leave alone, ${look.length} to look at, ${todo.length} to do`;
  });

  private readonly most = signal({ do: FEW, look: FEW });
  protected readonly todo = computed(() => this.round().do.slice(0, this.most().do));
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
    return [batch.place, space].filter(Boolean).join(' · ');
  }

  protected mark({ batch, closure }: RoundItem): MarkState {
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
    void this.deeds.record({ kind: 'inspected', batch: batch.id, seen }, said);
  }

  protected done({ kind, batch, count, drink }: Do): void {
    const id = batch.id;
    switch (kind) {
      case 'cut':
        return void this.deeds.record({ kind: 'cut', batch: id }, 'Cut');
      case 'stick':
        return void this.deeds.record({ kind: 'stuck', batch: id }, 'Stuck');
      case 'first-water':
      case 'water': {
        const usual = batch.method === 'leaf' && kind === 'first-water' ? 'misted' : 'poured';
        const how = drink?.manner ?? usual;
        // What runs through need not be measured, and a mist is a mist.
        const ml = drink && !drink.through && how !== 'misted' ? { ml: Math.round(drink.ml) } : {};
        return void this.deeds.record(
          { kind: 'watered', batch: id, how, ...ml },
          how === 'misted' ? 'Misted' : 'Watered',
        );
      }
      case 'pot-on':
        return void this.deeds.record({ kind: 'potted', batch: id, count }, 'Potted on');
    }
  }

  protected doneWord({ kind, batch, drink }: Do): string {
    switch (kind) {
      case 'cut':
        return 'Cut';
      case 'stick':
        return 'Stuck';
      case 'first-water':
        return (drink?.manner ?? (batch.method === 'leaf' ? 'misted' : 'poured')) === 'misted'
          ? 'Misted'
          : 'Watered';
      case 'water':
        return drink?.manner === 'misted' ? 'Misted' : 'Watered';
      case 'pot-on':
        return 'Potted';
    }
  }
}
