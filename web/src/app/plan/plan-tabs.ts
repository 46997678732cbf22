import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  input,
} from '@angular/core';
import { say } from '@hypogeon/messages/plan-tabs';
import { tabsOf } from '../shell/pages';
import { Tabs } from '../ui/tabs';

/** The pages of Plan. */
@Component({
  selector: 'hy-plan-tabs',
  imports: [Tabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-tabs
      [label]="say.plan()"
      [tabs]="tabs"
      [params]="params()"
      [under]="inside() ? '/plan' : undefined"
    />
  `,
})
export class PlanTabs {
  protected readonly say = say;

  readonly mother = input<string>();
  /** A map of pieces: a part of the plan. */
  readonly inside = input(false, { transform: booleanAttribute });
  protected readonly params = computed(() => (this.mother() ? { mother: this.mother() } : {}));
  protected readonly tabs = tabsOf('plan');
}
