import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { beliefOf } from '@hypogeon/core/learn';
import { chancesOf, cutStraps, nodesFrom, strapProblem, yieldOf } from '@hypogeon/core/plan';
import { cuttingCautions } from '@hypogeon/core/safety';
import { readLength, type LengthUnit } from '@hypogeon/core/units';
import { hydraulicWidth, referenceClosureDays } from '@hypogeon/core/wound';
import { say } from '@hypogeon/messages/straps-page';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { StrapDrawing } from '../marks/strap-drawing';
import { Field, FieldControl } from '../forms/field';
import { planMother } from './plan-mother';
import { MotherPick } from './mother-pick';
import { PlanTabs } from './plan-tabs';
import { CutTerms } from './cut-terms';
import { PlanDesk } from './plan-desk';
import { RelatedBatches } from './related-batches';

interface StrapDraft {
  readonly lengths: string;
  readonly section: string;
  readonly width: string;
}

const BLANK: StrapDraft = { lengths: '', section: '75', width: '' };
/** Two leaves as they are mostly long, in whole centimetres or inches; mm. */
const EXAMPLE: Readonly<Record<LengthUnit, readonly number[]>> = {
  mm: [400, 360],
  in: [406.4, 355.6],
};

/** Leaf sections cut across: how many sections, each numbered and with its arrow, and what they give. */
@Component({
  selector: 'hy-straps-page',
  imports: [
    MatButton,
    Field,
    FieldControl,
    CutTerms,
    MotherPick,
    PlanTabs,
    RouterLink,
    StrapDrawing,
  ],
  providers: [PlanDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.leafSections() }}</h1>
      <p class="quiet">{{ motherName() }}</p>
    </div>
    <hy-plan-tabs inside [mother]="mother()" />
    <hy-mother-pick [mother]="mother()" />
    @if (plant() && !way()) {
      <p>
        {{ say.thisPlantIsNot() }}
        <a routerLink="/plan" [queryParams]="{ mother: mother() }">{{ say.plan() }}</a>
        {{ say.hasItsWays() }}
      </p>
    } @else if (plant()) {
      <div
        class="grid grid-cols-[minmax(0,1fr)_minmax(0,26rem)] gap-y-8 gap-x-12 narrow:grid-cols-1"
      >
        <div>
          <div class="fields">
            <hy-field
              [label]="say.leavesLengthOfEach({ lengthUnit: words.lengthUnit() })"
              [hint]="say.aSpaceBetweenThem()"
              [problem]="lengthsProblem()"
            >
              <input
                hyControl
                type="text"
                [placeholder]="exampleTyped()"
                [value]="draft().lengths"
                (input)="set('lengths', lengths.value)"
                #lengths
              />
            </hy-field>
            <hy-field
              [label]="say.section({ lengthUnit: words.lengthUnit() })"
              [hint]="say.to({ length: words.depth(50), length2: words.depth(100) })"
              [problem]="sectionProblem()"
            >
              <input
                hyControl
                type="text"
                [value]="draft().section"
                (input)="set('section', section.value)"
                #section
              />
            </hy-field>
            <hy-field
              [label]="say.leafWidth({ lengthUnit: words.lengthUnit() })"
              [problem]="widthProblem()"
            >
              <input
                hyControl
                type="text"
                [placeholder]="usualWidth()"
                [value]="draft().width"
                (input)="set('width', width.value)"
                #width
              />
            </hy-field>
          </div>
          @if (problem()) {
            <p class="problem" role="alert">{{ problem() }}</p>
          }
          @if (view(); as v) {
            <section
              class="grid gap-3 mt-5.5"
              aria-live="polite"
              [attr.aria-label]="say.whatTheCutsGive()"
            >
              @if (example()) {
                <p>
                  {{
                    say.anExampleTwoLeaves({
                      length: words.length(v.lengths[0]!),
                      length2: words.length(v.lengths[1]!),
                    })
                  }}
                </p>
              }
              <p class="headline text-3xl">
                {{ say.sections({ sectionsCount: v.plan.sections.length }) }}
                <span class="plain text-base quiet">{{
                  say.aboutPlantsEightTimes({
                    number: words.number(v.plants.likely),
                    low: v.plants.low,
                    high: v.plants.high,
                  })
                }}</span>
              </p>
              <p>
                {{ say.drawAnArrowOn({ depth: v.depth, spacing: v.spacing }) }}
              </p>
              <p class="quiet">
                {{
                  say.cutEachClosesIn({
                    cuts: v.plan.cuts,
                    closes: v.closes,
                    temperature: words.temperature(22),
                    left: v.left,
                  })
                }}
              </p>
              @if (!example()) {
                <hy-cut-terms />
                <div class="row">
                  <button matButton="filled" (click)="take()">{{ say.cutPutThemOn() }}</button>
                </div>
              }
              <ul class="grid gap-2 bare">
                @for (c of cautions(); track c.title) {
                  <li class="pl-3 border-l-4 border-callus" [class]="c.weight">
                    <strong>{{ c.title }}.</strong> {{ c.advice }}
                  </li>
                }
              </ul>
            </section>
          }
        </div>
        @if (view(); as v) {
          <hy-strap-drawing [look]="look()" [lengths]="v.lengths" [plan]="v.plan" />
        }
      </div>
    }
  `,
  styleUrl: './pieces-page.scss',
})
export class StrapsPage {
  protected readonly say = say;

  private readonly related = inject(RelatedBatches);
  private readonly desk = inject(PlanDesk);
  protected readonly words = inject(Words);
  readonly mother = input<string>();

  private readonly keeper = inject(Drafts).keeper('straps', shapeOf(BLANK));
  protected readonly draft = signal<StrapDraft>(this.keeper.read() ?? this.blank());
  private readonly her = planMother(this.mother);
  protected readonly look = this.her.look;

  constructor() {
    effect(() => this.desk.asked.set(this.mother()));
  }

  protected readonly motherName = this.her.name;
  protected readonly plant = this.her.plant;
  protected readonly way = computed(() => this.her.way('leaf-section'));

  /** Until leaves are measured the page shows how it goes with two of them, and puts nothing on the bench. */
  protected readonly example = computed(() => this.draft().lengths.trim() === '');
  private readonly lengths = computed(() =>
    this.example()
      ? EXAMPLE[this.words.lengthUnit()]
      : nodesFrom(this.draft().lengths, (text) => this.mm(text)),
  );
  protected readonly exampleTyped = computed(() =>
    EXAMPLE[this.words.lengthUnit()].map((mm) => this.words.typed(mm)).join(' '),
  );
  private readonly section = computed(() => this.mm(this.draft().section));
  private readonly widthMm = computed(() =>
    this.draft().width.trim() === ''
      ? (this.way()?.wound?.widthMm ?? 40)
      : this.mm(this.draft().width),
  );
  protected readonly lengthsProblem = computed(() =>
    this.lengths() === null ? say.lengthsWithASpace({ exampleTyped: this.exampleTyped() }) : '',
  );
  protected readonly sectionProblem = computed(() =>
    this.section() === null ? say.aLengthLike75() : '',
  );
  protected readonly widthProblem = computed(() =>
    this.widthMm() === null ? say.aWidthLike({ length: this.words.length(60) }) : '',
  );
  protected readonly problem = computed(() => {
    const lengths = this.lengths();
    const section = this.section();
    if (lengths === null || section === null) return '';
    if (lengths.length > 200) return say.atMost200Leaves();
    return strapProblem(
      lengths.map((lengthMm) => ({ lengthMm })),
      section,
      (mm) => this.words.length(mm),
    );
  });

  protected readonly view = computed(() => {
    const lengths = this.lengths();
    const section = this.section();
    const widthMm = this.widthMm();
    const way = this.way();
    const plant = this.plant();
    if (
      lengths === null ||
      section === null ||
      widthMm === null ||
      !way ||
      !plant ||
      this.problem()
    )
      return null;
    const plan = cutStraps(
      lengths.map((lengthMm) => ({ lengthMm })),
      section,
    );
    const left = plan.leftMm.reduce((sum, mm) => sum + mm, 0);
    const wound = hydraulicWidth(widthMm, way.wound?.thicknessMm);
    return {
      lengths,
      plan,
      plants: yieldOf(plan.sections.length, chancesOf(beliefOf(this.her.state(), plant.id, way))),
      depth: this.words.depth(plan.depthMm),
      spacing: this.words.depth(plan.spacingMm),
      left: left >= 1 ? say.ofLeafAreToo({ length: this.words.length(left) }) : '',
      closes: this.words.rounded(referenceClosureDays(wound, way.wound?.tissue ?? 'strap leaf'), 1),
    };
  });
  protected readonly cautions = computed(() => {
    const taxon = this.plant()?.taxon;
    return taxon ? cuttingCautions(taxon, true, this.desk.draft().disinfectant) : [];
  });

  protected set(field: keyof StrapDraft, value: string): void {
    this.draft.update((d) => ({ ...d, [field]: value }));
    this.keeper.keep(this.draft());
  }

  protected usualWidth(): string {
    const wound = this.way()?.wound;
    return wound ? say.usually({ length: this.words.length(wound.widthMm) }) : '';
  }

  protected readonly take = oneAtATime(() => this.takeAll());

  private async takeAll(): Promise<void> {
    const way = this.way();
    const plant = this.plant();
    const v = this.view();
    if (!way || !plant || !v) return;
    const typed = this.draft().width.trim() !== '';
    await this.related.cut(this.desk, this.mother()!, plant.id, [
      {
        way,
        count: v.plan.sections.length,
        ...(typed
          ? {
              widthMm: this.widthMm()!,
              ...(way.wound?.thicknessMm === undefined
                ? {}
                : { thicknessMm: way.wound.thicknessMm }),
            }
          : {}),
      },
    ]);
  }

  /** Nothing is measured yet; a section as it is mostly cut, in the grower's unit. */
  private blank(): StrapDraft {
    return { ...BLANK, section: this.words.typed(this.words.lengthUnit() === 'in' ? 76.2 : 75) };
  }

  private mm(text: string): number | null {
    const read = readLength(text, this.words.lengthUnit());
    return read.ok ? read.mm : null;
  }
}
