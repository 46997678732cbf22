import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { METHOD, type MethodId } from '@hypogeon/core/botany';
import { drawnAs } from '@hypogeon/core/bench';
import type { Drawn, Part } from '@hypogeon/core/look';
import { beliefOf } from '@hypogeon/core/learn';
import {
  PRACTICAL,
  SIZE_WORD,
  yieldOf,
  type Combination,
  type Giving,
  type Way,
  type Yield,
} from '@hypogeon/core/plan';
import { beliefWords, capital, LOSES, paceWords, togetherText, whyBest } from '@hypogeon/words';
import { say } from '@hypogeon/messages/plan-how';
import { Words } from '../data/words';
import { PlanCut } from './plan-cut';
import { PlanDesk } from './plan-desk';
import { PlanWish } from './plan-wish';
import { WayRows, type WayRow } from './way-rows';

const TOGETHER = 'together';

/** How: the ways on one scale, and what is to be known of the chosen one. */
@Component({
  selector: 'hy-plan-how',
  imports: [WayRows],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid gap-2' },
  template: `
    <section [attr.aria-label]="title()">
      <hy-way-rows
        [rows]="rows()"
        [chosen]="chosen()"
        [most]="most()"
        [target]="target()"
        (choose)="choose($event)"
      />
      <ng-content />
      <p class="why quiet max-w-none mt-2" role="status">
        @for (line of known(); track $index) {
          <span>{{ line }}. </span>
        }
        {{ says() }}
      </p>
    </section>
  `,
})
export class PlanHow {
  private readonly desk = inject(PlanDesk);
  private readonly wish = inject(PlanWish);
  private readonly cut = inject(PlanCut);
  private readonly words = inject(Words);

  protected readonly title = computed(() => {
    const { purpose, want, size } = this.desk.draft();
    if (purpose === 'safe') return say.whatItGivesSafely();
    if (purpose === 'have') return say.whatTheyGive();
    return this.wish.ways() ? say.waysTo({ want, sizeWord: SIZE_WORD[size] }) : say.how();
  });

  protected readonly chosen = computed(() =>
    this.wish.together() ? TOGETHER : (this.cut.figures()?.method ?? ''),
  );

  protected readonly target = computed(() => {
    const ways = this.wish.ways();
    return ways ? Number(this.desk.draft().want) : null;
  });
  /** The scale reaches what is wanted, and the most that any way gives. */
  protected readonly most = computed(() => {
    const highs = this.rows().map((r) => r.bar?.high ?? 0);
    const target = this.target();
    return target === null && !this.wish.givings()
      ? 100
      : Math.max(1, target ?? 0, ...highs.map((h) => Math.min(h, 3 * (target ?? h)))) * 1.06;
  });

  protected readonly rows = computed<readonly WayRow[]>(() => {
    const ways = this.wish.ways();
    if (ways) {
      const single = ways.ways.map((way) =>
        this.wayRow(
          way,
          way === ways.best ? (ways.rival ? say.firstByLittle() : say.bestForThis()) : '',
        ),
      );
      const { together } = ways;
      return together ? [this.togetherRow(together), ...single] : single;
    }
    const givings = this.wish.givings();
    if (givings) return givings.map((g) => this.givingRow(g));
    return this.desk.methods().map((figures) => {
      const plant = this.desk.plant()!;
      const { mean, low, high } = beliefOf(this.desk.state(), plant.id, figures);
      return {
        ...this.blank(figures.method, figures.worth === 'poor' ? say.poor() : ''),
        bar: { low: 100 * low, likely: 100 * mean, high: 100 * high },
        gives: say.live({ percent: this.words.percent(mean) }),
        range: this.words.percentSpan({ low, high }),
        ready: say.rootsDays({ from: figures.roots.from, to: figures.roots.to }),
      };
    });
  });

  private blank(method: MethodId, badge: string): WayRow {
    const name = METHOD[method].name;
    return {
      id: method,
      pieces: [this.pieceOf(method)],
      name,
      badge,
      take: '',
      bar: null,
      gives: '',
      range: '',
      ready: '',
      short: false,
    };
  }

  private pieceOf(method: MethodId): Drawn | Part {
    const figures = this.cut.figuresOf(method);
    return figures ? drawnAs(this.desk.plant()!.taxon, figures) : METHOD[method].piece;
  }

