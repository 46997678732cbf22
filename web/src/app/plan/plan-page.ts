import {
  ChangeDetectionStrategy,
  Component,
  effect,
  inject,
  input,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import type { Draft } from '../data/journal';
import { oneAtATime } from '../data/one-at-a-time';
import { DraftNote } from '../forms/draft-note';
import { firstWrong } from '../forms/zod-problems';
import { piecesText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/plan-page';
import { forecastEntry } from '../rehearse/forecast-entry';
import { MotherWall } from './mother-wall';
import { PlanAfter } from './plan-after';
import { PlanAnswer } from './plan-answer';
import { PlanCurve } from './plan-curve';
import { PlanCut } from './plan-cut';
import { PlanDefaults } from './plan-defaults';
import { PlanDesk } from './plan-desk';
import { BLANK_PLAN } from './plan-draft';
import { PlanPlant } from './plan-plant';
import { PlanSentence } from './plan-sentence';
import { PlanTabs } from './plan-tabs';
import { PlanWish } from './plan-wish';
import { StockSteppers } from './stock-steppers';

/** A sentence to fill in, the plant, and the answer. */
@Component({
  selector: 'hy-plan-page',
  imports: [
    MatButton,
    DraftNote,
    MotherWall,
    RouterLink,
    PlanAfter,
    PlanAnswer,
    PlanCurve,
    PlanDefaults,
    PlanPlant,
    PlanSentence,
    PlanTabs,
    StockSteppers,
  ],
  providers: [PlanDesk, PlanWish, PlanCut],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.plan() }}</h1>
      <div class="push no-print">
        <a matButton="text" routerLink="/plan/cut-day">{{ say.cutDay() }}</a>
        <a matButton="text" routerLink="/bench/new">{{ say.iHaveCuttingsAlready() }}</a>
      </div>
    </div>
    <hy-draft-note [at]="desk.left()" (afresh)="desk.drop()" />
    <hy-plan-tabs [mother]="desk.draft().mother" />
    @if (desk.mothers().length === 0) {
      <div class="empty">
        <h2>{{ say.firstAMother() }}</h2>
        <p>{{ say.aPlanSaysWhat() }}</p>
        <a matButton="filled" routerLink="/mothers/new">{{ say.addAMother() }}</a>
      </div>
    } @else {
      <div class="grid grid-cols-1 gap-4.5">
        <hy-plan-sentence (turn)="turnTo($event)" />
        @if (wish.wrong()) {
          <p class="quiet max-w-none" role="status">
            {{ say.putTheMarkedField() }}
          </p>
        }
        @if (desk.plant(); as plant) {
          <div class="board">
            <hy-plan-plant />
            <hy-plan-answer class="answer" (save)="save()" (plainRoom)="plainRoom()" />
            @if (desk.draft().purpose !== 'have' && desk.mother(); as m) {
              <hy-stock-steppers stacked class="stock" [mother]="m" [taxon]="plant.taxon" />
            }
          </div>
          <hy-plan-defaults />
          <hy-plan-curve />
          <hy-plan-after />
        } @else {
          <hy-mother-wall (choose)="turnTo($event)" />
        }
      </div>
    }
  `,
  styles: `
    .board {
      display: grid;
      grid-template:
        'plant answer' auto
        'about answer' auto
        'stock answer' 1fr
        / minmax(0, 0.62fr) minmax(0, 1fr);
      gap: 0.8rem 2.4rem;
    }
    .answer {
      grid-area: answer;
    }
    .stock {
      grid-area: stock;
    }
    @media (max-width: 1000px) {
      .board {
        grid-template: 'plant' 'answer' 'about' 'stock' / minmax(0, 1fr);
      }
    }
  `,
})
export class PlanPage {
  protected readonly say = say;

  private readonly toFirstWrong = firstWrong();
  private readonly actions = inject(Actions);
  private readonly router = inject(Router);
  protected readonly desk = inject(PlanDesk);
  protected readonly cut = inject(PlanCut);
  protected readonly wish = inject(PlanWish);

  /** Chosen in the address, from a mother's page. */
  readonly mother = input<string>();
  /** What an order lacks, and by when. */
  readonly want = input<string>();
  readonly by = input<string>();

  constructor() {
    effect(() => this.desk.asked.set(this.mother()));
    effect(() => {
      const [mother, want, by] = [this.mother(), this.want(), this.by()];
      if (want === undefined) return;
      untracked(() =>
        this.desk.put({
          mother: mother ?? this.desk.draft().mother,
          purpose: 'want',
          want,
          by: by ?? '',
        }),
      );
    });
  }

  protected turnTo(id: string): void {
    this.desk.turnTo(id);
    if (this.mother()) void this.router.navigate(['/plan'], { replaceUrl: true });
  }

  protected plainRoom(): void {
    void this.actions.record(
      {
        kind: 'put',
        record: 'space',
        key: freshId(),
        fields: { name: say.plainRoom(), tempC: 20, rh: 0.55 },
      },
      say.plainRoomAdded(),
    );
  }

  protected readonly save = oneAtATime(() => this.saveAll());

  private async saveAll(): Promise<void> {
    this.desk.tried.set(true);
    const parts = this.cut.parts();
    if (!this.cut.good() || parts.length === 0) {
      this.toFirstWrong();
      return;
    }
    const cutOn = this.desk.cutOn();
    const later = cutOn > this.desk.today();
    const keys = parts.map(() => freshId());
    const { forecast } = this.desk.draft();
    const drafts = parts.flatMap((part, i): Draft[] => {
      const key = keys[i]!;
      const fields = this.cut.fieldsOf(part)!;
      const put: Draft = { kind: 'put', record: 'batch', key, fields };
      const said: Draft[] = forecast && parts.length === 1 ? [forecastEntry(key, forecast)] : [];
      return later ? [put, ...said] : [put, { kind: 'cut', batch: key, day: cutOn }, ...said];
    });
    const { container, mix, waterSchool, aid, firstWater } = this.desk.draft();
    const works = { container, mix, waterSchool, aid, firstWater };
    const at = { space: this.desk.space(), callusSpace: this.desk.callusSpace() };
    const taken = parts.map((p) => piecesText(p.method, p.taken)).join(', ');
    if (
      !(await this.actions.recordAll(
        drafts,
        `${taken} ${later ? say.planned() : say.onTheBench()}`,
      ))
    )
      return;
    this.desk.drop({ ...BLANK_PLAN, ...at, ...works });
    await this.router.navigate(keys.length === 1 ? ['/bench', keys[0]] : ['/bench']);
  }
}
