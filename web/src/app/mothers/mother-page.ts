import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  batchCode,
  batchTitle,
  cuttingCautions,
  evidenceText,
  METHOD,
  pieceOf,
  plantOf,
  successRange,
} from '@hypogeon/core';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { PERMISSION_WORD } from './permission-words';

@Component({
  selector: 'hy-mother-page',
  imports: [RouterLink, CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <div class="page-head">
        <h1>{{ v.mother.name }}</h1>
        <p class="quiet">
          <i>{{ v.plant?.name ?? 'unknown plant' }}</i>
          @if (v.plant?.like) {
            (figures of <i>{{ v.plant?.like }}</i>)
          }
        </p>
        <a class="bare push" [routerLink]="['/mothers', v.mother.id, 'edit']">Change</a>
        <a class="act" routerLink="/plan" [queryParams]="{ mother: v.mother.id }">Plan a batch</a>
      </div>

      <dl>
        <div>
          <dt>Came from</dt>
          <dd>{{ v.mother.provenance ?? 'not noted' }}</dd>
        </div>
        <div>
          <dt>Permission</dt>
          <dd [class.warn]="!v.mother.permission || v.mother.permission === 'unknown'">
            {{ v.permission }}
          </dd>
        </div>
        <div>
          <dt>With us since</dt>
          <dd>{{ v.mother.since ? words.day(v.mother.since) : 'not noted' }}</dd>
        </div>
        @if (v.plant; as plant) {
          <div>
            <dt>Grows at</dt>
            <dd>
              {{ words.temperature(plant.taxon.season.fromC) }} to
              {{ words.temperature(plant.taxon.season.toC) }}
              <span class="quiet small">{{ v.seasonEvidence }}</span>
            </dd>
          </div>
        }
      </dl>
      @if (v.mother.notes) {
        <p class="notes">{{ v.mother.notes }}</p>
      }

      @if (v.plant; as plant) {
        <section aria-labelledby="ways">
          <h2 id="ways" class="ruled">Ways to propagate her</h2>
          <ul class="ways">
            @for (way of v.ways; track way.method) {
              <li>
                <hy-mark [piece]="way.piece" [size]="48" />
                <div>
                  <strong>{{ way.name }}</strong>
                  <p class="small">{{ way.says }}</p>
                </div>
              </li>
            }
            @for (no of plant.taxon.not; track no.method) {
              <li class="no">
                <span class="cross" aria-hidden="true">no</span>
                <div>
                  <strong>Not from {{ no.method === 'leaf' ? 'a leaf' : no.method }}</strong>
                  <p class="small">{{ no.why }}</p>
                </div>
              </li>
            }
          </ul>
        </section>
        <section aria-labelledby="care">
          <h2 id="care" class="ruled">Take care</h2>
          <ul class="care">
            @for (caution of v.cautions; track caution.title) {
              <li>
                <strong>{{ caution.title }}.</strong> {{ caution.advice }}
              </li>
            }
          </ul>
        </section>
      }

      <section aria-labelledby="gave">
        <h2 id="gave" class="ruled">What she gave</h2>
        <ul class="gave">
          @for (row of v.batches; track row.batch.id) {
            <li>
              <a [routerLink]="['/bench', row.batch.id]">
                <hy-mark [piece]="row.piece" [state]="row.mark" [size]="44" />
                <span>
                  <strong>{{ row.title }}</strong> {{ row.code }}
                </span>
                <span class="quiet">{{ words.day(row.batch.cutOn) }}</span>
                <span>
                  {{ row.batch.counts.rooted + row.batch.counts.pupped }} of
                  {{ row.batch.count }} rooted
                </span>
              </a>
            </li>
          } @empty {
            <li class="quiet">Nothing yet.</li>
          }
        </ul>
      </section>
    } @else {
      <h1>No such mother</h1>
      <p>She may live in another journal. <a routerLink="/mothers">To the mothers</a></p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 1.75rem;
    }
    .page-head {
      margin: 0;
    }
    dl {
      display: flex;
      flex-wrap: wrap;
      gap: 0.75rem 2.5rem;
      margin: 0;
    }
    dt {
      color: var(--ink2);
      font-size: 0.875rem;
    }
    dd {
      margin: 0;
    }
    dd .small {
      display: block;
    }
    .warn {
      color: var(--do);
      font-weight: 600;
    }
    .notes {
      white-space: pre-wrap;
      overflow-wrap: anywhere;
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    .ways {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(19rem, 1fr));
      gap: 0 2rem;
    }
    .ways li {
      display: grid;
      grid-template-columns: 48px minmax(0, 1fr);
      gap: 0.8rem;
      align-items: center;
      padding: 0.7rem 0;
      border-bottom: 1px solid var(--line);
    }
    .cross {
      text-align: center;
      color: var(--ink2);
      font-weight: 700;
    }
    .care li {
      padding: 0.5rem 0;
    }
    .gave a {
      display: grid;
      grid-template-columns: 44px minmax(0, 1fr) 9rem 9rem;
      gap: 0.8rem;
      align-items: center;
      min-height: 56px;
      border-bottom: 1px solid var(--line);
      color: var(--ink);
      text-decoration: none;
    }
    .gave a:hover strong {
      text-decoration: underline;
    }
    @media (max-width: 760px) {
      .gave a {
        grid-template-columns: 44px minmax(0, 1fr) auto;
        padding: 0.4rem 0;
      }
      .gave .quiet {
        grid-column: 3;
      }
      .gave span:last-child {
        grid-column: 2 / -1;
      }
    }
  `,
})
export class MotherPage {
  protected readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  readonly id = input.required<string>();

  protected readonly view = computed(() => {
    const state = this.state();
    const mother = state.mothers.get(this.id());
    if (!mother) return null;
    const plant = plantOf(state, mother.taxon ?? '');
    const law = mother.protectedVariety ? (['rights'] as const) : [];
    return {
      mother,
      plant,
      permission: PERMISSION_WORD[mother.permission ?? 'unknown'],
      seasonEvidence: plant ? evidenceText(plant.taxon.season.evidence) : '',
      cautions: plant
        ? cuttingCautions(
            { hazards: plant.taxon.hazards, law: [...plant.taxon.law, ...law] },
            true,
            'none',
          )
        : [],
      ways: (plant?.taxon.methods ?? []).map((m) => ({
        method: m.method,
        name: METHOD[m.method].name,
        piece: m.piece ?? METHOD[m.method].piece,
        says:
          m.why ??
          `Roots in ${m.roots.from}–${m.roots.to} days` +
            (m.pups ? `, pups in ${m.pups.from}–${m.pups.to}` : '') +
            ` at ${this.words.temperature(22)}; ${this.words.percentSpan(successRange(m.success))} succeed.`,
      })),
      batches: [...state.batches.values()]
        .filter((b) => b.mother === mother.id)
        .sort((a, b) => (a.cutOn < b.cutOn ? 1 : -1))
        .map((batch) => {
          const alive = batch.counts.rooted + batch.counts.pupped;
          return {
            batch,
            title: batchTitle(state, batch),
            code: batchCode(state, batch),
            piece: pieceOf(state, batch),
            mark: {
              ...FRESH,
              closure: alive > 0 ? 1 : 0.4,
              roots: alive > 0 ? (2 as const) : (0 as const),
              pup: batch.counts.pupped > 0,
            },
          };
        }),
    };
  });
}