  private wayRow(way: Way, best: string): WayRow {
    const { method, figures, needed, spare, within, chances } = way;
    const poor = figures.worth === 'poor' ? say.poor() : '';
    const taken = within ? needed! : Math.min(PRACTICAL, spare?.count ?? PRACTICAL);
    return {
      ...this.blank(method, best || poor),
      take:
        taken === 0
          ? say.noneToSpare()
          : within
            ? say.take({ number: this.words.number(taken) })
            : `${spare?.guess ? say.about2() : ''}${this.words.number(taken)}${spare ? say.itCanSpare() : ''}`,
      ...this.plantsOf(yieldOf(taken, chances)),
      ready: readyText(way, this.words),
      short: !within,
    };
  }

  private togetherRow(all: Combination): WayRow {
    return {
      ...this.blank(all.parts[0]!.method, all.enough ? say.bestForThis() : say.allItCanSpare()),
      id: TOGETHER,
      pieces: all.parts.map((p) => this.pieceOf(p.method)),
      name:
        all.parts.length === 1
          ? METHOD[all.parts[0]!.method].name
          : say.together({
              waysWord: WAYS_WORD[all.parts.length] ?? say.ways({ partsCount: all.parts.length }),
            }),
      take: all.parts.map((p) => p.taken).join(' + '),
      ...this.plantsOf(all.plants),
      short: !all.enough,
    };
  }

  private givingRow({ way, taken, plants, spare }: Giving): WayRow {
    return {
      ...this.blank(way.method, way.figures.worth === 'poor' ? say.poor() : ''),
      take:
        taken > 0
          ? say.take2({ what: spare?.guess ? say.about2() : '', taken })
          : say.noneToSpare(),
      ...this.plantsOf(plants),
      ready: readyText(way, this.words),
      short: taken === 0,
    };
  }

  private plantsOf(plants: Yield): Pick<WayRow, 'bar' | 'gives' | 'range'> {
    const { low, likely, high } = plants;
    return {
      bar: plants,
      gives:
        low === high ? this.words.number(low) : say.about({ number: this.words.number(likely) }),
      range: low === high ? '' : `${this.words.number(low)}–${this.words.number(high)}`,
    };
  }

  /** What the figures of the chosen way rest on, and what it costs her. */
  protected readonly known = computed<readonly string[]>(() => {
    const figures = this.cut.figures();
    const plant = this.desk.plant();
    if (!figures || !plant || this.wish.together()) return [];
    const { method } = figures;
    const way =
      this.wish.ways()?.ways.find((w) => w.method === method) ??
      this.wish.givings()?.find((g) => g.way.method === method)?.way;
    const belief = way?.belief ?? beliefOf(this.desk.state(), plant.id, figures);
    const { spare } = way ?? {};
    return [
      say.liveBy({
        percent: this.words.percent(belief.mean),
        beliefWords: beliefWords(belief, method),
      }),
      way && way.ready < 0.995 ? say.ofTheseInTime({ percent: this.words.percent(way.ready) }) : '',
      spare
        ? say.itCanSpare2({
            what: spare.guess ? say.about2() : '',
            count: spare.count,
            why: spare.why,
          })
        : '',
      belief.own.lived + belief.genus.lived > 0 ? paceWords(belief) : '',
      say.itCostsTheMother({ loses: LOSES[method] }),
      ...(way?.risks ?? []),
      way ? this.workOf(way) : '',
    ]
      .filter(Boolean)
      .map(capital);
  });

  private workOf({ minutes, cost }: Way): string {
    if (minutes === null) return '';
    const price =
      cost?.perPlant == null || cost.perPlant < 0.005
        ? ''
        : say.aPlant({ money: this.words.money(cost.perPlant) });
    return say.aboutOfWork({ work: workText(minutes, (n) => this.words.decimal(n, 1)), price });
  }

  protected readonly says = computed(() => {
    const ways = this.wish.ways();
    const wish = this.wish.wish();
    if (!ways || !wish) return '';
    const speech = this.words.speech();
    if (ways.best) return whyBest(ways, speech);
    return ways.together
      ? togetherText(ways.together, wish.count, wish.by, wish.certainty, speech)
      : '';
  });

  protected choose({ id }: WayRow): void {
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
  get 2() {
    return say.twoWays();
  },
  get 3() {
    return say.threeWays();
  },
  get 4() {
    return say.fourWays();
  },
};

/** When one in ten and nine in ten of the living are there. */
const readyText = ({ from, to }: Way, words: Words): string =>
  from && to ? words.span(from, to) : say.notWithinThreeYears();

/** `20 min`, `1.5 h`. */
function workText(minutes: number, decimal: (n: number) => string): string {
  if (minutes < 90)
    return say.min({ max: Math.max(1, Math.round(minutes / 5) * 5 || Math.round(minutes)) });
  return `${decimal(minutes / 60)} h`;
}
