import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { placesIn } from '@hypogeon/core/bench';
import { METHOD, type MethodId, type TaxonMethod } from '@hypogeon/core/botany';
import { defaultSchool } from '@hypogeon/core/wound';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal, type Draft } from '../data/journal';
import { Today } from '../data/today';

/** Pieces of one kind taken off a plant. */
export interface Taken {
  readonly way: TaxonMethod;
  readonly count: number;
  readonly widthMm?: number;
  readonly thicknessMm?: number;
}

/** Cuts made today, as batches of their own: the same plant on the same day, apart but related. */
@Injectable({ providedIn: 'root' })
export class RelatedBatches {
  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  private readonly router = inject(Router);
  private readonly today = inject(Today).day;

  /** Records the batches in one go, says so, and opens the first. */
  async cut(mother: string, taxon: string, taken: readonly Taken[]): Promise<void> {
    const some = taken.filter((t) => t.count > 0);
    const keys = some.map(() => freshId());
    const [first] = keys;
    if (first === undefined) return;
    const drafts = some.flatMap((t, i) =>
      this.drafts(keys[i]!, i === 0 ? undefined : first, mother, taxon, t),
    );
    const said = some.map((t) => pieces(t.way.method, t.count)).join(', ');
    await this.actions.recordAll(drafts, `${said} on the bench`);
    await this.router.navigate(['/bench', first]);
  }

  private drafts(
    key: string,
    cutWith: string | undefined,
    mother: string,
    taxon: string,
    { way, count, widthMm, thicknessMm }: Taken,
  ): Draft[] {
    const state = this.journal.state();
    const space = placesIn(state)[0]?.id ?? 'room';
    const stands = state.mothers.get(mother)?.space ?? space;
    return [
      {
        kind: 'put',
        record: 'batch',
        key,
        fields: {
          mother,
          taxon,
          method: way.method,
          count,
          cutOn: this.today(),
          ...(cutWith === undefined ? {} : { cutWith }),
          ...(widthMm === undefined ? {} : { widthMm }),
          ...(thicknessMm === undefined ? {} : { thicknessMm }),
          school:
            state.settings.school ??
            (way.wound ? defaultSchool(way.wound.tissue).school : 'dry-to-touch'),
          callusAt: 'rack',
          space: stands,
          disinfectant: 'alcohol',
        },
      },
      { kind: 'cut', batch: key, day: this.today() },
    ];
  }
}

const pieces = (method: MethodId, count: number): string =>
  `${count} ${count === 1 ? METHOD[method].one : METHOD[method].many}`;
