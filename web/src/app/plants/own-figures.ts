import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { plantOf } from '@hypogeon/core/bench';
import {
  CATALOGUE,
  lookOf,
  METHOD,
  METHODS,
  type MethodId,
  type TaxonMethod,
} from '@hypogeon/core/botany';
import type { TaxonFields } from '@hypogeon/core/journal';
import { ownLookSchema, type OwnLook } from '@hypogeon/core/look';
import { readLength } from '@hypogeon/core/units';
import * as z from 'zod';
import { say } from '@hypogeon/messages/own-figures';
import { Actions } from '../data/actions';
import { oneAtATime } from '../data/one-at-a-time';
import { Drafts } from '../data/drafts';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { touchedFields } from '../data/touched';
import { Words } from '../data/words';
import { DraftNote } from '../forms/draft-note';
import { Field, FieldControl } from '../forms/field';
import { CellOf, type Column } from '../ui/column';
import { Table } from '../ui/table';
import { OwnLookPart } from './own-look';

/** A way as typed; empty is as the guide has it. */
interface WayDraft {
  readonly worth: '' | 'good' | 'poor' | 'no';
  readonly success: string;
  readonly roots: string;
  readonly pups: string;
  readonly width: string;
  readonly why: string;
}

interface PlantDraft {
  readonly name: string;
  readonly like: string;
  readonly fromT: string;
  readonly toT: string;
  readonly notes: string;
  readonly ways: Readonly<Partial<Record<MethodId, WayDraft>>>;
  readonly look: OwnLook;
}

const BLANK_WAY: WayDraft = { worth: '', success: '', roots: '', pups: '', width: '', why: '' };
const BLANK: PlantDraft = { name: '', like: '', fromT: '', toT: '', notes: '', ways: {}, look: {} };

/** What was typed: only what was touched is kept, laid over what stands, and written. */
type PlantTyped = Omit<Partial<PlantDraft>, 'ways'> & {
  readonly ways?: Readonly<Partial<Record<MethodId, Partial<WayDraft>>>> | undefined;
};
const plantTypedSchema: z.ZodType<PlantTyped> = z
  .object({
    name: z.string(),
    like: z.string(),
    fromT: z.string(),
    toT: z.string(),
    notes: z.string(),
    look: ownLookSchema,
    ways: z.partialRecord(
      z.enum(METHODS),
      z
        .object({
          worth: z.enum(['', 'good', 'poor', 'no']),
          success: z.string(),
          roots: z.string(),
          pups: z.string(),
          width: z.string(),
          why: z.string(),
        })
        .partial(),
    ),
  })
  .partial();

