import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink, RouterLinkActive } from '@angular/router';

/** The pages of Plan, all for one mother. */
@Component({
  selector: 'hy-plan-tabs',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav aria-label="Plan" class="no-print">
      @for (tab of tabs; track tab.path) {
        <a
          [routerLink]="tab.path"
          [queryParams]="mother() ? { mother: mother() } : {}"
          routerLinkActive="here"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="EXACT"
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
      margin-bottom: 1.4rem;
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
export class PlanTabs {
  readonly mother = input<string>();
  protected readonly EXACT = {
    paths: 'exact',
    queryParams: 'ignored',
    fragment: 'ignored',
    matrixParams: 'ignored',
  } as const;
  protected readonly tabs = [
    { path: '/plan', name: 'Batch' },
    { path: '/plan/stem', name: 'Cut map' },
    { path: '/plan/straps', name: 'Strap leaves' },
    { path: '/plan/clump', name: 'Clump' },
    { path: '/plan/multiply', name: 'Multiply' },
  ];
}
