import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Tabs } from '../ui/tabs';

/** The pages of Bench. */
@Component({
  selector: 'hy-bench-tabs',
  imports: [Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-tabs label="Bench" [tabs]="tabs" />`,
})
export class BenchTabs {
  protected readonly tabs = [
    { path: '/bench', name: 'Batches' },
    { path: '/bench/trays', name: 'Trays' },
    { path: '/bench/orders', name: 'Orders' },
    { path: '/bench/labels', name: 'Labels' },
    { path: '/bench/scan', name: 'Scan' },
  ];
}
