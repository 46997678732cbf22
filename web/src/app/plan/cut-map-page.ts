import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import {
  bestCutMap,
  cuttingCautions,
  defaultSchool,
  evenNodes,
  methodOf,
  pieceProblem,
  piecesAt,
  plantsFrom,
  plantOf,
  readLength,
  referenceClosureDays,
  stemProblem,
  stemRules,
  successBelief,
  type CutRules,
  type MethodId,
  type Stem,
} from '@hypogeon/core';
import { Deeds } from '../data/deeds';
import { draftKeeper } from '../data/draft';
import { freshId } from '../data/fresh-id';
import { Journal, type Draft } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { StemDrawing } from '../marks/stem-drawing';
import { Field, FieldControl } from '../ui/field';
import { numberFrom } from '../ui/number';

interface StemDraft {
  readonly length: string;
  readonly nodes: string;
  readonly width: string;
}

const BLANK: StemDraft = { length: '300', nodes: '14', width: '8' };
/** Where the blade goes on one stem: the best cutting up, moved by hand if one likes, and made into batches. */
@Component({
  selector: 'hy-cut-map-page',
  imports: [Field, FieldControl, RouterLink, StemDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <div>
        <p class="quiet small">
          <a routerLink="/plan" [queryParams]="{ mother: mother() }">Plan</a>
        </p>
        <h1>Cut map</h1>
      </div>
      <p class="quiet">{{ motherName() }}</p>
    </div>
    @if (!plant()) {
      <p>Choose a mother in the <a routerLink="/plan">plan</a> first.</p>
    } @else if (!crown()) {
      <p>
        This plant is not raised from its stem. The
        <a routerLink="/plan" [queryParams]="{ mother: mother() }">plan</a> has its ways.
      </p>
    } @else {
      <div class="sides">
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
              label="Nodes on it"
              [problem]="nodesProblem()"
              hint="Evenly spaced; where leaves sit or sat."
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
            <hy-field label="Its width, {{ words.lengthUnit() }}" [problem]="widthProblem()">
              <input
                hyControl
                type="text"
                [value]="draft().width"
                (input)="set('width', wide.value)"
                #wide
              />
            </hy-field>
          </div>
          @if (problem()) {
            <p class="problem" role="alert">{{ problem() }}</p>
          }
          @if (view(); as v) {
            <section aria-live="polite" aria-label="What the cuts give">
              <p class="gives">
                About {{ v.plants.likely.toFixed(1) }} plants
                <span>{{ v.plants.low }}–{{ v.plants.high }}, eight times in ten</span>
              </p>
              <p class="quiet">
                {{
                  v.pieces.length === 1
                    ? 'a crown'
                    : v.pieces.length - 1 === 1
                      ? 'a crown and a segment'
                      : 'a crown and ' + (v.pieces.length - 1) + ' segments'
                }}, {{ v.cuts.length === 1 ? 'one cut' : v.cuts.length + ' cuts' }}; a stump of
                {{ words.length(v.stumpMm) }} stays.
                {{
                  moved()
                    ? 'Best would be ' + v.best.toFixed(1) + '.'
                    : 'No other cutting gives more.'
                }}
              </p>
              <p>
                A cut this wide closes in about {{ v.closes }} days at
                {{ words.temperature(22) }} and 55 %. Arrows point to the tip: set every piece that
                way up.
              </p>
              <div class="row">
                <button class="act" [disabled]="v.wrong" (click)="take()">
                  Cut: put them on the bench
                </button>
                @if (moved()) {
                  <button class="plain" (click)="hand.set(null)">Back to the best</button>
                }
              </div>
              @if (v.wrong) {
                <p class="problem" role="alert">
                  One piece would not do: move its cut, or go back to the best.
                </p>
              }
              <ul>
                @for (c of cautions(); track c.title) {
                  <li [class]="c.weight">
                    <strong>{{ c.title }}.</strong> {{ c.advice }}
                  </li>
                }
              </ul>
            </section>
          }
        </div>
        @if (view(); as v) {
          <hy-stem-drawing
            [stem]="v.stem"
            [widthMm]="v.widthMm"
            [cuts]="v.cuts"
            [pieces]="v.pieces"
            (moved)="hand.set($event)"
          />
        }
      </div>
    }
  `,
  styles: `
    .sides {
      display: grid;
      grid-template-columns: minmax(0, 1fr) minmax(0, 26rem);
      gap: 2rem 3rem;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
      gap: 1rem;
    }
    section {
      display: grid;
      gap: 0.8rem;
      margin-top: 1.4rem;
    }
    .gives {
      font: 650 1.9rem/1.1 var(--head-face);
    }
    .gives span {
      font: 400 1rem var(--text-face);
      color: var(--ink2);
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 0.7rem;
    }
    .problem {
      color: var(--do);
      font-weight: 600;
      margin-top: 0.6rem;
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
      display: grid;
      gap: 0.5rem;
    }
    li {
      padding-left: 0.8rem;
      border-left: 4px solid var(--callus);
    }
    li.danger {
      border-left-color: var(--do);
    }
    li.law {
      border-left-color: var(--water);
    }
    @media (max-width: 1000px) {
      .sides {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
})
export class CutMapPage {
  private readonly journal = inject(Journal);
  private readonly deeds = inject(Deeds);
  private readonly router = inject(Router);
  private readonly today = inject(Today).day;
  protected readonly words = inject(Words);
  readonly mother = input<string>();

  private readonly keeper = draftKeeper<StemDraft>('stem');
  protected readonly draft = signal<StemDraft>(this.keeper.read() ?? BLANK);
  /** Cuts as they were moved by hand, from the top; null where they are the best ones. */
  protected readonly hand = signal<readonly number[] | null>(null);
  protected readonly moved = computed(() => this.hand() !== null);

  private readonly record = computed(() => this.journal.state().mothers.get(this.mother() ?? ''));
  protected readonly motherName = computed(() => this.record()?.name ?? '');
  protected readonly plant = computed(() => {
    const taxon = this.record()?.taxon;
    return taxon === undefined ? null : plantOf(this.journal.state(), taxon);
  });
  protected readonly crown = computed(() => this.way('crown') ?? this.way('branch'));
  private readonly segment = computed(() => this.way('segment'));

  private readonly length = computed(() =>
    readLength(this.draft().length, this.words.lengthUnit()),
  );
  private readonly width = computed(() => readLength(this.draft().width, this.words.lengthUnit()));
  protected readonly lengthProblem = computed(() => {
    const read = this.length();
    if (!read.ok) return read.problem;
    return read.mm > 5000 ? 'Longer than five metres. Measure again.' : '';
  });
  protected readonly widthProblem = computed(() => {
    const read = this.width();
    return read.ok ? '' : read.problem;
  });
  protected readonly nodesProblem = computed(() => {
    const n = numberFrom(this.draft().nodes);
    return Number.isInteger(n) && n >= 0 && n <= 300 ? '' : 'A whole number up to 300.';
  });

  private readonly stem = computed<Stem | null>(() => {
    const length = this.length();
    if (!length.ok || this.lengthProblem() || this.nodesProblem() || !this.width().ok) return null;
    return { lengthMm: length.mm, nodesMm: evenNodes(length.mm, numberFrom(this.draft().nodes)) };
  });

  private readonly rules = computed<CutRules | null>(() => {
    const crown = this.crown();
    const taxon = this.plant()?.id;
    if (!crown || taxon === undefined) return null;
    const segment = this.segment();
    const state = this.journal.state();
    return stemRules(
      successBelief(state, taxon, crown).mean,
      segment && successBelief(state, taxon, segment).mean,
    );
  });
  protected readonly problem = computed(() => {
    const stem = this.stem();
    const rules = this.rules();
    if (!stem || !rules) return '';
    return (
      stemProblem(stem, rules) ||
      (this.best()
        ? ''
        : 'Its nodes sit so that no crown can be taken and a stump kept: take leaves, or wait.')
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
    const cuts = hand?.length === best.cuts.length ? hand : best.cuts;
    const pieces = piecesAt(stem, cuts, rules).map((p) => ({
      ...p,
      problem: pieceProblem(p, rules),
      says: `${this.words.length(p.toMm - p.fromMm)}, ${p.nodes} nodes, ${p.worth.toFixed(2)} plants`,
    }));
    const tissue = this.crown()?.wound?.tissue ?? 'soft stem';
    const plants = plantsFrom(
      pieces.filter((p) => !p.problem),
      rules,
    );
    return {
      stem,
      widthMm: width.mm,
      cuts,
      pieces,
      stumpMm: cuts.at(-1) ?? stem.lengthMm,
      plants,
      best: best.worth,
      wrong: pieces.some((p) => p.problem !== ''),
      closes: referenceClosureDays(width.mm, tissue).toFixed(1),
    };
  });

  protected readonly cautions = computed(() => {
    const taxon = this.plant()?.taxon;
    return taxon ? cuttingCautions(taxon, true, 'alcohol') : [];
  });

  protected set(field: keyof StemDraft, value: string): void {
    this.draft.update((d) => ({ ...d, [field]: value }));
    this.keeper.keep(this.draft());
    this.hand.set(null);
  }

  /** Crown and segments as batches of their own: the same plant on the same day, apart but related. */
  protected async take(): Promise<void> {
    const v = this.view();
    const plant = this.plant();
    const crown = this.crown();
    if (!v || !plant || !crown || v.wrong) return;
    const segments = v.pieces.filter((p) => p.kind === 'segment').length;
    const [space] = this.journal.state().spaces.keys();
    const key = freshId();
    const drafts: Draft[] = [
      ...this.batch(key, crown.method, 1, v.widthMm, space),
      ...(segments > 0 ? this.batch(freshId(), 'segment', segments, v.widthMm, space) : []),
    ];
    if (await this.journal.recordAll(drafts))
      this.deeds.say(
        segments > 0
          ? `A crown and ${segments} segments on the bench. Saved.`
          : 'A crown on the bench. Saved.',
      );
    await this.router.navigate(['/bench', key]);
  }

  private batch(
    key: string,
    method: MethodId,
    count: number,
    widthMm: number,
    space: string | undefined,
  ): Draft[] {
    const wound = this.way(method)?.wound;
    return [
      {
        kind: 'put',
        record: 'batch',
        key,
        fields: {
          ...(this.mother() === undefined ? {} : { mother: this.mother()! }),
          taxon: this.plant()!.id,
          method,
          count,
          cutOn: this.today(),
          widthMm,
          school:
            this.journal.state().settings.school ??
            (wound ? defaultSchool(wound.tissue).school : 'dry-to-touch'),
          callusAt: 'rack',
          space: space ?? 'room',
          disinfectant: 'alcohol',
        },
      },
      { kind: 'cut', batch: key, day: this.today() },
    ];
  }

  private way(method: MethodId) {
    const plant = this.plant();
    return plant ? (methodOf(plant.taxon, method) ?? null) : null;
  }
}
