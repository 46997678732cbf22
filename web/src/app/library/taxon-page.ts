import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  CATALOGUE,
  cuttingCautions,
  evidenceText,
  METHOD,
  successRange,
  type Evidence,
  type Window,
} from '@hypogeon/core';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';

const GROWER = {
  summer: 'Grows in warmth, rests in the cold.',
  winter: 'Grows in the cool, rests in heat.',
  either: 'Grows whenever it is neither cold nor hot.',
} as const;

@Component({
  selector: 'hy-taxon-page',
  imports: [RouterLink, CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (taxon(); as t) {
      <div class="page-head">
        <h1>
          <i>{{ t.name }}</i>
        </h1>
        <p class="quiet">{{ t.family }}; {{ names() }}</p>
        <a class="bare push" routerLink="/library">Library</a>
      </div>

      <p>
        {{ grower() }} Band: {{ words.temperature(t.season.fromC) }} to
        {{ words.temperature(t.season.toC) }}
        <span class="quiet">({{ evidence(t.season.evidence) }})</span>. Whether a bench is in season
        follows from its air, not from the month.
      </p>

      <section aria-labelledby="ways">
        <h2 id="ways" class="ruled">Ways</h2>
        @for (way of ways(); track way.id) {
          <article>
            <hy-mark [piece]="way.piece" [state]="whole" [size]="72" />
            <div>
              <h3>
                {{ way.name }}
                @if (way.poor) {
                  <span class="quiet">poor</span>
                }
              </h3>
              <p class="small">{{ way.rule }}</p>
            </div>
            <dl>
              @for (figure of way.figures; track figure.name) {
                <div>
                  <dt>{{ figure.name }}</dt>
                  <dd>
                    {{ figure.value }} <span class="quiet small">{{ figure.evidence }}</span>
                  </dd>
                </div>
              }
            </dl>
          </article>
        }
        @for (no of t.not; track no.method) {
          <p class="no">
            <strong>Not by {{ nameOf(no.method) }}.</strong> {{ no.why }}
          </p>
        }
      </section>

      <section aria-labelledby="care">
        <h2 id="care" class="ruled">Take care</h2>
        <ul>
          @for (c of cautions(); track c.title) {
            <li>
              <strong>{{ c.title }}.</strong> {{ c.advice }}
            </li>
          }
        </ul>
        <p class="quiet small">
          Common practice, no source. Labels, local law, doctors and vets have the last word.
        </p>
      </section>
    } @else {
      <h1>Not in the library</h1>
      <p><a routerLink="/library">To the library</a></p>
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
    article {
      display: grid;
      grid-template-columns: 72px minmax(12rem, 1fr) minmax(18rem, 1.3fr);
      gap: 1.25rem;
      align-items: center;
      padding: 0.9rem 0;
      border-bottom: 1px solid var(--line);
    }
    dl {
      margin: 0;
      display: grid;
      gap: 0.2rem;
    }
    dl div {
      display: grid;
      grid-template-columns: 8rem minmax(0, 1fr);
      gap: 0.75rem;
    }
    dt {
      color: var(--ink2);
    }
    dd {
      margin: 0;
    }
    .no {
      padding: 0.8rem 0;
    }
    ul {
      padding-left: 1.1rem;
    }
    li {
      margin-bottom: 0.4rem;
    }
    @media (max-width: 1000px) {
      article {
        grid-template-columns: 72px minmax(0, 1fr);
      }
      dl {
        grid-column: 1 / -1;
      }
    }
  `,
})
export class TaxonPage {
  protected readonly words = inject(Words);
  readonly id = input.required<string>();
  protected readonly whole = { ...FRESH, closure: 1, roots: 2 as const };

  protected readonly taxon = computed(() => CATALOGUE.find((t) => t.id === this.id()) ?? null);
  protected readonly names = computed(() => {
    const t = this.taxon();
    return t ? [...t.common, ...t.synonyms.map((s) => `formerly ${s}`)].join(', ') : '';
  });
  protected readonly grower = computed(() => GROWER[this.taxon()?.season.grower ?? 'either']);
  protected readonly cautions = computed(() => {
    const t = this.taxon();
    return t ? cuttingCautions(t, true, 'none') : [];
  });

  protected readonly ways = computed(() =>
    (this.taxon()?.methods ?? []).map((m) => {
      const { wound } = m;
      const days = (w: Window): string => `${w.from}–${w.to} days at ${this.words.temperature(22)}`;
      return {
        id: m.method,
        name: METHOD[m.method].name,
        piece: m.piece ?? METHOD[m.method].piece,
        poor: m.worth === 'poor',
        rule: m.why ?? METHOD[m.method].rule,
        figures: [
          {
            name: 'Wound',
            value: wound
              ? `${wound.tissue}, ${this.words.length(wound.widthMm)}` +
                (wound.thicknessMm ? ` by ${this.words.length(wound.thicknessMm)}` : '')
              : 'none that could rot',
            evidence: wound ? evidenceText(wound.evidence) : '',
          },
          { name: 'Roots', value: days(m.roots), evidence: evidenceText(m.roots.evidence) },
          ...(m.pups
            ? [{ name: 'Pups', value: days(m.pups), evidence: evidenceText(m.pups.evidence) }]
            : []),
          {
            name: 'Success',
            value: `${this.words.percentSpan(successRange(m.success))}, an opinion worth ${m.success.worth} cuttings`,
            evidence: evidenceText(m.success.evidence),
          },
        ],
      };
    }),
  );

  protected evidence(evidence: Evidence): string {
    return evidenceText(evidence);
  }

  protected nameOf(method: keyof typeof METHOD): string {
    return METHOD[method].name.toLowerCase();
  }
}
