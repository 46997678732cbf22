import { ChangeDetectionStrategy, Component } from '@angular/core';
import { RouterLink } from '@angular/router';

@Component({
  selector: 'hy-lost-page',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1>Nothing grows here</h1>
    <p>This address leads nowhere. Perhaps the batch or mother lives in another journal.</p>
    <p><a routerLink="/today">To today</a></p>
  `,
})
export class LostPage {}
