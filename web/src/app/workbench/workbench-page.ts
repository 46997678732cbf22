import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatOption, MatSelect } from '@angular/material/select';
import { PIECES } from '@hypogeon/core/botany';
import * as z from 'zod';
import { say } from '@hypogeon/messages/workbench-page';
import { restsOn } from '@hypogeon/words';
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
    <h1>{{ say.workbench() }}</h1>
    <hy-tabs [label]="say.pagesOfAPlace()" [tabs]="tabs" />
    <section class="flex flex-wrap items-center gap-3 mb-6">
      <h2 class="ruled basis-full">{{ say.buttons() }}</h2>
      <button matButton="filled">{{ say.whatIsToBe() }}</button>
      <button matButton="outlined">{{ say.whatCanBeDone() }}</button>
      <button matButton="text">{{ say.whatLeadsOn() }}</button>
      <button matButton="filled" disabled>{{ say.notNow() }}</button>
      <button matButton="outlined" (click)="ask()">{{ say.aQuestionFirst() }}</button>
      <hy-file-pick [label]="say.aFile()" (picked)="told.set($event[0]!.name)" />
      <mat-button-toggle-group
        [attr.aria-label]="say.oneOfAFew()"
        hideSingleSelectionIndicator
        value="a"
      >
        <mat-button-toggle value="a">{{ say.one() }}</mat-button-toggle>
        <mat-button-toggle value="b">{{ say.ofAFew() }}</mat-button-toggle>
      </mat-button-toggle-group>
      <p role="status">{{ told() }}</p>
    </section>
    <section class="flex flex-wrap items-center gap-3 mb-6" [formGroup]="form">
      <h2 class="ruled basis-full">{{ say.fields() }}</h2>
      <hy-field [label]="say.text()" [hint]="say.aHintUnderIt()" [problem]="sentence('text')">
        <input hyControl formControlName="text" />
      </hy-field>
      <hy-field [label]="say.aProblem()" [problem]="say.whatIsWrongWhy()">
        <input hyControl value="wrong" />
      </hy-field>
      <hy-field [label]="say.oneOfMany()">
        <mat-select formControlName="light">
          <mat-option value="dim">{{ say.dim() }}</mat-option>
          <mat-option value="sun">{{ say.sunny() }}</mat-option>
        </mat-select>
      </hy-field>
      <hy-field [label]="say.aLengthAnyUnit()" [hint]="say.n3214()">
        <input hyControl hyQuantity="length" formControlName="widthMm" />
      </hy-field>
      <hy-day [label]="say.aDay()" [(value)]="day" />
      <hy-field [label]="say.moreWords()"><textarea hyControl rows="2"></textarea></hy-field>
      <mat-checkbox>{{ say.yesOrNo() }}</mat-checkbox>
      <hy-why-chips [label]="say.aReason()" [reasons]="['rain', 'no time', 'away']" />
    </section>
    <section class="block flex-wrap items-center gap-3 mb-6">
      <hy-table [name]="say.trays()" heading [columns]="columns" [rows]="rows" />
    </section>
    <section class="flex flex-wrap items-center gap-3 mb-6">
      <h2 class="ruled basis-full">{{ say.marks() }}</h2>
      <p>
        {{ say.n1428Days() }}
        <hy-evidence [of]="say.roots()" [on]="restsOn('common practice')" /> {{ say.n066Kpa() }}
        <hy-evidence [of]="say.deficit()" [on]="restsOn({ published: say.fao56AllenEt() })" />
      </p>
      @for (piece of pieces; track piece) {
        <hy-mark [piece]="piece" [state]="fresh" [size]="64" />
      }
    </section>
  `,
})
export class WorkbenchPage {
  protected readonly say = say;
  protected readonly restsOn = restsOn;

  private readonly confirm = inject(Confirm);
  protected readonly pieces = PIECES;
  protected readonly fresh = FRESH;
  protected readonly tabs = [
    { path: '/workbench', name: say.thisOne() },
    { path: '/today', name: say.another() },
  ];
  protected readonly rows: readonly Tray[] = [
    { name: say.trayNumber({ number: 10 }), set: 40, rooted: 31, cutOn: '2026-03-02' },
    { name: say.trayNumber({ number: 9 }), set: 12, rooted: null, cutOn: '2026-04-09' },
    { name: say.sill(), set: 120, rooted: 8, cutOn: '2026-01-20' },
  ];
  protected readonly columns: readonly Column<Tray>[] = [
    { key: 'name', head: say.tray(), text: (r) => r.name, sort: (r) => r.name },
    { key: 'set', head: say.setWord(), number: true, text: (r) => `${r.set}`, sort: (r) => r.set },
    {
      key: 'rooted',
      head: say.rooted(),
      number: true,
      text: (r) => (r.rooted === null ? '' : `${r.rooted}`),
      sort: (r) => r.rooted,
    },
    { key: 'cut', head: say.cutOn(), text: (r) => r.cutOn, sort: (r) => r.cutOn },
  ];
  protected readonly told = signal('');
  protected readonly day = signal('2026-04-09');
  protected readonly form = new FormGroup(
    {
      text: new FormControl('', { nonNullable: true }),
      widthMm: new FormControl<number | null>(12.7),
      light: new FormControl('dim', { nonNullable: true }),
    },
    { validators: judgedBy(z.object({ text: z.string().min(1, say.writeSomethingFirst()) })) },
  );

  protected sentence(field: string): string {
    return sentenceAt(this.form, field, false);
  }

  protected async ask(): Promise<void> {
    const sure = await this.confirm.ask({
      title: say.emptyTheBench(),
      text: say.itCannotBeTaken(),
      yes: say.emptyIt(),
    });
    this.told.set(sure ? say.emptied() : say.leftAsItWas());
  }
}
