import { ChangeDetectionStrategy, Component } from '@angular/core';
import { fetchEngine } from '../charts/chart';
import { tabsOf } from '../shell/pages';
import { Tabs } from '../ui/tabs';

/** The pages of Ledger. */
@Component({
  selector: 'hy-ledger-tabs',
  imports: [Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-tabs label="Results" [tabs]="tabs" />`,
})
export class LedgerTabs {
  constructor() {
    // Nearly all of these draw: what draws is fetched while the figures are still being reckoned.
    void fetchEngine();
  }

  protected readonly tabs = tabsOf('results');
}
