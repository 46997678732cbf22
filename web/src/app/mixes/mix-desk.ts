import { computed, inject, Injectable, signal } from '@angular/core';
import {
  componentOf,
  componentsOf,
  containerOf,
  containersOf,
  mixesOf,
  mixOf,
} from '@hypogeon/core/bench';
import { correctionBy, fillPot, mediumOf, partsProblem, type Part } from '@hypogeon/core/media';
import { say } from '@hypogeon/messages/mix-desk';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { Journal } from '../data/journal';

export interface MixDraft {
  /** The mix it was taken from; empty for one from nothing. */
  readonly from: string;
  readonly name: string;
  readonly parts: readonly { readonly component: string; readonly parts: number }[];
  readonly container: string;
  readonly count: number;
}

const FIRST: MixDraft = {
  from: 'two-to-one',
  name: '',
  parts: [
    { component: 'pumice', parts: 2 },
    { component: 'akadama', parts: 1 },
  ],
  container: 'pot-7',
  count: 12,
};

/** The mix that lies on the table: shared by all pages of Mix, and kept over a reload. */
@Injectable({ providedIn: 'root' })
export class MixDesk {
  private readonly state = inject(Journal).state;
  private readonly keeper = inject(Drafts).keeper('mix', shapeOf(FIRST));
  private readonly edited = signal<MixDraft | null>(this.keeper.read());

  readonly draft = computed<MixDraft>(() => this.edited() ?? this.opening());
  readonly components = computed(() => componentsOf(this.state()));
  readonly containers = computed(() => containersOf(this.state()));
  readonly mixes = computed(() => mixesOf(this.state()));

  readonly parts = computed((): readonly Part[] =>
    this.draft().parts.flatMap(({ component, parts }) => {
      const known = componentOf(this.state(), component);
      return known ? [{ component: known, parts }] : [];
    }),
  );
  readonly problem = computed(() => partsProblem(this.parts()));
  readonly medium = computed(() => (this.problem() ? null : mediumOf(this.parts())));
  readonly container = computed(
    () => containerOf(this.state(), this.draft().container) ?? this.containers()[0]!,
  );
  readonly tests = computed(() => this.state().jugs.get(this.draft().from) ?? []);
  /** The mix as it was taken up; null where it is one of its own. */
  readonly origin = computed(() => mixOf(this.state(), this.draft().from));
  readonly changed = computed(() => {
    const origin = this.origin();
    if (!origin) return true;
    const rows = origin.parts.map((p) => `${p.component.id}:${p.parts}`).join();
    return (
      rows !==
      this.draft()
        .parts.map((p) => `${p.component}:${p.parts}`)
        .join()
    );
  });
  readonly name = computed(() => this.draft().name || (this.origin()?.name ?? say.unnamedMix()));
  /** A drain test speaks only for the mix that was tested. */
  readonly correction = computed(() => {
    const medium = this.medium();
    return medium && !this.changed() ? correctionBy(medium, this.tests()) : undefined;
  });
  readonly pot = computed(() => {
    const medium = this.medium();
    return medium && fillPot(medium, this.container(), this.correction());
  });

  open(id: string): void {
    const mix = mixOf(this.state(), id);
    if (!mix) return;
    this.change({
      from: id,
      name: mix.house ? '' : mix.name,
      parts: mix.parts.map((p) => ({ component: p.component.id, parts: p.parts })),
    });
  }

  change(fields: Partial<MixDraft>): void {
    const draft = { ...this.draft(), ...fields };
    this.edited.set(draft);
    this.keeper.keep(draft);
  }

  setParts(index: number, parts: number): void {
    this.change({
      parts: this.draft().parts.map((p, i) => (i === index ? { ...p, parts } : p)),
    });
  }

  setShares(shares: readonly number[]): void {
    this.change({
      parts: this.draft().parts.map((p, i) => ({
        ...p,
        parts: Math.round(shares[i]! * 1000) / 10,
      })),
    });
  }

  add(component: string): void {
    if (this.draft().parts.some((p) => p.component === component)) return;
    const sum = this.draft().parts.reduce((a, p) => a + p.parts, 0);
    this.change({
      parts: [...this.draft().parts, { component, parts: sum > 20 ? Math.round(sum / 10) : 1 }],
    });
  }

  remove(index: number): void {
    this.change({ parts: this.draft().parts.filter((_, i) => i !== index) });
  }

  /** The grower's own first mix, else a house recipe. */
  private opening(): MixDraft {
    const [own] = [...this.state().mixes.keys()];
    const mix = own === undefined ? null : mixOf(this.state(), own);
    if (!mix) return FIRST;
    return {
      ...FIRST,
      from: mix.id,
      name: mix.name,
      parts: mix.parts.map((p) => ({ component: p.component.id, parts: p.parts })),
    };
  }
}