/** A plant of one's own, or one's own figures over those of the library. */
@Component({
  selector: 'hy-own-figures',
  imports: [
    CellOf,
    DraftNote,
    Field,
    FieldControl,
    MatButton,
    MatOption,
    MatSelect,
    OwnLookPart,
    RouterLink,
    Table,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-figures.html',
})
export class OwnFigures {
  protected readonly say = say;

  private readonly actions = inject(Actions);
  private readonly journal = inject(Journal);
  private readonly router = inject(Router);
  protected readonly words = inject(Words);

  /** Set where a known plant is given figures; a new plant without. */
  readonly id = input<string>();

  protected readonly catalogue = CATALOGUE;
  protected readonly method = METHOD;
  protected readonly shipped = computed(() => CATALOGUE.find((t) => t.id === this.id()) ?? null);
  private readonly drafts = inject(Drafts);
  private readonly keeper = computed(() =>
    this.drafts.keeper(`plant.${this.id() ?? 'new'}`, plantTypedSchema),
  );
  private readonly edited = signal<PlantTyped | null>(null);
  private readonly typed = computed<PlantTyped>(() => this.edited() ?? this.keeper().read() ?? {});
  protected readonly draft = computed<PlantDraft>(() => {
    const kept = this.kept();
    const { ways = {}, ...typed } = this.typed();
    const laid = Object.entries(ways).map(([id, way]) => [
      id,
      { ...(kept.ways[id as MethodId] ?? BLANK_WAY), ...way },
    ]);
    const typedWays = Object.fromEntries(laid) as PlantDraft['ways'];
    return { ...kept, ...typed, ways: { ...kept.ways, ...typedWays } };
  });
  /** When it was left, where it is taken up again. */
  protected readonly left = computed(() => (this.edited() ? null : this.keeper().keptAt()));
  protected readonly tried = signal(false);

  /** The figures that stand where nothing is typed. */
  private readonly base = computed(
    () => this.shipped() ?? CATALOGUE.find((t) => t.id === this.draft().like) ?? null,
  );
  /** How its kin is drawn; null until it is chosen. */
  protected readonly kin = computed(() => {
    const base = this.base();
    return base && lookOf(base);
  });
  protected readonly ways = computed(() =>
    METHODS.map((id) => {
      const known = this.base()?.methods.find((m) => m.method === id) ?? null;
      return { id, name: METHOD[id].name, known, typed: this.draft().ways[id] ?? BLANK_WAY };
    }),
  );
  protected readonly figures = [
    { key: 'success', says: say.successPerCent() },
    { key: 'roots', says: say.daysToRoots() },
    { key: 'pups', says: say.daysToPups() },
    { key: 'width', says: say.widthOfTheWound() },
  ] as const;
  protected readonly columns = computed(
    (): readonly Column<ReturnType<typeof this.ways>[number]>[] => [
      { key: 'way', head: say.way(), text: (w) => w.name },
      { key: 'worth', head: say.takesIt2(), text: (w) => w.typed.worth },
      { key: 'success', head: say.success(), text: (w) => w.typed.success },
      { key: 'roots', head: say.rootsDays(), text: (w) => w.typed.roots },
      { key: 'pups', head: say.pupsDays(), text: (w) => w.typed.pups },
      {
        key: 'width',
        head: say.wound({ lengthUnit: this.words.lengthUnit() }),
        text: (w) => w.typed.width,
      },
      { key: 'why', head: say.why2(), text: (w) => w.typed.why },
    ],
  );
  protected readonly usual = computed(() => {
    const season = this.base()?.season;
    return season
      ? { from: this.words.temperature(season.fromC), to: this.words.temperature(season.toC) }
      : { from: '', to: '' };
  });

  protected readonly problems = computed(() => {
    const d = this.draft();
    const isNew = this.shipped() === null;
    const from = this.celsius(d.fromT);
    const to = this.celsius(d.toT);
    const one = (d.fromT.trim() === '') !== (d.toT.trim() === '');
    return {
      name: isNew && d.name.trim() === '' ? say.whatIsThePlant() : '',
      like: isNew && d.like === '' ? say.chooseThePlantIt() : '',
      season: one
        ? say.giveBothEndsOf()
        : Number.isNaN(from) || Number.isNaN(to)
          ? say.aTemperatureIsA()
          : from !== null && to !== null && (from >= to || from < -10 || to > 50)
            ? say.theBandRunsFrom()
            : '',
      ways: this.ways()
        .map((w) => this.wayProblem(w.name, w.typed, w.known))
        .find((p) => p !== ''),
    };
  });

  protected set(field: Exclude<keyof PlantDraft, 'ways' | 'look'>, value: string): void {
    this.keep({ ...this.typed(), [field]: value });
  }

  protected setLook(look: OwnLook): void {
    this.keep({ ...this.typed(), look });
  }

  protected afresh(): void {
    this.keeper().drop();
    this.edited.set({});
  }

  private keep(typed: PlantTyped): void {
    this.edited.set(typed);
    this.keeper().keep(typed);
  }

  protected setWay(id: MethodId, field: keyof WayDraft, value: string): void {
    const { ways = {} } = this.typed();
    this.keep({ ...this.typed(), ways: { ...ways, [id]: { ...ways[id], [field]: value } } });
  }

  protected show(problem: string | undefined): string {
    return this.tried() ? (problem ?? '') : '';
  }

  protected usually(
    known: TaxonMethod | null,
    what: 'success' | 'roots' | 'pups' | 'width',
  ): string {
    if (!known) return '';
    switch (what) {
      case 'success':
        return `${Math.round(known.success.mean * 100)}`;
      case 'roots':
        return `${known.roots.from}–${known.roots.to}`;
      case 'pups':
        return known.pups ? `${known.pups.from}–${known.pups.to}` : '';
      case 'width':
        return known.wound ? this.words.length(known.wound.widthMm) : '';
    }
  }

  protected readonly save = oneAtATime(() => this.saveAll());

  private async saveAll(): Promise<void> {
    this.tried.set(true);
    if (Object.values(this.problems()).some((p) => p)) {
      setTimeout(() =>
        document.querySelector<HTMLElement>('[aria-invalid="true"], .problem')?.focus(),
      );
      return;
    }
    const d = this.draft();
    const key = this.id() ?? freshId();
    const from = this.celsius(d.fromT);
    const to = this.celsius(d.toT);
    const methods = this.ways().flatMap((w) => this.wayFields(w.id, w.typed) ?? []);
    const whole: TaxonFields = {
      ...(this.shipped() ? {} : { name: d.name.trim(), like: d.like }),
      season: this.seasonFields(from, to),
      methods: methods.length === 0 ? null : methods,
      notes: d.notes.trim() || null,
      look: Object.keys(d.look).length === 0 ? null : d.look,
    };
    const touched = new Set(Object.keys(this.typed()) as (keyof PlantDraft)[]);
    const fields = this.id() === undefined ? whole : touchedFields(touched, whole, FEEDS);
    if (Object.keys(fields).length > 0) {
      const put = { kind: 'put', record: 'taxon', key, fields } as const;
      if (!(await this.actions.record(put, say.figuresKept()))) return;
    }
    this.keeper().drop();
    await this.router.navigate(['/plants', key]);
  }

  /** The end of the band that was not touched stays what it was to the last digit. */
  private seasonFields(from: number | null, to: number | null): TaxonFields['season'] {
    if (from === null || to === null) return null;
    const stored = this.journal.state().ownTaxa.get(this.id() ?? '')?.season;
    const { fromT, toT } = this.typed();
    return {
      fromC: fromT === undefined && stored ? stored.fromC : from,
      toC: toT === undefined && stored ? stored.toC : to,
    };
  }

  /** Of a way only what was touched is read from its inputs; the rest stays what is stored. */
  private wayFields(method: MethodId, typed: WayDraft): OwnWayFields | null {
    const stored = this.journal
      .state()
      .ownTaxa.get(this.id() ?? '')
      ?.methods?.find((m) => m.method === method);
    const touched = this.typed().ways?.[method];
    if (!touched && stored) return stored;
    const read = this.wayTyped(method, typed);
    if (!stored || !touched) return read;
    const whole: Partial<OwnWayFields> = { ...read };
    for (const [field, input] of WAY_FEEDS)
      if (touched[input] === undefined && stored[field] !== undefined)
        Object.assign(whole, { [field]: stored[field] });
    const way = { ...whole, method };
    return Object.keys(way).length === 1 ? null : way;
  }

  private wayTyped(method: MethodId, typed: WayDraft): OwnWayFields | null {
    const { worth, success, roots, pups, width, why } = typed;
    const read = readLength(width, this.words.lengthUnit());
    const way = {
      ...(worth === '' ? {} : { worth }),
      ...(why.trim() ? { why: why.trim() } : {}),
      ...(success.trim() ? { success: this.words.share(success) } : {}),
      ...(span(roots) ? { roots: span(roots)! } : {}),
      ...(span(pups) ? { pups: span(pups)! } : {}),
      ...(read.ok ? { widthMm: read.mm } : {}),
    };
    return Object.keys(way).length === 0 ? null : { method, ...way };
  }

  private wayProblem(name: string, typed: WayDraft, known: TaxonMethod | null): string {
    const success = this.words.share(typed.success);
    if (typed.success.trim() && !(success > 0 && success < 1))
      return say.successIsBetween0({ name });
    for (const [what, text] of [
      ['roots', typed.roots],
      ['pups', typed.pups],
    ] as const)
      if (text.trim() && !span(text)) return say.writeAsDaysLike({ name, what });
    if (typed.width.trim() && !readLength(typed.width, this.words.lengthUnit()).ok)
      return say.isNotAWidth({ name, width: typed.width.trim() });
    const some = typed.success.trim() !== '' || typed.roots.trim() !== '';
    const both = typed.success.trim() !== '' && typed.roots.trim() !== '';
    if (!known && typed.worth !== 'no' && some && !both) return say.isNotInThe({ name });
    return '';
  }

  /** Null where nothing is typed. */
  private celsius(typed: string): number | null {
    return typed.trim() === '' ? null : this.words.celsius(typed);
  }

  private kept(): PlantDraft {
    const own = this.journal.state().ownTaxa.get(this.id() ?? '');
    if (!own) return BLANK;
    const plant = plantOf(this.journal.state(), own.id);
    const degrees = (c: number | undefined): string =>
      c === undefined ? '' : this.words.temperature(c).replace(/ .*$/, '');
    return {
      name: own.name ?? plant?.name ?? '',
      like: own.like ?? '',
      fromT: degrees(own.season?.fromC),
      toT: degrees(own.season?.toC),
      notes: own.notes ?? '',
      look: own.look ?? {},
      ways: Object.fromEntries(
        (own.methods ?? []).map((m): [MethodId, WayDraft] => [
          m.method,
          {
            worth: m.worth ?? '',
            success: m.success === undefined ? '' : String(Math.round(m.success * 100)),
            roots: m.roots ? `${m.roots[0]}–${m.roots[1]}` : '',
            pups: m.pups ? `${m.pups[0]}–${m.pups[1]}` : '',
            width: m.widthMm === undefined ? '' : this.words.length(m.widthMm),
            why: m.why ?? '',
          },
        ]),
      ),
    };
  }
}

/** Which inputs each field of the plant is read from. */
const FEEDS: { readonly [K in keyof Required<TaxonFields>]: readonly (keyof PlantDraft)[] } = {
  name: ['name'],
  family: [],
  like: ['like'],
  season: ['fromT', 'toT'],
  methods: ['ways'],
  look: ['look'],
  notes: ['notes'],
};
const WAY_FEEDS = [
  ['worth', 'worth'],
  ['why', 'why'],
  ['success', 'success'],
  ['roots', 'roots'],
  ['pups', 'pups'],
  ['widthMm', 'width'],
] as const;

type OwnWayFields = NonNullable<NonNullable<TaxonFields['methods']>>[number];

/** `14–28` or `14 - 28` or `21`. */
function span(text: string): [number, number] | null {
  const parts = /^\s*(\d+)\s*(?:[-–—]\s*(\d+))?\s*$/.exec(text);
  if (!parts) return null;
  const from = Number(parts[1]);
  const to = Number(parts[2] ?? parts[1]);
  return from >= 1 && to >= from && to <= 2000 ? [from, to] : null;
}
