import { inject, Injectable } from '@angular/core';
import { Router } from '@angular/router';
import { containerOf } from '@hypogeon/core/bench';
import type { TaxonMethod } from '@hypogeon/core/botany';
import type { BatchFields } from '@hypogeon/core/journal';
import { containersFor } from '@hypogeon/core/plan';
import { usualSchool } from '@hypogeon/core/wound';
import { piecesText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/related-batches';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import type { Draft } from '../data/journal';
import { numberOrNone } from './dry-days';
import type { PlanDesk } from './plan-desk';

/** Pieces of one kind taken off a plant. */
export interface Taken {
  readonly way: TaxonMethod;
  readonly count: number;
  readonly widthMm?: number;
  readonly thicknessMm?: number;
  /** What else was seen of it when it was taken. */
  readonly told?: BatchFields;
}

/** Cuts of one plant on one day, as batches of their own: apart but related, on the terms of the plan. */
@Injectable({ providedIn: 'root' })
export class RelatedBatches {
  private readonly actions = inject(Actions);
  private readonly router = inject(Router);

  /**
   * Records the batches in one go, says so, and opens the first.
   * @returns whether they were taken
   */
  async cut(
    desk: PlanDesk,
    mother: string,
    taxon: string,
    taken: readonly Taken[],
  ): Promise<boolean> {
    // What is wrong with the day stands at its field.
    if (desk.cutOnProblem()) return false;
    const some = taken.filter((t) => t.count > 0);
    const keys = some.map(() => freshId());
    const [first] = keys;
    if (first === undefined) return false;
    const drafts = some.flatMap((t, i) =>
      this.drafts(desk, keys[i]!, i === 0 ? undefined : first, mother, taxon, t),
    );
    const said = some.map((t) => piecesText(t.way.method, t.count)).join(', ');
    const later = desk.cutOn() > desk.today();
    if (
      !(await this.actions.recordAll(drafts, `${said} ${later ? say.planned() : say.onTheBench()}`))
    )
      return false;
    return this.router.navigate(['/bench', first]).then(() => true);
  }

  private drafts(
    desk: PlanDesk,
    key: string,
    cutWith: string | undefined,
    mother: string,
    taxon: string,
    { way, count, widthMm, thicknessMm, told }: Taken,
  ): Draft[] {
    const state = desk.state();
    const { space, callusSpace, callusAt, school, dryDays, aid, firstWater, waterSchool, ...d } =
      desk.draft();
    const stands = space || (state.mothers.get(mother)?.space ?? desk.space());
    const dries = school || usualSchool(way.wound, state.settings.school);
    const container = d.container ? containerOf(state, d.container) : null;
    const days = numberOrNone(dryDays);
    const cutOn = desk.cutOn();
    const put: Draft = {
      kind: 'put',
      record: 'batch',
      key,
      fields: {
        mother,
        taxon,
        method: way.method,
        count,
        cutOn,
        ...(cutWith === undefined ? {} : { cutWith }),
        ...(widthMm === undefined ? {} : { widthMm }),
        ...(thicknessMm === undefined ? {} : { thicknessMm }),
        school: dries,
        callusAt: dries === 'straight-in' ? 'medium' : callusAt,
        ...(callusSpace ? { callusSpace } : {}),
        space: stands,
        disinfectant: d.disinfectant,
        ...(days === undefined ? {} : { dryDays: days }),
        ...(aid === 'none' ? {} : { aid }),
        ...(firstWater === 'with-gate' ? {} : { firstWater }),
        ...(waterSchool ? { waterSchool } : {}),
        ...(container
          ? { container: d.container, containers: containersFor(container, count) }
          : {}),
        ...(d.mix ? { mix: d.mix } : {}),
        ...told,
      },
    };
    return cutOn > desk.today() ? [put] : [put, { kind: 'cut', batch: key, day: cutOn }];
  }
}
