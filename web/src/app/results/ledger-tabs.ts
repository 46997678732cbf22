import { ChangeDetectionStrategy, Component } from '@angular/core';
import { fetchEngine } from '../charts/chart';
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

  protected readonly tabs = [
    { path: '/results', name: 'Overview' },
    { path: '/results/compare', name: 'Compare ways' },
    { path: '/results/losses', name: 'Losses' },
    { path: '/results/trials', name: 'Trials' },
    { path: '/results/money', name: 'Money and time' },
    { path: '/results/learned', name: 'Learned' },
    { path: '/results/forecasts', name: 'Forecasts' },
    { path: '/results/report', name: 'Report' },
  ];
}
