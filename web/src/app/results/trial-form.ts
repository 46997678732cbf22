import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { plantOf, placesIn } from '@hypogeon/core/bench';
import { METHOD, type MethodId, METHODS } from '@hypogeon/core/botany';
import { addDays, isDay } from '@hypogeon/core/days';
import { TRIAL_FACTORS, type TrialFactor, type TrialFields } from '@hypogeon/core/journal';
import { beliefOf, correlationOf } from '@hypogeon/core/learn';
import {
  batchesFor,
  FACTOR_NAME,
  isLength,
  judgeAfter,
  leastTrays,
  MOST_TRAYS,
  needsTrays,
  optionsOf,
  stopRules,
  traysFor,
  traysInRow,
  traysOf,
  trialLayout,
  USUAL_PER_TRAY,
} from '@hypogeon/core/trial';
import * as z from 'zod';
import { Actions } from '../data/actions';
import { trayRules, traysText } from '@hypogeon/words';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { freshId } from '../data/fresh-id';
import { Journal, type Draft } from '../data/journal';
import { Ledger } from '../data/ledger';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { TrialMap, type TrialCell } from '../marks/trial-map';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { readShare } from '@hypogeon/core/units';
import { say } from '@hypogeon/messages/trial-form';
import { numberFrom } from '../forms/number';
import { DraftNote } from '../forms/draft-note';
import { perCent } from '@hypogeon/core/units';

interface TrialDraft {
  readonly name: string;
  readonly question: string;
  readonly factor: TrialFactor;
  /** Values of the arms; the first is the usual one, empty ones are none. */
  readonly values: readonly string[];
  readonly mother: string;
  readonly method: MethodId | '';
  readonly space: string;
  readonly cutOn: string;
  readonly usual: string;
  readonly better: string;
  readonly power: string;
  /** Empty takes what is needed; where arms cannot share a tray, cuttings in a tray. */
  readonly each: string;
  /** Trays in each group; empty takes what is needed. */
  readonly trays: string;
  readonly columns: string;
  readonly seed: number;
}

const ARMS = 4;
const BLANK: Omit<TrialDraft, 'seed'> = {
  name: '',
  question: '',
  factor: 'aid',
  values: [],
  mother: '',
  method: '',
  space: '',
  cutOn: '',
  usual: '',
  better: '',
  power: '80',
  each: '',
  trays: '',
  columns: '10',
};
/** A difference worth changing for, where nobody says: points of a hundred. */
const WORTH = 0.2;

/** Designing a trial: the question, the arms, how many, and the lot. */
@Component({
  selector: 'hy-trial-form',
  imports: [MatButton, DayField, MatOption, MatSelect, DraftNote, Field, FieldControl, TrialMap],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './trial-form.html',
  styleUrl: './pages.scss',
})
export class TrialForm {
  protected readonly say = say;
  protected readonly perCent = perCent;

  private readonly actions = inject(Actions);
  private readonly journal = inject(Journal);
  private readonly ledger = inject(Ledger);
  private readonly router = inject(Router);
  private readonly words = inject(Words);
  protected readonly today = inject(Today).day;

  private readonly keeper = inject(Drafts).keeper(
    'trial',
    shapeOf<TrialDraft>(
      { ...BLANK, seed: 1 },
      { factor: z.enum(TRIAL_FACTORS), method: z.enum([...METHODS, '']) },
    ),
  );
  protected readonly draft = signal<TrialDraft>({
    ...BLANK,
    seed: Math.floor(Math.random() * 1e6),
    ...this.keeper.read(),
  });
  protected readonly tried = signal(false);

  protected readonly factors = TRIAL_FACTORS;
  protected readonly factorName = FACTOR_NAME;
  protected readonly places = Array.from({ length: ARMS }, (_, i) => i);

