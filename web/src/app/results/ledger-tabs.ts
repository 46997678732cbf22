import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { say } from '@hypogeon/messages/ledger-tabs';
import { fetchEngine } from '../charts/chart';
import { tabsOf } from '../shell/pages';
import { Tabs } from '../ui/tabs';

/** The pages of a tab, where it has more than one: the first is the tab's own. */
const PARTS: Readonly<Record<string, readonly { readonly path: string; readonly name: string }[]>> =
  {
    '/results': [
      {
        path: '/results',
        get name() {
          return say.allInAll();
        },
      },
      {
        path: '/results/losses',
        get name() {
          return say.losses();
        },
      },
      {
        path: '/results/report',
        get name() {
          return say.seasonReport();
        },
      },
    ],
    '/results/compare': [
      {
        path: '/results/compare',
        get name() {
          return say.ways();
        },
      },
      {
        path: '/results/trials',
        get name() {
          return say.trials();
        },
      },
    ],
    '/results/learned': [
      {
        path: '/results/learned',
        get name() {
          return say.beliefs();
        },
      },
      {
        path: '/results/forecasts',
        get name() {
          return say.forecasts();
        },
      },
      {
        path: '/results/benches',
        get name() {
          return say.benches();
        },
      },
    ],
  };

/** The four tabs of Results, and under a tab the pages it has; what the page asks stands beside them. */
@Component({
  selector: 'hy-ledger-tabs',
  imports: [RouterLink, Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-tabs [label]="say.results()" [tabs]="tabs" [under]="tab()" />
    <div class="under">
      @if (parts(); as all) {
        <nav class="parts no-print" [attr.aria-label]="say.pagesOfThisTab()">
          @for (part of all; track part.path) {
            <a [routerLink]="part.path" [attr.aria-current]="part.path === at() ? 'page' : null">{{
              part.name
            }}</a>
          }
        </nav>
      }
      <ng-content />
    </div>
  `,
  styles: `
    hy-tabs {
      margin-bottom: 0.35rem;
    }
    .under {
      display: flex;
      flex-wrap: wrap;
      align-items: center;
      justify-content: flex-end;
      gap: 0.4rem 1.5rem;
    }
    .parts {
      display: flex;
      flex-wrap: wrap;
      gap: 0 1.1rem;
      padding-left: 0.75rem;
      margin-right: auto;
    }
    a {
      display: inline-flex;
      align-items: center;
      min-width: 44px;
      min-height: 44px;
      color: var(--ink2);
    }
    a[aria-current] {
      color: var(--ink);
      font-weight: 650;
      text-decoration: none;
    }
  `,
})
export class LedgerTabs {
  protected readonly say = say;

  /** The page this stands on. */
  readonly at = input.required<string>();

  protected readonly tabs = tabsOf('results');
  protected readonly tab = computed(
    () =>
      Object.entries(PARTS).find(([, parts]) => parts.some((p) => p.path === this.at()))?.[0] ??
      this.at(),
  );
  protected readonly parts = computed(() => PARTS[this.tab()] ?? null);

  constructor() {
    // Nearly all of these draw: what draws is fetched while the figures are still being reckoned.
    void fetchEngine();
  }
}
