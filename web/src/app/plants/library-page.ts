import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { MatOption, MatSelect } from '@angular/material/select';
import { pieceOfPlant, plants } from '@hypogeon/core/bench';
import {
  filterTaxa,
  findTaxa,
  METHOD,
  POISONS,
  PRICKS,
  type LightNeed,
  type MethodId,
} from '@hypogeon/core/botany';
import { Journal } from '../data/journal';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
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
    CuttingMark,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Plant guide</h1>
      <p class="quiet">how to make more of a plant, and what that rests on</p>
      <a matButton="text" class="push" routerLink="/marks">The marks</a>
      <a matButton="outlined" routerLink="/plants/new">Add a plant</a>
    </div>
    <hy-field label="Find a plant" class="find max-w-96 mb-4">
      <input
        hyControl
        type="search"
        placeholder="by any name, old ones too"
        [value]="query()"
        (input)="query.set(find.value)"
        #find
      />
    </hy-field>
    <div class="flex flex-wrap items-center gap-3 mb-1.5">
      <hy-field class="flex-[0_1_11rem] min-w-32" label="Way">
        <mat-select [value]="way()" (selectionChange)="way.set($event.value)">
          <mat-option value="">any</mat-option>
          @for (w of waysKnown; track w.id) {
            <mat-option [value]="w.id">{{ w.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field class="flex-[0_1_11rem] min-w-32" label="Family">
        <mat-select [value]="family()" (selectionChange)="family.set($event.value)">
          <mat-option value="">any</mat-option>
          @for (f of families(); track f) {
            <mat-option [value]="f">{{ f }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field class="flex-[0_1_11rem] min-w-32" label="Light">
        <mat-select [value]="light()" (selectionChange)="light.set($event.value)">
          <mat-option value="">any</mat-option>
          <mat-option value="sun">sun</mat-option>
          <mat-option value="bright">bright, no noon sun</mat-option>
          <mat-option value="shade">shade</mat-option>
        </mat-select>
      </hy-field>
      <mat-chip-listbox multiple aria-label="Only" (change)="only.set($event.value ?? [])">
        <mat-chip-option value="water">roots in water</mat-chip-option>
        <mat-chip-option value="pets">not poisonous</mat-chip-option>
        <mat-chip-option value="hands">no spines</mat-chip-option>
      </mat-chip-listbox>
    </div>
    <p class="quiet" role="status">{{ rows().length }} plants</p>
    <ul class="bare">
      @for (row of rows(); track row.id) {
        <li>
          <a
            class="grid grid-cols-[52px_minmax(12rem,1.3fr)_9rem_minmax(10rem,1.4fr)] items-center gap-4 min-h-16 border-b border-line text-ink no-underline phone:py-2 phone:px-0 phone:gap-y-0 phone:grid-cols-[52px_minmax(0,1fr)]"
            [routerLink]="['/plants', row.id]"
          >
            <hy-mark [piece]="row.piece" [state]="whole" [size]="52" />
            <span class="who grid leading-snug">
              <strong
                ><i>{{ row.name }}</i></strong
              >
              <span class="quiet small">{{ row.names }}</span>
            </span>
            <span>{{ row.family }}</span>
            <span class="ways quiet small">{{ row.ways }}</span>
          </a>
        </li>
      } @empty {
        <li class="quiet">
          None {{ query() ? 'by that name' : 'like that' }}.
          <a
            class="grid grid-cols-[52px_minmax(12rem,1.3fr)_9rem_minmax(10rem,1.4fr)] items-center gap-4 min-h-16 border-b border-line text-ink no-underline phone:py-2 phone:px-0 phone:gap-y-0 phone:grid-cols-[52px_minmax(0,1fr)]"
            routerLink="/plants/new"
            >Add it</a
          >: it borrows the figures of a plant it is like until you have your own.
        </li>
      }
    </ul>
  `,
  styles: `
    li a:hover strong {
      text-decoration: underline;
    }
    @media (max-width: 760px) {
      li a > span:not(.who) {
        grid-column: 2;
      }
    }
  `,
})
export class LibraryPage {
  protected readonly query = signal('');
  protected readonly way = signal<MethodId | ''>('');
  protected readonly family = signal('');
  protected readonly light = signal<LightNeed | ''>('');
  protected readonly only = signal<readonly string[]>([]);
  protected readonly waysKnown = Object.values(METHOD).filter(
    (m) => m.id !== 'seed' && m.id !== 'culture',
  );
  protected readonly families = computed(() =>
    [...new Set(this.known().map((k) => k.taxon.family))].sort(),
  );
  protected readonly whole = { ...FRESH, closure: 1, roots: 2 as const };
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
    const found = filterTaxa(
      findTaxa(
        this.known().map((k) => k.taxon),
        this.query(),
      ),
      {
        way: this.way() || undefined,
        family: this.family() || undefined,
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
        piece: pieceOfPlant(taxon),
        names: plant.like
          ? `your own, like ${plant.like}`
          : [
              ...taxon.common,
              ...taxon.synonyms.map((s) => `formerly ${s}`),
              ...(mine ? ['with your own figures'] : []),
            ].join(', '),
        ways: taxon.methods.map((m) => METHOD[m.method].name.toLowerCase()).join(', '),
      };
    });
  });
}
