import { ChangeDetectionStrategy, Component } from '@angular/core';
import { Tabs } from '../ui/tabs';

/** The pages of Mix. */
@Component({
  selector: 'hy-mix-tabs',
  imports: [Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-tabs label="Mix" [tabs]="tabs" />`,
})
export class MixTabs {
  protected readonly tabs = [
    { path: '/mix', name: 'Mix' },
    { path: '/mix/amounts', name: 'Amounts' },
    { path: '/mix/solve', name: 'Solve' },
    { path: '/mix/jug', name: 'Jug test' },
    { path: '/mix/beside', name: 'Side by side' },
    { path: '/mix/shelf', name: 'Shelf' },
    { path: '/mix/pots', name: 'Pots' },
  ];
}
