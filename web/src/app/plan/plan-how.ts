import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  MatExpansionPanel,
  MatExpansionPanelContent,
  MatExpansionPanelHeader,
  MatExpansionPanelTitle,
} from '@angular/material/expansion';
import { METHOD, type MethodId, grownAs } from '@hypogeon/core/botany';
import { drawnAs } from '@hypogeon/core/bench';
import type { Drawn, Part } from '@hypogeon/core/look';
import { beliefOf } from '@hypogeon/core/learn';
import {
  neededCurve,
  SIZE_WORD,
  type Combination,
  type Giving,
  type Way,
} from '@hypogeon/core/plan';
import {
  beliefWords,
  insteadText,
  LOSES,
  paceWords,
  pieceRule,
  partsText,
  togetherText,
  whyBest,
} from '@hypogeon/words';
import { Words } from '../data/words';
import { Chart } from '../charts/chart';
import { neededChart } from '../charts/needed-chart';
import { PlanCut } from './plan-cut';
import { PlanDesk } from './plan-desk';
import { PlanWish } from './plan-wish';
import { WayCards, type WayCard } from './way-cards';

const TOGETHER = 'together';

/** The page on which the pieces of a way are laid out on the plant. */
const LAID_OUT: Partial<
  Readonly<Record<MethodId, { readonly at: string; readonly says: string }>>
> = {
  crown: { at: '/plan/stem', says: 'Where to cut' },
  segment: { at: '/plan/stem', says: 'Where to cut' },
  column: { at: '/plan/stem', says: 'Where to cut' },
  branch: { at: '/plan/stem', says: 'Where to cut' },
  trailing: { at: '/plan/stem', says: 'Where to cut' },
  'leaf-section': { at: '/plan/straps', says: 'Cut up the straps' },
  offset: { at: '/plan/clump', says: 'Which to take' },
  'rooted-offset': { at: '/plan/clump', says: 'Which to take' },
  pad: { at: '/plan/clump', says: 'Which to take' },
  division: { at: '/plan/divide', says: 'Part the clump' },
};

