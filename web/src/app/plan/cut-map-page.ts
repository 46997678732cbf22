import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { leastOf, METHOD, type TaxonMethod } from '@hypogeon/core/botany';
import { beliefOf } from '@hypogeon/core/learn';
import {
  baredLeaves,
  bestCutMap,
  columnRules,
  evenNodes,
  leastStem,
  looseRules,
  nodesFrom,
  pieceProblem,
  piecesAt,
  plantsFrom,
  sideBranches,
  smoothMarks,
  stemProblem,
  stemRules,
  trailRules,
  TRIM_MM,
  type CutRules,
  type PieceKind,
  type Stem,
} from '@hypogeon/core/plan';
import { pieceProblemText, piecesText, tooShortText } from '@hypogeon/words';
import { cuttingCautions } from '@hypogeon/core/safety';
import { lengthIn, readLength } from '@hypogeon/core/units';
import { referenceClosureDays } from '@hypogeon/core/wound';
import { say } from '@hypogeon/messages/cut-map-page';
import { keptDraft } from '../data/kept-draft';
import { shapeOf } from '../data/draft-shape';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { StemDrawing } from '../marks/stem-drawing';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { DraftNote } from '../forms/draft-note';
import { planMother } from './plan-mother';
import { MotherPick } from './mother-pick';
import { PlanTabs } from './plan-tabs';
import { CutTerms } from './cut-terms';
import { PlanDesk } from './plan-desk';
import { RelatedBatches } from './related-batches';

interface StemDraft {
  readonly length: string;
  readonly nodes: string;
  readonly width: string;
  /** Heights of the nodes as typed or dragged; empty where they are evenly spaced. */
  readonly heights: string;
  readonly laid: string;
  /** Leaves at a node that are used as leaf cuttings. */
  readonly leaves: string;
  /** `yes`: it was cut off already, no stump stays. */
  readonly loose: string;
  /** `fresh`: of a loose one the old end is cut afresh. */
  readonly base: string;
  /** Lengths of its side branches, and where it is bare: from and to. */
  readonly branches: string;
  readonly bare: string;
}

const BLANK: StemDraft = {
  length: '300',
  nodes: '14',
  width: '8',
  heights: '',
  laid: '',
  leaves: '0',
  loose: '',
  base: '',
  branches: '',
  bare: '',
};
const COLUMN: StemDraft = { ...BLANK, length: '800', nodes: '0', width: '60' };

/** No stem of these plants that is cut up is longer: it was measured or typed wrongly. */
const LONGEST_MM = 5000;

/** Where the blade goes on one stem: the best cutting up, moved by hand if one likes, and made into batches. */
@Component({
  selector: 'hy-cut-map-page',
  imports: [
    MatButton,
    MatOption,
    MatSelect,
    DraftNote,
    Field,
    FieldControl,
    CutTerms,
    MotherPick,
    PlanTabs,
    RouterLink,
    StemDrawing,
  ],
  providers: [PlanDesk],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cut-map-page.html',
  styleUrl: './pieces-page.scss',
})
export class CutMapPage {
  protected readonly say = say;

  private readonly related = inject(RelatedBatches);
  private readonly desk = inject(PlanDesk);
  protected readonly words = inject(Words);

  readonly mother = input<string>();

  private readonly her = planMother(this.mother);
  protected readonly look = this.her.look;

  constructor() {
    effect(() => this.desk.asked.set(this.mother()));
  }

  protected readonly motherName = this.her.name;
  protected readonly plant = this.her.plant;
  protected readonly column = computed(() => this.her.way('column'));
  /** A trail is cut into lengths, its tip like the rest. */
  protected readonly trail = computed(() =>
    this.her.way('crown') || this.her.way('branch') ? null : this.her.way('trailing'),
  );
  protected readonly trimMm = TRIM_MM;
  protected readonly loose = computed(() => this.draft().loose === 'yes');
  protected readonly crown = computed(
    () => this.her.way('crown') ?? this.her.way('branch') ?? this.column() ?? this.trail(),
  );
  protected readonly segmentWay = computed(() => (this.trail() ? null : this.her.way('segment')));
  protected readonly leafWay = computed(() => this.her.way('leaf'));

