import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';

/** The pages of the ledger. */
@Component({
  selector: 'hy-ledger-tabs',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Ledger" class="no-print">
      @for (tab of tabs; track tab.path) {
        <a
          [routerLink]="tab.path"
          routerLinkActive="here"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="{ exact: true }"
          >{{ tab.name }}</a
        >
      }
    </nav>
  `,
  styles: `
    nav {
      display: flex;
      flex-wrap: wrap;
      gap: 0 1.4rem;
      border-bottom: 1px solid var(--line);
    }
    a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
      min-width: 44px;
      color: var(--ink2);
      text-decoration: none;
      border-bottom: 3px solid transparent;
      margin-bottom: -1px;
    }
    a:hover {
      color: var(--ink);
    }
    .here {
      color: var(--ink);
      font-weight: 650;
      border-bottom-color: var(--living);
    }
  `,
})
export class LedgerTabs {
  protected readonly tabs = [
    { path: '/ledger', name: 'Counted' },
    { path: '/ledger/compare', name: 'Compare ways' },
    { path: '/ledger/losses', name: 'Losses' },
    { path: '/ledger/learned', name: 'Learned' },
  ];
}
