import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { batchCode, batchTitle, figuresOf, pieceOf, plantOf } from '@hypogeon/core/bench';
import { METHOD } from '@hypogeon/core/botany';
import { cuttingCautions } from '@hypogeon/core/safety';
import { WOUND_SCHOOL } from '@hypogeon/core/wound';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { PlanResult } from './plan-result';
import { namePage } from '../shell/page-title';

/** The plan of one batch on a sheet of paper, to take to the bench. */
@Component({
  selector: 'hy-sheet-page',
  imports: [MatButton, CuttingMark, PlanResult, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <div class="head">
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
        <button type="button" matButton="filled" class="no-print" (click)="print()">Print</button>
      </div>
      <p class="up">
        <svg viewBox="0 0 24 40" width="24" height="40" aria-hidden="true">
          <path d="M12 38V4M4 12L12 4l8 8" />
        </svg>
        {{ v.polarity }}
      </p>
      <hy-plan-result [batch]="v.batch" />
      <section aria-labelledby="care">
        <h2 id="care" class="ruled">Take care</h2>
        <ul>
          @for (c of v.cautions; track c.title) {
            <li>
              <strong>{{ c.title }}.</strong> {{ c.advice }}
            </li>
          }
        </ul>
        <p class="quiet small">Product labels, local law, doctors and vets have the last word.</p>
      </section>
      <section aria-labelledby="pencil">
        <h2 id="pencil" class="ruled">Counted by pencil</h2>
        <div class="scroll" tabindex="0" role="region" aria-label="Room to count by pencil">
          <table>
            <thead>
              <tr>
                <th scope="col">Day</th>
                @for (c of columns; track c) {
                  <th scope="col">{{ c }}</th>
                }
              </tr>
            </thead>
            <tbody>
              @for (line of lines; track line) {
                <tr>
                  <th scope="row">
                    <span class="unseen">Look {{ line }}</span>
                  </th>
                  @for (c of columns; track c) {
                    <td></td>
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
    :host {
      display: grid;
      gap: 1.4rem;
      grid-template-columns: minmax(0, 1fr);
      max-width: 54rem;
    }
    .head {
      display: flex;
      flex-wrap: wrap;
      gap: 1rem;
      align-items: center;
    }
    .head button {
      margin-left: auto;
    }
    .up {
      display: flex;
      gap: 0.8rem;
      align-items: center;
      font-weight: 600;
    }
    .up path {
      fill: none;
      stroke: var(--ink);
      stroke-width: 3;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    ul {
      padding-left: 1.1rem;
      margin: 0.5rem 0;
    }
    tbody td,
    tbody th {
      height: 2.1rem;
      border-left: 1px solid var(--line);
    }
    thead th {
      width: 14%;
    }
    @media print {
      :host {
        gap: 0.8rem;
      }
      section {
        break-inside: avoid;
      }
    }
  `,
})
export class SheetPage {
  private readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  readonly id = input.required<string>();
  protected readonly fresh = { ...FRESH, closure: 0.35 };
  protected readonly columns = ['Rooted', 'With pups', 'Rotted', 'Dried up', 'Lost', 'Waiting'];
  protected readonly lines = [1, 2, 3, 4, 5, 6];

  protected readonly view = computed(() => {
    const state = this.state();
    const batch = state.batches.get(this.id());
    if (!batch) return null;
    const plant = plantOf(state, batch.taxon);
    const method = METHOD[batch.method];
    return {
      batch,
      title: batchTitle(state, batch),
      code: batchCode(state, batch),
      piece: pieceOf(state, batch),
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

  constructor() {
    namePage(() => {
      const view = this.view();
      return view ? `Plan sheet: ${view.title}` : '';
    });
  }

  protected print(): void {
    window.print();
  }
}

const POLARITY = {
  'base down':
    'The arrow points to the tip: the end that stood lower goes down. Upside down none ever roots.',
  laid: 'Laid on the surface, the way it lay.',
  'as it stood': 'As it stood, at the depth it had.',
} as const;
