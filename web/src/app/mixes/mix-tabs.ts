import { ChangeDetectionStrategy, Component } from '@angular/core';
import { say } from '@hypogeon/messages/mix-tabs';
import { tabsOf } from '../shell/pages';
import { Tabs } from '../ui/tabs';

/** The pages of Mix. */
@Component({
  selector: 'hy-mix-tabs',
  imports: [Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-tabs [label]="say.mix()" [tabs]="tabs" />`,
})
export class MixTabs {
  protected readonly say = say;

  protected readonly tabs = tabsOf('mixes');
}
