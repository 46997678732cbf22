import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  compareGroups,
  GROUPING_NAME,
  GROUPINGS,
  groupsBy,
  incidenceBy,
  type Comparison,
  type GroupResult,
  type Grouping,
} from '@hypogeon/core';
import { draftKeeper } from '../data/draft';
import { Journal } from '../data/journal';
import { saveText } from '../data/save-text';
import { Words } from '../data/words';
import { IncidencePlate } from '../marks/incidence-plate';
import { Field, FieldControl } from '../ui/field';
import { LedgerTabs } from './ledger-tabs';

interface Chosen {
  readonly by: Grouping;
  readonly a: string;
  readonly b: string;
  readonly plant: string;
}
const BLANK: Chosen = { by: 'method', a: '', b: '', plant: '' };

/** Two ways of doing it against each other: shares, times, what else they differ in, and a fair trial. */
@Component({
  selector: 'hy-compare-page',
  imports: [Field, FieldControl, IncidencePlate, LedgerTabs],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Compare ways</h1>
      <p class="quiet">which way roots more, and how sure that is</p>
    </div>
    <hy-ledger-tabs />
    <div class="fields">
      <hy-field label="By">
        <select hyControl (change)="setBy(by.value)" #by>
          @for (g of groupings; track g) {
            <option [value]="g" [selected]="g === chosen().by">{{ nameOf[g] }}</option>
          }
        </select>
      </hy-field>
      <hy-field label="This way">
        <select hyControl (change)="set({ a: first.value })" #first>
          @for (g of groups(); track g.name) {
            <option [value]="g.name" [selected]="g.name === pair().a?.name">
              {{ g.name }} ({{ g.told }})
            </option>
          }
        </select>
      </hy-field>
      <hy-field label="Against">
        <select hyControl (change)="set({ b: second.value })" #second>
          @for (g of groups(); track g.name) {
            <option [value]="g.name" [selected]="g.name === pair().b?.name">
              {{ g.name }} ({{ g.told }})
            </option>
          }
        </select>
      </hy-field>
      <hy-field label="Only of (optional)">
        <select hyControl (change)="set({ plant: plant.value })" #plant>
          <option value="" [selected]="chosen().plant === ''">all plants</option>
          @for (p of plantsTold(); track p.name) {
            <option [value]="p.name" [selected]="p.name === chosen().plant">{{ p.name }}</option>
          }
        </select>
      </hy-field>
    </div>
    @if (view(); as v) {
      <section aria-live="polite" aria-label="What came of it">
        <p class="answer">{{ v.answer }}</p>
        <p>{{ v.figures }}</p>
        @for (line of v.more; track $index) {
          <p class="quiet">{{ line }}</p>
        }
      </section>
      @if (v.c.confounded.length > 0) {
        <section class="mind" aria-labelledby="mind">
          <h2 id="mind">They differ in other things too</h2>
          <ul>
            @for (line of v.c.confounded; track $index) {
              <li>{{ line }}</li>
            }
          </ul>
          <p>
            {{ v.trial }}
          </p>
        </section>
      } @else {
        <p>{{ v.trial }}</p>
      }
      <section aria-labelledby="plate">
        <h2 id="plate" class="ruled">Roots above, losses below</h2>
        <hy-incidence-plate [groups]="[v.c.a, v.c.b]" />
        <details>
          <summary>The same as a table</summary>
          <div class="scroll" tabindex="0" role="region" aria-label="Both ways as a table">
            <table>
              <thead>
                <tr>
                  <th scope="col" class="number">Day</th>
                  <th scope="col" class="number">{{ v.c.a.name }}: rooted</th>
                  <th scope="col" class="number">{{ v.c.b.name }}: rooted</th>
                </tr>
              </thead>
              <tbody>
                @for (row of v.table; track row.day) {
                  <tr>
                    <th scope="row" class="number">{{ row.day }}</th>
                    <td class="number">{{ row.a }}</td>
                    <td class="number">{{ row.b }}</td>
                  </tr>
                }
              </tbody>
            </table>
          </div>
          <button type="button" class="plain" (click)="csv()">Table as CSV</button>
        </details>
      </section>
      <p class="quiet small">
        Shares are of settled batches, curves of all that were counted. Shares with Wilson’s
        interval, their difference with Newcombe’s; Fisher’s exact test and the chance on effective
        numbers, because cuttings of one batch share their tray; curves by Aalen and Johansen, in
        which what rotted can no longer root.
      </p>
    } @else {
      <p>
        Two groups with counted batches are needed. Count what is on the bench, or choose another
        question.
      </p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 1.4rem;
      grid-template-columns: minmax(0, 1fr);
    }
    .page-head {
      margin: 0;
    }
    .fields {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(11rem, 1fr));
      gap: 1rem;
    }
    section {
      display: grid;
      gap: 0.6rem;
      grid-template-columns: minmax(0, 1fr);
    }
    .answer {
      font: 650 1.7rem/1.2 var(--head-face);
      max-width: 44ch;
    }
    .mind {
      border-left: 4px solid var(--callus);
      padding-left: 1rem;
    }
    ul {
      margin: 0;
      padding-left: 1.1rem;
    }
    table {
      max-width: 40rem;
      margin-bottom: 0.8rem;
    }
  `,
})
export class ComparePage {
  private readonly state = inject(Journal).state;
  private readonly words = inject(Words);
  protected readonly groupings = GROUPINGS;
  protected readonly nameOf = GROUPING_NAME;
  private readonly keeper = draftKeeper<Chosen>('compare');
  protected readonly chosen = signal<Chosen>({ ...BLANK, ...this.keeper.read() });

  protected readonly plantsTold = computed(() => groupsBy(this.state(), 'plant'));
  protected readonly groups = computed(() => {
    const { by, plant } = this.chosen();
    const only = this.plantsTold().find((p) => p.name === plant);
    return only ? groupsBy(this.state(), by, [...only.batches]) : groupsBy(this.state(), by);
  });
  protected readonly pair = computed(() => {
    const groups = this.groups();
    const { a, b } = this.chosen();
    const first = groups.find((g) => g.name === a) ?? groups[0];
    const second =
      groups.find((g) => g.name === b && g !== first) ?? groups.find((g) => g !== first);
    return { a: first, b: second };
  });

  protected readonly view = computed(() => {
    const { a, b } = this.pair();
    if (!a || !b) return null;
    const c = compareGroups(this.state(), this.chosen().by, a, b);
    return {
      c,
      answer: answerOf(c),
      figures: `${this.share(a)}; ${this.share(b)}. ${this.difference(c)}`,
      more: this.more(c),
      trial: trialOf(c),
      table: tableOf(a, b),
    };
  });

  protected setBy(value: string): void {
    const by = GROUPINGS.find((g) => g === value);
    if (by) this.set({ by, a: '', b: '' });
  }

  protected set(over: Partial<Chosen>): void {
    this.chosen.update((c) => ({ ...c, ...over }));
    this.keeper.keep(this.chosen());
  }

  protected csv(): void {
    const { a, b } = this.pair();
    if (!a || !b) return;
    const quoted = (text: string): string => `"${text.replace(/"/g, '""')}"`;
    const lines = tableOf(a, b).map((r) => `${r.day},${r.a},${r.b}`);
    saveText(
      'compared.csv',
      [`day,${quoted(`${a.name}: rooted`)},${quoted(`${b.name}: rooted`)}`, ...lines].join('\r\n'),
    );
  }

  private share({ name, count, told, rooted }: GroupResult): string {
    return rooted
      ? `${name}: ${count.rooted} of ${told} rooted, ${this.words.percentSpan(rooted)}`
      : `${name}: none settled yet`;
  }

  private difference({ difference, chance, a, b }: Comparison): string {
    if (!difference) return '';
    const points = (f: number): string => String(Math.round(f * 100));
    return `The difference is ${points(difference.difference)} points (${points(difference.low)} to ${points(difference.high)}). Chance that ${a.name.toLowerCase()} roots more often than ${b.name.toLowerCase()}: ${this.words.percent(chance)}.`;
  }

  private more({ a, b, within, times }: Comparison): readonly string[] {
    const half = ({ name, half: h }: GroupResult): string =>
      h
        ? `${name.toLowerCase()} ${Math.round(h.from)}–${Math.round(h.to)} days`
        : `${name.toLowerCase()} none`;
    return [
      `Half of those that root have roots after: ${half(a)}, ${half(b)}.`,
      ...(times.test
        ? [
            `Times to roots: ${times.test.p < 0.05 ? 'they differ' : 'no telling them apart'} (log-rank, p ${pWords(times.test.p)}).`,
          ]
        : []),
      ...(within
        ? [
            `Within the same plants (${within.strata}): odds of rooting ${within.oddsRatio.toFixed(1)} times (${within.low.toFixed(1)} to ${within.high.toFixed(1)}).`,
          ]
        : []),
    ];
  }
}

