import { ChangeDetectionStrategy, Component, computed, effect, inject, input } from '@angular/core';
import { endingOf, type Ending, type Played } from '@hypogeon/core/practice';
import { habitText, lessonText, plantsText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/practice-ending';
import { Chart } from '../charts/chart';
import { truthChart } from '../charts/truth-chart';
import { PracticeStore } from '../data/practice-store';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';

interface Row {
  readonly who: string;
  readonly plants: Ending['you'];
  readonly waterings: number;
}

/** The truth beside what was seen, the same luck under other habits, and three sentences to take away. */
@Component({
  selector: 'hy-practice-ending',
  imports: [Chart, Table],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5' },
  template: `
    @let e = ending();
    <p class="words" role="status">
      {{
        say.ofRootedScoreOf({
          rooted: e.you.rooted,
          cuttingsCount: played().bench.cuttings.length,
          asked: asked(),
          score: e.score,
          what:
            e.needless === 0
              ? say.andNoNeedlessAct()
              : e.needless === 1
                ? say.oneNeedlessAct()
                : say.needlessActs({ needless: e.needless }),
        })
      }}
    </p>
    <ol class="grid gap-1.5 max-w-[72ch] m-0 pl-5">
      @for (line of lessons(); track line) {
        <li>{{ line }}</li>
      }
    </ol>
    <section aria-labelledby="truth">
      <h2 id="truth" class="ruled">{{ say.whatWasTrue() }}</h2>
      <hy-chart [name]="say.whatWasTrue()" [tall]="300" [model]="chart()" />
    </section>
    <section aria-labelledby="habits">
      <h2 id="habits" class="ruled">{{ say.theSameLuckBy() }}</h2>
      <hy-table [name]="say.theSameLuck()" [columns]="columns" [rows]="rows()" [marked]="mine" />
    </section>
  `,
})
export class PracticeEnding {
  protected readonly say = say;

  private readonly store = inject(PracticeStore);
  readonly played = input.required<Played>();

  protected readonly ending = computed(() => endingOf(this.played()));
  protected readonly lessons = computed(() => this.ending().lessons.map(lessonText));
  protected readonly asked = computed(() => {
    const { wanted } = this.played().scenario;
    if (wanted === undefined) return '';
    return this.ending().you.rooted >= wanted
      ? say.wereAskedFor({ wanted })
      : say.ofAskedFor({ wanted });
  });
  protected readonly chart = computed(() => {
    const { truth, events } = this.played();
    const days = events.flatMap((e) => (e.kind === 'watered' ? [e.day] : []));
    return truthChart(truth, days);
  });
  protected readonly columns: readonly Column<Row>[] = [
    { key: 'who', head: say.habit(), text: (r) => r.who },
    { key: 'plants', head: say.cameOfIt(), text: (r) => plantsText(r.plants) },
    { key: 'waterings', head: say.waterings(), number: true, text: (r) => `${r.waterings}` },
  ];
  protected readonly rows = computed((): readonly Row[] => [
    { who: 'you', plants: this.ending().you, waterings: this.ending().waterings },
    ...this.ending().habits.map(({ habit, plants, waterings }) => ({
      who: habitText(habit),
      plants,
      waterings,
    })),
  ]);
  protected readonly mine = (row: Row): boolean => row.who === 'you';

  constructor() {
    effect(() => {
      if (this.played().over) this.store.score(this.played().scenario.id, this.ending().score);
    });
  }
}
