import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { drawnAs, plantDrawn, takenAs, plantOf } from '@hypogeon/core/bench';
import {
  everyWay,
  leastOf,
  lightNeedOf,
  lightSteps,
  METHOD,
  methodAs,
  type Least,
  type TaxonMethod,
  type Window,
  grownAs,
} from '@hypogeon/core/botany';
import { beliefOf, headsEach, shareAt } from '@hypogeon/core/learn';
import { quantileOfPieces } from '@hypogeon/core/pool';

import { cuttingCautions } from '@hypogeon/core/safety';
import { successRange } from '@hypogeon/core/stats';
import {
  beliefWords,
  benchesText,
  LIGHT_PLACE,
  moreOfIt,
  paceWords,
  pieceRule,
  countedHere,
  restsOn,
  TISSUE_NAME,
  type RestsOn,
} from '@hypogeon/words';
import { say } from '@hypogeon/messages/taxon-page';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { PlantPicture } from '../marks/plant-picture';
import { EvidenceMark, evidenceLegend } from '../ui/evidence-mark';
import { FRESH } from '../marks/mark-state';
import { namePage } from '../shell/page-title';

const GROWER = {
  get summer() {
    return say.growsInWarmthRests();
  },
  get winter() {
    return say.growsInTheCool();
  },
  get either() {
    return say.growsWheneverItIs();
  },
} as const;

