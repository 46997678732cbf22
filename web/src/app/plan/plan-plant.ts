import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { drawnAs, plantDrawn, takenAs } from '@hypogeon/core/bench';
import type { MethodId } from '@hypogeon/core/botany';
import { conditionOf } from '@hypogeon/core/care';
import type { Part } from '@hypogeon/core/look';
import { pieceRule } from '@hypogeon/words';
import { say } from '@hypogeon/messages/plan-plant';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { PlantPicture } from '../marks/plant-picture';
import { PlanCut } from './plan-cut';
import { PlanDesk } from './plan-desk';

/** The page on which the pieces of a way are laid out on the plant. */
const LAID_OUT: Partial<
  Readonly<Record<MethodId, { readonly at: string; readonly says: string }>>
> = {
  crown: {
    at: '/plan/stem',
    get says() {
      return say.whereToCut();
    },
  },
  segment: {
    at: '/plan/stem',
    get says() {
      return say.whereToCut();
    },
  },
  column: {
    at: '/plan/stem',
    get says() {
      return say.whereToCut();
    },
  },
  branch: {
    at: '/plan/stem',
    get says() {
      return say.whereToCut();
    },
  },
  trailing: {
    at: '/plan/stem',
    get says() {
      return say.whereToCut();
    },
  },
  'leaf-section': {
    at: '/plan/straps',
    get says() {
      return say.cutUpTheStraps();
    },
  },
  offset: {
    at: '/plan/clump',
    get says() {
      return say.whichToTake();
    },
  },
  'rooted-offset': {
    at: '/plan/clump',
    get says() {
      return say.whichToTake();
    },
  },
  pad: {
    at: '/plan/clump',
    get says() {
      return say.whichToTake();
    },
  },
  division: {
    at: '/plan/divide',
    get says() {
      return say.partTheClump();
    },
  },
};

/** What falls off by itself, or comes from under the ground: no line is drawn. */
const COMES_OFF: ReadonlySet<Part> = new Set(['plantlet', 'bulbil', 'root', 'seed']);

/** The plant of a plan: how she looks, whether she may be cut, what comes off her and how. */
@Component({
  selector: 'hy-plan-plant',
  imports: [CuttingMark, MatButton, PlantPicture, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  // Its two parts stand where the page puts them: on a phone the answer comes between.
  host: { class: 'contents' },
  template: `
    @if (view(); as v) {
      <div class="pictures">
        <hy-plant snug [drawn]="v.plant" [size]="230" [takes]="v.takes" />
        <span class="piece">
          <hy-mark [piece]="v.piece" [state]="mark" [size]="84" />
          <small class="quiet">{{ v.one }}</small>
          @if (v.cutOff) {
            <small class="quiet">{{ say.offAtTheDashes() }}</small>
          }
        </span>
      </div>
      <div class="about grid content-start gap-2">
        @if (condition(); as c) {
          <p class="max-w-none" [class]="'condition ' + c.verdict">
            <i>{{ v.name }}</i>{{ v.like }} · <strong>{{ c.says }}</strong>
            {{ c.why ? c.why + '.' : '' }}
            <a [routerLink]="['/mothers', c.id]">{{ say.checkThePlant() }}</a>
          </p>
        }
        <p class="quiet small max-w-none">{{ v.rule }}</p>
        <p class="no-print flex empty:hidden flex-wrap gap-2 max-w-none">
          @if (condition()?.until; as until) {
            <button type="button" matButton="outlined" (click)="desk.set('cutOn', until)">
              {{ say.planItFor({ near: words.near(until) }) }}
            </button>
          }
          @if (v.laidOut; as to) {
            <a
              matButton="outlined"
              [routerLink]="to.at"
              [queryParams]="{ mother: desk.draft().mother }"
              >{{ to.says }}</a
            >
          }
        </p>
      </div>
    }
  `,
  styles: `
    .about {
      grid-area: about;
    }
    .pictures {
      grid-area: plant;
      display: flex;
      align-items: flex-end;
      justify-content: center;
      gap: 0.6rem;
    }
    .piece {
      display: grid;
      justify-items: center;
    }
    .condition.stop strong,
    .condition.wait strong {
      color: var(--do);
    }
    @media (max-width: 760px) {
      hy-plant {
        zoom: 0.75;
      }
    }
  `,
})
export class PlanPlant {
  protected readonly say = say;

  protected readonly desk = inject(PlanDesk);
  private readonly cut = inject(PlanCut);
  protected readonly words = inject(Words);
  protected readonly mark = { ...FRESH, closure: 0.35 };

  protected readonly view = computed(() => {
    const plant = this.desk.plant();
    const figures = this.cut.figures();
    if (!plant || !figures) return null;
    return {
      name: plant.name,
      like: plant.like ? say.figuresOf({ like: plant.like }) : '',
      plant: plantDrawn(plant.taxon),
      piece: drawnAs(plant.taxon, figures),
      takes: takenAs(plant.taxon, figures),
      cutOff: !COMES_OFF.has(takenAs(plant.taxon, figures)),
      one: this.cut.method()?.one ?? '',
      rule:
        this.words.why(plant.id, figures.method) ??
        this.words.rule(pieceRule(plant.taxon, figures.method)),
      laidOut: LAID_OUT[figures.method] ?? null,
    };
  });

  protected readonly condition = computed(() => {
    const mother = this.desk.mother();
    if (!mother) return null;
    const { verdict, until, notes, fresh } = conditionOf(
      this.desk.state(),
      mother,
      this.desk.today(),
    );
    const says =
      verdict === 'cut'
        ? fresh
          ? say.mayBeCutToday()
          : say.checkThePlantFirst()
        : verdict === 'stop'
          ? say.doNotCutIt()
          : until === null
            ? say.wait()
            : say.waitUntil({ near: this.words.near(until) });
    return {
      id: mother.id,
      verdict,
      says,
      // A day that is planned already need not be offered.
      until: verdict === 'wait' && until !== null && this.desk.cutOn() < until ? until : null,
      why: notes.find((n) => n.weight !== 'good')?.says ?? '',
    };
  });
}