  private readonly typedStem = keptDraft<StemDraft>(
    () => (this.column() ? 'column' : 'stem'),
    () => shapeOf(this.column() ? COLUMN : BLANK),
  );
  protected readonly left = this.typedStem.left;
  protected readonly draft = computed<StemDraft>(() => ({
    ...this.blank(),
    ...this.typedStem.typed(),
  }));
  /** Cuts as they were moved by hand, from the top; null where they are the best ones. */
  protected readonly hand = linkedSignal<unknown, readonly number[] | null>({
    source: this.mother,
    computation: () => null,
  });
  /** A stem as one mostly has it, in the grower's unit. */
  private blank(): StemDraft {
    const { length, width, ...rest } = this.column() ? COLUMN : BLANK;
    return {
      ...rest,
      length: this.words.typed(Number(length)),
      width: this.words.typed(Number(width)),
    };
  }

  protected readonly moved = computed(() => this.hand() !== null);
  protected readonly movesNodes = linkedSignal({ source: this.mother, computation: () => false });

  private readonly length = computed(() =>
    readLength(this.draft().length, this.words.lengthUnit()),
  );
  private readonly width = computed(() => readLength(this.draft().width, this.words.lengthUnit()));
  protected readonly lengthProblem = computed(() => {
    const read = this.length();
    if (!read.ok) return read.problem;
    return this.tooLong([read.mm]);
  });
  protected readonly widthProblem = computed(() => {
    const read = this.width();
    return read.ok ? '' : read.problem;
  });
  protected readonly nodesProblem = computed(() => {
    const n = numberFrom(this.draft().nodes);
    return Number.isInteger(n) && n >= 0 && n <= 300 ? '' : say.aWholeNumberUp();
  });
  private readonly typedNodes = computed(() =>
    nodesFrom(this.draft().heights, (text) => {
      const read = readLength(text, this.words.lengthUnit());
      return read.ok ? read.mm : null;
    }),
  );
  protected readonly heightsProblem = computed(() =>
    this.typedNodes() === null
      ? say.heightsAreLengthsWith({ like: this.like([30, 55, 80]) })
      : this.typedNodes()!.length > 300
        ? say.atMost300Nodes()
        : '',
  );
  /** A column without joints may be cut anywhere. */
  protected readonly smooth = computed(
    () =>
      this.column() !== null &&
      this.draft().heights.trim() === '' &&
      this.draft().nodes.trim() === '0',
  );

  /** Lengths as they may be typed, in the grower's unit. */
  protected like(mm: readonly number[]): string {
    return mm.map((one) => this.words.typed(one)).join(' ');
  }
  /** Lengths in a row, in mm; null where one of them is none. */
  private lengths(text: string): readonly number[] | null {
    return nodesFrom(text, (typed) => {
      const read = readLength(typed, this.words.lengthUnit());
      return read.ok ? read.mm : null;
    });
  }
  private tooLong(lengthsMm: readonly number[]): string {
    return lengthsMm.some((mm) => mm > LONGEST_MM)
      ? say.longerThanMeasureAgain({ length: this.words.length(LONGEST_MM) })
      : '';
  }
  private readonly bareMm = computed(() => {
    const read = this.lengths(this.draft().bare);
    if (read === null) return null;
    const [from, to] = read.length === 1 ? [0, read[0]!] : read;
    return from === undefined || to === undefined ? undefined : { from, to };
  });
  protected readonly bareProblem = computed(() =>
    this.bareMm() === null || (this.lengths(this.draft().bare)?.length ?? 0) > 2
      ? say.twoHeightsWithA({ like: this.like([60, 200]) })
      : '',
  );
  private readonly branchesMm = computed(() => this.lengths(this.draft().branches));
  protected readonly branchesProblem = computed(() => {
    const read = this.branchesMm();
    if (read === null) return say.lengthsWithASpace({ like: this.like([120, 90]) });
    return read.length > 60 ? say.atMost60Branches() : this.tooLong(read);
  });