@Component({
  selector: 'hy-taxon-page',
  imports: [EvidenceMark, MatButton, RouterLink, CuttingMark, PlantPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-7' },
  template: `
    @if (taxon(); as t) {
      <div class="page-head m-0">
        <h1>
          <i>{{ plant()?.name }}</i>
        </h1>
        <p class="quiet">{{ t.family }}; {{ names() }}</p>
        <a matButton="text" class="push" routerLink="/plants">{{ say.plantGuide() }}</a>
        <a matButton="outlined" [routerLink]="['/plants', id(), 'own']">{{
          say.yourOwnFigures()
        }}</a>
      </div>

      <div class="grid grid-cols-[13rem_minmax(0,1fr)] items-end gap-6 phone:grid-cols-1">
        <hy-plant
          class="justify-self-center"
          snug
          [drawn]="drawn()"
          [takes]="takes()"
          [size]="208"
        />
        <div>
          <p class="lead max-w-[60ch] mb-2 headline text-xl">{{ more() }}</p>
          <p>
            {{
              say.bandTo({
                grower: grower(),
                temperature: words.temperature(t.season.fromC),
                temperature2: words.temperature(t.season.toC),
              })
            }}
            <hy-evidence [of]="say.bandOfWarmth()" [on]="restsOn(t.season.evidence)" />{{
              say.whetherABenchIs()
            }}
          </p>
        </div>
      </div>

      <section aria-labelledby="ways">
        <h2 id="ways" class="ruled">{{ say.ways() }}</h2>
        <p class="quiet small legend flex flex-wrap gap-y-0 gap-x-2 max-w-none">
          <span>{{ say.figuresAreWhereMost() }}</span>
          @for (l of legend; track l.id) {
            <span class="whitespace-nowrap">
              <svg viewBox="0 0 18 18" aria-hidden="true" [class]="l.id">
                <path fill-rule="evenodd" [attr.d]="l.path" />
              </svg>
              {{ l.word }}{{ $last ? '.' : ',' }}
            </span>
          }
        </p>
        @for (way of ways(); track way.id) {
          <article
            class="grid grid-cols-[72px_minmax(12rem,1fr)_minmax(18rem,1.3fr)] items-center gap-5 py-3.5 border-b border-line narrow:grid-cols-[72px_minmax(0,1fr)]"
          >
            <hy-mark [piece]="way.piece" [state]="whole" [size]="72" />
            <div>
              <h3>
                {{ way.name }}
                @if (way.poor) {
                  <span class="quiet">{{ say.poor() }}</span>
                }
              </h3>
              <p class="small">{{ way.rule }}</p>
            </div>
            <dl class="grid gap-1 narrow:col-span-full">
              @for (figure of way.figures; track figure.name) {
                <div class="grid grid-cols-[8rem_minmax(0,1fr)] gap-3">
                  <dt class="quiet">{{ figure.name }}</dt>
                  <dd>
                    {{ figure.value }}
                    <hy-evidence [of]="way.name + ', ' + figure.name" [on]="figure.evidence" />
                  </dd>
                </div>
              }
            </dl>
          </article>
        }
        <h3 class="mt-4.5 mb-1.5">{{ say.notBy() }}</h3>
        <dl class="grid auto-fill-96 gap-y-1 gap-x-8 quiet narrow:col-span-full phone:grid-cols-1">
          @for (no of nots(); track no.name) {
            <div class="grid grid-cols-[8rem_minmax(0,1fr)] gap-3">
              <dt class="quiet">{{ no.name }}</dt>
              <dd>{{ no.why }}</dd>
            </div>
          }
        </dl>
      </section>

      <section aria-labelledby="light">
        <h2 id="light" class="ruled">{{ say.lightAfterRoots() }}</h2>
        <ol class="steps grid auto-fit-44 gap-y-1.5 gap-x-6 m-0 py-2.5 px-0 list-none">
          @for (step of light(); track step.afterDays) {
            <li class="mb-1.5 pt-1.5 border-t-3 border-callus">
              <strong class="block">{{
                step.afterDays === 0 ? say.atFirst() : say.fromDay({ afterDays: step.afterDays })
              }}</strong>
              {{ places[step.to] }}
            </li>
          }
        </ol>
      </section>

      @if (own()?.notes) {
        <p class="notes whitespace-pre-wrap wrap-anywhere">{{ own()?.notes }}</p>
      }
      <section aria-labelledby="care">
        <h2 id="care" class="ruled">{{ say.takeCare() }}</h2>
        <ul class="pl-4.5">
          @for (c of cautions(); track c.title) {
            <li class="mb-1.5">
              <strong>{{ c.title }}.</strong> {{ c.advice }}
            </li>
          }
        </ul>
        <p class="quiet small">{{ say.labelsLocalLawDoctors() }}</p>
      </section>
    } @else {
      <h1>{{ say.notInThePlant() }}</h1>
      <p>
        <a routerLink="/plants">{{ say.toThePlantGuide() }}</a>
      </p>
    }
  `,
  styles: `
    .legend svg {
      width: 16px;
      vertical-align: -3px;
      fill: var(--ink2);
    }
    .legend .here {
      fill: var(--living);
    }
    .legend .guess {
      fill: none;
      stroke: var(--ink2);
      stroke-width: 1.8;
      stroke-dasharray: 2 2;
    }
  `,
})
export class TaxonPage {
  protected readonly say = say;

  protected readonly words = inject(Words);
  readonly id = input.required<string>();
  protected readonly whole = { ...FRESH, closure: 1, roots: 2 as const };

  private readonly state = inject(Journal).state;
  protected readonly plant = computed(() => plantOf(this.state(), this.id()));
  protected readonly taxon = computed(() => this.plant()?.taxon ?? null);
  protected readonly own = computed(() => this.state().ownTaxa.get(this.id()));
  protected readonly names = computed(() => {
    const plant = this.plant();
    if (!plant) return '';
    if (plant.like) return say.yourOwnFiguresOf({ like: plant.like });
    const { common, synonyms } = plant.taxon;
    return [...common, ...synonyms.map((s) => say.formerly({ s }))].join(', ');
  });
  protected readonly nots = computed(() => {
    const t = this.taxon();
    return (t ? everyWay(t) : [])
      .filter((w) => w.is === 'no')
      .map((w) => ({ name: METHOD[w.method].name, why: w.why }));
  });
  protected readonly drawn = computed(() => plantDrawn(this.taxon()));
  /** Where the way that is told first comes off it. */
  protected readonly takes = computed(() => {
    const taxon = this.taxon();
    const best = taxon?.methods.find((m) => m.worth !== 'poor');
    return taxon && best ? takenAs(taxon, best) : null;
  });
  protected readonly places = LIGHT_PLACE;
  protected readonly light = computed(() => {
    const t = this.taxon();
    return t ? lightSteps(lightNeedOf(t)) : [];
  });
  protected readonly more = computed(() => {
    const t = this.taxon();
    return t ? moreOfIt(t) : '';
  });
  protected readonly grower = computed(() => GROWER[this.taxon()?.season.grower ?? 'either']);
  protected readonly cautions = computed(() => {
    const t = this.taxon();
    return t ? cuttingCautions(t, true, 'none') : [];
  });

  protected readonly ways = computed(() =>
    (this.taxon()?.methods ?? []).map((m) => {
      const { wound } = m;
      const { windowC } = grownAs(this.taxon()!, m.method);
      const days = (w: Window): string =>
        say.daysAt({ from: w.from, to: w.to, temperature: this.words.temperature(windowC) });
      return {
        id: m.method,
        name: METHOD[m.method].name,
        piece: drawnAs(this.taxon()!, m),
        poor: m.worth === 'poor',
        rule:
          this.words.why(this.taxon()!.id, m.method) ??
          this.words.rule(pieceRule(this.taxon(), m.method)),
        figures: [
          {
            name: say.wound(),
            value: wound
              ? `${TISSUE_NAME[wound.tissue]}, ${this.words.length(wound.widthMm)}` +
                (wound.thicknessMm ? say.by({ length: this.words.length(wound.thicknessMm) }) : '')
              : say.noneThatCouldRot(),
            evidence: wound ? restsOn(wound.evidence) : null,
          },
          { name: say.roots(), value: days(m.roots), evidence: restsOn(m.roots.evidence) },
          ...(m.pups
            ? [{ name: say.pups(), value: days(m.pups), evidence: restsOn(m.pups.evidence) }]
            : []),
          ...(leastWords(leastOf(m), (mm) => this.words.depth(mm))
            ? [
                {
                  name: say.atLeast(),
                  value: leastWords(leastOf(m), (mm) => this.words.depth(mm)),
                  evidence: restsOn('common practice'),
                },
              ]
            : []),
          {
            name: say.whichWayUp(),
            value: POLARITY[methodAs(this.taxon(), m.method).polarity],
            evidence: restsOn('common practice'),
          },
          {
            name: say.success(),
            value: say.anOpinionWorthCuttings({
              percentSpan: this.words.percentSpan(successRange(m.success)),
              worth: m.success.worth,
            }),
            evidence: restsOn(m.success.evidence),
          },
          ...this.learned(m),
        ],
      };
    }),
  );

  protected readonly legend = evidenceLegend();

  constructor() {
    namePage(() => this.plant()?.name ?? '');
  }

  protected readonly restsOn = restsOn;

  /** What settled batches of this bench have taught beside the figures. */
  private learned(way: TaxonMethod): readonly Figure[] {
    const belief = beliefOf(this.state(), this.id(), way);
    const { pace } = belief;
    const figures: Figure[] = [];
    if (belief.own.cuttings + belief.genus.cuttings > 0)
      figures.push({
        name: say.onThisBench(),
        value: say.succeed({ percent: this.words.percent(belief.mean) }),
        evidence: countedHere(beliefWords(belief, way.method)),
      });
    if (belief.pooled) {
      const { chance, benches } = belief.pooled;
      const [low, high] = [0.1, 0.9].map((p) => shareAt(quantileOfPieces(chance, p)));
      figures.push({
        name: say.onOtherBenches(),
        value: say.succeed2({
          percentSpan: this.words.percentSpan({ low: low!, high: high! }),
          benches: benchesText(benches),
        }),
        evidence: countedHere(say.whereABenchTo()),
      });
    }
    const each = headsEach(this.state(), this.id(), way.method);
    if (each)
      figures.push({
        name: say.youngPlantsEach(),
        value: this.words.decimal(each.heads / each.pieces, 1),
        evidence: countedHere(say.fromOfYourOwn({ heads: each.heads, pieces: each.pieces })),
      });
    if (belief.own.lived + belief.genus.lived > 0)
      figures.push({
        name: say.itsPaceHere(),
        value: say.timesTheDaysTo({
          factor: this.words.decimal(pace.factor, 2),
          low: this.words.decimal(pace.low, 2),
          high: this.words.decimal(pace.high, 2),
        }),
        evidence: countedHere(paceWords(belief)),
      });
    return figures;
  }
}

interface Figure {
  readonly name: string;
  readonly value: string;
  readonly evidence: RestsOn | null;
}

const POLARITY = {
  get 'base down'() {
    return say.theEndThatStood();
  },
  get laid() {
    return say.laidOnTheSurface();
  },
  get 'as it stood'() {
    return say.asItStoodAt();
  },
} as const;

/** `5 cm, 2 nodes`; empty where nothing is asked. */
function leastWords(least: Least, length: (mm: number) => string): string {
  return [
    least.lengthMm === undefined ? '' : length(least.lengthMm),
    least.nodes === undefined
      ? ''
      : least.nodes === 1
        ? say.oneNode()
        : say.nodes({ nodes: least.nodes }),
    least.tallMm === undefined ? '' : say.tall({ length: length(least.tallMm) }),
    least.share === undefined || least.tallMm !== undefined ? '' : say.aThirdOfThe(),
  ]
    .filter(Boolean)
    .join(', ');
}
