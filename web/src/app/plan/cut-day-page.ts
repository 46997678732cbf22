import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import * as z from 'zod';
import { placesIn, plantDrawn, plantOf, takenAs } from '@hypogeon/core/bench';
import { formOf, METHODS, methodAs, type MethodId } from '@hypogeon/core/botany';
import { careOf, conditionOf } from '@hypogeon/core/care';
import { foldBatch, type State } from '@hypogeon/core/journal';
import {
  cutFields,
  likelySpareOf,
  minutesFor,
  readyFor,
  usualCount,
  usualCut,
} from '@hypogeon/core/plan';
import { planSentence } from '@hypogeon/words';
import { say } from '@hypogeon/messages/cut-day-page';
import { Actions } from '../data/actions';
import { shapeOf } from '../data/draft-shape';
import { Drafts } from '../data/drafts';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';
import { Stepper } from '../forms/stepper';
import { PlantPicture } from '../marks/plant-picture';
import { MotherWall } from './mother-wall';

/** One mother on the list: what is taken of her, where it lies, and the batch it becomes. */
interface Line {
  readonly key: string;
  readonly mother: string;
  readonly method: MethodId;
  readonly count: number;
  /** Where it dries and stands; empty is where she stands. */
  readonly space: string;
  readonly place: string;
}

interface CutDay {
  readonly lines: readonly Line[];
}

const NONE: CutDay = { lines: [] };
const cutDayShape = shapeOf<CutDay>(NONE, {
  lines: z
    .array(
      z.object({
        key: z.string().max(80),
        mother: z.string().max(80),
        method: z.enum(METHODS),
        count: z.int().min(1).max(9999),
        space: z.string().max(80),
        place: z.string().max(80),
      }),
    )
    .max(60),
});
const MOST = 9999;

