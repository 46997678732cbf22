import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { placesIn } from '@hypogeon/core/bench';
import { say } from '@hypogeon/messages/welcome';
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
      <h1>{{ say.yourBenchIsReady() }}</h1>
      <p class="text-lg">
        {{ say.writeDownOneBatch() }}
      </p>
      <div class="row flex flex-wrap gap-2.5">
        <a matButton="filled" routerLink="/bench/new">{{ say.addCuttingsYouAlready() }}</a>
        <a matButton="outlined" routerLink="/mothers/new">{{ say.addAMotherPlant() }}</a>
        <a matButton="text" routerLink="/settings/paper">{{ say.anOldPaperLog() }}</a>
      </div>
    } @else {
      <h1>{{ say.hypogeonKeepsSucculentAnd() }}</h1>
      <p class="text-lg">
        {{ say.itSaysEachDay() }}
      </p>
      <div class="row flex flex-wrap gap-2.5">
        <a matButton="filled" routerLink="/start">{{ say.startMyOwn() }}</a>
        <button type="button" matButton="outlined" (click)="demo()">
          {{ say.lookRoundTheDemo() }}
        </button>
        <a matButton="text" routerLink="/settings">{{ say.iHaveASaved() }}</a>
      </div>
    }
  `,
})
export class Welcome {
  protected readonly say = say;

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
