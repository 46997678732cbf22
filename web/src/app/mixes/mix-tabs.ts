import { ChangeDetectionStrategy, Component } from '@angular/core';
import { tabsOf } from '../shell/pages';
import { Tabs } from '../ui/tabs';

/** The pages of Mix. */
@Component({
  selector: 'hy-mix-tabs',
  imports: [Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-tabs label="Mix" [tabs]="tabs" />`,
})
export class MixTabs {
  protected readonly tabs = tabsOf('mixes');
}
