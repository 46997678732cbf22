import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { growingDay } from '@hypogeon/core/bench';
import { grownAs, growthOn } from '@hypogeon/core/botany';
import { addDays } from '@hypogeon/core/days';
import { clumpProblem, judgeOffset, offsetRules, type OffsetVerdict } from '@hypogeon/core/plan';
import { cuttingCautions } from '@hypogeon/core/safety';
import { readLength } from '@hypogeon/core/units';
import { say } from '@hypogeon/messages/clump-page';
import { keptDraft } from '../data/kept-draft';
import { shapeOf } from '../data/draft-shape';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { ClumpDrawing, type DrawnOffset } from '../marks/clump-drawing';
import { Field, FieldControl } from '../forms/field';
import { DraftNote } from '../forms/draft-note';
import { planMother } from './plan-mother';
import { MotherPick } from './mother-pick';
import { PlanTabs } from './plan-tabs';
import { CutTerms } from './cut-terms';
import { PlanDesk } from './plan-desk';
import { RelatedBatches } from './related-batches';

interface Row {
  readonly size: string;
  readonly roots: boolean;
  /** Rings of leaves, where there are no roots. */
  readonly rings: string;
}
interface ClumpDraft {
  readonly mother: string;
  readonly rows: readonly Row[];
}

const BLANK: ClumpDraft = {
  mother: '',
  rows: [
    { size: '40', roots: true, rings: '' },
    { size: '25', roots: false, rings: '' },
  ],
};
const MOST_ROWS = 60;

