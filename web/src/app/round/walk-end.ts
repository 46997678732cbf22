import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { Day } from '@hypogeon/core/days';
import type { Changes } from '@hypogeon/core/walk';
import { Words } from '../data/words';

/** The end of a round: what it changed, and what changed since the one before. */
@Component({
  selector: 'hy-walk-end',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head"><h1>Once round</h1></div>
    <p>
      {{ passed() - skipped() }} of {{ passed() }} batches looked after{{
        skipped() > 0 ? ', ' + skipped() + ' passed by' : ''
      }}.
    </p>
    <section aria-labelledby="since">
      <h2 id="since" class="ruled">{{ heading() }}</h2>
      <p class="sums">
        @for (sum of sums(); track sum.name) {
          <span
            ><b>{{ sum.n }}</b> {{ sum.name }}</span
          >
        }
      </p>
      @if (told().rows.length > 0) {
        <table>
          <thead>
            <tr>
              <th scope="col">Batch</th>
              <th scope="col" class="number">Roots</th>
              <th scope="col" class="number">Pups</th>
              <th scope="col" class="number">Lost</th>
              <th scope="col">Else</th>
            </tr>
          </thead>
          <tbody>
            @for (row of told().rows; track row.batch.id) {
              <tr>
                <th scope="row">
                  <a [routerLink]="['/bench', row.batch.id]">{{ row.title }}</a>
                  <span class="code quiet"> {{ row.code }}</span>
                </th>
                <td class="number">{{ signed(row.rooted) }}</td>
                <td class="number">{{ signed(row.pupped) }}</td>
                <td class="number">{{ signed(row.lost) }}</td>
                <td>{{ besides(row) }}</td>
              </tr>
            }
          </tbody>
        </table>
      } @else {
        <p>Nothing changed.</p>
      }
    </section>
    <div class="row">
      <button type="button" class="act" (click)="finished.emit()">Finish the round</button>
      <button type="button" class="plain" (click)="back.emit()">Back to the last stop</button>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: minmax(0, 1fr);
      gap: 1.2rem;
    }
    .sums {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem 1.6rem;
      margin: 0.6rem 0;
    }
    b {
      font: 650 1.5rem/1 var(--head-face);
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem;
    }
    table {
      width: 100%;
    }
  `,
})
export class WalkEnd {
  private readonly words = inject(Words);
  readonly passed = input.required<number>();
  readonly skipped = input.required<number>();
  readonly changes = input.required<Changes>();
  readonly lastRound = input.required<Day | null>();
  readonly sinceLast = input.required<Changes | null>();
  readonly finished = output();
  readonly back = output();

  /** Between two rounds things are done too: where there was one before, all since then is told. */
  protected readonly told = computed(() => this.sinceLast() ?? this.changes());
  protected readonly heading = computed(() => {
    const last = this.lastRound();
    return last ? `Since the round of ${this.words.day(last)}` : 'On this round';
  });
  protected readonly sums = computed(() => {
    const { rooted, pupped, lost, waterings } = this.told();
    return [
      { n: this.signed(rooted) || '0', name: 'with roots' },
      { n: this.signed(pupped) || '0', name: 'with pups' },
      { n: lost, name: 'lost' },
      { n: waterings, name: waterings === 1 ? 'watering' : 'waterings' },
    ];
  });

  protected signed(n: number): string {
    return n === 0 ? '' : n > 0 ? `+${n}` : `−${-n}`;
  }

  protected besides({ isNew, looked, waterings }: Changes['rows'][number]): string {
    return [isNew ? 'new' : '', looked ? 'looked at' : '', waterings > 0 ? 'watered' : '']
      .filter(Boolean)
      .join(', ');
  }
}
