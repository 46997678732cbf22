import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { placesIn } from '@hypogeon/core/bench';
import { dataTables } from '@hypogeon/core/formats';
import { say } from '@hypogeon/messages/data-page';
import { say as titles } from '@hypogeon/messages/table-titles';
import { Actions } from '../data/actions';
import { AsyncTask } from '../data/async-task';
import { Exports } from '../data/exports';
import { Journal } from '../data/journal';
import { Spreadsheet } from '../data/spreadsheet';
import { Today } from '../data/today';
import { Field } from '../forms/field';
import { Backup } from './backup';

/** Everything out as open files, and what can come in. */
@Component({
  selector: 'hy-data-page',
  imports: [Backup, MatButton, MatOption, MatSelect, Field, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5.5 max-w-232' },
  template: `
    <p class="quiet small">
      <a routerLink="/settings">{{ say.settings() }}</a>
    </p>
    <h1>{{ say.dataInAndOut() }}</h1>
    <section aria-labelledby="backup">
      <h2 id="backup" class="ruled">{{ say.backup() }}</h2>
      <hy-backup />
    </section>
    <section aria-labelledby="out">
      <h2 id="out" class="ruled">{{ say.out() }}</h2>
      <dl>
        @for (way of ways; track way.name) {
          <div
            class="grid grid-cols-[8rem_minmax(0,1fr)_9.5rem] items-center gap-y-1 gap-x-5 py-2.5 border-b border-line phone:grid-cols-1"
          >
            <dt class="font-bold">{{ way.name }}</dt>
            <dd>{{ way.says }}</dd>
            <dd>
              <button
                type="button"
                matButton="outlined"
                [disabled]="busy() !== ''"
                (click)="out(way)"
              >
                {{ busy() === way.name ? say.packing() : way.button }}
              </button>
            </dd>
          </div>
        }
      </dl>
      @if (task.problem()) {
        <p class="problem" role="alert">{{ task.problem() }}</p>
      }
      <form
        class="flex flex-wrap items-end gap-3 mt-4"
        (submit)="$event.preventDefault(); table(which.value)"
      >
        <hy-field class="w-80" [label]="say.aSingleTable()">
          <mat-select [value]="tables()[0]?.name" #which>
            @for (t of tables(); track t.name) {
              <mat-option [value]="t.name">{{ titleOf(t.name) }}, {{ t.rows.length }}</mat-option>
            }
          </mat-select>
        </hy-field>
        <button matButton="outlined">{{ say.saveAsCsv() }}</button>
      </form>
    </section>
    <section aria-labelledby="in">
      <h2 id="in" class="ruled">{{ say.inWord() }}</h2>
      <ul class="pl-4.5 leading-[1.9]">
        <li>
          <a routerLink="/settings/paper">{{ say.anOldPaperLog() }}</a>{{ say.aCsvWithA() }}
        </li>
        <li>
          <a routerLink="/today/sheet">{{ say.thePencilSheet() }}</a>{{ say.whatWasWrittenIn() }}
        </li>
        @for (space of spaces(); track space.id) {
          <li>
            {{ say.readingsOfALogger() }}
            <a [routerLink]="['/settings/air', space.id]">{{ space.name }}</a>
          </li>
        }
        <li>
          <a routerLink="/settings/devices">{{ say.sensorsAndScales() }}</a>{{
            say.readingsAsTheyCome()
          }}
        </li>
      </ul>
    </section>
  `,
})
export class DataPage {
  protected readonly say = say;
  protected readonly titleOf = titles;

  private readonly exports = inject(Exports);
  private readonly spreadsheet = inject(Spreadsheet);
  private readonly actions = inject(Actions);
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;

  protected readonly spaces = computed(() => placesIn(this.state()));
  protected readonly task = new AsyncTask();
  protected readonly busy = this.task.under;
  protected readonly tables = computed(() => dataTables(this.state(), this.today()));
  protected readonly ways: readonly Way[] = [
    {
      name: say.withPictures(),
      says: say.theJournalAndEvery(),
      button: say.saveZip(),
      run: () => this.exports.saveZip(),
    },
    {
      name: say.dataPackage(),
      says: say.everyTableAsCsv(),
      button: say.savePackage(),
      run: () => this.exports.savePackage(),
    },
    {
      name: say.calendar(),
      says: say.theTasksOfThe(),
      button: say.saveCalendar(),
      run: () => this.exports.saveCalendar(),
    },
  ];

  protected async out(way: Way): Promise<void> {
    const done = await this.task.run(way.name, async () => {
      await way.run();
      return true;
    });
    if (done) this.actions.say(say.itIsInYour());
  }

  protected table(name: string): void {
    const table = this.tables().find((t) => t.name === name);
    if (!table) return;
    const heads = table.columns.map((c) => c.name);
    this.spreadsheet.save(`${table.name}-${this.today()}`, heads, table.rows);
  }
}

interface Way {
  readonly name: string;
  readonly says: string;
  readonly button: string;
  readonly run: () => Promise<void>;
}