/** The young ones round a mother, one by one: take now, wait until about when, or leave. */
@Component({
  selector: 'hy-clump-page',
  imports: [
    MatCheckbox,
    MatButton,
    DraftNote,
    ClumpDrawing,
    Field,
    FieldControl,
    CutTerms,
    MotherPick,
    PlanTabs,
    RouterLink,
  ],
  providers: [PlanDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.pups() }}</h1>
      <p class="quiet">{{ motherName() }}</p>
    </div>
    <hy-plan-tabs inside [mother]="mother()" />
    <hy-mother-pick [mother]="mother()" />
    <hy-draft-note [at]="left()" (afresh)="afresh()" />
    @if (plant() && !kind()) {
      <p>
        {{ say.thisPlantMakesNo() }}
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
              [label]="
                pads()
                  ? say.aFullGrownPad({ lengthUnit: words.lengthUnit() })
                  : say.theMotherAcrossOr({ lengthUnit: words.lengthUnit() })
              "
              [problem]="motherProblem()"
              [hint]="pads() ? say.padsOfTwoThirds() : say.offsetsOfAThird()"
            >
              <input
                hyControl
                type="text"
                [value]="draft().mother"
                (input)="setMother(size.value)"
                #size
              />
            </hy-field>
          </div>
          <ol class="mt-5 mb-3 mx-0 p-0 list-none">
            @for (row of rows(); track $index) {
              <li class="pl-3 border-l-4 border-callus" [class]="row.verdict?.is ?? ''">
                <span class="nr font-bold">{{ $index + 1 }}</span>
                <hy-field [label]="noun() + ' ' + ($index + 1)" unseen [problem]="row.problem">
                  <input
                    hyControl
                    type="text"
                    [placeholder]="words.lengthUnit()"
                    [value]="row.size"
                    (input)="setSize($index, one.value)"
                    #one
                  />
                </hy-field>
                @if (!pads()) {
                  <mat-checkbox
                    class="phone:col-start-3"
                    [checked]="row.roots"
                    (change)="setRoots($index, own.checked)"
                    #own
                    >{{ say.ownRoots() }}</mat-checkbox
                  >
                }
                @if (!pads() && !row.roots) {
                  <hy-field
                    class="phone:col-start-2 phone:col-end-4"
                    [label]="say.ringsOfLeavesOn({ index: $index + 1 })"
                    unseen
                  >
                    <input
                      hyControl
                      inputmode="numeric"
                      [placeholder]="say.rings()"
                      [value]="row.rings"
                      (input)="setRings($index, rings.value)"
                      #rings
                    />
                  </hy-field>
                }
                <span class="verdict"
                  ><strong>{{ row.says }}</strong>
                  <small class="block quiet">{{ row.verdict?.reason }}</small></span
                >
                <button
                  class="col-start-6 phone:col-start-4 phone:row-start-1"
                  type="button"
                  matButton="text"
                  [attr.aria-label]="say.offTheList({ index: $index + 1 })"
                  (click)="remove($index)"
                >
                  {{ say.off() }}
                </button>
              </li>
            }
          </ol>
          <div class="row">
            <button
              type="button"
              matButton="outlined"
              (click)="add()"
              [disabled]="rows().length >= most"
            >
              {{ say.add({ what: pads() ? say.aPad() : say.anOffset() }) }}
            </button>
          </div>
          @if (problem()) {
            <p class="problem" role="alert">{{ problem() }}</p>
          } @else {
            <section
              class="grid gap-3 mt-5.5"
              aria-live="polite"
              [attr.aria-label]="say.whatToTake()"
            >
              <p class="headline text-3xl">{{ answer().says }}</p>
              @if (answer().total > 0) {
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
        @if (!problem()) {
          <hy-clump-drawing
            [look]="look()"
            [motherMm]="motherMm() ?? 1"
            [offsets]="drawn()"
            [pads]="pads()"
          />
        }
      </div>
    }
  `,
  styleUrl: './pieces-page.scss',
  styles: `
    ol li {
      display: grid;
      grid-template-columns: 1.4rem 6rem 8rem 5rem minmax(0, 1fr) 56px;
      gap: 0.7rem;
      align-items: center;
      border-left: 0;
      border-bottom: 1px solid var(--line);
      padding: 0.4rem 0;
    }
    .verdict {
      grid-column: 5;
    }
    .take .verdict strong {
      color: var(--living);
    }
    @media (max-width: 760px) {
      ol li {
        grid-template-columns: 1.4rem 5.5rem minmax(0, 1fr) 56px;
        gap: 0.4rem;
      }
      .verdict {
        grid-column: 1 / -1;
      }
    }
  `,
})
export class ClumpPage {
  protected readonly say = say;

  private readonly related = inject(RelatedBatches);
  private readonly desk = inject(PlanDesk);
  private readonly today = inject(Today).day;
  protected readonly words = inject(Words);
  protected readonly most = MOST_ROWS;
  readonly mother = input<string>();

  private readonly her = planMother(this.mother);
  protected readonly look = this.her.look;

  constructor() {
    effect(() => this.desk.asked.set(this.mother()));
  }

  protected readonly motherName = this.her.name;
  protected readonly plant = this.her.plant;
  private readonly clump = keptDraft<ClumpDraft>(
    () => `clump.${this.mother() ?? ''}`,
    () => shapeOf(BLANK),
  );
  protected readonly left = this.clump.left;
  protected readonly draft = computed<ClumpDraft>(() => this.clump.typed() ?? this.start());

  protected readonly pads = computed(() => this.her.way('pad') !== null);
  /** The way a piece without roots is taken. */
  protected readonly kind = computed(
    () =>
      this.her.way('pad') ??
      this.her.way('offset') ??
      this.her.way('rooted-offset') ??
      this.her.way('division'),
  );
  private readonly rooted = computed(
    () => this.her.way('rooted-offset') ?? this.her.way('division'),
  );
  protected readonly noun = computed(() => (this.pads() ? say.pad() : say.offset()));

  protected readonly motherMm = computed(() => this.mm(this.draft().mother));
  protected readonly motherProblem = computed(() =>
    this.motherMm() === null ? say.aLengthLike120() : '',
  );

  protected readonly rows = computed(() => {
    const motherMm = this.motherMm();
    return this.draft().rows.map((row) => {
      const sizeMm = this.mm(row.size);
      const verdict =
        sizeMm === null || motherMm === null ? null : this.judge(sizeMm, row, motherMm);
      return {
        ...row,
        sizeMm,
        verdict,
        problem: sizeMm === null ? say.aLengthLike40({ length: this.words.length(40) }) : '',
        says: verdict ? this.verdictWords(verdict) : '',
      };
    });
  });

  protected readonly problem = computed(() => {
    const sizes = this.rows().map((r) => r.sizeMm);
    const motherMm = this.motherMm();
    if (motherMm === null || sizes.some((s) => s === null)) return '';
    return clumpProblem(motherMm, sizes as number[]);
  });

  protected readonly answer = computed(() => {
    const takes = this.rows().flatMap((r) => (r.verdict?.is === 'take' ? [r.verdict.with] : []));
    const rooted = takes.filter((t) => t === 'roots').length;
    const cut = takes.length - rooted;
    const waits = this.rows().filter((r) => r.verdict?.is === 'wait').length;
    const parts = [
      rooted > 0 ? say.withRoots({ rooted }) : '',
      cut > 0 ? say.byACut({ cut }) : '',
    ].filter(Boolean);
    return {
      rooted,
      cut,
      total: takes.length,
      says:
        takes.length > 0
          ? say.take({ parts: parts.join(', ') })
          : waits > 0
            ? say.takeNoneTodayThey()
            : say.takeNone(),
    };
  });

  protected readonly drawn = computed<readonly DrawnOffset[]>(() =>
    this.rows().flatMap((r) =>
      r.sizeMm === null || !r.verdict
        ? []
        : [{ sizeMm: r.sizeMm, ownRoots: r.roots, is: r.verdict.is }],
    ),
  );
  protected readonly cautions = computed(() => {
    const taxon = this.plant()?.taxon;
    return taxon
      ? cuttingCautions(taxon, this.answer().cut > 0, this.desk.draft().disinfectant)
      : [];
  });

  protected afresh(): void {
    this.clump.drop();
  }

  protected setMother(mother: string): void {
    this.keep({ ...this.draft(), mother });
  }
  protected setSize(index: number, size: string): void {
    this.change(index, { size });
  }
  protected setRings(index: number, rings: string): void {
    this.change(index, { rings });
  }
  protected setRoots(index: number, roots: boolean): void {
    this.change(index, { roots });
  }
  protected add(): void {
    this.keep({
      ...this.draft(),
      rows: [...this.draft().rows, { size: '', roots: false, rings: '' }],
    });
  }
  protected remove(index: number): void {
    this.keep({ ...this.draft(), rows: this.draft().rows.filter((_, i) => i !== index) });
  }

  protected readonly take = oneAtATime(() => this.takeAll());

  private async takeAll(): Promise<void> {
    const plant = this.plant();
    const cut = this.kind();
    if (!plant || !cut) return;
    const { rooted, cut: cuts } = this.answer();
    const withRoots = this.rooted() ?? cut;
    await this.related.cut(
      this.desk,
      this.mother()!,
      plant.id,
      withRoots === cut
        ? [{ way: cut, count: rooted + cuts }]
        : [
            { way: withRoots, count: rooted },
            { way: cut, count: cuts },
          ],
    );
  }

  private judge(
    sizeMm: number,
    { roots: ownRoots, rings: typed }: Pick<Row, 'roots' | 'rings'>,
    motherMm: number,
  ): OffsetVerdict {
    const rings = /^\d{1,3}$/.test(typed.trim()) ? Number(typed) : undefined;
    const state = this.her.state();
    const plant = this.plant()!;
    const space = this.her.space();
    const way = this.kind()!;
    const rules = offsetRules(ownRoots ? (this.rooted() ?? way) : way);
    return judgeOffset({ sizeMm, ownRoots, rings }, motherMm, rules, this.today(), (n) =>
      growthOn(
        grownAs(plant.taxon, way.method),
        growingDay(state, space, addDays(this.today(), n)),
      ),
    );
  }

  private verdictWords(verdict: OffsetVerdict): string {
    switch (verdict.is) {
      case 'take':
        return verdict.with === 'roots' ? say.takeWithItsRoots() : say.takeByACut();
      case 'wait':
        return say.waitUntilAboutTo({
          day: this.words.day(verdict.likely),
          shortDay: this.words.shortDay(verdict.from),
          what: verdict.to ? this.words.shortDay(verdict.to) : say.muchLater(),
        });
      case 'leave':
        return say.leaveIt();
    }
  }

  private change(index: number, over: Partial<Row>): void {
    this.keep({
      ...this.draft(),
      rows: this.draft().rows.map((r, i) => (i === index ? { ...r, ...over } : r)),
    });
  }

  private keep(draft: ClumpDraft): void {
    this.clump.set(draft);
  }

  private start(): ClumpDraft {
    const height = this.her.record()?.heightMm;
    if (this.pads())
      return {
        mother: this.words.length(110),
        rows: [
          { size: '95', roots: false, rings: '' },
          { size: '60', roots: false, rings: '' },
        ],
      };
    return {
      mother: this.words.length(height ?? 120),
      rows: BLANK.rows.map((row) => ({ ...row, size: this.words.typed(Number(row.size)) })),
    };
  }

  private mm(text: string): number | null {
    const read = readLength(text, this.words.lengthUnit());
    return read.ok ? read.mm : null;
  }
}
