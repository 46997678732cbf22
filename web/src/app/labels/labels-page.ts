import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  signal,
} from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { batchCode, batchTitle, placeOf } from '@hypogeon/core/bench';
import type { Batch } from '@hypogeon/core/journal';
import {
  drawLabel,
  labelOf,
  labelsPerPage,
  LABEL_SHEETS,
  LEAST_MODULE_MM,
  moduleMm,
  placeLabels,
  sheetProblems,
  type LabelSheet,
} from '@hypogeon/core/label';
import { walkStops } from '@hypogeon/core/walk';
import { BenchTabs } from '../bench/bench-tabs';
import { paperOf, type Paper } from '@hypogeon/words';
import { say } from '@hypogeon/messages/labels-page';
import { Drafts } from '../data/drafts';
import { shapeOf } from '../data/draft-shape';
import { Journal } from '../data/journal';
import { LOCALE } from '../data/locale';
import { saveBlob } from '../data/save-text';
import { Today } from '../data/today';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { DrawingDefs } from '../marks/drawing-defs';
import { MARK_LEFT, MARK_SHOWN, MARK_SOIL } from './mark-field';

interface LabelDraft {
  readonly sheet: string;
  readonly own: LabelSheet;
  readonly skip: number;
  readonly each: boolean;
}

const OWN: LabelSheet = {
  ...LABEL_SHEETS[0]!,
  id: 'own',
  get name() {
    return say.ownSize();
  },
};
const BLANK: LabelDraft = { sheet: LABEL_SHEETS[0]!.id, own: OWN, skip: 0, each: false };
/** The sheet that fits the paper of the region. */
const SHEET_ON: Readonly<Record<Paper, string>> = { a4: 'a4-24', letter: 'letter-30' };

const ownFields = () =>
  [
    ['width', say.labelWidthMm()],
    ['height', say.labelHeightMm()],
    ['left', say.leftMarginMm()],
    ['top', say.topMarginMm()],
    ['gapX', say.gapAcrossMm()],
    ['gapY', say.gapDownMm()],
    ['pageWidth', say.pageWidthMm()],
    ['pageHeight', say.pageHeightMm()],
    ['blank', say.blankEndMm()],
  ] as const;

