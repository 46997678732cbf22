import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { fetchEngine } from '../charts/chart';
import { tabsOf } from '../shell/pages';
import { Tabs } from '../ui/tabs';

/** The pages of a tab, where it has more than one: the first is the tab's own. */
const PARTS: Readonly<Record<string, readonly { readonly path: string; readonly name: string }[]>> =
  {
    '/results': [
      { path: '/results', name: 'All in all' },
      { path: '/results/losses', name: 'Losses' },
      { path: '/results/report', name: 'Season report' },
    ],
    '/results/compare': [
      { path: '/results/compare', name: 'Ways' },
      { path: '/results/trials', name: 'Trials' },
    ],
    '/results/learned': [
      { path: '/results/learned', name: 'Beliefs' },
      { path: '/results/forecasts', name: 'Forecasts' },
      { path: '/results/benches', name: 'Benches' },
    ],
  };

/** The four tabs of Results, and under a tab the pages it has; what the page asks stands beside them. */
@Component({
  selector: 'hy-ledger-tabs',
  imports: [RouterLink, Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-tabs label="Results" [tabs]="tabs" [under]="tab()" />
    <div class="under">
      @if (parts(); as all) {
        <nav class="parts no-print" aria-label="Pages of this tab">
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
