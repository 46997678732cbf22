import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { pieceOfPlant, plants } from '@hypogeon/core/bench';
import { findTaxa, METHOD } from '@hypogeon/core/botany';
import { Journal } from '../data/journal';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { Field, FieldControl } from '../forms/field';

@Component({
  selector: 'hy-library-page',
  imports: [MatButton, Field, FieldControl, RouterLink, CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Plant guide</h1>
      <p class="quiet">what the clock and the round count with, and what it rests on</p>
      <a matButton="text" class="push" routerLink="/marks">The marks</a>
      <a matButton="outlined" routerLink="/plants/new">Add a plant</a>
    </div>
    <hy-field label="Find a plant" class="find">
      <input
        hyControl
        type="search"
        placeholder="by any name, old ones too"
        [value]="query()"
        (input)="query.set(find.value)"
        #find
      />
    </hy-field>
    <p class="unseen" role="status">{{ rows().length }} plants</p>
    <ul>
      @for (row of rows(); track row.id) {
        <li>
          <a [routerLink]="['/plants', row.id]">
            <hy-mark [piece]="row.piece" [state]="whole" [size]="52" />
            <span class="who">
              <strong
                ><i>{{ row.name }}</i></strong
              >
              <span>{{ row.names }}</span>
            </span>
            <span>{{ row.family }}</span>
            <span class="ways">{{ row.ways }}</span>
          </a>
        </li>
      } @empty {
        <li class="quiet">
          None by that name. <a routerLink="/plants/new">Add it</a>: it borrows the figures of a
          plant it is like until you have your own.
        </li>
      }
    </ul>
  `,
  styles: `
    .find {
      max-width: 24rem;
      margin-bottom: 1rem;
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
    }
    li a {
      display: grid;
      grid-template-columns: 52px minmax(12rem, 1.3fr) 9rem minmax(10rem, 1.4fr);
      gap: 1rem;
      align-items: center;
      min-height: 64px;
      border-bottom: 1px solid var(--line);
      color: var(--ink);
      text-decoration: none;
    }
    li a:hover strong {
      text-decoration: underline;
    }
    .who {
      display: grid;
      line-height: 1.3;
    }
    .who span,
    .ways {
      color: var(--ink2);
      font-size: 0.9rem;
    }
    @media (max-width: 760px) {
      li a {
        grid-template-columns: 52px minmax(0, 1fr);
        padding: 0.5rem 0;
        row-gap: 0;
      }
      li a > span:not(.who) {
        grid-column: 2;
      }
    }
  `,
})
export class LibraryPage {
  protected readonly query = signal('');
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
    const found = findTaxa(
      this.known().map((k) => k.taxon),
      this.query(),
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
