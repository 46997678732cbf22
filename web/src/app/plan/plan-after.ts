import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { waitsForRoots, whatMoves, type Variant } from '@hypogeon/core/bench';
import { daysBetween, type Day } from '@hypogeon/core/days';
import { cuttingCautions } from '@hypogeon/core/safety';
import { say } from '@hypogeon/messages/plan-after';
import { Words } from '../data/words';
import { FirstWaters } from './first-waters';
import { GateRanges, type GateRange } from './gate-ranges';
import { MediaOutlook } from './media-outlook';
import { PlanCut } from './plan-cut';
import { PlanDesk } from './plan-desk';
import { PlanResult } from './plan-result';

/** What stands under the answer: what to mind, what moves its date, what to do when and what to lay ready. */
@Component({
  selector: 'hy-plan-after',
  imports: [FirstWaters, GateRanges, MediaOutlook, PlanResult],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    class: 'grid grid-cols-[minmax(0,1fr)_minmax(0,1.05fr)] gap-y-6.5 gap-x-12 narrow:grid-cols-1',
  },
  template: `
    <div class="grid grid-cols-1 content-start gap-5.5">
      <section aria-labelledby="cautions">
        <h2 id="cautions" class="ruled">{{ say.beforeYouCut() }}</h2>
        <ul class="grid gap-2 m-0 pt-1.5 pb-0 px-0 list-none">
          @if (unasked()) {
            <li class="danger pl-3 border-l-4 border-callus">
              <strong>{{ say.permission() }}</strong> {{ say.notAskedYetTake() }}
            </li>
          }
          @for (c of cautions(); track c.title) {
            <li class="pl-3 border-l-4 border-callus" [class]="c.weight">
              <strong>{{ c.title }}.</strong> {{ c.advice }}
            </li>
          }
        </ul>
        <p class="quiet small">{{ say.productLabelsLocalLaw() }}</p>
      </section>
      @if (cut.asBatch(); as b) {
        @if (cut.parts().length > 1) {
          <p class="quiet">
            {{ say.belowTheFirstOf() }}
          </p>
        }
        <hy-plan-result [batch]="b" />
      }
    </div>
    <div class="grid grid-cols-1 content-start gap-5.5">
      @if (moves(); as m) {
        <section aria-labelledby="moves">
          <h2 id="moves" class="ruled">{{ say.whatChangesThatDate() }}</h2>
          @for (group of m.groups; track group.name) {
            <h3 class="mt-3 mb-0.5 small">{{ group.name }}</h3>
            <hy-gate-ranges [name]="group.name" [rows]="group.rows" [horizon]="m.horizon" />
          }
        </section>
      }
      <section aria-labelledby="first-waters">
        <h2 id="first-waters" class="ruled">{{ say.firstWater() }}</h2>
        <hy-first-waters
          [clock]="cut.clock()"
          [cutOn]="desk.cutOn()"
          [chosen]="desk.draft().firstWater"
          [keptDry]="keptDry()"
        />
      </section>
      <hy-media-outlook
        [container]="desk.draft().container"
        [space]="desk.space()"
        [day]="desk.cutOn()"
        [chosen]="desk.draft().mix"
      />
    </div>
  `,
  styles: `
    li {
      &.danger {
        border-left-color: var(--do);
      }
      &.law {
        border-left-color: var(--water);
      }
    }
    ul + p {
      margin-top: 0.6rem;
    }
  `,
})
export class PlanAfter {
  protected readonly say = say;

  protected readonly desk = inject(PlanDesk);
  protected readonly cut = inject(PlanCut);
  private readonly words = inject(Words);

  /** Kept dry until there are roots, whatever the wound could bear. */
  protected readonly keptDry = computed(() => {
    const batch = this.cut.asBatch();
    return batch !== null && waitsForRoots(this.desk.state(), { ...batch, firstWater: undefined });
  });

  protected readonly moves = computed(() => {
    const planned = this.cut.planned();
    if (!planned) return null;
    const moves = whatMoves(this.desk.state(), planned, (mm) => this.words.length(mm));
    const groups = [
      { name: say.howLongToDry(), rows: moves.school.map((v) => this.range(v)) },
      { name: say.widthOfTheCut(), rows: moves.width.map((v) => this.range(v)) },
      { name: say.whereItDries(), rows: moves.air.map((v) => this.range(v)) },
    ];
    const days = groups.flatMap((g) => g.rows.map((r) => r.opens ?? 0));
    return { groups, horizon: Math.max(7, ...days) * 1.08 };
  });

  private range({ name, chosen, clock }: Variant): GateRange {
    const since = (day: Day): number => daysBetween(this.desk.cutOn(), day);
    if (clock.gate.state === 'stopped')
      return { name, chosen, opens: null, from: 0, to: 0, says: say.doesNotClose() };
    const { opens, earliest, latest } = clock.gate;
    return {
      name,
      chosen,
      opens: since(opens),
      from: since(earliest),
      to: since(latest),
      says: this.words.days(since(opens)),
    };
  }

  protected readonly cautions = computed(() => {
    const plant = this.desk.plant();
    const figures = this.cut.figures();
    if (!plant || !figures) return [];
    const law = this.desk.mother()?.protectedVariety ? (['rights'] as const) : [];
    return cuttingCautions(
      { hazards: plant.taxon.hazards, law: [...plant.taxon.law, ...law] },
      figures.wound !== null,
      this.desk.draft().disinfectant,
    );
  });
  protected readonly unasked = computed(() => {
    const mother = this.desk.mother();
    return mother !== null && (mother.permission ?? 'unknown') === 'unknown';
  });
}