/** The second question of a plan: how. Ways side by side; several together where one is not enough. */
@Component({
  selector: 'hy-plan-how',
  imports: [
    MatExpansionPanel,
    MatExpansionPanelHeader,
    MatExpansionPanelTitle,
    Chart,
    MatExpansionPanelContent,
    RouterLink,
    WayCards,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-3' },
  template: `
    <section aria-labelledby="ways">
      <h2 id="ways" class="ruled">{{ title() }}</h2>
      <hy-way-cards [cards]="cards()" [chosen]="chosen()" (choose)="choose($event)" />
      @if (says(); as s) {
        <p class="why max-w-[80ch] mt-2.5" role="status">
          @if (s.short) {
            <strong>{{ s.short }}</strong>
          }
          {{ s.text }}
        </p>
      }
      @if (cut.method(); as m) {
        <p class="why quiet max-w-[80ch] mt-2.5">
          {{ words.rule(cut.figures()?.why ?? rule(m.id)) }}
          @if (laidOut(); as to) {
            <a [routerLink]="to.at" [queryParams]="{ mother: desk.draft().mother }">{{
              to.says
            }}</a>
          }
        </p>
      }
    </section>
    @if (curve(); as c) {
      <mat-expansion-panel class="mat-elevation-z0">
        <mat-expansion-panel-header>
          <mat-panel-title
            >How many {{ cut.method()?.many }}, by the day of cutting</mat-panel-title
          >
        </mat-expansion-panel-header>
        <ng-template matExpansionPanelContent>
          <hy-chart
            class="max-w-184"
            name="How many to take by the day of cutting"
            [tall]="230"
            [model]="c"
          />
        </ng-template>
      </mat-expansion-panel>
    }
  `,
})
export class PlanHow {
  protected readonly desk = inject(PlanDesk);
  protected readonly wish = inject(PlanWish);
  protected readonly cut = inject(PlanCut);
  protected readonly words = inject(Words);

  protected readonly title = computed(() => {
    const { purpose, want, size } = this.desk.draft();
    if (purpose === 'safe') return 'What she gives safely';
    if (purpose === 'have') return 'What they give';
    return this.wish.ways() ? `Ways to ${want} ${SIZE_WORD[size]}` : 'How';
  });

  protected readonly chosen = computed(() =>
    this.wish.together() ? TOGETHER : (this.cut.figures()?.method ?? ''),
  );

  protected readonly rule = (method: MethodId): string =>
    pieceRule(this.desk.plant()?.taxon ?? null, method);
  protected readonly laidOut = computed(() => {
    const figures = this.cut.figures();
    return figures ? (LAID_OUT[figures.method] ?? null) : null;
  });

  protected readonly cards = computed<readonly WayCard[]>(() => {
    const ways = this.wish.ways();
    if (ways) {
      const single = ways.ways.map((way) =>
        this.wayCard(
          way,
          way === ways.best ? (ways.rival ? 'first by little' : 'best for this') : '',
        ),
      );
      const { together } = ways;
      return together ? [this.togetherCard(together), ...single] : single;
    }
    const givings = this.wish.givings();
    if (givings) return givings.map((g) => this.givingCard(g));
    return this.desk.methods().map((figures) => {
      const plant = this.desk.plant()!;
      const belief = beliefOf(this.desk.state(), plant.id, figures);
      return {
        ...this.blank(figures.method, figures.worth === 'poor' ? 'poor' : ''),
        lines: [
          `${this.words.percent(belief.mean)} live, by ${beliefWords(belief, figures.method)}`,
        ],
        ready: `Roots ${figures.roots.from}–${figures.roots.to} days at ${this.words.temperature(grownAs(plant.taxon, figures.method).windowC)}`,
        quiet: `loses ${LOSES[figures.method]}`,
      };
    });
  });

  private blank(method: MethodId, badge: string): WayCard {
    const name = METHOD[method].name;
    return {
      id: method,
      pieces: [this.pieceOf(method)],
      name,
      badge,
      take: '',
      lines: [],
      ready: '',
      quiet: '',
      refused: '',
    };
  }

  private pieceOf(method: MethodId): Drawn | Part {
    const figures = this.cut.figuresOf(method);
    return figures ? drawnAs(this.desk.plant()!.taxon, figures) : METHOD[method].piece;
  }

  private wayCard(way: Way, best: string): WayCard {
    const { method, figures, belief, ready, needed, spare, within } = way;
    const poor = figures.worth === 'poor' ? 'poor' : '';
    const has = spare ? `${spare.guess ? 'about ' : ''}${this.words.number(spare.count)}` : '';
    const learned = belief.own.lived + belief.genus.lived > 0 ? paceWords(belief) : '';
    return {
      ...this.blank(method, best || poor),
      take: within ? `Take ${this.words.number(needed!)}` : '',
      lines: [
        `${this.words.percent(belief.mean)} live, by ${beliefWords(belief, method)}`,
        ready < 0.995 ? `${this.words.percent(ready)} of these in time` : '',
        within && spare ? `she can spare ${has}` : '',
        learned,
      ].filter(Boolean),
      ready:
        way.from && way.to
          ? `Ready ${this.words.span(way.from, way.to)}`
          : 'Not ready within three years',
      refused: within
        ? ''
        : needed === null
          ? 'No number would do by then.'
          : spare
            ? `${this.words.number(needed)} needed; she can spare ${spare.count === 0 ? 'none' : has}.`
            : `${this.words.number(needed)} needed: more than one plant gives.`,
      quiet: [`loses ${LOSES[method]}`, ...way.risks, this.workOf(way)].filter(Boolean).join('; '),
    };
  }

  private workOf({ minutes, cost }: Way): string {
    const price =
      cost?.perPlant == null || cost.perPlant < 0.005
        ? ''
        : `, ${this.words.money(cost.perPlant)} a plant`;
    return minutes === null ? '' : `${workText(minutes, (n) => this.words.decimal(n, 1))}${price}`;
  }

  private togetherCard(all: Combination): WayCard {
    const { want, sure } = this.desk.draft();
    return {
      id: TOGETHER,
      pieces: all.parts.map((p) => this.pieceOf(p.method)),
      name:
        all.parts.length === 1
          ? 'All she can spare'
          : `${WAYS_WORD[all.parts.length] ?? `${all.parts.length} ways`} together`,
      badge: all.enough ? 'best for this' : 'as far as she goes',
      take: all.parts.map((p) => p.taken).join(' + '),
      lines: [
        partsText(all),
        all.enough
          ? `${want} or more: ${this.words.percent(all.chance)}`
          : `${all.reached} of ${want}, ${sure} % sure`,
      ],
      ready: '',
      quiet: '',
      refused: '',
    };
  }

  private givingCard({ way, taken, plants, spare }: Giving): WayCard {
    return {
      ...this.blank(way.method, way.figures.worth === 'poor' ? 'poor' : ''),
      take: taken > 0 ? `Take ${spare?.guess ? 'about ' : ''}${taken}` : '',
      lines: [
        spare?.why ?? '',
        `about ${Math.round(plants.likely)} ${SIZE_WORD[this.desk.draft().size]}`,
        plants.low === plants.high ? '' : `${plants.low} to ${plants.high}, eight times in ten`,
      ].filter(Boolean),
      ready:
        way.from && way.to
          ? `Ready ${this.words.span(way.from, way.to)}`
          : 'Not ready within three years',
      refused: taken > 0 ? '' : 'None to spare.',
      quiet: way.risks.join('; '),
    };
  }

  protected readonly says = computed(() => {
    const ways = this.wish.ways();
    const wish = this.wish.wish();
    if (!ways || !wish) return null;
    const speech = this.words.speech();
    if (ways.best) return { short: '', text: whyBest(ways, speech) };
    const instead = ways.instead ? insteadText(ways.instead, speech) : '';
    if (!ways.together) return { short: 'Not so many by then.', text: instead };
    const text = togetherText(ways.together, wish.count, wish.by, wish.certainty, speech);
    return {
      short: ways.together.enough ? '' : 'Not so many by then.',
      text: ways.together.enough || ways.together.reached > 0 ? text : `${text} ${instead}`,
    };
  });

  protected readonly curve = computed(() => {
    const wish = this.wish.wish();
    const figures = this.cut.figures();
    if (!wish || !figures || this.desk.draft().purpose !== 'want') return null;
    const [cutOn, today] = [this.desk.cutOn(), this.desk.today()];
    const from = cutOn < today ? cutOn : today;
    const curve = neededCurve(this.desk.state(), wish, figures, from);
    const days = { by: this.wish.by(), cutOn };
    return curve.latest ? neededChart(curve, days, this.words.style()) : null;
  });

  protected choose({ id }: WayCard): void {
    if (id === TOGETHER) {
      this.desk.put({ together: true, method: '', count: '' });
      return;
    }
    const method = this.desk.methods().find((m) => m.method === id)?.method;
    if (!method) return;
    const taken = this.wish.givings()?.find((g) => g.way.method === method)?.taken ?? 0;
    this.desk.put({
      method,
      together: false,
      // What one way alone needs and she has; what was typed for another way is not meant for this one.
      count: taken > 0 ? String(taken) : this.wish.ways() ? '' : this.desk.draft().count,
      width: '',
      thickness: '',
      school: '',
    });
  }
}

const WAYS_WORD: Readonly<Record<number, string>> = {
  2: 'Two ways',
  3: 'Three ways',
  4: 'Four ways',
};

/** `20 min`, `1.5 h`. */
function workText(minutes: number, decimal: (n: number) => string): string {
  if (minutes < 90) return `${Math.max(1, Math.round(minutes / 5) * 5 || Math.round(minutes))} min`;
  return `${decimal(minutes / 60)} h`;
}
