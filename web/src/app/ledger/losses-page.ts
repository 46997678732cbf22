import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  batchTitle,
  findingWords,
  findLosses,
  groupsBy,
  hasResult,
  lossesByWeek,
  type Finding,
} from '@hypogeon/core';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { LossWeeks } from '../marks/loss-weeks';
import { LedgerTabs } from './ledger-tabs';

const STRENGTH = {
  strong: 'Strong evidence',
  some: 'Some evidence',
  weak: 'Weak: it may be chance',
} as const;

/** Where and when this bench loses cuttings, and what stands out from chance. */
@Component({
  selector: 'hy-losses-page',
  imports: [LedgerTabs, LossWeeks, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Losses</h1>
      <p class="quiet">where and when this bench loses cuttings</p>
    </div>
    <hy-ledger-tabs />
    @if (weeks().length === 0) {
      <p>Nothing lost yet, or nothing counted.</p>
    } @else {
      <section aria-labelledby="stands-out">
        <h2 id="stands-out" class="ruled">What stands out</h2>
        @for (f of found().findings; track f.words) {
          <article>
            <p class="words">{{ f.words }}</p>
            <p>{{ f.strength }}, {{ f.looked }}. {{ f.range }}</p>
            <p class="quiet small">
              Behind it:
              @for (b of f.batches; track b.id) {
                <a [routerLink]="['/bench', b.id]">{{ b.name }}</a>{{ $last ? '' : ', ' }}
              }
            </p>
          </article>
        } @empty {
          <p class="words">Nothing stands out from chance.</p>
          <p>
            {{ found().looked }} comparisons were made, and with so many looks something always
            seems odd.
            @if (found().nearest; as n) {
              Nearest: {{ n }} More batches would tell.
            }
          </p>
        }
      </section>
      <section aria-labelledby="weeks">
        <h2 id="weeks" class="ruled">By weeks since the cut</h2>
        <hy-loss-weeks [weeks]="weeks()" />
      </section>
      <section aria-labelledby="where">
        <h2 id="where" class="ruled">By place</h2>
        <div class="scroll" tabindex="0" role="region" aria-label="Losses by place">
          <table>
            <thead>
              <tr>
                <th scope="col">Place</th>
                <th scope="col" class="number">Settled</th>
                <th scope="col" class="number">Rotted</th>
                <th scope="col" class="number">Dried up</th>
                <th scope="col" class="number">Otherwise</th>
                <th scope="col" class="number">Lost in all</th>
              </tr>
            </thead>
            <tbody>
              @for (row of places(); track row.name) {
                <tr>
                  <th scope="row">{{ row.name }}</th>
                  <td class="number">{{ row.told }}</td>
                  <td class="number">{{ row.count.rotted }}</td>
                  <td class="number">{{ row.count.dried }}</td>
                  <td class="number">{{ row.count.lost }}</td>
                  <td class="number">{{ row.share }}</td>
                </tr>
              }
            </tbody>
          </table>
        </div>
      </section>
      <p class="quiet small">
        Every group is held against the rest by Fisher’s test on effective numbers (cuttings of one
        batch share their tray), corrected by Holm’s method for all comparisons made.
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 1.6rem;
      grid-template-columns: minmax(0, 1fr);
    }
    .page-head {
      margin: 0;
    }
    section {
      display: grid;
      gap: 0.7rem;
      grid-template-columns: minmax(0, 1fr);
    }
    .words {
      font: 650 1.4rem/1.25 var(--head-face);
    }
    article {
      display: grid;
      gap: 0.2rem;
      padding: 0.4rem 0;
    }
  `,
})
export class LossesPage {
  private readonly state = inject(Journal).state;
  private readonly words = inject(Words);

  protected readonly weeks = computed(() =>
    lossesByWeek([...this.state().batches.values()].filter(hasResult)),
  );
  protected readonly found = computed(() => {
    const state = this.state();
    const { findings, nearest, looked } = findLosses(state);
    return {
      looked,
      nearest: nearest ? `${findingWords(nearest)} ${this.range(nearest)}` : null,
      findings: findings.map((f) => ({
        words: findingWords(f),
        strength: STRENGTH[f.strength],
        looked: `p ${f.p < 0.001 ? 'below 0.001' : f.p.toFixed(3)} of ${looked} comparisons`,
        range: this.range(f),
        batches: f.batches.map((b) => ({
          id: b.id,
          name: `${batchTitle(state, b)}, ${this.words.shortDay(b.cutOn)}`,
        })),
      })),
    };
  });
  protected readonly places = computed(() =>
    groupsBy(this.state(), 'space').map((g) => ({
      name: g.name,
      count: g.count,
      told: g.told,
      share: g.lost ? this.words.percentSpan(g.lost) : '',
    })),
  );

  private range({ difference }: Finding): string {
    const points = (f: number): number => Math.round(f * 100);
    return `${points(difference.difference)} points more, ${points(difference.low)} to ${points(difference.high)}.`;
  }
}
