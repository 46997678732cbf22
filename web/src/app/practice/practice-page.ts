import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { SCENARIO_IDS, SCENARIOS } from '@hypogeon/core/practice';
import { say } from '@hypogeon/messages/practice-page';
import { PracticeStore } from '../data/practice-store';
import { CuttingMark } from '../marks/cutting-mark';
import { PlanTabs } from '../plan/plan-tabs';
import { Confirm } from '../ui/confirm';
import { pieceDrawn } from './piece-drawn';

/** Benches to practise on: growers learn restraint by killing plants, and here none dies. */
@Component({
  selector: 'hy-practice-page',
  imports: [CuttingMark, MatButton, PlanTabs, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 justify-items-start gap-4' },
  template: `
    <div class="page-head justify-self-stretch m-0">
      <h1>{{ say.practice() }}</h1>
      <p class="quiet">{{ say.playABenchDay() }}</p>
    </div>
    <hy-plan-tabs class="justify-self-stretch" />
    <p class="words">
      {{ say.youSeeWhatA() }}
    </p>
    <ol class="w-full max-w-240 bare">
      @for (row of rows(); track row.id) {
        <li class="flex items-center gap-y-1.5 gap-x-4 py-2.5 border-b border-line">
          <hy-mark class="flex-none" [piece]="row.piece" [size]="64" />
          <div class="flex-1">
            <a
              class="inline-flex items-center min-h-11 font-bold text-lg"
              [routerLink]="['/plan/practice', row.id]"
              >{{ row.title }}</a
            >
            <span class="quiet block max-w-[64ch]">{{ row.told }}</span>
          </div>
          <span class="state whitespace-nowrap font-semibold">{{ row.state }}</span>
        </li>
      }
    </ol>
    @if (any()) {
      <button matButton="text" class="no-print" (click)="wipe()">{{ say.wipeMyPractice() }}</button>
    }
  `,
})
export class PracticePage {
  protected readonly say = say;

  private readonly store = inject(PracticeStore);
  private readonly confirm = inject(Confirm);

  protected readonly rows = computed(() =>
    SCENARIO_IDS.map((id) => {
      const kept = this.store.kept()[id];
      const { title, told } = SCENARIOS[id];
      const state =
        kept?.best != null
          ? say.bestOf100({ best: kept.best })
          : kept?.acts.length
            ? say.begun()
            : '';
      return { id, title, told, state, piece: pieceDrawn(SCENARIOS[id]) };
    }),
  );
  protected readonly any = computed(() => Object.keys(this.store.kept()).length > 0);

  protected async wipe(): Promise<void> {
    const sure = await this.confirm.ask({
      title: say.wipeYourPractice(),
      text: say.gamesAndScoresGo(),
      yes: say.wipeIt(),
    });
    if (sure) this.store.wipe();
  }
}
