import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { containersOf } from '@hypogeon/core/bench';
import type { BatchFields } from '@hypogeon/core/journal';
import { groupParts, judgePart, potFor, type ClumpPart } from '@hypogeon/core/plan';
import { cuttingCautions } from '@hypogeon/core/safety';
import { readLength } from '@hypogeon/core/units';
import { FIRST_WATERS } from '@hypogeon/core/water';
import { FIRST_SAYS, motherAfterDivision, partText } from '@hypogeon/words';
import * as z from 'zod';
import { say } from '@hypogeon/messages/division-page';
import { keptDraft } from '../data/kept-draft';
import { oneAtATime } from '../data/one-at-a-time';
import { Words } from '../data/words';
import { DraftNote } from '../forms/draft-note';
import { Field } from '../forms/field';
import { DivisionDrawing } from '../marks/division-drawing';
import { CutTerms } from './cut-terms';
import { DivisionPart, partDraftSchema, type PartDraft } from './division-part';
import { MotherPick } from './mother-pick';
import { PlanDesk } from './plan-desk';
import { planMother } from './plan-mother';
import { PlanTabs } from './plan-tabs';
import { RelatedBatches } from './related-batches';

const BLANK: PartDraft = {
  points: '1',
  tubers: '0',
  roots: 'brush',
  joined: 'by itself',
  cut: '',
  rhizome: '',
  rootsWide: '',
  pale: '',
  old: false,
};
const MOST_PARTS = 30;

