import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatBottomSheetRef } from '@angular/material/bottom-sheet';
import { MatListItem, MatNavList } from '@angular/material/list';
import { RouterLink } from '@angular/router';
import { say } from '@hypogeon/messages/more-sheet';
import { ABOVE, BELOW } from './places';

/** On a phone: the places that are visited less, and finding. */
@Component({
  selector: 'hy-more-sheet',
  imports: [MatListItem, MatNavList, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-nav-list [attr.aria-label]="say.morePlaces()">
      @for (place of places; track place.path) {
        <a mat-list-item [routerLink]="place.path" (click)="leave()">{{ place.name }}</a>
      }
      <button type="button" mat-list-item (click)="leave('find')">{{ say.findAnything() }}</button>
    </mat-nav-list>
  `,
})
export class MoreSheet {
  protected readonly say = say;

  private readonly sheet = inject(MatBottomSheetRef);
  protected readonly places = [...ABOVE, ...BELOW].filter((p) => !p.first);

  protected leave(then?: 'find'): void {
    this.sheet.dismiss(then);
  }
}