/** Sheets of labels with a code that opens the batch, as a PDF. */
@Component({
  selector: 'hy-labels-page',
  imports: [MatCheckbox, MatButton, MatOption, MatSelect, BenchTabs, Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  templateUrl: './labels-page.html',
  styleUrl: './labels-page.scss',
})
export class LabelsPage {
  protected readonly say = say;

  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  private readonly verdicts = inject(Water).verdicts;
  private readonly words = inject(Words);
  private readonly keeper = inject(Drafts).keeper('labels', shapeOf(BLANK));

  /** The batch one came from, or several, parted by commas. */
  readonly of = input<string>();

  protected readonly defs = inject(DrawingDefs);
  protected readonly markBox = `${MARK_LEFT} 0 ${MARK_SHOWN} ${MARK_SHOWN}`;
  protected readonly soil = `M${MARK_LEFT} ${MARK_SOIL}h${MARK_SHOWN}`;

  protected readonly sheets = [...LABEL_SHEETS, OWN];
  protected readonly ownFields = ownFields();
  protected readonly draft = signal<LabelDraft>(
    this.keeper.read() ?? { ...BLANK, sheet: SHEET_ON[paperOf(inject(LOCALE)())] },
  );
  protected readonly sheet = computed(() => {
    const { sheet, own } = this.draft();
    return sheet === 'own' ? own : (LABEL_SHEETS.find((s) => s.id === sheet) ?? LABEL_SHEETS[0]!);
  });
  protected readonly problems = computed(() => sheetProblems(this.sheet()));
  protected readonly wrong = computed(() => Object.keys(this.problems()).length > 0);

  /** What may want a label, in the order of the walk, what is still to be cut last. */
  protected readonly choices = computed(() => {
    const state = this.state();
    const walked = walkStops(state, this.today(), this.verdicts()).flatMap((s) => s.batches);
    const planned = [...state.batches.values()].filter((b) => b.stage === 'planned');
    const asked = this.asked().flatMap((id) => state.batches.get(id) ?? []);
    const all = [...new Set([...asked, ...walked, ...planned])];
    return all.map((batch) => ({
      batch,
      title: batchTitle(state, batch),
      code: batchCode(state, batch),
      where: placeOf(state, batch) ?? state.spaces.get(batch.space)?.name ?? '',
    }));
  });
  private readonly asked = computed(() => this.of()?.split(',').filter(Boolean) ?? []);
  private readonly ticked = signal<ReadonlySet<string> | null>(null);
  /** From a batch, that one; else what was cut in the last days and can hardly have a label yet. */
  protected readonly chosen = computed<ReadonlySet<string>>(() => {
    const ticked = this.ticked();
    if (ticked) return ticked;
    if (this.asked().length > 0) return new Set(this.asked());
    const fresh = this.choices().filter(({ batch }) => batch.stage === 'callusing');
    return new Set(fresh.map(({ batch }) => batch.id));
  });

  protected readonly labels = computed(() => {
    const state = this.state();
    const base = location.href.replace(/#.*$/, '').replace(/[^/]*$/, '');
    return this.choices()
      .filter(({ batch }) => this.chosen().has(batch.id))
      .flatMap(({ batch }) => {
        const write = {
          full: (day: string): string => `${this.words.shortDay(day)} ${day.slice(0, 4)}`,
          short: (day: string): string => this.words.shortDay(day),
          untilRoots: say.noWaterUntilRoots(),
        };
        const label = labelOf(
          state,
          batch,
          base,
          write,
          this.today(),
          this.verdicts().get(batch.id),
        );
        return Array<typeof label>(this.copies(batch)).fill(label);
      });
  });
  protected readonly pages = computed(() => {
    if (this.wrong() || this.labels().length === 0) return 0;
    const { across, down } = labelsPerPage(this.sheet());
    return Math.ceil((this.labels().length + this.draft().skip) / (across * down));
  });
  protected readonly preview = computed(() => {
    const sheet = this.sheet();
    if (this.wrong()) return null;
    const { across, down } = labelsPerPage(sheet);
    const labels = this.labels();
    const places = placeLabels(sheet, labels.length, this.draft().skip);
    const outlines = placeLabels(sheet, across * down).map(({ x, y }) => ({ x, y }));
    return {
      outlines,
      drawn: places.flatMap((place, i) =>
        place.page === 0 ? [{ ...place, shapes: drawLabel(sheet, labels[i]!) }] : [],
      ),
    };
  });
  /** Too small a code is said before it is printed. */
  protected readonly tooSmall = computed(() => {
    const [first] = this.labels();
    return (
      first !== undefined &&
      !this.wrong() &&
      moduleMm(this.sheet(), first.address) < LEAST_MODULE_MM
    );
  });

  constructor() {
    effect(() => this.keeper.keep(this.draft()));
  }

  protected change(part: Partial<LabelDraft>): void {
    this.draft.update((d) => ({ ...d, ...part }));
  }

  protected own(field: keyof LabelSheet, text: string): void {
    const value = numberFrom(text);
    if (value >= 0) this.change({ own: { ...this.draft().own, [field]: value } });
  }

  protected skip(text: string): void {
    const n = Number(text);
    if (Number.isInteger(n) && n >= 0 && n < 1000) this.change({ skip: n });
  }

  protected tick(id: string): void {
    const next = new Set(this.chosen());
    if (!next.delete(id)) next.add(id);
    this.ticked.set(next);
  }

  protected all(): void {
    this.ticked.set(new Set(this.choices().map(({ batch }) => batch.id)));
  }

  protected none(): void {
    this.ticked.set(new Set());
  }

  protected points(shape: { readonly points: readonly (readonly [number, number])[] }): string {
    return shape.points.map((p) => p.join(',')).join(' ');
  }

  protected async save(): Promise<void> {
    const { labelsPdf } = await import('./label-pdf');
    saveBlob(
      `labels-${this.today()}.pdf`,
      labelsPdf(this.sheet(), this.labels(), this.draft().skip),
    );
  }

  private copies(batch: Batch): number {
    return this.draft().each ? (batch.containers ?? 1) : 1;
  }
}