/** Several mothers cut on one day: counted, cut, labelled and written up in one go. */
@Component({
  selector: 'hy-cut-day-page',
  imports: [
    Field,
    FieldControl,
    MatButton,
    MatOption,
    MatSelect,
    MotherWall,
    PlantPicture,
    Stepper,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5' },
  templateUrl: './cut-day-page.html',
  styleUrl: './cut-day-page.scss',
})
export class CutDayPage {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly state = inject(Journal).state;
  private readonly keeper = inject(Drafts).keeper('cut-day', cutDayShape);
  protected readonly today = inject(Today).day;
  protected readonly words = inject(Words);
  /** A mother to begin with, from her page or the plan. */
  readonly mother = input<string>();

  private readonly kept = signal<CutDay>(this.open());
  /** The mothers to choose from are shown. */
  private readonly asked = signal(false);
  protected readonly adding = computed(() => this.asked() || this.kept().lines.length === 0);
  protected readonly hasMothers = computed(() => this.state().mothers.size > 0);
  protected readonly chosen = computed(() => new Set(this.kept().lines.map((l) => l.mother)));

  protected readonly cards = computed(() => {
    const state = this.state();
    const cards = this.kept().lines.flatMap((line) => this.cardOf(state, line));
    const next = cards.findIndex((c) => !c.cut);
    return cards.map((c, i) => ({ ...c, next: i === next }));
  });
  protected readonly done = computed(() => this.cards().filter((c) => c.cut));
  protected readonly doneIds = computed(() =>
    this.done()
      .map((c) => c.line.key)
      .join(','),
  );
  protected readonly summary = computed(() => {
    const lines = this.kept().lines;
    const pieces = lines.reduce((sum, l) => sum + l.count, 0);
    const minutes = Math.max(5, Math.round(minutesFor(lines) / 5) * 5);
    return say.motherPieceAboutMinutes({ count: this.chosen().size, pieces, minutes });
  });
  protected readonly ready = computed(() => this.readyFor(this.state()));

  protected readonly spaces = computed(() => placesIn(this.state()));
  private at({ space, place }: Line) {
    const known = this.state().spaces.has(space);
    return { day: this.today(), place, space: known ? space : undefined };
  }

  private cardOf(state: State, line: Line) {
    const mother = state.mothers.get(line.mother);
    const plant = plantOf(state, mother?.taxon ?? '');
    if (!mother || !plant) return [];
    const batch = state.batches.get(line.key);
    const fields = cutFields(state, mother, line, this.at(line));
    const planned = batch ?? (fields && foldBatch('planned', fields, []));
    if (!planned) return [];
    const { steps, course } = careOf(state, planned, this.today());
    const method = methodAs(plant.taxon, line.method);
    const takes = plant.taxon.methods.find((m) => m.method === line.method) ?? null;
    const { verdict, until, notes } = conditionOf(state, mother, this.today());
    const spare = likelySpareOf(mother, formOf(plant.taxon), line.method);
    return [
      {
        line,
        name: mother.name ?? say.aMother(),
        plant: plant.name,
        drawn: plantDrawn(plant.taxon),
        takes: takes && takenAs(plant.taxon, takes),
        pieces: line.count === 1 ? method.one : method.many,
        ways: plant.taxon.methods.map((m) => ({
          id: m.method,
          name: methodAs(plant.taxon, m.method).many,
        })),
        space: planned.space,
        says: planSentence(steps, course, this.words.speech()),
        cut: batch?.cut != null,
        minded:
          verdict === 'stop'
            ? say.doNotCutIt()
            : verdict === 'wait'
              ? until === null
                ? say.betterWait()
                : say.betterWaitUntil({ near: this.words.near(until) })
              : '',
        why: verdict === 'cut' ? '' : (notes.find((n) => n.weight !== 'good')?.says ?? ''),
        spare: say.itCanSpare({ what: spare.guess ? say.about() : '', count: spare.count }),
        tooMany: line.count > spare.count,
        blade: planned.disinfectant === 'alcohol' ? say.bladeWiped() : say.noBlade(),
      },
    ];
  }

  /** What to lay ready for all of them, and what to mind, each once. */
  private readyFor(state: State) {
    const planned = this.kept().lines.flatMap((line) => {
      const mother = state.mothers.get(line.mother);
      const fields = mother && cutFields(state, mother, line, this.at(line));
      const batch = fields && foldBatch(line.key, fields, []);
      return batch ? [batch] : [];
    });
    return readyFor(state, planned);
  }

  protected askForOne(): void {
    this.asked.set(true);
  }

  protected add(id: string): void {
    const mother = this.state().mothers.get(id);
    const cut = mother && usualCut(this.state(), mother);
    this.asked.set(false);
    if (!mother) return;
    if (!cut)
      return this.actions.say(say.hasNothingToSpare({ name: mother.name ?? say.theMother() }));
    this.keep([...this.kept().lines, { key: freshId(), mother: id, ...cut, space: '', place: '' }]);
  }

  protected change(line: Line, over: Partial<Line>): void {
    this.keep(this.kept().lines.map((l) => (l.key === line.key ? { ...l, ...over } : l)));
  }

  protected turnTo(line: Line, method: MethodId): void {
    const mother = this.state().mothers.get(line.mother);
    const count = mother ? usualCount(this.state(), mother, method) : line.count;
    this.change(line, { method, count: Math.max(1, count) });
  }

  protected step(line: Line, to: number): void {
    this.change(line, { count: Math.min(Math.max(1, to), MOST) });
  }

  protected type(line: Line, typed: string): void {
    const count = Number(typed);
    if (Number.isInteger(count) && count >= 1 && count <= MOST) this.change(line, { count });
    else this.actions.say(say.howManyAWhole());
  }

  protected drop(line: Line): void {
    this.keep(this.kept().lines.filter((l) => l.key !== line.key));
  }

  protected cut(line: Line): void {
    const mother = this.state().mothers.get(line.mother);
    const fields = mother && cutFields(this.state(), mother, line, this.at(line));
    if (!fields) return;
    void this.actions.recordAll(
      [
        { kind: 'put', record: 'batch', key: line.key, fields },
        { kind: 'cut', batch: line.key },
      ],
      say.onTheBench({ name: mother.name ?? say.cut3() }),
    );
  }

  private keep(lines: readonly Line[]): void {
    this.kept.set({ lines });
    if (lines.length === 0) this.keeper.drop();
    else this.keeper.keep({ lines });
  }

  /** What is still to be cut stays on the list; what was cut on another day has left it. */
  private open(): CutDay {
    const { lines } = this.keeper.read() ?? NONE;
    const state = this.state();
    return {
      lines: lines.filter((l) => {
        const cut = state.batches.get(l.key)?.cut ?? null;
        return state.mothers.has(l.mother) && (cut === null || cut === this.today());
      }),
    };
  }

  constructor() {
    // From her page, or the plan: she is on the list at once.
    queueMicrotask(() => {
      const mother = this.mother();
      if (mother !== undefined && !this.chosen().has(mother)) this.add(mother);
    });
  }
}
