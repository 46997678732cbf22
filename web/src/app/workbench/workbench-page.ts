import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatOption, MatSelect } from '@angular/material/select';
import { PIECES } from '@hypogeon/core/botany';
import * as z from 'zod';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { FilePick } from '../forms/file-pick';
import { Quantity } from '../forms/quantity';
import { WhyChips } from '../forms/why-chips';
import { judgedBy, sentenceAt } from '../forms/zod-problems';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { Confirm } from '../ui/confirm';
import type { Column } from '../ui/column';
import { EvidenceMark } from '../ui/evidence-mark';
import { Table } from '../ui/table';
import { Tabs } from '../ui/tabs';

interface Tray {
  readonly name: string;
  readonly set: number;
  readonly rooted: number | null;
  readonly cutOn: string;
}

/** The kit on one page, for whoever builds with it: a route that only development builds have. */
@Component({
  selector: 'hy-workbench-page',
  imports: [
    CuttingMark,
    DayField,
    EvidenceMark,
    Field,
    FieldControl,
    FilePick,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatCheckbox,
    MatOption,
    MatSelect,
    Quantity,
    ReactiveFormsModule,
    Table,
    Tabs,
    WhyChips,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1>Workbench</h1>
    <hy-tabs label="Pages of a place" [tabs]="tabs" />
    <section class="flex flex-wrap items-center gap-3 mb-6">
      <h2 class="ruled basis-full">Buttons</h2>
      <button matButton="filled">What is to be done now</button>
      <button matButton="outlined">What can be done</button>
      <button matButton="text">What leads on</button>
      <button matButton="filled" disabled>Not now</button>
      <button matButton="outlined" (click)="ask()">A question first</button>
      <hy-file-pick label="A file" (picked)="told.set($event[0]!.name)" />
      <mat-button-toggle-group aria-label="One of a few" hideSingleSelectionIndicator value="a">
        <mat-button-toggle value="a">One</mat-button-toggle>
        <mat-button-toggle value="b">of a few</mat-button-toggle>
      </mat-button-toggle-group>
      <p role="status">{{ told() }}</p>
    </section>
    <section class="flex flex-wrap items-center gap-3 mb-6" [formGroup]="form">
      <h2 class="ruled basis-full">Fields</h2>
      <hy-field label="Text" hint="A hint under it." [problem]="sentence('text')">
        <input hyControl formControlName="text" />
      </hy-field>
      <hy-field label="A problem" problem="What is wrong, why, and what to do.">
        <input hyControl value="wrong" />
      </hy-field>
      <hy-field label="One of many">
        <mat-select formControlName="light">
          <mat-option value="dim">dim</mat-option>
          <mat-option value="sun">sunny</mat-option>
        </mat-select>
      </hy-field>
      <hy-field label="A length, any unit" hint='3", 2 1/4 in, 1,5 cm'>
        <input hyControl hyQuantity="length" formControlName="widthMm" />
      </hy-field>
      <hy-day label="A day" [(value)]="day" />
      <hy-field label="More words"><textarea hyControl rows="2"></textarea></hy-field>
      <mat-checkbox>Yes or no</mat-checkbox>
      <hy-why-chips label="A reason" [reasons]="['rain', 'no time', 'away']" />
    </section>
    <section class="block flex-wrap items-center gap-3 mb-6">
      <hy-table name="Trays" heading [columns]="columns" [rows]="rows" />
    </section>
    <section class="flex flex-wrap items-center gap-3 mb-6">
      <h2 class="ruled basis-full">Marks</h2>
      <p>
        14–28 days <hy-evidence of="Roots" text="common practice, no source" /> 0.66 kPa
        <hy-evidence of="Deficit" text="FAO-56 (Allen et al. 1998), eqs 11 and 17" />
      </p>
      @for (piece of pieces; track piece) {
        <hy-mark [piece]="piece" [state]="fresh" [size]="64" />
      }
    </section>
  `,
})
export class WorkbenchPage {
  private readonly confirm = inject(Confirm);
  protected readonly pieces = PIECES;
  protected readonly fresh = FRESH;
  protected readonly tabs = [
    { path: '/workbench', name: 'This one' },
    { path: '/today', name: 'Another' },
  ];
  protected readonly rows: readonly Tray[] = [
    { name: 'Tray 10', set: 40, rooted: 31, cutOn: '2026-03-02' },
    { name: 'Tray 9', set: 12, rooted: null, cutOn: '2026-04-09' },
    { name: 'Sill', set: 120, rooted: 8, cutOn: '2026-01-20' },
  ];
  protected readonly columns: readonly Column<Tray>[] = [
    { key: 'name', head: 'Tray', text: (r) => r.name, sort: (r) => r.name },
    { key: 'set', head: 'Set', number: true, text: (r) => `${r.set}`, sort: (r) => r.set },
    {
      key: 'rooted',
      head: 'Rooted',
      number: true,
      text: (r) => (r.rooted === null ? '' : `${r.rooted}`),
      sort: (r) => r.rooted,
    },
    { key: 'cut', head: 'Cut on', text: (r) => r.cutOn, sort: (r) => r.cutOn },
  ];
  protected readonly told = signal('');
  protected readonly day = signal('2026-04-09');
  protected readonly form = new FormGroup(
    {
      text: new FormControl('', { nonNullable: true }),
      widthMm: new FormControl<number | null>(12.7),
      light: new FormControl('dim', { nonNullable: true }),
    },
    { validators: judgedBy(z.object({ text: z.string().min(1, 'Write something first.') })) },
  );

  protected sentence(field: string): string {
    return sentenceAt(this.form, field, false);
  }

  protected async ask(): Promise<void> {
    const sure = await this.confirm.ask({
      title: 'Empty the bench?',
      text: 'It cannot be taken back.',
      yes: 'Empty it',
    });
    this.told.set(sure ? 'Emptied' : 'Left as it was');
  }
}
