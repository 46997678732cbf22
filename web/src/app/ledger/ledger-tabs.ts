import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Tabs } from '../ui/tabs';

/** The pages of Ledger. */
@Component({
  selector: 'hy-ledger-tabs',
  imports: [Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-tabs label="Ledger" [tabs]="tabs" />`,
})
export class LedgerTabs {
  protected readonly tabs = [
    { path: '/ledger', name: 'Counted' },
    { path: '/ledger/compare', name: 'Compare ways' },
    { path: '/ledger/losses', name: 'Losses' },
    { path: '/ledger/trials', name: 'Trials' },
    { path: '/ledger/money', name: 'Money and time' },
    { path: '/ledger/learned', name: 'Learned' },
    { path: '/ledger/report', name: 'Report' },
  ];
}
