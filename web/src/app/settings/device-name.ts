import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Field, FieldControl } from '../forms/field';

/** What this device is called where its entries come in on another: “the phone of the lean-to”. */
@Component({
  selector: 'hy-device-name',
  imports: [Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-field label="This device is called" hint="Others say what came in from it.">
      <input
        hyControl
        maxlength="60"
        autocomplete="off"
        placeholder="the phone of the lean-to"
        [value]="name()"
        (change)="call($event)"
      />
    </hy-field>
  `,
})
export class DeviceName {
  private readonly actions = inject(Actions);
  private readonly journal = inject(Journal);
  protected readonly name = computed(
    () => this.journal.state().devices.get(this.journal.thisDevice())?.name ?? '',
  );

  protected call(event: Event): void {
    const name = (event.target as HTMLInputElement).value.trim();
    if (name === this.name()) return;
    void this.actions.record(
      {
        kind: 'put',
        record: 'device',
        key: this.journal.thisDevice(),
        fields: { name: name || null },
      },
      name === '' ? 'This device has no name' : `This device is ${name}`,
    );
  }
}