  protected readonly options = computed(() => {
    const { factor } = this.draft();
    const options = optionsOf(this.journal.state(), factor);
    return isLength(factor)
      ? options.map((o) => ({ ...o, name: this.words.length(Number(o.value)) }))
      : options;
  });
  protected readonly usualPerTray = USUAL_PER_TRAY;
  protected readonly mothers = computed(() => [...this.journal.state().mothers.values()]);
  protected readonly spaces = computed(() => placesIn(this.journal.state()));
  private readonly mother = computed(() =>
    this.mothers().find((m) => m.id === this.draft().mother),
  );
  protected readonly ways = computed(() => {
    const taxon = this.mother()?.taxon;
    const plant = taxon === undefined ? null : plantOf(this.journal.state(), taxon);
    return (plant?.taxon.methods ?? []).map((way) => ({
      way,
      id: way.method,
      name: METHOD[way.method].name,
    }));
  });
  private readonly way = computed(
    () => this.ways().find((w) => w.id === this.draft().method) ?? this.ways()[0],
  );
  /** The share that is usual here: the catalogue's, moved by this bench. */
  protected readonly usualHere = computed(() => {
    const taxon = this.mother()?.taxon;
    const way = this.way()?.way;
    return taxon === undefined || !way ? null : beliefOf(this.journal.state(), taxon, way).mean;
  });

  protected readonly arms = computed(() => {
    const { values } = this.draft();
    const options = this.options();
    const chosen = this.places.flatMap((i) => options.find((o) => o.value === values[i]) ?? []);
    // Until somebody chooses, the first two.
    return chosen.length > 0 ? chosen : options.slice(0, 2);
  });
  protected readonly usual = computed(() => shareFrom(this.draft().usual) ?? this.usualHere());
  protected readonly better = computed(() => {
    const usual = this.usual();
    const given = shareFrom(this.draft().better);
    if (given !== null) return given;
    if (usual === null || !inside(usual)) return null;
    return usual + WORTH < 1 ? usual + WORTH : Math.max(usual - WORTH, 0.01);
  });
  private readonly power = computed(() => shareFrom(this.draft().power) ?? 0.8);

  private readonly size = computed(() => {
    const [usual, better] = [this.usual(), this.better()];
    const given = numberFrom(this.draft().each);
    return {
      ok: inside(usual) && inside(better) && usual !== better,
      size: {
        arms: this.arms().length,
        usual: usual ?? 0.5,
        better: better ?? 0.6,
        power: this.power(),
      },
      each: Number.isInteger(given) && given >= 2 && given <= 2000 ? given : null,
    };
  });
  protected readonly outlook = this.ledger.answer(this.size, (desk, { ok, size, each }) =>
    ok ? desk.trialSize(size, each) : Promise.resolve(null),
  );
  /** Its arms cannot share a tray: trays are drawn by lot, and judged. */
  protected readonly byTray = computed(() => needsTrays(this.draft().factor));
  protected readonly perTray = computed(() => this.size().each ?? USUAL_PER_TRAY);
  protected readonly traysNeeded = computed(() => {
    const { ok, size } = this.size();
    return ok ? traysFor(size, this.perTray(), correlationOf(this.journal.state())) : null;
  });
  protected readonly least = computed(() => leastTrays(Math.max(2, this.arms().length)));
  private readonly trays = computed(() => {
    const given = numberFrom(this.draft().trays);
    return Number.isInteger(given) && given >= this.least() && given <= MOST_TRAYS
      ? given
      : this.traysNeeded();
  });
  protected readonly each = computed(() => {
    const trays = this.trays();
    if (this.byTray()) return trays === null ? null : trays * this.perTray();
    return this.size().each ?? this.outlook()?.needed ?? null;
  });

  protected readonly sizeSays = computed(() => {
    const outlook = this.outlook();
    const [usual, better] = [this.usual(), this.better()];
    if (!outlook || usual === null || better === null) return say.chooseTheMotherHow();
    const between = say.against2({
      percent: this.words.percent(usual),
      percent2: this.words.percent(better),
    });
    if (this.byTray())
      return traysText(
        this.traysNeeded(),
        this.perTray(),
        this.arms().length,
        between,
        this.power(),
      );
    if (outlook.needed === null) return say.noNumberABench({ between });
    const each = this.size().each;
    const needs = say.inEachGroupTell({
      needed: outlook.needed,
      between,
      power: Math.round(this.power() * 100),
    });
    return each === null
      ? say.cuttingsInAll({ needs, count: outlook.needed * this.arms().length })
      : say.withInEachThe({ each, chance: this.words.percent(outlook.chance ?? 0), needs });
  });