const pWords = (p: number): string => (p < 0.001 ? 'below 0.001' : p.toFixed(p < 0.1 ? 3 : 2));

/** Plain words first; small numbers are said to be small. */
function answerOf({ a, b, difference, strength, p }: Comparison): string {
  if (!difference) return 'One of them has no settled batch yet: its curve below is all there is.';
  const [more, less] = difference.difference >= 0 ? [a, b] : [b, a];
  const lead = `${more.name} rooted more often than ${less.name.toLowerCase()}`;
  if (Math.min(a.settled.length, b.settled.length) < 2)
    return `${lead}, but on one side it is a single batch: an anecdote, not evidence.`;
  switch (strength) {
    case 'strong':
      return `${lead}, and chance alone would hardly do that (p\u00a0${pWords(p)}).`;
    case 'some':
      return `${lead}; it may be so (p\u00a0${pWords(p)}).`;
    case 'weak':
      return `Not told apart yet: chance alone would do as much ${Math.round(p * 100)} times in a hundred.`;
  }
}

function trialOf({ trialOf: n }: Comparison): string {
  if (n === null)
    return 'The shares are so alike that no trial of a sensible size would tell them apart.';
  return `A fair trial: the same plant, the same day, the same tray, ways drawn by lot; about ${n} cuttings each would find such a difference four times in five.`;
}

function tableOf(a: GroupResult, b: GroupResult) {
  const steps = (g: GroupResult) => g.curve.causes.get('rooted') ?? [];
  const days = [...new Set([...steps(a), ...steps(b)].map((s) => s.time))].sort((x, y) => x - y);
  const share = (g: GroupResult, day: number): string =>
    `${Math.round(incidenceBy(steps(g), day).incidence * 100)} %`;
  return days.map((day) => ({ day, a: share(a, day), b: share(b, day) }));
}
