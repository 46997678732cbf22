import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { plantOf, seasonOn } from '@hypogeon/core/bench';
import type { SeasonState } from '@hypogeon/core/botany';
import { countLedger } from '@hypogeon/core/ledger';
import { say } from '@hypogeon/messages/mothers-page';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { MotherPicture } from './mother-picture';
import { PERMISSION_WORD } from './permission-words';

const SEASON_WORD: Readonly<Record<SeasonState, string>> = {
  get active() {
    return say.grows();
  },
  get marginal() {
    return say.atTheEdge();
  },
  get resting() {
    return say.rests();
  },
};

@Component({
  selector: 'hy-mothers-page',
  imports: [MatButton, RouterLink, MotherPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.motherPlants() }}</h1>
      <p class="quiet small">{{ say.theStockPlantsWhere() }}</p>
      <span class="push flex flex-wrap gap-2">
        @if (mothers().length > 0) {
          <a matButton="outlined" routerLink="/plan/cut-day">{{ say.cutDay() }}</a>
        }
        <a matButton="filled" routerLink="/mothers/new">{{ say.addAMother() }}</a>
      </span>
    </div>
    @if (mothers().length === 0) {
      <div class="empty">
        <h2>{{ say.noMothersYet() }}</h2>
        <p>
          {{ say.everyCuttingHasA() }}
        </p>
      </div>
    } @else {
      <ul class="bare border-t border-line">
        @for (m of mothers(); track m.id) {
          <li>
            <a
              class="grid grid-cols-[72px_minmax(10rem,1.1fr)_minmax(10rem,1.2fr)_minmax(8rem,0.8fr)_minmax(10rem,1fr)] items-center gap-4 min-h-18 border-b border-line text-ink no-underline phone:py-2.5 phone:px-0 phone:gap-y-1 phone:grid-cols-[72px_minmax(0,1fr)]"
              [routerLink]="['/mothers', m.id]"
            >
              <hy-mother-picture [mother]="m.mother" [size]="72" />
              <span class="who">
                <strong>{{ m.name }}</strong>
                <i class="quiet small">{{ m.plant }}</i>
              </span>
              <span class="from">
                <span>{{ m.provenance }}</span>
                <span class="quiet small">{{ m.permission }}</span>
              </span>
              <span class="season">
                <span [class]="m.season">{{ m.seasonWord }}</span>
                <span class="quiet small">{{ m.place }}</span>
              </span>
              <span class="gave">
                <span>{{ m.gave }}</span>
                <span class="quiet small">{{ m.last }}</span>
              </span>
            </a>
          </li>
        }
      </ul>
    }
  `,
  styles: `
    li a:hover strong {
      text-decoration: underline;
    }
    .who,
    .from,
    .season,
    .gave {
      display: grid;
      line-height: 1.35;
      min-width: 0;
      overflow-wrap: anywhere;
    }
    .season .active::before,
    .season .marginal::before,
    .season .resting::before {
      content: '';
      display: inline-block;
      width: 0.7em;
      height: 0.7em;
      margin-right: 0.45em;
      border: 1.5px solid var(--living);
      border-radius: 50%;
    }
    .season .active::before {
      background: var(--living);
    }
    .season .marginal::before {
      background: linear-gradient(90deg, var(--living) 50%, transparent 50%);
    }
    @media (max-width: 760px) {
      .from,
      .season,
      .gave {
        grid-column: 2;
      }
    }
  `,
})
export class MothersPage {
  protected readonly say = say;

  private readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;

  protected readonly mothers = computed(() => {
    const state = this.state();
    const batches = [...state.batches.values()];
    return [...state.mothers.values()]
      .map((m) => {
        const plant = plantOf(state, m.taxon ?? '');
        const taken = batches.filter((b) => b.mother === m.id && b.cut);
        const count = countLedger(taken);
        const last = taken.reduce((day, b) => (b.cutOn > day ? b.cutOn : day), '');
        const place = m.space === undefined ? undefined : state.spaces.get(m.space);
        const season = plant && place ? seasonOn(state, plant.taxon, place.id, this.today()) : null;
        return {
          season: season?.state ?? '',
          seasonWord: season ? SEASON_WORD[season.state] : '',
          place: place?.name ?? say.placeNotTold(),
          id: m.id,
          name: m.name ?? say.unnamed(),
          plant: plant?.name ?? say.unknownPlant(),
          mother: m,
          provenance: m.provenance ?? say.noProvenanceNoted(),
          permission: PERMISSION_WORD[m.permission ?? 'unknown'],
          gave:
            taken.length === 0
              ? say.nothingTakenYet()
              : say.gaveRootedSoFar({ stuck: count.stuck, rooted: count.rooted }),
          last: last ? say.lastCut({ day: this.words.day(last) }) : '',
        };
      })
      .sort((a, b) => a.name.localeCompare(b.name));
  });
}
