import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { judgeTrial, verdictWords } from '@hypogeon/core/trial';
import { say } from '@hypogeon/messages/trials-page';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { LedgerTabs } from './ledger-tabs';

/** The trials of this bench, with what each has said. */
@Component({
  selector: 'hy-trials-page',
  imports: [MatButton, LedgerTabs, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head m-0">
      <h1>{{ say.trials() }}</h1>
      <p class="quiet">{{ say.oneQuestionRandomLayout() }}</p>
      <a matButton="filled" class="push" routerLink="/results/trials/new">{{
        say.designATrial()
      }}</a>
    </div>
    <hy-ledger-tabs class="-mb-3" at="/results/trials" />
    @if (rows().length === 0) {
      <div class="empty">
        <h2>{{ say.noTrialYet() }}</h2>
        <p>
          {{ say.batchesThatWereCut() }}
        </p>
      </div>
    } @else {
      <ul class="bare">
        @for (row of rows(); track row.id) {
          <li
            class="grid grid-cols-[minmax(10rem,1fr)_minmax(10rem,1.2fr)_minmax(12rem,1.6fr)_10rem] items-center gap-y-1 gap-x-5 min-h-14 py-1.5 border-b border-line phone:grid-cols-1"
          >
            <a [routerLink]="['/results/trials', row.id]">{{ row.name }}</a>
            <span class="quiet">{{ row.arms }}</span>
            <span>{{ row.says }}</span>
            <span class="quiet">{{ row.when }}</span>
          </li>
        }
      </ul>
    }
  `,
  styleUrl: './pages.scss',
  styles: `
    a:not(.act) {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
      font-weight: 650;
    }
  `,
})
export class TrialsPage {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  private readonly words = inject(Words);

  protected readonly rows = computed(() =>
    [...this.state().trials.values()]
      .sort((a, b) => ((a.cutOn ?? '') < (b.cutOn ?? '') ? 1 : -1))
      .map((trial) => ({
        id: trial.id,
        name: trial.name ?? say.unnamedTrial(),
        arms: (trial.arms ?? []).map((a) => a.name).join(' or '),
        says: verdictWords(trial, judgeTrial(this.state(), trial, this.today())),
        when: trial.cutOn ? say.cut({ day: this.words.day(trial.cutOn) }) : '',
      })),
  );
}
