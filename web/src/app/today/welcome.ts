import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { placesIn } from '@hypogeon/core/bench';
import { Journal } from '../data/journal';
import { DemoDoor } from '../ui/demo-door';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';

/** Nothing is on the bench yet: what this is, in a sentence, and the next step. */
@Component({
  selector: 'hy-welcome',
  imports: [CuttingMark, MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid justify-items-start gap-4 max-w-176 pt-[clamp(1rem,8vh,5rem)]' },
  template: `
    <div class="flex flex-wrap" aria-hidden="true">
      @for (stage of stages; track $index) {
        <hy-mark [piece]="stage.piece" [state]="stage.state" [size]="84" />
      }
    </div>
    @if (started()) {
      <h1>Your bench is ready. What is on it?</h1>
      <p class="text-lg">
        Write down one batch: what it is, how many, and the day it was cut. Then this page says each
        day what to water, what to look at and what to leave alone.
      </p>
      <div class="row flex flex-wrap gap-2.5">
        <a matButton="filled" routerLink="/bench/new">Add cuttings you already have</a>
        <a matButton="outlined" routerLink="/mothers/new">Add a mother plant</a>
        <a matButton="text" routerLink="/settings/paper">An old paper log</a>
      </div>
    } @else {
      <h1>Hypogeon keeps succulent and cactus cuttings alive until they root.</h1>
      <p class="text-lg">
        It says each day what to leave dry, what to look at and what to water, and learns from what
        rooted. Everything stays in this browser.
      </p>
      <div class="row flex flex-wrap gap-2.5">
        <a matButton="filled" routerLink="/start">Start my own</a>
        <button type="button" matButton="outlined" (click)="demo()">Look round the demo</button>
        <a matButton="text" routerLink="/settings">I have a saved journal</a>
      </div>
    }
  `,
})
export class Welcome {
  private readonly journal = inject(Journal);
  private readonly door = inject(DemoDoor);
  protected readonly stages = [
    { piece: 'crown', state: FRESH },
    { piece: 'crown', state: { ...FRESH, closure: 1 } },
    { piece: 'crown', state: { ...FRESH, closure: 1, roots: 2 } },
    { piece: 'crown', state: { ...FRESH, closure: 1, roots: 2, pup: true } },
  ] as const;

  /** Once there is a place, the question is what stands there. */
  protected started(): boolean {
    return this.journal.book() === 'own' && placesIn(this.journal.state()).length > 0;
  }

  protected demo(): void {
    void this.door.enter();
  }
}