  protected readonly fields = computed((): TrialFields => {
    const d = this.draft();
    const cutOn = d.cutOn || this.today();
    const taxon = this.mother()?.taxon;
    const method = this.way()?.id;
    const [usual, better] = [this.usual(), this.better()];
    const each = this.each();
    const given = d.name.trim();
    const names = this.arms().map((a) => a.name);
    return {
      name: given === '' ? names.join(say.or()).slice(0, 120) : given,
      ...(d.question.trim() ? { question: d.question.trim() } : {}),
      factor: d.factor,
      arms: this.arms().map(({ name, value }) => ({ name, value })),
      ...(taxon === undefined ? {} : { taxon }),
      ...(method === undefined ? {} : { method }),
      ...(this.mother() ? { mother: this.mother()!.id } : {}),
      space: d.space === '' ? (this.spaces()[0]?.id ?? '') : d.space,
      ...(each === null ? {} : { each }),
      ...(this.byTray() && this.trays() !== null ? { trays: this.trays()! } : {}),
      ...(inside(usual) ? { usual } : {}),
      ...(inside(better) ? { better } : {}),
      power: this.power(),
      columns: this.columns(),
      seed: d.seed,
      cutOn,
      ...(taxon !== undefined && method !== undefined
        ? { judgeOn: addDays(cutOn, judgeAfter(this.journal.state(), taxon, method)) }
        : {}),
    };
  });
  /** What is folded, with its present value. */
  protected readonly more = computed(() => {
    const others = this.arms().length - 2;
    const groups = others > 0 ? say.groups({ others: others + 2 }) : say.twoGroups();
    return say.moreNamed({ groups, name: this.fields().name ?? '' });
  });
  /** What is wrong in a folded field is never hidden. */
  protected readonly sizeOpen = computed(() => {
    const { usual, better, each, trays, columns } = this.problems();
    return this.tried() && [usual, better, each, trays, columns].some((p) => p !== '');
  });
  protected readonly columns = computed(() => {
    const n = numberFrom(this.draft().columns);
    return Number.isInteger(n) && n >= 2 && n <= 100 ? n : 10;
  });
  protected readonly cells = computed((): readonly TrialCell[] => {
    const arms = this.arms();
    const each = this.each();
    if (each === null || arms.length < 2) return [];
    if (this.byTray())
      return traysOf({ id: '', ...clean(this.fields()) }).map((arm, n) => ({
        arm,
        mark: null,
        says: say.tray({ n: n + 1, name: arms[arm]!.name }),
      }));
    return trialLayout(arms.length, each, this.columns(), this.draft().seed).map((arm) => ({
      arm,
      mark: null,
      says: arms[arm]!.name,
    }));
  });
  /** Trays are drawn in whole blocks, side by side. */
  protected readonly drawnColumns = computed(() =>
    this.byTray() ? traysInRow(Math.max(2, this.arms().length)) : this.columns(),
  );
  protected readonly rules = computed(() => {
    const trial = { id: '', ...clean(this.fields()) };
    return [...trayRules(trial), ...stopRules(trial, (day) => this.words.longDay(day))];
  });

