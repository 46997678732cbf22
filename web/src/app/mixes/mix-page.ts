import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  average,
  averageJugs,
  drainClass,
  type DrainClass,
  dustCautions,
  airLack,
  mixNotes,
  type Medium,
  type FilledPot,
} from '@hypogeon/core/media';
import { airWarning } from '@hypogeon/words';
import { say } from '@hypogeon/messages/mix-page';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Words } from '../data/words';
import { toneOf } from '../marks/grains';
import { PotSection } from '../marks/pot-section';
import { StrataColumn } from '../marks/strata-column';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { MixDesk } from './mix-desk';
import { MixTabs } from './mix-tabs';
import { CellOf, type Column } from '../ui/column';
import { NumberPipe } from '../ui/number-pipe';
import { Table } from '../ui/table';
import { perCent } from '@hypogeon/core/units';

/** A mix as layers beside the pot it makes: parts by figures or by dragging, and what becomes of them. */
/** How soon water on top is gone. */
const DRAINS: Readonly<Record<DrainClass, string>> = {
  get 'at once'() {
    return say.atOnce();
  },
  get 'within two minutes'() {
    return say.withinTwoMinutes();
  },
  get slowly() {
    return say.slowly();
  },
  get hardly() {
    return say.hardly();
  },
};

@Component({
  selector: 'hy-mix-page',
  imports: [
    CellOf,
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    MatOption,
    MatSelect,
    NumberPipe,
    Field,
    FieldControl,
    MixTabs,
    PotSection,
    StrataColumn,
    Table,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './mix-page.html',
  styleUrl: './mix-page.scss',
})
export class MixPage {
  protected readonly say = say;
  protected readonly perCent = perCent;

  private readonly actions = inject(Actions);
  protected readonly desk = inject(MixDesk);
  protected readonly words = inject(Words);

  protected readonly byPercent = signal(false);
  protected readonly naming = signal(false);
  protected readonly nameProblem = signal('');

  protected readonly rows = computed(() => {
    const parts = this.desk.parts();
    const sum = parts.reduce((total, p) => total + p.parts, 0);
    return parts.map((p, index) => ({
      ...p,
      index,
      tone: toneOf(p.component.id, p.component.kind),
      percent: sum > 0 ? (p.parts / sum) * 100 : 0,
    }));
  });
  protected readonly columns: readonly Column<ReturnType<typeof this.rows>[number]>[] = [
    { key: 'component', head: say.component(), text: (r) => r.component.name },
    { key: 'share', head: say.share(), number: true, text: (r) => this.shown(r.parts, r.percent) },
    { key: 'act', head: say.remove2(), text: () => '', act: true },
  ];
  protected readonly others = computed(() => {
    const used = new Set(this.desk.draft().parts.map((p) => p.component));
    return this.desk.components().filter((c) => !used.has(c.id));
  });
  protected readonly airWarning = (pot: FilledPot): string => airWarning(airLack(pot));
  protected readonly notes = computed(() => {
    const medium = this.desk.medium();
    return medium ? mixNotes(medium) : [];
  });
  protected readonly dust = computed(() => {
    const medium = this.desk.medium();
    return medium ? dustCautions(medium) : [];
  });
  protected readonly measured = computed(() =>
    this.desk.changed() ? null : averageJugs(this.desk.tests()),
  );

  protected set(index: number, text: string): void {
    const value = numberFrom(text);
    if (!Number.isFinite(value) || value < 0 || value > 1e6) return;
    if (!this.byPercent()) return this.desk.setParts(index, value);
    // One share is set; the others keep their proportions in what is left.
    const rows = this.rows();
    const rest = rows.reduce((sum, r, i) => (i === index ? sum : sum + r.percent), 0);
    const share = Math.min(value, 100);
    this.desk.setShares(
      rows.map((r, i) =>
        i === index ? share / 100 : rest > 0 ? ((r.percent / rest) * (100 - share)) / 100 : 0,
      ),
    );
  }

  protected shown(parts: number, percent: number): string {
    return String(this.byPercent() ? +percent.toFixed(1) : +parts.toFixed(2));
  }

  /** A clock that was held over a jug stands before the model. */
  protected drains({ pondedSeconds, drains }: Medium): string {
    const clocked = this.desk.changed()
      ? []
      : this.desk.tests().flatMap((t) => t.pondedSeconds ?? []);
    if (clocked.length > 0) {
      const seconds = average(clocked).mean;
      return say.sByTheClock({
        drainClass: DRAINS[drainClass(seconds)],
        seconds: Math.round(seconds),
      });
    }
    const told =
      pondedSeconds < 1
        ? say.underASecond()
        : say.aboutS({ pondedSeconds: Math.round(pondedSeconds) });
    return say.forTwoFingersOf({ drains, told });
  }

  protected async keep(name: string, fresh: boolean): Promise<void> {
    const trimmed = name.trim();
    if (!trimmed) return this.nameProblem.set(say.giveItAName());
    if (this.desk.problem()) return this.nameProblem.set(this.desk.problem());
    this.nameProblem.set('');
    const origin = this.desk.origin();
    const key = fresh || !origin || origin.house ? freshId() : origin.id;
    const parts = this.desk
      .draft()
      .parts.map(({ component, parts: n }) => ({ component, parts: n }));
    const taken = await this.actions.record(
      { kind: 'put', record: 'mix', key, fields: { name: trimmed.slice(0, 120), parts } },
      say.kept({ trimmed }),
    );
    if (!taken) return;
    this.naming.set(false);
    this.desk.open(key);
  }
}
