import {
  booleanAttribute,
  ChangeDetectionStrategy,
  Component,
  computed,
  Directive,
  inject,
  input,
} from '@angular/core';

let count = 0;

/**
 * A labelled field: the label, the control inside, and under it the problem or else the hint. The
 * control is marked `hyControl` and is named by the label alone; the rest describes it.
 */
@Component({
  selector: 'hy-field',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <label [for]="id" [class.unseen]="unseen()">{{ label() }}</label>
    <ng-content />
    @if (problem()) {
      <span class="problem" role="alert" [id]="id + '-problem'">{{ problem() }}</span>
    } @else if (hint()) {
      <span class="hint" [id]="id + '-hint'">{{ hint() }}</span>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.25rem;
      align-content: start;
      min-width: 0;
    }
    label {
      font-weight: 600;
      font-size: 0.9rem;
    }
    .hint {
      color: var(--ink2);
      font-size: 0.875rem;
    }
    .problem {
      color: var(--do);
      font-size: 0.9rem;
      font-weight: 600;
    }
  `,
})
export class Field {
  readonly label = input.required<string>();
  readonly hint = input('');
  readonly problem = input('');
  /** For a label that only a screen reader needs. */
  readonly unseen = input(false, { transform: booleanAttribute });

  readonly id = `field-${++count}`;
  readonly described = computed(() => {
    if (this.problem()) return `${this.id}-problem`;
    return this.hint() ? `${this.id}-hint` : null;
  });
}

/** The control of a field. */
@Directive({
  selector: '[hyControl]',
  host: {
    '[id]': 'field.id',
    '[attr.aria-invalid]': 'field.problem() ? true : null',
    '[attr.aria-describedby]': 'field.described()',
  },
})
export class FieldControl {
  protected readonly field = inject(Field);
}
