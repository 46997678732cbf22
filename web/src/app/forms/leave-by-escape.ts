import { Directive, ElementRef, inject, output } from '@angular/core';
import { say } from '@hypogeon/messages/leave-by-escape';
import { Actions } from '../data/actions';

/**
 * Escape closes what is open, but nothing that was typed: then only *Cancel* does.
 *
 * @example <section (hyLeave)="open(null)">…</section>
 */
@Directive({
  selector: '[hyLeave]',
  host: { '(input)': 'touch()', '(keydown.escape)': 'escape()' },
})
export class LeaveByEscape {
  private readonly actions = inject(Actions);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private typed = false;
  readonly hyLeave = output();

  protected touch(): void {
    this.typed = true;
  }

  protected escape(): void {
    if (!this.typed && this.host.querySelector('.ng-dirty') === null) return this.hyLeave.emit();
    this.actions.say(say.whatYouTypedStands());
  }
}
