import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { SCENARIO_IDS, SCENARIOS } from '@hypogeon/core/practice';
import { PracticeStore } from '../data/practice-store';
import { PlanTabs } from '../plan/plan-tabs';
import { Confirm } from '../ui/confirm';

/** Benches to practise on: growers learn restraint by killing plants, and here none dies. */
@Component({
  selector: 'hy-practice-page',
  imports: [MatButton, PlanTabs, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Practice</h1>
      <p class="quiet">play a bench day by day; nothing of it touches your journal</p>
    </div>
    <hy-plan-tabs />
    <p class="words">
      You see what a grower sees, and no more. At the end the truth is laid open, and the same luck
      is played again under other habits.
    </p>
    <ol>
      @for (row of rows(); track row.id) {
        <li>
          <div>
            <a [routerLink]="['/plan/practice', row.id]">{{ row.title }}</a>
            <span class="quiet">{{ row.told }}</span>
          </div>
          <span class="state">{{ row.state }}</span>
        </li>
      }
    </ol>
    @if (any()) {
      <button matButton="text" class="no-print" (click)="wipe()">Wipe my practice</button>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 1rem;
      grid-template-columns: minmax(0, 1fr);
      justify-items: start;
    }
    .page-head,
    hy-plan-tabs {
      justify-self: stretch;
      margin: 0;
    }
    ol {
      list-style: none;
      margin: 0;
      padding: 0;
      width: 100%;
      max-width: 60rem;
    }
    li {
      display: flex;
      gap: 0.4rem 1.5rem;
      align-items: center;
      justify-content: space-between;
      padding: 0.6rem 0;
      border-bottom: 1px solid var(--line);
    }
    li a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
      font-weight: 650;
      font-size: 1.05rem;
    }
    li .quiet {
      display: block;
      max-width: 64ch;
    }
    .state {
      white-space: nowrap;
      font-weight: 600;
    }
  `,
})
export class PracticePage {
  private readonly store = inject(PracticeStore);
  private readonly confirm = inject(Confirm);

  protected readonly rows = computed(() =>
    SCENARIO_IDS.map((id) => {
      const kept = this.store.kept()[id];
      const { title, told } = SCENARIOS[id];
      const state =
        kept?.best != null ? `best ${kept.best} of 100` : kept?.acts.length ? 'begun' : '';
      return { id, title, told, state };
    }),
  );
  protected readonly any = computed(() => Object.keys(this.store.kept()).length > 0);

  protected async wipe(): Promise<void> {
    const sure = await this.confirm.ask({
      title: 'Wipe your practice?',
      text: 'Games and scores go. Your journal stays as it is.',
      yes: 'Wipe it',
    });
    if (sure) this.store.wipe();
  }
}
