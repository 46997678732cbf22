import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { tabsOf } from '../shell/pages';
import { Tabs } from '../ui/tabs';

/** The pages of Plan. */
@Component({
  selector: 'hy-plan-tabs',
  imports: [Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<hy-tabs label="Plan" [tabs]="tabs" [params]="params()" />`,
})
export class PlanTabs {
  readonly mother = input<string>();
  protected readonly params = computed(() => (this.mother() ? { mother: this.mother() } : {}));
  protected readonly tabs = tabsOf('plan');
}
