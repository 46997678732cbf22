import { ChangeDetectionStrategy, Component } from '@angular/core';
import { say } from '@hypogeon/messages/bench-tabs';
import { Tabs } from '../ui/tabs';

/** The pages of Bench. */
@Component({
  selector: 'hy-bench-tabs',
  imports: [Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-tabs [label]="say.bench()" [tabs]="tabs" />`,
})
export class BenchTabs {
  protected readonly say = say;

  protected readonly tabs = [
    { path: '/bench', name: say.batches() },
    { path: '/bench/trays', name: say.trays() },
    { path: '/bench/orders', name: say.orders() },
    { path: '/bench/labels', name: say.labels() },
    { path: '/bench/scan', name: say.scan() },
  ];
}
