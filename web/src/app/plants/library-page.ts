import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { MatOption, MatSelect } from '@angular/material/select';
import { plantDrawn, plants } from '@hypogeon/core/bench';
import {
  filterTaxa,
  findTaxa,
  METHOD,
  POISONS,
  PRICKS,
  type LightNeed,
  type MethodId,
} from '@hypogeon/core/botany';
import { BUILDS, type Build } from '@hypogeon/core/look';
import { alsoCalled, namesThatFit } from '@hypogeon/core/names';
import { inSentence } from '@hypogeon/messages';
import { say as word } from '@hypogeon/messages/look-words';
import { say } from '@hypogeon/messages/library-page';
import { Journal } from '../data/journal';
import { PlantPicture } from '../marks/plant-picture';
import { Field, FieldControl } from '../forms/field';

@Component({
  selector: 'hy-library-page',
  imports: [
    MatButton,
    MatChipListbox,
    MatChipOption,
    MatOption,
    MatSelect,
    Field,
    FieldControl,
    RouterLink,
    PlantPicture,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.plantGuide() }}</h1>
      <p class="quiet">{{ say.howToMakeMore() }}</p>
      <a matButton="text" class="push" routerLink="/marks">{{ say.theMarks() }}</a>
      <a matButton="text" routerLink="/plants/drawings">{{ say.allDrawings() }}</a>
      <a matButton="outlined" routerLink="/plants/new">{{ say.addAPlant() }}</a>
    </div>
    <div class="flex flex-wrap items-center gap-3 mb-1.5">
      <hy-field [label]="say.findAPlant()" class="find flex-[1_1_15rem] min-w-44">
        <input
          hyControl
          type="search"
          [placeholder]="say.byAnyNameOld()"
          [value]="query()"
          (input)="query.set(find.value)"
          #find
        />
      </hy-field>
      <hy-field class="flex-[1_1_8rem] min-w-32" [label]="say.build()">
        <mat-select [value]="build()" (selectionChange)="build.set($event.value)">
          <mat-option value="">{{ say.any() }}</mat-option>
          @for (b of builds; track b) {
            <mat-option [value]="b">{{ word(b) }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field class="flex-[1_1_8rem] min-w-32" [label]="say.way()">
        <mat-select [value]="way()" (selectionChange)="way.set($event.value)">
          <mat-option value="">{{ say.any() }}</mat-option>
          @for (w of waysKnown; track w.id) {
            <mat-option [value]="w.id">{{ w.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field class="flex-[1_1_8rem] min-w-32" [label]="say.family()">
        <mat-select [value]="family()" (selectionChange)="family.set($event.value)">
          <mat-option value="">{{ say.any() }}</mat-option>
          @for (f of families(); track f) {
            <mat-option [value]="f">{{ f }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field class="flex-[1_1_8rem] min-w-32" [label]="say.light()">
        <mat-select [value]="light()" (selectionChange)="light.set($event.value)">
          <mat-option value="">{{ say.any() }}</mat-option>
          <mat-option value="sun">{{ say.sun() }}</mat-option>
          <mat-option value="bright">{{ say.brightNoNoonSun() }}</mat-option>
          <mat-option value="shade">{{ say.shade() }}</mat-option>
        </mat-select>
      </hy-field>
    </div>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1 mb-3">
      <mat-chip-listbox
        multiple
        [attr.aria-label]="say.only()"
        (change)="only.set($event.value ?? [])"
      >
        <mat-chip-option value="water">{{ say.rootsInWater() }}</mat-chip-option>
        <mat-chip-option value="pets">{{ say.notPoisonous() }}</mat-chip-option>
        <mat-chip-option value="hands">{{ say.noSpines() }}</mat-chip-option>
        <mat-chip-option value="mine">{{ say.mine() }}</mat-chip-option>
      </mat-chip-listbox>
      <p class="quiet push" role="status">{{ say.plant({ count: rows().length }) }}</p>
    </div>
    <ul class="bare wall grid auto-fill-36 gap-x-3 gap-y-5">
      @for (row of drawn(); track row.id) {
        <li>
          <a class="block text-center text-ink no-underline" [routerLink]="['/plants', row.id]">
            <hy-plant [drawn]="row.piece" [size]="112" />
            <strong class="block leading-tight"
              ><i>{{ row.name }}</i></strong
            >
            <span class="names block small leading-tight">{{ row.names }}</span>
            <span class="ways quiet block small leading-tight">{{ row.ways }}</span>
          </a>
        </li>
      } @empty {
        <li class="quiet empty">
          {{ say.none({ what: query() ? say.byThatName() : say.likeThat() }) }}
          <a routerLink="/plants/new">{{ say.addIt() }}</a>{{ say.itBorrowsTheFigures() }}
        </li>
      }
    </ul>
  `,
  styles: `
    .wall a:hover strong {
      text-decoration: underline;
    }
    /* What is out of sight is neither laid out nor painted. */
    .wall li {
      content-visibility: auto;
      contain-intrinsic-size: auto 190px;
    }
    .empty {
      grid-column: 1 / -1;
    }
  `,
})
export class LibraryPage {
  protected readonly say = say;
  protected readonly word = word;

  protected readonly query = signal('');
  protected readonly way = signal<MethodId | ''>('');
  protected readonly family = signal('');
  protected readonly build = signal<Build | ''>('');
  protected readonly builds = BUILDS;
  protected readonly light = signal<LightNeed | ''>('');
  protected readonly only = signal<readonly string[]>([]);
  protected readonly waysKnown = Object.values(METHOD).filter(
    (m) => m.id !== 'seed' && m.id !== 'culture',
  );
  protected readonly families = computed(() =>
    [...new Set(this.known().map((k) => k.taxon.family))].sort(),
  );
  private readonly state = inject(Journal).state;
  /** Every plant as one to be found: an own one under its own name. */
  private readonly known = computed(() => {
    const own = this.state().ownTaxa;
    return plants(this.state()).map((plant) => ({
      plant,
      taxon: plant.like === null ? plant.taxon : { ...plant.taxon, id: plant.id, name: plant.name },
      mine: own.has(plant.id),
    }));
  });
  protected readonly rows = computed(() => {
    const byId = new Map(this.known().map((k) => [k.plant.id, k]));
    const only = this.only();
    const without = [
      ...(only.includes('pets') ? POISONS : []),
      ...(only.includes('hands') ? PRICKS : []),
    ];
    const known = only.includes('mine') ? this.known().filter((k) => k.mine) : this.known();
    const found = filterTaxa(
      findTaxa(
        known.map((k) => k.taxon),
        this.query(),
        alsoCalled,
      ),
      {
        way: this.way() || undefined,
        family: this.family() || undefined,
        build: this.build() || undefined,
        light: this.light() || undefined,
        inWater: only.includes('water'),
        without,
      },
    );
    return found.map((taxon) => {
      const { plant, mine } = byId.get(taxon.id)!;
      return {
        id: plant.id,
        name: plant.name,
        family: taxon.family,
        piece: plantDrawn(taxon),
        names: plant.like
          ? say.yourOwnLike({ like: plant.like })
          : [
              ...taxon.common.slice(0, 1),
              ...oldNames(taxon.synonyms, this.query()),
              ...namesThatFit(alsoCalled(plant.id), this.query()).slice(0, 1),
              ...(mine ? [say.withYourOwnFigures()] : []),
            ].join(', '),
        ways: taxon.methods.map((m) => inSentence(METHOD[m.method].name)).join(', '),
      };
    });
  });
  /** A screenful stands first, and takes taps; the rest of the wall is built behind it. */
  private readonly most = signal(SCREENFUL);
  protected readonly drawn = computed(() => this.rows().slice(0, this.most()));

  constructor() {
    afterNextRender(() => setTimeout(() => this.most.set(Infinity)));
  }
}

/** Old names are told where one was looked for. */
const oldNames = (synonyms: readonly string[], query: string): readonly string[] =>
  query.trim() === '' ? [] : synonyms.map((s) => say.formerly({ s }));

/** As many plants as a wide screen shows. */
const SCREENFUL = 30;
