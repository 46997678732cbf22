import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import {
  MatExpansionPanel,
  MatExpansionPanelContent,
  MatExpansionPanelHeader,
  MatExpansionPanelTitle,
} from '@angular/material/expansion';
import { neededCurve } from '@hypogeon/core/plan';
import { say } from '@hypogeon/messages/plan-curve';
import { Words } from '../data/words';
import { Chart } from '../charts/chart';
import { neededChart } from '../charts/needed-chart';
import { PlanCut } from './plan-cut';
import { PlanDesk } from './plan-desk';
import { PlanWish } from './plan-wish';

/** How many to take of the chosen way, by the day of cutting: folded until somebody asks. */
@Component({
  selector: 'hy-plan-curve',
  imports: [
    Chart,
    MatExpansionPanel,
    MatExpansionPanelContent,
    MatExpansionPanelHeader,
    MatExpansionPanelTitle,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (curve(); as c) {
      <mat-expansion-panel class="mat-elevation-z0">
        <mat-expansion-panel-header>
          <mat-panel-title>{{
            say.howManyByThe({ many: cut.method()?.many ?? '' })
          }}</mat-panel-title>
        </mat-expansion-panel-header>
        <ng-template matExpansionPanelContent>
          <hy-chart class="max-w-184" [name]="say.howManyToTake()" [tall]="230" [model]="c" />
        </ng-template>
      </mat-expansion-panel>
    }
  `,
})
export class PlanCurve {
  protected readonly say = say;

  private readonly desk = inject(PlanDesk);
  private readonly wish = inject(PlanWish);
  protected readonly cut = inject(PlanCut);
  private readonly words = inject(Words);

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
}
