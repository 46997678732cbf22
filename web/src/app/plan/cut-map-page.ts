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
  branchPieces,
  leastStem,
  looseRules,
  nodesFrom,
  pieceProblem,
  piecesAt,
  plantsFrom,
  smoothMarks,
  stemProblem,
  stemRules,
  trailRules,
  type CutRules,
  type PieceKind,
  type Stem,
} from '@hypogeon/core/plan';
import { pieceProblemText, piecesText, tooShortText } from '@hypogeon/words';
import { cuttingCautions } from '@hypogeon/core/safety';
import { lengthIn, readLength } from '@hypogeon/core/units';
import { referenceClosureDays } from '@hypogeon/core/wound';
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
  branches: '',
  bare: '',
};
const COLUMN: StemDraft = { ...BLANK, length: '800', nodes: '0', width: '60' };

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
  template: `
    <div class="page-head">
      <h1>Cut map</h1>
      <p class="quiet">{{ motherName() }}</p>
    </div>
    <hy-plan-tabs inside [mother]="mother()" />
    <hy-mother-pick [mother]="mother()" />
    <hy-draft-note [at]="left()" (afresh)="afresh()" />
    @if (plant() && !crown()) {
      <p>
        This plant is not cut along its stem. The
        <a routerLink="/plan" [queryParams]="{ mother: mother() }">plan</a> has its ways.
      </p>
    } @else if (plant()) {
      <div
        class="grid grid-cols-[minmax(0,1fr)_minmax(0,26rem)] gap-y-8 gap-x-12 narrow:grid-cols-1"
      >
        <div>
          <div class="fields">
            <hy-field
              label="Stem, soil to tip, {{ words.lengthUnit() }}"
              [problem]="lengthProblem()"
            >
              <input
                hyControl
                type="text"
                [value]="draft().length"
                (input)="set('length', len.value)"
                #len
              />
            </hy-field>
            <hy-field
              [label]="column() ? 'Joints on it' : 'Nodes on it'"
              [problem]="nodesProblem()"
              [hint]="
                column() ? 'None on a smooth one.' : 'Evenly spaced; where leaves sit or sat.'
              "
            >
              <input
                hyControl
                type="number"
                min="1"
                max="300"
                [value]="draft().nodes"
                (input)="set('nodes', nodes.value)"
                #nodes
              />
            </hy-field>
            <hy-field
              label="Or their heights, {{ words.lengthUnit() }}"
              [problem]="heightsProblem()"
              [hint]="'From the base: ' + like([30, 55, 80]) + '. Overrules the number.'"
            >
              <input
                hyControl
                type="text"
                [value]="draft().heights"
                (input)="set('heights', heights.value)"
                #heights
              />
            </hy-field>
            <hy-field label="Its width, {{ words.lengthUnit() }}" [problem]="widthProblem()">
              <input
                hyControl
                type="text"
                [value]="draft().width"
                (input)="set('width', wide.value)"
                #wide
              />
            </hy-field>
            @if (!column() && segmentWay()) {
              <hy-field label="Segments">
                <mat-select value="" (selectionChange)="set('laid', $event.value)">
                  <mat-option value="">stand, one node covered</mat-option>
                  <mat-option value="laid">lie, half covered</mat-option>
                </mat-select>
              </hy-field>
            }
            <hy-field label="Where it is">
              <mat-select [value]="draft().loose" (selectionChange)="set('loose', $event.value)">
                <mat-option value="">on the mother</mat-option>
                <mat-option value="yes">cut off already</mat-option>
              </mat-select>
            </hy-field>
            @if (!column() && !trail()) {
              <hy-field
                label="Bare stretch, {{ words.lengthUnit() }}"
                [problem]="bareProblem()"
                [hint]="'From and to, without leaves: ' + like([60, 200]) + '. There it is cut.'"
              >
                <input
                  hyControl
                  type="text"
                  [value]="draft().bare"
                  (input)="set('bare', bare.value)"
                  #bare
                />
              </hy-field>
              <hy-field
                label="Side branches, {{ words.lengthUnit() }}"
                [problem]="branchesProblem()"
                [hint]="'Their lengths: ' + like([120, 90]) + '. Each is cut at its base.'"
              >
                <input
                  hyControl
                  type="text"
                  [value]="draft().branches"
                  (input)="set('branches', branches.value)"
                  #branches
                />
              </hy-field>
            }
            @if (leafWay()) {
              <hy-field label="Leaves at a node" hint="Those of bared nodes are leaf cuttings.">
                <mat-select
                  [value]="draft().leaves"
                  (selectionChange)="set('leaves', $event.value)"
                >
                  <mat-option value="0">none to use</mat-option>
                  <mat-option value="1">one</mat-option>
                  <mat-option value="2">a pair</mat-option>
                </mat-select>
              </hy-field>
            }
          </div>
          @if (problem()) {
            <p class="problem" role="alert">{{ problem() }}</p>
          }
          @if (view(); as v) {
            <section class="grid gap-3 mt-5.5" aria-live="polite" aria-label="What the cuts give">
              <p class="headline text-3xl">
                About {{ words.rounded(v.plants.likely, 1) }} plants
                <span class="plain text-base quiet"
                  >{{ v.plants.low }}–{{ v.plants.high }}, eight times in ten</span
                >
              </p>
              <p class="quiet">
                {{ v.names }}, {{ v.cutsSay }}; {{ v.staysSay }}.
                @if (v.tooShort > 0) {
                  {{ v.tooShort === 1 ? 'One branch is' : v.tooShort + ' branches are' }} too short
                  for a cutting.
                }
                {{
                  moved()
                    ? 'Best would be ' + words.rounded(v.best, 1) + '.'
                    : 'No other cutting gives more.'
                }}
              </p>
              <p>
                A cut this wide closes in about {{ v.closes }} days at
                {{ words.temperature(22) }} and 55%. Arrows point to the tip: set every piece that
                way up.
              </p>
              <p class="quiet small">
                {{ v.lost }} of stem go to the blade. A piece set upside down never roots: the plan
                has none.
              </p>
              <hy-cut-terms />
              <div class="row">
                <button matButton="filled" [disabled]="v.wrong" (click)="take()">
                  Cut: put them on the bench
                </button>
                @if (moved()) {
                  <button matButton="outlined" (click)="hand.set(null)">Back to the best</button>
                }
                @if (v.stem.nodesMm.length <= 40 && !smooth()) {
                  <button
                    matButton="outlined"
                    [attr.aria-pressed]="movesNodes()"
                    (click)="movesNodes.set(!movesNodes())"
                  >
                    {{ movesNodes() ? 'Move cuts again' : 'Move nodes' }}
                  </button>
                }
              </div>
              @if (v.wrong) {
                <p class="problem" role="alert">
                  One piece would not do: move its cut, or go back to the best.
                </p>
              }
              <ul class="grid gap-2 bare">
                @for (c of cautions(); track c.title) {
                  <li class="pl-3 border-l-4 border-callus" [class]="c.weight">
                    <strong>{{ c.title }}.</strong> {{ c.advice }}
                  </li>
                }
              </ul>
            </section>
          }
        </div>
        @if (view(); as v) {
          <hy-stem-drawing
            [look]="look()"
            [stem]="v.stem"
            [widthMm]="v.widthMm"
            [cuts]="v.cuts"
            [pieces]="v.pieces"
            [nodesShown]="!smooth()"
            [leafy]="!column()"
            [movesNodes]="movesNodes()"
            [loose]="loose()"
            (moved)="hand.set($event)"
            (nodesMoved)="setNodes($event)"
          />
        }
      </div>
    }
  `,
  styleUrl: './pieces-page.scss',
})
export class CutMapPage {
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
    return read.mm > 5000 ? `Longer than ${this.words.length(5000)}. Measure again.` : '';
  });
  protected readonly widthProblem = computed(() => {
    const read = this.width();
    return read.ok ? '' : read.problem;
  });
  protected readonly nodesProblem = computed(() => {
    const n = numberFrom(this.draft().nodes);
    return Number.isInteger(n) && n >= 0 && n <= 300 ? '' : 'A whole number up to 300.';
  });
  private readonly typedNodes = computed(() =>
    nodesFrom(this.draft().heights, (text) => {
      const read = readLength(text, this.words.lengthUnit());
      return read.ok ? read.mm : null;
    }),
  );
  protected readonly heightsProblem = computed(() =>
    this.typedNodes() === null
      ? `Heights are lengths with a space between, like ${this.like([30, 55, 80])}.`
      : this.typedNodes()!.length > 300
        ? 'At most 300 nodes. Cut the stem up in two plans.'
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
  private readonly bareMm = computed(() => {
    const read = this.lengths(this.draft().bare);
    if (read === null) return null;
    const [from, to] = read.length === 1 ? [0, read[0]!] : read;
    return from === undefined || to === undefined ? undefined : { from, to };
  });
  protected readonly bareProblem = computed(() =>
    this.bareMm() === null || (this.lengths(this.draft().bare)?.length ?? 0) > 2
      ? `Two heights with a space between, like ${this.like([60, 200])}.`
      : '',
  );
  private readonly branchesMm = computed(() => this.lengths(this.draft().branches));
  protected readonly branchesProblem = computed(() => {
    const read = this.branchesMm();
    if (read === null) return `Lengths with a space between, like ${this.like([120, 90])}.`;
    return read.length > 60 ? 'At most 60 branches. Cut them up in two plans.' : '';
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
    return this.loose() ? looseRules(rules) : rules;
  });

  protected readonly problem = computed(() => {
    const stem = this.stem();
    const rules = this.rules();
    if (!stem || !rules) return '';
    if (stem.lengthMm > 0 && stem.lengthMm < leastStem(rules))
      return tooShortText(rules, this.words.speech());
    return (
      stemProblem(stem) ||
      (this.best()
        ? ''
        : 'Its nodes sit so that no top can be taken and a stump kept: take leaves, or wait.')
    );
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
        ...(smooth ? [] : [`${p.nodes} ${this.column() ? 'joints' : 'nodes'}`]),
        `${this.words.rounded(p.worth, 2)} plants`,
      ].join(', '),
    }));
    const tissue = this.crown()?.wound?.tissue ?? 'soft stem';
    const good = pieces.filter((p) => !p.problem);
    const spacing = stem.lengthMm / Math.max(1, stem.nodesMm.length);
    const side = branchPieces(this.branchesMm() ?? [], spacing, rules);
    const perNode = Number(this.draft().leaves);
    const leaves =
      baredLeaves(pieces, rules, perNode, stem) + baredLeaves(side.pieces, rules, perNode);
    const crowns = [...pieces, ...side.pieces].filter((p) => p.kind === 'crown').length;
    const segments = pieces.length + side.pieces.length - crowns;
    const bladeCuts = moved.length + side.pieces.length;
    return {
      stem,
      widthMm: width.mm,
      cuts: moved,
      pieces,
      leaves,
      crowns,
      segments,
      tooShort: side.tooShort,
      names: this.names(crowns, segments, leaves),
      cutsSay: bladeCuts === 0 ? 'no cut' : bladeCuts === 1 ? 'one cut' : `${bladeCuts} cuts`,
      staysSay: this.stays(cuts, stem.lengthMm),
      lost: this.words.length(bladeCuts * rules.bladeMm),
      plants: plantsFrom([...good, ...side.pieces], rules),
      best: best.worth + side.pieces.reduce((sum, p) => sum + p.worth, 0),
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
        ? 'nothing is left over'
        : `${this.words.length(left)} of base are left over`;
    return this.trail() && left < 15
      ? 'cut where it begins'
      : `a stump of ${this.words.length(left)} stays`;
  }

  private names(crowns: number, segments: number, leaves: number): string {
    if (this.trail()) return piecesText('trailing', segments + crowns);
    const { one, many } = METHOD[this.crown()!.method];
    const top =
      crowns > 1
        ? `${crowns} ${this.column() ? 'tips' : many}`
        : this.column()
          ? 'a tip'
          : `a ${one}`;
    const rest = segments === 0 ? '' : segments === 1 ? 'a segment' : `${segments} segments`;
    const more = leaves === 0 ? '' : leaves === 1 ? 'a leaf' : `${leaves} leaves`;
    const parts = [top, rest, more].filter(Boolean);
    return parts.length === 1 ? top : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)!}`;
  }
}
