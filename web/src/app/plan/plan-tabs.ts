import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
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
  protected readonly tabs = [
    { path: '/plan', name: 'Batch' },
    { path: '/plan/rehearse', name: 'Try it first' },
    { path: '/plan/stem', name: 'Cut map' },
    { path: '/plan/straps', name: 'Leaf sections' },
    { path: '/plan/clump', name: 'Pups' },
    { path: '/plan/divide', name: 'Division' },
    { path: '/plan/multiply', name: 'Multiply' },
    { path: '/plan/practice', name: 'Practice' },
  ];
}