  private readonly stem = computed<Stem | null>(() => {
    const length = this.length();
    const typed = this.typedNodes();
    if (!length.ok || !this.width().ok || typed === null) return null;
    if (this.lengthProblem() || this.nodesProblem() || this.heightsProblem()) return null;
    if (this.bareProblem() || this.branchesProblem()) return null;
    const nodesMm =
      typed.length > 0
        ? typed
        : this.smooth()
          ? smoothMarks(length.mm)
          : evenNodes(length.mm, numberFrom(this.draft().nodes));
    return { lengthMm: length.mm, nodesMm, bareMm: this.bareMm() ?? undefined };
  });

  private readonly rules = computed<CutRules | null>(() => {
    const crown = this.crown();
    const taxon = this.plant()?.id;
    const width = this.width();
    if (!crown || taxon === undefined || !width.ok) return null;
    const state = this.her.state();
    const kind = (way: TaxonMethod): PieceKind => ({
      chance: beliefOf(state, taxon, way).mean,
      least: leastOf(way),
    });
    const top = kind(crown);
    const segment = this.segmentWay();
    const rules = this.column()
      ? columnRules(top.chance, width.mm, top.least)
      : this.trail()
        ? trailRules(top)
        : stemRules(top, segment && kind(segment), this.draft().laid === 'laid');
    const trimMm = this.draft().base === 'fresh' ? TRIM_MM : 0;
    return this.loose() ? looseRules(rules, trimMm) : rules;
  });

  protected readonly problem = computed(() => {
    const stem = this.stem();
    const rules = this.rules();
    if (!stem || !rules) return '';
    if (stem.lengthMm > 0 && stem.lengthMm < leastStem(rules))
      return tooShortText(rules, this.words.speech());
    return stemProblem(stem) || (this.best() ? '' : say.itsNodesSitSo());
  });
  private readonly best = computed(() => {
    const stem = this.stem();
    const rules = this.rules();
    return stem && rules ? bestCutMap(stem, rules) : null;
  });

  protected readonly view = computed(() => {
    const stem = this.stem();
    const rules = this.rules();
    const best = this.best();
    const width = this.width();
    if (!stem || !rules || !best || !width.ok) return null;
    const hand = this.hand();
    // The base of a loose stem was cut before: nothing to move there.
    const [blades, base] = [best.cuts.filter((c) => c > 0), best.cuts.filter((c) => c === 0)];
    const moved = hand?.length === blades.length ? hand : blades;
    const cuts = [...moved, ...base];
    const smooth = this.smooth();
    const pieces = piecesAt(stem, cuts, rules).map((p) => ({
      ...p,
      problem: pieceProblemText(pieceProblem(p, rules), this.words.speech()),
      says: [
        this.words.length(p.toMm - p.fromMm),
        ...(smooth ? [] : [`${p.nodes} ${this.column() ? say.joints() : say.nodes()}`]),
        say.plants({ worth: this.words.rounded(p.worth, 2) }),
      ].join(', '),
    }));
    const tissue = this.crown()?.wound?.tissue ?? 'soft stem';
    const good = pieces.filter((p) => !p.problem);
    const spacing = stem.lengthMm / Math.max(1, stem.nodesMm.length);
    const branches = sideBranches(this.branchesMm() ?? [], spacing, rules);
    const side = branches.flatMap((b) => b.pieces);
    const perNode = Number(this.draft().leaves);
    const leaves = baredLeaves(pieces, rules, perNode, stem) + baredLeaves(side, rules, perNode);
    const crowns = [...pieces, ...side].filter((p) => p.kind === 'crown').length;
    const segments = pieces.length + side.length - crowns;
    const bladeCuts = moved.length + side.length;
    return {
      stem,
      widthMm: width.mm,
      cuts: moved,
      pieces,
      leaves,
      crowns,
      segments,
      branches,
      tooShort: branches.filter((b) => b.pieces.length === 0).length,
      names: this.names(crowns, segments, leaves),
      cutsSay:
        bladeCuts === 0 ? say.noCut() : bladeCuts === 1 ? say.oneCut() : say.cuts({ bladeCuts }),
      staysSay: this.stays(cuts, stem.lengthMm),
      lost: this.words.length(bladeCuts * rules.bladeMm),
      plants: plantsFrom([...good, ...side], rules),
      best: best.worth + side.reduce((sum, p) => sum + p.worth, 0),
      wrong: good.length < pieces.length,
      closes: this.words.rounded(referenceClosureDays(width.mm, tissue), 1),
    };
  });

