import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { plantDrawn, plants } from '@hypogeon/core/bench';
import { say } from '@hypogeon/messages/drawings-page';
import { Journal } from '../data/journal';
import { PlantPicture } from '../marks/plant-picture';

/** All plants side by side, large and small: what a glance can tell apart. */
@Component({
  selector: 'hy-drawings-page',
  imports: [MatButton, PlantPicture, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.allDrawings() }}</h1>
      <p class="quiet">{{ say.drawnFromMemoryFrom() }}</p>
      <a matButton="text" class="push" routerLink="/plants">{{ say.plantGuide() }}</a>
      <button type="button" matButton="outlined" class="no-print" (click)="print()">
        {{ say.print() }}
      </button>
    </div>
    <ul class="bare grid auto-fill-32 gap-x-2 gap-y-4">
      @for (row of rows(); track row.id) {
        <li class="text-center break-inside-avoid">
          <hy-plant [drawn]="row.drawn" [size]="120" />
          <i class="block small leading-snug">{{ row.name }}</i>
        </li>
      }
    </ul>
    <h2 class="ruled mt-6">{{ say.small() }}</h2>
    <p class="flex flex-wrap gap-2">
      @for (row of rows(); track row.id) {
        <hy-plant [drawn]="row.drawn" [size]="40" [label]="row.name" />
      }
    </p>
  `,
})
export class DrawingsPage {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  protected readonly rows = computed(() =>
    plants(this.state()).map((plant) => ({
      id: plant.id,
      name: plant.name,
      drawn: plantDrawn(plant.taxon),
    })),
  );

  protected print(): void {
    print();
  }
}
