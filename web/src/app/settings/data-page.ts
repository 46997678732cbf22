import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { placesIn } from '@hypogeon/core/bench';
import { dataTables } from '@hypogeon/core/formats';
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
    <p class="quiet small"><a routerLink="/settings">Settings</a></p>
    <h1>Data in and out</h1>
    <section aria-labelledby="backup">
      <h2 id="backup" class="ruled">Backup</h2>
      <hy-backup />
    </section>
    <section aria-labelledby="out">
      <h2 id="out" class="ruled">Out</h2>
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
                {{ busy() === way.name ? 'Packing …' : way.button }}
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
        <hy-field class="w-80" label="A single table">
          <mat-select [value]="tables()[0]?.name" #which>
            @for (t of tables(); track t.name) {
              <mat-option [value]="t.name">{{ t.title }}, {{ t.rows.length }}</mat-option>
            }
          </mat-select>
        </hy-field>
        <button matButton="outlined">Save as CSV</button>
      </form>
    </section>
    <section aria-labelledby="in">
      <h2 id="in" class="ruled">In</h2>
      <ul class="pl-4.5 leading-[1.9]">
        <li>
          <a routerLink="/settings/paper">An old paper log</a>: a CSV with a row for every batch,
          columns as you have them
        </li>
        <li>
          <a routerLink="/today/sheet">The pencil sheet</a>: what was written in by hand, typed or
          read back
        </li>
        @for (space of spaces(); track space.id) {
          <li>
            Readings of a logger or of a weather service for
            <a [routerLink]="['/settings/air', space.id]">{{ space.name }}</a>
          </li>
        }
        <li><a routerLink="/settings/devices">Sensors and scales</a>: readings as they come</li>
      </ul>
    </section>
  `,
})
export class DataPage {
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
      name: 'With pictures',
      says: 'The journal and every picture in one zip: the full backup.',
      button: 'Save zip',
      run: () => this.exports.saveZip(),
    },
    {
      name: 'Data package',
      says: 'Every table as CSV with its schema (Frictionless), for a spreadsheet or for R.',
      button: 'Save package',
      run: () => this.exports.savePackage(),
    },
    {
      name: 'Calendar',
      says: 'The tasks of the next six weeks. Import it again later, and your calendar moves them instead of doubling them.',
      button: 'Save calendar',
      run: () => this.exports.saveCalendar(),
    },
  ];

  protected async out(way: Way): Promise<void> {
    const done = await this.task.run(way.name, async () => {
      await way.run();
      return true;
    });
    if (done) this.actions.say('It is in your downloads.');
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
