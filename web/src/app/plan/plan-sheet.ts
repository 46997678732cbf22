import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { batchCode, batchTitle, figuresOf, drawnOf, plantOf } from '@hypogeon/core/bench';
import { methodAs } from '@hypogeon/core/botany';
import { cuttingCautions } from '@hypogeon/core/safety';
import { WOUND_SCHOOL } from '@hypogeon/core/wound';
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
            <a [routerLink]="['/bench', v.batch.id]" class="no-print">Batch</a> ·
            <span class="code">{{ v.code }}</span>
          </p>
          <h1>Plan sheet: {{ v.title }}</h1>
          <p>
            {{ v.batch.count }} {{ v.many }} of <i>{{ v.plant }}</i>{{
              v.mother ? ' from ' + v.mother : ''
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
        <h2 [id]="'care-' + id()" class="ruled">Take care</h2>
        <ul class="my-2 mx-0 pl-4.5">
          @for (c of v.cautions; track c.title) {
            <li>
              <strong>{{ c.title }}.</strong> {{ c.advice }}
            </li>
          }
        </ul>
        <p class="quiet small">Product labels, local law, doctors and vets have the last word.</p>
      </section>
      <section class="print:break-inside-avoid" [attr.aria-labelledby]="'pencil-' + id()">
        <h2 [id]="'pencil-' + id()" class="ruled">Counted by pencil</h2>
        <div class="scroll" tabindex="0" role="region" aria-label="Room to count by pencil">
          <table>
            <thead>
              <tr>
                <th class="w-[14%]" scope="col">Day</th>
                @for (c of columns; track c) {
                  <th class="w-[14%]" scope="col">{{ c }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (line of lines; track line) {
                <tr>
                  <th class="h-8.5 border-l border-line" scope="row">
                    <span class="unseen">Look {{ line }}</span>
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
      <h1>No such batch</h1>
      <p>It may be in another journal. <a routerLink="/bench">To the bench</a></p>
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
  private readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  /** The batch it is of. */
  readonly id = input.required<string>();
  protected readonly fresh = { ...FRESH, closure: 0.35 };
  protected readonly columns = ['Rooted', 'With pups', 'Rotted', 'Dried up', 'Lost', 'Waiting'];
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
      plant: plant?.name ?? 'an unknown plant',
      many: batch.count === 1 ? method.one : method.many,
      mother: batch.mother ? state.mothers.get(batch.mother)?.name : undefined,
      school: `${WOUND_SCHOOL[batch.school].name.toLowerCase()}, cut ${this.words.day(batch.cutOn)}`,
      space: state.spaces.get(batch.space)?.name ?? 'the bench',
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
  'base down':
    'The arrow points to the tip: the end that stood lower goes down. Upside down none ever roots.',
  laid: 'Laid on the surface, the way it lay.',
  'as it stood': 'As it stood, at the depth it had.',
} as const;
