import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { RouterLink, RouterLinkActive, type Params } from '@angular/router';

export interface Tab {
  readonly path: string;
  readonly name: string;
}

/** The pages of one place, side by side under its title. */
@Component({
  selector: 'hy-tabs',
  imports: [RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <nav [attr.aria-label]="label()" class="no-print">
      @for (tab of tabs(); track tab.path) {
        <a
          [routerLink]="tab.path"
          [queryParams]="params()"
          routerLinkActive="here"
          ariaCurrentWhenActive="page"
          [routerLinkActiveOptions]="byPath"
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
    @media (max-width: 480px) {
      nav {
        gap: 0 1.05rem;
      }
      a {
        font-size: 0.9375rem;
      }
    }
    .here {
      color: var(--ink);
      font-weight: 650;
      border-bottom-color: var(--living);
    }
  `,
})
export class Tabs {
  readonly label = input.required<string>();
  readonly tabs = input.required<readonly Tab[]>();
  /** Carried along in every address. */
  readonly params = input<Params>({});

  protected readonly byPath = {
    paths: 'exact',
    queryParams: 'ignored',
    fragment: 'ignored',
    matrixParams: 'ignored',
  } as const;
}