  protected readonly problems = computed(() => {
    const d = this.draft();
    const [usual, better] = [this.usual(), this.better()];
    const each = numberFrom(d.each);
    const columns = numberFrom(d.columns);
    const values = this.arms().map((a) => a.value);
    const shareProblem = say.aShareFrom1();
    return {
      mother: this.mother() ? '' : say.chooseTheMotherAll(),
      arms:
        values.length < 2
          ? say.twoWaysAtLeast()
          : new Set(values).size < values.length
            ? say.twoGroupsAreThe()
            : '',
      space: this.spaces().length > 0 ? '' : say.noPlaceIsKnown(),
      cutOn:
        d.cutOn !== '' && (!isDay(d.cutOn) || d.cutOn < this.today()) ? say.todayOrLaterThe() : '',
      usual: usual === null || inside(usual) ? '' : shareProblem,
      better:
        better !== null && !inside(better)
          ? shareProblem
          : usual !== null && usual === better
            ? say.theSameShareThere()
            : '',
      each:
        d.each.trim() !== '' && !(Number.isInteger(each) && each >= 2 && each <= 2000)
          ? say.aWholeNumberFrom()
          : !this.byTray() && this.outlook()?.needed === null && d.each.trim() === ''
            ? say.noSensibleNumberFinds()
            : '',
      trays: this.traysProblem(d.trays),
      columns:
        Number.isInteger(columns) && columns >= 2 && columns <= 100 ? '' : say.cellsInARowOf(),
    };
  });

  private traysProblem(typed: string): string {
    if (!this.byTray()) return '';
    const trays = numberFrom(typed);
    if (typed.trim() === '') return this.traysNeeded() === null ? say.noNumberOfTrays() : '';
    if ((this.each() ?? 0) > 2000) return say.atMost2000();
    return Number.isInteger(trays) && trays >= this.least() && trays <= MOST_TRAYS
      ? ''
      : say.aWholeNumberFromTo({ least: this.least(), mostTrays: MOST_TRAYS });
  }

  protected type(over: Partial<TrialDraft>): void {
    this.draft.update((d) => ({ ...d, ...over }));
    this.keeper.keep(this.draft());
  }

  protected setFactor(value: string): void {
    const factor = TRIAL_FACTORS.find((f) => f === value);
    if (factor) this.type({ factor, values: [] });
  }

  protected setArm(at: number, value: string): void {
    const values = this.places.map((i) => (i === at ? value : this.valueOf(i)));
    this.type({ values });
  }

  protected setMethod(value: string): void {
    this.type({ method: this.ways().find((w) => w.id === value)?.id ?? '' });
  }

  protected valueOf(at: number): string {
    const { values } = this.draft();
    return values.length > 0 ? (values[at] ?? '') : (this.arms()[at]?.value ?? '');
  }

  /** Another lot: only before anything is cut by it. */
  protected drawAgain(): void {
    this.type({ seed: Math.floor(Math.random() * 1e6) });
  }

  protected show(problem: string): string {
    return this.tried() ? problem : '';
  }

  /** When it was left, where it is taken up again. */
  protected readonly left = signal(this.keeper.keptAt());
  protected afresh(): void {
    this.keeper.drop();
    this.draft.set({ ...BLANK, seed: Math.floor(Math.random() * 1e6) });
    this.left.set(null);
  }

  protected readonly begin = oneAtATime(() => this.beginNow());

  private async beginNow(): Promise<void> {
    this.tried.set(true);
    if (Object.values(this.problems()).some((p) => p !== '')) return;
    const id = freshId();
    const fields = this.fields();
    const batches = batchesFor(this.journal.state(), { id, ...clean(fields) });
    if (!batches) return;
    const drafts: Draft[] = [
      { kind: 'put', record: 'trial', key: id, fields },
      ...batches.map((batch): Draft => ({
        kind: 'put',
        record: 'batch',
        key: freshId(),
        fields: batch,
      })),
    ];
    if (await this.actions.recordAll(drafts, say.begun({ name: fields.name ?? '' }))) {
      this.keeper.drop();
      await this.router.navigate(['/results/trials', id]);
    }
  }
}

const inside = (share: number | null): share is number =>
  share !== null && share >= 0.01 && share <= 0.99;

/** Per cent as typed; null where nothing is, NaN where it is no share. */
function shareFrom(text: string): number | null {
  if (text.trim() === '') return null;
  const read = readShare(text);
  return read.ok ? read.share : NaN;
}

/** Fields as a record has them: none of them cleared. */
function clean(fields: TrialFields): { [K in keyof TrialFields]?: NonNullable<TrialFields[K]> } {
  return fields as { [K in keyof TrialFields]?: NonNullable<TrialFields[K]> };
}