  protected readonly cautions = computed(() => {
    const taxon = this.plant()?.taxon;
    return taxon ? cuttingCautions(taxon, true, this.desk.draft().disinfectant) : [];
  });

  protected afresh(): void {
    this.typedStem.drop();
  }

  protected set(field: keyof StemDraft, value: string): void {
    const draft = { ...this.draft(), [field]: value };
    this.typedStem.set(draft);
    this.hand.set(null);
  }

  /** Nodes as they were dragged become the typed ones. */
  protected setNodes(nodesMm: readonly number[]): void {
    const shown = nodesMm.map((mm) => +lengthIn(mm, this.words.lengthUnit()).toFixed(1));
    this.set('heights', shown.join(' '));
  }

  /** Top, segments and leaves as batches of their own. */
  protected readonly take = oneAtATime(() => this.takeAll());

  private async takeAll(): Promise<void> {
    const v = this.view();
    const plant = this.plant();
    const crown = this.crown();
    if (!v || !plant || !crown || v.wrong) return;
    const leaf = Number(this.draft().leaves) > 0 ? this.leafWay() : null;
    const { crowns, segments } = v;
    const segment = this.segmentWay();
    const cut = { widthMm: v.widthMm };
    await this.related.cut(
      this.desk,
      this.mother()!,
      plant.id,
      segment && !this.column()
        ? [
            { way: crown, count: crowns, ...cut },
            { way: segment, count: segments, ...cut },
            ...(leaf ? [{ way: leaf, count: v.leaves }] : []),
          ]
        : [
            { way: crown, count: crowns + segments, ...cut },
            ...(leaf ? [{ way: leaf, count: v.leaves }] : []),
          ],
    );
  }

  /** What is left where the stem stood, or on the table. */
  private stays(cuts: readonly number[], lengthMm: number): string {
    const left = cuts.at(-1) ?? lengthMm;
    if (this.loose())
      return left === 0
        ? say.nothingIsLeftOver()
        : say.ofBaseAreLeft({ length: this.words.length(left) });
    return this.trail() && left < 15
      ? say.cutWhereItBegins()
      : say.aStumpOfStays({ length: this.words.length(left) });
  }

  private names(crowns: number, segments: number, leaves: number): string {
    if (this.trail()) return piecesText('trailing', segments + crowns);
    const { method } = this.crown()!;
    const top =
      crowns > 1
        ? `${crowns} ${this.column() ? say.tips() : METHOD[method].many}`
        : this.column()
          ? say.aTip()
          : method === 'branch'
            ? say.aBranch()
            : say.aCrown();
    const rest =
      segments === 0 ? '' : segments === 1 ? say.aSegment() : say.segments2({ segments });
    const more = leaves === 0 ? '' : leaves === 1 ? say.aLeaf() : say.leaves({ leaves });
    const parts = [top, rest, more].filter(Boolean);
    return parts.length === 1
      ? top
      : say.and({ parts: parts.slice(0, -1).join(', '), at: parts.at(-1)! });
  }
}
