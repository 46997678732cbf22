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
    { path: '/mixes', name: 'Mix' },
    { path: '/mixes/amounts', name: 'Amounts' },
    { path: '/mixes/solve', name: 'Solve' },
    { path: '/mixes/jug', name: 'Jug test' },
    { path: '/mixes/beside', name: 'Side by side' },
    { path: '/mixes/shelf', name: 'Shelf' },
    { path: '/mixes/pots', name: 'Pots' },
  ];
}
