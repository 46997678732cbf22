import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { batchCode, batchTitle, clockOf, drawnOf, placeOf, plantOf } from '@hypogeon/core/bench';
import type { Batch } from '@hypogeon/core/journal';
import { closureOn } from '@hypogeon/core/wound';
import { piecesText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/batch-head';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { markOfBatch } from '../marks/mark-state';
import { Tabs } from '../ui/tabs';
import { namePage } from '../shell/page-title';

/** Who a batch is, and the pages about it. The pages’ own buttons stand at the right. */
@Component({
  selector: 'hy-batch-head',
  imports: [CuttingMark, RouterLink, Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-3.5' },
  template: `
    @let v = view();
    <div class="head flex flex-wrap items-center gap-y-2.5 gap-x-4">
      <hy-mark [piece]="v.piece" [state]="v.mark" [size]="76" />
      <div class="flex-[1_1_16rem]">
        <p class="quiet small">
          <a class="inline-block -my-2.5 py-2.5" routerLink="/bench">{{ say.bench() }}</a> ›
          {{ v.space }}
          @if (batch().tray) {
            ›
            <a class="inline-block -my-2.5 py-2.5" [routerLink]="['/bench/trays', batch().tray]">{{
              v.place
            }}</a>
          } @else if (v.place) {
            › {{ v.place }}
          }
        </p>
        <h1 tabindex="-1">{{ v.title }}</h1>
        <p class="quiet">
          {{ say.ofWord({ pieces: v.pieces }) }} <i>{{ v.plant }}</i>{{
            batch().cut ? say.cut({ day: words.day(batch().cutOn) }) : say.toBeCut()
          }}
          ·
          <span class="code">{{ v.code }}</span>
          @if (changes()) {
            ·
            <button type="button" class="as-link no-print" (click)="askedToChange.emit()">
              {{ say.change() }}
            </button>
          }
        </p>
      </div>
      <div class="no-print flex flex-wrap gap-2"><ng-content /></div>
    </div>
    <ng-content select="[headline]" />
    <hy-tabs [label]="say.pagesOf({ title: v.title })" [tabs]="tabs()" />
  `,
  styles: `
    .code {
      font-weight: 600;
      letter-spacing: 0.03em;
    }
    hy-tabs {
      margin-bottom: 0;
    }
    @media (max-width: 760px) {
      .head > hy-mark {
        zoom: 0.75;
      }
    }
  `,
})
export class BatchHead {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  protected readonly words = inject(Words);
  readonly batch = input.required<Batch>();
  /** On the page where what was told of it is put right. */
  readonly changes = input(false, { transform: booleanAttribute });
  readonly askedToChange = output();

  protected readonly view = computed(() => {
    const batch = this.batch();
    const state = this.state();
    const clock = clockOf(state, batch);
    return {
      title: batchTitle(state, batch),
      code: batchCode(state, batch),
      piece: drawnOf(state, batch),
      pieces: piecesText(batch.method, batch.count),
      plant: plantOf(state, batch.taxon)?.name ?? say.anUnknownPlant(),
      place: placeOf(state, batch),
      space: state.spaces.get(batch.space)?.name ?? say.noPlaceTold(),
      mark: markOfBatch({ batch, closure: clock ? closureOn(clock, this.today()) : 1 }),
    };
  });
  protected readonly tabs = computed(() => {
    const at = `/bench/${this.batch().id}`;
    return [
      { path: at, name: say.pieces() },
      { path: `${at}/water`, name: say.water() },
      { path: `${at}/log`, name: say.log() },
      { path: `${at}/pictures`, name: say.pictures() },
    ];
  });

  constructor() {
    // The tab of the browser names the batch: several may be open.
    namePage(() => this.view().title);
  }
}
