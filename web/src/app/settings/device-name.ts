import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { say } from '@hypogeon/messages/device-name';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Field, FieldControl } from '../forms/field';

/** What this device is called where its entries come in on another: “the phone of the lean-to”. */
@Component({
  selector: 'hy-device-name',
  imports: [Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <hy-field [label]="say.thisDeviceIsCalled()" [hint]="say.othersSayWhatCame()">
      <input
        hyControl
        maxlength="60"
        autocomplete="off"
        [placeholder]="say.thePhoneOfThe()"
        [value]="name()"
        (change)="call($event)"
      />
    </hy-field>
  `,
})
export class DeviceName {
  protected readonly say = say;

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
      name === '' ? say.thisDeviceHasNo() : say.thisDeviceIs({ name }),
    );
  }
}
