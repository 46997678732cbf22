import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import {
  CATALOGUE,
  METHOD,
  METHODS,
  plantOf,
  readLength,
  type MethodId,
  type TaxonFields,
  type TaxonMethod,
} from '@hypogeon/core';
import { draftKeeper } from '../data/draft';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { Words } from '../data/words';
import { Field, FieldControl } from '../ui/field';
import { numberFrom } from '../ui/number';

/** A way as typed; empty is as the library has it. */
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
}

const BLANK_WAY: WayDraft = { worth: '', success: '', roots: '', pups: '', width: '', why: '' };
const BLANK: PlantDraft = { name: '', like: '', fromT: '', toT: '', notes: '', ways: {} };

/** A plant of one's own, or one's own figures over those of the library. */
@Component({
  selector: 'hy-own-figures',
  imports: [Field, FieldControl, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-figures.html',
  styles: `
    form {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 1.4rem;
      max-width: 62rem;
    }
    .pair {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(13rem, 1fr));
      gap: 1rem;
    }
    table {
      min-width: 58rem;
    }
    td input {
      min-width: 5.5rem;
    }
    td select {
      min-width: 9.5rem;
    }
    th[scope='row'] {
      white-space: nowrap;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 0.7rem;
    }
  `,
})
export class OwnFigures {
  private readonly journal = inject(Journal);
  private readonly router = inject(Router);
  protected readonly words = inject(Words);

  /** Set where a known plant is given figures; a new plant without. */
  readonly id = input<string>();

  protected readonly catalogue = CATALOGUE;
  protected readonly method = METHOD;
  protected readonly shipped = computed(() => CATALOGUE.find((t) => t.id === this.id()) ?? null);
  private readonly keeper = computed(() => draftKeeper<PlantDraft>(`plant.${this.id() ?? 'new'}`));
  private readonly edited = signal<PlantDraft | null>(null);
  protected readonly draft = computed<PlantDraft>(
    () => this.edited() ?? this.keeper().read() ?? this.kept(),
  );
  protected readonly tried = signal(false);

  /** The figures that stand where nothing is typed. */
  private readonly base = computed(
    () => this.shipped() ?? CATALOGUE.find((t) => t.id === this.draft().like) ?? null,
  );
  protected readonly ways = computed(() =>
    METHODS.map((id) => {
      const known = this.base()?.methods.find((m) => m.method === id) ?? null;
      return { id, name: METHOD[id].name, known, typed: this.draft().ways[id] ?? BLANK_WAY };
    }),
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
      name: isNew && d.name.trim() === '' ? 'What is the plant called?' : '',
      like:
        isNew && d.like === ''
          ? 'Choose the plant it is most like: its figures stand where you give none.'
          : '',
      season: one
        ? 'Give both ends of the band, or neither.'
        : Number.isNaN(from) || Number.isNaN(to)
          ? 'A temperature is a number.'
          : from !== null && to !== null && (from >= to || from < -10 || to > 50)
            ? 'The band runs from cooler to warmer, within what plants bear.'
            : '',
      ways: this.ways()
        .map((w) => this.wayProblem(w.name, w.typed, w.known))
        .find((p) => p !== ''),
    };
  });

  protected set<K extends keyof PlantDraft>(field: K, value: PlantDraft[K]): void {
    const draft = { ...this.draft(), [field]: value };
    this.edited.set(draft);
    this.keeper().keep(draft);
  }

  protected setWay(id: MethodId, field: keyof WayDraft, value: string): void {
    const way = { ...(this.draft().ways[id] ?? BLANK_WAY), [field]: value };
    this.set('ways', { ...this.draft().ways, [id]: way });
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

  protected async save(): Promise<void> {
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
    this.keeper().drop();
    await this.journal.record({
      kind: 'put',
      record: 'taxon',
      key,
      fields: {
        ...(this.shipped() ? {} : { name: d.name.trim(), like: d.like }),
        season: from === null || to === null ? null : { fromC: from, toC: to },
        methods: methods.length === 0 ? null : methods,
        notes: d.notes.trim() || null,
      },
    });
    await this.router.navigate(['/library', key]);
  }

  private wayFields(method: MethodId, typed: WayDraft): OwnWayFields | null {
    const { worth, success, roots, pups, width, why } = typed;
    const read = readLength(width, this.words.lengthUnit());
    const way = {
      ...(worth === '' ? {} : { worth }),
      ...(why.trim() ? { why: why.trim() } : {}),
      ...(success.trim() ? { success: numberFrom(success) / 100 } : {}),
      ...(span(roots) ? { roots: span(roots)! } : {}),
      ...(span(pups) ? { pups: span(pups)! } : {}),
      ...(read.ok ? { widthMm: read.mm } : {}),
    };
    return Object.keys(way).length === 0 ? null : { method, ...way };
  }

  private wayProblem(name: string, typed: WayDraft, known: TaxonMethod | null): string {
    const success = numberFrom(typed.success);
    if (typed.success.trim() && !(success > 0 && success < 100))
      return `${name}: success is between 0 and 100 %; nothing that grows is sure, and 0 is “no”.`;
    for (const [what, text] of [
      ['roots', typed.roots],
      ['pups', typed.pups],
    ] as const)
      if (text.trim() && !span(text)) return `${name}: write ${what} as days, like 14–28.`;
    if (typed.width.trim() && !readLength(typed.width, this.words.lengthUnit()).ok)
      return `${name}: “${typed.width.trim()}” is not a width. Write it like 8 mm.`;
    const some = typed.success.trim() !== '' || typed.roots.trim() !== '';
    const both = typed.success.trim() !== '' && typed.roots.trim() !== '';
    if (!known && typed.worth !== 'no' && some && !both)
      return `${name} is not in the library for this plant: give success and roots, both.`;
    return '';
  }

  /** Null where nothing is typed. */
  private celsius(typed: string): number | null {
    return typed.trim() === '' ? null : this.words.celsius(numberFrom(typed));
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

type OwnWayFields = NonNullable<NonNullable<TaxonFields['methods']>>[number];

/** `14–28` or `14 - 28` or `21`. */
function span(text: string): [number, number] | null {
  const parts = /^\s*(\d+)\s*(?:[-–—]\s*(\d+))?\s*$/.exec(text);
  if (!parts) return null;
  const from = Number(parts[1]);
  const to = Number(parts[2] ?? parts[1]);
  return from >= 1 && to >= from && to <= 2000 ? [from, to] : null;
}
