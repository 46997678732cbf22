import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';
import { say } from '@hypogeon/messages/lost-page';

@Component({
  selector: 'hy-lost-page',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1>{{ say.nothingGrowsHere() }}</h1>
    <p>{{ say.thisAddressLeadsNowhere() }}</p>
    <p>
      <a routerLink="/today">{{ say.toToday() }}</a>
    </p>
  `,
})
export class LostPage {
  protected readonly say = say;
}
