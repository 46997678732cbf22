import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { MatTabLink, MatTabNav, MatTabNavPanel } from '@angular/material/tabs';
import { RouterLink, RouterLinkActive, type Params } from '@angular/router';

export interface Tab {
  readonly path: string;
  readonly name: string;
}

/** The pages of one place, side by side under its title. */
@Component({
  selector: 'hy-tabs',
  imports: [MatTabLink, MatTabNav, MatTabNavPanel, RouterLink, RouterLinkActive],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block mb-5' },
  template: `
    <nav
      mat-tab-nav-bar
      class="no-print"
      [attr.aria-label]="label()"
      [mat-stretch-tabs]="false"
      [tabPanel]="panel"
    >
      @for (tab of tabs(); track tab.path) {
        <a
          mat-tab-link
          class="min-w-0! px-3!"
          [routerLink]="tab.path"
          [queryParams]="params()"
          routerLinkActive
          [routerLinkActiveOptions]="byPath"
          [active]="link.isActive || tab.path === under()"
          #link="routerLinkActive"
          >{{ tab.name }}</a
        >
      }
    </nav>
    <mat-tab-nav-panel class="hidden" #panel />
  `,
})
export class Tabs {
  readonly label = input.required<string>();
  readonly tabs = input.required<readonly Tab[]>();
  /** The tab whose page this is a part of, where it has none of its own. */
  readonly under = input<string>();
  /** Carried along in every address. */
  readonly params = input<Params>({});

  protected readonly byPath = {
    paths: 'exact',
    queryParams: 'ignored',
    fragment: 'ignored',
    matrixParams: 'ignored',
  } as const;
}
