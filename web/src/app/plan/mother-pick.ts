import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { say } from '@hypogeon/messages/mother-pick';
import { Journal } from '../data/journal';
import { Field } from '../forms/field';

/** Whose page this is: the mother is chosen where she is needed. */
@Component({
  selector: 'hy-mother-pick',
  imports: [Field, MatButton, MatOption, MatSelect, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block mb-5' },
  template: `
    @if (mothers().length > 0) {
      <hy-field class="max-w-80" [label]="say.mother()">
        <mat-select [value]="mother() ?? ''" (selectionChange)="turn($event.value)">
          @if (!mother()) {
            <mat-option value="">{{ say.choose() }}</mat-option>
          }
          @for (m of mothers(); track m.id) {
            <mat-option [value]="m.id">{{ m.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      @if (!known()) {
        <p class="quiet">{{ say.chooseAMotherWhat() }}</p>
      }
    } @else {
      <p>{{ say.thereIsNoMother() }}</p>
      <a matButton="filled" routerLink="/mothers/new">{{ say.addAMother() }}</a>
    }
  `,
})
export class MotherPick {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  private readonly router = inject(Router);
  private readonly route = inject(ActivatedRoute);
  readonly mother = input<string>();

  protected readonly mothers = computed(() => [...this.state().mothers.values()]);
  protected readonly known = computed(() => this.state().mothers.has(this.mother() ?? ''));

  protected turn(mother: string): void {
    void this.router.navigate([], {
      relativeTo: this.route,
      queryParams: { mother },
      replaceUrl: true,
    });
  }
}