/** A clump out of its pot: what each part has, which are worth a pot of their own, and how they are potted. */
@Component({
  selector: 'hy-division-page',
  imports: [
    MatButton,
    CutTerms,
    DivisionDrawing,
    DivisionPart,
    DraftNote,
    Field,
    MatOption,
    MatSelect,
    MotherPick,
    PlanTabs,
    RouterLink,
  ],
  providers: [PlanDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.division() }}</h1>
      <p class="quiet">{{ motherName() }}</p>
    </div>
    <hy-plan-tabs inside [mother]="mother()" />
    <hy-mother-pick [mother]="mother()" />
    <hy-draft-note [at]="left()" (afresh)="afresh()" />
    @if (plant() && !way()) {
      <p>
        {{ say.thisPlantDoesNot() }}
        <a routerLink="/plan" [queryParams]="{ mother: mother() }">{{ say.plan() }}</a>
        {{ say.hasItsWays() }}
      </p>
    } @else if (plant()) {
      <div
        class="grid grid-cols-[minmax(0,1fr)_minmax(0,26rem)] gap-y-8 gap-x-12 narrow:grid-cols-1"
      >
        <div>
          <p>
            {{ say.outOfThePot() }}
          </p>
          <hy-field [label]="say.firstWater()" class="block max-w-72 mt-3">
            <mat-select
              [value]="desk.draft().firstWater"
              (selectionChange)="desk.set('firstWater', $event.value)"
            >
              @for (f of firsts; track f) {
                <mat-option [value]="f">{{ firstSays[f] }}</mat-option>
              }
            </mat-select>
          </hy-field>
          <ol class="grid gap-4 my-3 mx-0 p-0 list-none">
            @for (row of rows(); track $index) {
              <li class="pl-3 border-l-4 border-callus" [class]="row.verdict?.is ?? ''">
                <hy-division-part
                  [nr]="$index + 1"
                  [part]="row.draft"
                  [problem]="row.problem"
                  (partChange)="change($index, $event)"
                  (off)="remove($index)"
                />
                <p class="verdict">{{ row.says }} {{ row.pot }}</p>
              </li>
            }
          </ol>
          <button
            type="button"
            matButton="outlined"
            [disabled]="rows().length >= most"
            (click)="add()"
          >
            {{ say.addAPart() }}
          </button>
          <section
            class="grid gap-3 mt-5.5"
            aria-live="polite"
            [attr.aria-label]="say.whatToTake()"
          >
            <p class="headline text-3xl">{{ gives() }}</p>
            @if (groups().length > 0) {
              <hy-cut-terms />
              <div class="row">
                <button matButton="filled" (click)="take()">{{ say.dividePutThemOn() }}</button>
              </div>
            }
            <h2 class="ruled">{{ say.theMother() }}</h2>
            <ul class="grid gap-2 bare">
              @for (line of after; track line) {
                <li class="pl-3 border-l-4 border-callus">{{ line }}</li>
              }
              @for (c of cautions(); track c.title) {
                <li class="pl-3 border-l-4 border-callus" [class]="c.weight">
                  <strong>{{ c.title }}.</strong> {{ c.advice }}
                </li>
              }
            </ul>
          </section>
        </div>
        @if (drawn().length > 0) {
          <hy-division-drawing [look]="look()" [parts]="drawn()" />
        }
      </div>
    }
  `,
  styleUrl: './pieces-page.scss',
  styles: `
    ol li {
      border-left: 4px solid var(--living);
      margin: 0;
    }
    ol li.leave {
      border-left-color: var(--line);
    }
    .verdict {
      margin: 0.3rem 0 0;
    }
  `,
})
export class DivisionPage {
  protected readonly say = say;

  private readonly related = inject(RelatedBatches);
  protected readonly desk = inject(PlanDesk);
  protected readonly firsts = FIRST_WATERS;
  protected readonly firstSays = FIRST_SAYS;
  protected readonly words = inject(Words);
  protected readonly most = MOST_PARTS;
  protected readonly after = motherAfterDivision();
  readonly mother = input<string>();

  private readonly her = planMother(this.mother);
  protected readonly look = this.her.look;
  protected readonly motherName = this.her.name;
  protected readonly plant = this.her.plant;
  protected readonly way = computed(
    () => this.her.way('division') ?? this.her.way('rooted-offset'),
  );

  private readonly typed = keptDraft<PartDraft[]>(
    () => `division.${this.mother() ?? ''}`,
    () => z.array(partDraftSchema).max(MOST_PARTS),
  );
  protected readonly left = this.typed.left;
  private readonly parts = computed<readonly PartDraft[]>(
    () => this.typed.typed() ?? [BLANK, BLANK],
  );

  constructor() {
    effect(() => this.desk.asked.set(this.mother()));
  }

  protected readonly rows = computed(() =>
    this.parts().map((draft) => {
      const part = this.read(draft);
      const verdict = part && judgePart(part, this.desk.draft().firstWater);
      const pot = verdict && potFor(verdict, containersOf(this.desk.state()));
      return {
        draft,
        part,
        verdict,
        problem: part ? '' : say.wholeNumbersAndLengths(),
        says: verdict ? partText(verdict, this.words.speech()) : '',
        pot: pot ? say.ofYours({ name: pot.name }) : '',
      };
    }),
  );
  private readonly read$ = computed(() => this.rows().flatMap((r) => (r.part ? [r.part] : [])));
  protected readonly groups = computed(() =>
    groupParts(this.read$(), this.desk.draft().firstWater),
  );
  protected readonly drawn = computed(() =>
    this.rows().flatMap(({ part, verdict }) => (part && verdict ? [{ part, verdict }] : [])),
  );
  protected readonly gives = computed(() => {
    const pots = this.groups().reduce((sum, g) => sum + g.parts.length, 0);
    const stay = this.read$().length - pots;
    const potted = pots === 0 ? say.noneToPot() : pots === 1 ? say.oneToPot() : say.toPot({ pots });
    return stay === 0
      ? potted
      : say.onTheMother({ potted, what: stay === 1 ? say.oneStays() : say.stay({ stay }) });
  });
  protected readonly cautions = computed(() => {
    const taxon = this.plant()?.taxon;
    const cut = this.read$().some((p) => p.joined !== 'by itself');
    return taxon ? cuttingCautions(taxon, cut, this.desk.draft().disinfectant) : [];
  });

  protected change(index: number, part: PartDraft): void {
    this.keep(this.parts().map((p, i) => (i === index ? part : p)));
  }
  protected add(): void {
    this.keep([...this.parts(), this.parts().at(-1) ?? BLANK]);
  }
  protected remove(index: number): void {
    this.keep(this.parts().filter((_, i) => i !== index));
  }
  private keep(parts: readonly PartDraft[]): void {
    this.typed.set([...parts]);
  }
  protected afresh(): void {
    this.typed.drop();
  }

  protected readonly take = oneAtATime(() => this.takeAll());

  private async takeAll(): Promise<void> {
    const plant = this.plant();
    const way = this.way();
    if (!plant || !way || this.desk.cutOnProblem()) return;
    const taken = this.groups().map(({ fields }) => {
      const { count, ...told } = fields as BatchFields & { readonly count: number };
      return { way, count, told };
    });
    if (await this.related.cut(this.desk, this.mother()!, plant.id, taken)) this.typed.drop();
  }

  /** A row as core reads it; null where something of it cannot be read. */
  private read(draft: PartDraft): ClumpPart | null {
    const [points, tubers] = [count(draft.points), count(draft.tubers)];
    const lengths = [draft.cut, draft.rhizome, draft.rootsWide, draft.pale].map((text) =>
      this.mm(text),
    );
    if (points === null || tubers === null || lengths.includes(undefined)) return null;
    const [cutMm, rhizomeMm, rootsMm, paleMm] = lengths as (number | null)[];
    return {
      points,
      tubers,
      roots: draft.roots,
      joined: draft.joined,
      cutMm: cutMm!,
      rhizomeMm: rhizomeMm!,
      rootsMm: rootsMm!,
      paleMm: paleMm!,
      old: draft.old,
    };
  }

  /** mm; null where nothing was typed, undefined where it is no length. */
  private mm(text: string): number | null | undefined {
    if (text.trim() === '') return null;
    const read = readLength(text, this.words.lengthUnit());
    return read.ok ? read.mm : undefined;
  }
}

function count(text: string): number | null {
  const n = Number(text);
  return text.trim() !== '' && Number.isInteger(n) && n >= 0 && n <= 99 ? n : null;
}
