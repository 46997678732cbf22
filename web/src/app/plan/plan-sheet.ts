import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { batchCode, batchTitle, figuresOf, drawnOf, plantOf } from '@hypogeon/core/bench';
import { methodAs } from '@hypogeon/core/botany';
import { cuttingCautions } from '@hypogeon/core/safety';
import { WOUND_SCHOOL } from '@hypogeon/core/wound';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/plan-sheet';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { PlanResult } from './plan-result';

/** The plan of one batch as it stands on a sheet of paper. */
@Component({
  selector: 'hy-plan-sheet',
  imports: [CuttingMark, PlanResult, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5.5 max-w-216 print:gap-3' },
  template: `
    @if (view(); as v) {
      <div class="flex flex-wrap items-center gap-4">
        <hy-mark [piece]="v.piece" [state]="fresh" [size]="84" />
        <div>
          <p class="quiet small">
            <a [routerLink]="['/bench', v.batch.id]" class="no-print">{{ say.batch() }}</a> ·
            <span class="code">{{ v.code }}</span>
          </p>
          <h1>{{ say.planSheet({ title: v.title }) }}</h1>
          <p>
            {{ say.ofWord({ count: v.batch.count, many: v.many }) }} <i>{{ v.plant }}</i>{{
              v.mother ? say.from({ mother: v.mother }) : ''
            }}, {{ v.school }}, {{ v.space }}
          </p>
        </div>
      </div>
      <p class="up flex items-center gap-3 font-semibold">
        <svg viewBox="0 0 24 40" width="24" height="40" aria-hidden="true">
          <path d="M12 38V4M4 12L12 4l8 8" />
        </svg>
        {{ v.polarity }}
      </p>
      <hy-plan-result [batch]="v.batch" />
      <section class="print:break-inside-avoid" [attr.aria-labelledby]="'care-' + id()">
        <h2 [id]="'care-' + id()" class="ruled">{{ say.takeCare() }}</h2>
        <ul class="my-2 mx-0 pl-4.5">
          @for (c of v.cautions; track c.title) {
            <li>
              <strong>{{ c.title }}.</strong> {{ c.advice }}
            </li>
          }
        </ul>
        <p class="quiet small">{{ say.productLabelsLocalLaw() }}</p>
      </section>
      <section class="print:break-inside-avoid" [attr.aria-labelledby]="'pencil-' + id()">
        <h2 [id]="'pencil-' + id()" class="ruled">{{ say.countedByPencil() }}</h2>
        <div class="scroll" tabindex="0" role="region" [attr.aria-label]="say.roomToCountBy()">
          <table>
            <thead>
              <tr>
                <th class="w-[14%]" scope="col">{{ say.day() }}</th>
                @for (c of columns; track c) {
                  <th class="w-[14%]" scope="col">{{ c }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (line of lines; track line) {
                <tr>
                  <th class="h-8.5 border-l border-line" scope="row">
                    <span class="unseen">{{ say.look({ line: line }) }}</span>
                  </th>
                  @for (c of columns; track c) {
                    <td class="h-8.5 border-l border-line"></td>
                  }
                </tr>
              }
            </tbody>
          </table>
        </div>
      </section>
    } @else {
      <h1>{{ say.noSuchBatch() }}</h1>
      <p>
        {{ say.itMayBeIn() }} <a routerLink="/bench">{{ say.toTheBench() }}</a>
      </p>
    }
  `,
  styles: `
    .up path {
      fill: none;
      stroke: var(--ink);
      stroke-width: 3;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class PlanSheet {
  protected readonly say = say;

  private readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  /** The batch it is of. */
  readonly id = input.required<string>();
  protected readonly fresh = { ...FRESH, closure: 0.35 };
  protected readonly columns = [
    say.rooted(),
    say.withPups(),
    say.rotted(),
    say.driedUp(),
    say.lost(),
    say.waiting(),
  ];
  protected readonly lines = [1, 2, 3, 4, 5, 6];

  protected readonly view = computed(() => {
    const state = this.state();
    const batch = state.batches.get(this.id());
    if (!batch) return null;
    const plant = plantOf(state, batch.taxon);
    const method = methodAs(plant?.taxon ?? null, batch.method);
    return {
      batch,
      title: batchTitle(state, batch),
      code: batchCode(state, batch),
      piece: drawnOf(state, batch),
      plant: plant?.name ?? say.anUnknownPlant(),
      many: batch.count === 1 ? method.one : method.many,
      mother: batch.mother ? state.mothers.get(batch.mother)?.name : undefined,
      school: say.cut({
        name: inSentence(WOUND_SCHOOL[batch.school].name),
        day: this.words.day(batch.cutOn),
      }),
      space: state.spaces.get(batch.space)?.name ?? say.theBench(),
      polarity: POLARITY[method.polarity],
      cautions: plant
        ? cuttingCautions(
            plant.taxon,
            figuresOf(state, batch)?.wound != null,
            batch.disinfectant ?? 'none',
          )
        : [],
    };
  });
}

const POLARITY = {
  get 'base down'() {
    return say.theArrowPointsTo();
  },
  get laid() {
    return say.laidOnTheSurface();
  },
  get 'as it stood'() {
    return say.asItStoodAt();
  },
} as const;
