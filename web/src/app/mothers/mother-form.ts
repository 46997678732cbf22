import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { Router, RouterLink } from '@angular/router';
import {
  CATALOGUE,
  findTaxa,
  METHOD,
  PERMISSIONS,
  pieceOfPlant,
  plantOf,
  type Permission,
  type Taxon,
} from '@hypogeon/core';
import { draftKeeper } from '../data/draft';
import { freshId } from '../data/fresh-id';
import { Journal, type Draft } from '../data/journal';
import { Today } from '../data/today';
import { PERMISSION_WORD } from './permission-words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH } from '../marks/mark-state';
import { Field, FieldControl } from '../ui/field';

interface MotherDraft {
  readonly plant: string;
  /** For a plant of one's own: the library taxon whose figures it borrows. */
  readonly like: string;
  readonly name: string;
  readonly provenance: string;
  readonly permission: Permission | '';
  readonly protectedVariety: boolean;
  readonly since: string;
  readonly notes: string;
}

const BLANK: MotherDraft = {
  plant: '',
  like: '',
  name: '',
  provenance: '',
  permission: '',
  protectedVariety: false,
  since: '',
  notes: '',
};

@Component({
  selector: 'hy-mother-form',
  imports: [CuttingMark, Field, FieldControl, RouterLink, MatAutocompleteModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mother-form.html',
  styleUrl: './mother-form.scss',
})
export class MotherForm {
  private readonly journal = inject(Journal);
  private readonly router = inject(Router);
  protected readonly today = inject(Today).day;

  /** Set where a known mother is changed. */
  readonly id = input<string>();

  protected readonly permissions = PERMISSIONS;
  protected readonly permissionWord = PERMISSION_WORD;
  protected readonly catalogue = CATALOGUE;

  private readonly keeper = computed(() =>
    draftKeeper<MotherDraft>(`mother.${this.id() ?? 'new'}`),
  );
  private readonly edited = signal<MotherDraft | null>(null);
  protected readonly draft = computed<MotherDraft>(
    () => this.edited() ?? this.keeper().read() ?? this.kept(),
  );
  protected readonly tried = signal(false);

  protected readonly found = computed(() => findTaxa(CATALOGUE, this.draft().plant).slice(0, 8));
  protected readonly taxon = computed(() => {
    const typed = this.draft().plant.trim().toLowerCase();
    return CATALOGUE.find((t) => t.name.toLowerCase() === typed) ?? null;
  });
  /** The plant whose figures will count: its own or, for one of the grower's, that of the one it is like. */
  protected readonly figures = computed(
    () => this.taxon() ?? CATALOGUE.find((t) => t.id === this.draft().like) ?? null,
  );
  protected readonly whole = { ...FRESH, closure: 1, roots: 3 as const };
  /** Not of the library: nothing there matches what is typed, or it was handed in all the same. */
  protected readonly isOwn = computed(
    () =>
      this.draft().plant.trim() !== '' &&
      this.taxon() === null &&
      (this.tried() || this.found().length === 0),
  );

  protected readonly problems = computed(() => {
    const d = this.draft();
    return {
      plant: d.plant.trim() === '' ? 'Which plant is it? Type its name; an old one will do.' : '',
      like:
        this.isOwn() && d.like === ''
          ? 'Not in the library. Choose the plant it is most like: its figures stand in until your own are better.'
          : '',
      name: d.name.trim() === '' ? 'What do you call her at the bench?' : '',
      permission: d.permission === '' ? 'May she be propagated? Say how you know.' : '',
      since: d.since > this.today() ? 'That day is still to come.' : '',
    };
  });
  protected readonly good = computed(() => Object.values(this.problems()).every((p) => p === ''));

  protected set<K extends keyof MotherDraft>(field: K, value: MotherDraft[K]): void {
    const draft = { ...this.draft(), [field]: value };
    this.edited.set(draft);
    this.keeper().keep(draft);
  }

  protected setPermission(value: string): void {
    this.set('permission', PERMISSIONS.find((p) => p === value) ?? '');
  }

  protected show(problem: string): string {
    return this.tried() ? problem : '';
  }

  protected pieceOf(taxon: Taxon) {
    return pieceOfPlant(taxon);
  }

  protected waysOf(taxon: Taxon): string {
    return `From ${taxon.methods.map((m) => METHOD[m.method].many).join(', ')}.`;
  }

  protected choose(taxon: Taxon): void {
    this.set('plant', taxon.name);
  }

  protected async save(): Promise<void> {
    this.tried.set(true);
    if (!this.good()) {
      // Angular has not drawn the problems yet; the first bad field is focused once it has.
      setTimeout(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
      return;
    }
    const d = this.draft();
    const drafts: Draft[] = [];
    let taxon = this.taxon()?.id;
    if (taxon === undefined) {
      taxon = this.ownTaxon() ?? freshId();
      drafts.push({
        kind: 'put',
        record: 'taxon',
        key: taxon,
        fields: { name: d.plant.trim(), like: d.like },
      });
    }
    const key = this.id() ?? freshId();
    drafts.push({
      kind: 'put',
      record: 'mother',
      key,
      fields: {
        name: d.name.trim(),
        taxon,
        provenance: d.provenance.trim() || null,
        permission: d.permission === '' ? null : d.permission,
        protectedVariety: d.protectedVariety || null,
        since: d.since || null,
        notes: d.notes.trim() || null,
      },
    });
    this.keeper().drop();
    await this.journal.recordAll(drafts);
    await this.router.navigate(['/mothers', key]);
  }

  /** The id of an own plant of this name, so that a second mother of it does not make it twice. */
  private ownTaxon(): string | undefined {
    const typed = this.draft().plant.trim().toLowerCase();
    return [...this.journal.state().ownTaxa.values()].find((t) => t.name?.toLowerCase() === typed)
      ?.id;
  }

  private kept(): MotherDraft {
    const state = this.journal.state();
    const mother = state.mothers.get(this.id() ?? '');
    if (!mother) return BLANK;
    return {
      plant: plantOf(state, mother.taxon ?? '')?.name ?? '',
      like: state.ownTaxa.get(mother.taxon ?? '')?.like ?? '',
      name: mother.name ?? '',
      provenance: mother.provenance ?? '',
      permission: mother.permission ?? '',
      protectedVariety: mother.protectedVariety ?? false,
      since: mother.since ?? '',
      notes: mother.notes ?? '',
    };
  }
}
