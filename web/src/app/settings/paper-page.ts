import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { plantOf, plants, placesIn } from '@hypogeon/core/bench';
import type { DayOrder } from '@hypogeon/core/days';
import { METHOD, METHODS, type MethodId } from '@hypogeon/core/botany';
import {
  PAPER_FIELD_NAME,
  PAPER_FIELDS,
  paperEntries,
  paperOrders,
  readPaper,
  toldBefore,
  type PaperField,
  type PaperMapping,
  type PaperRow,
  type Table,
} from '@hypogeon/core/formats';
import { say } from '@hypogeon/messages/paper-page';
import { Actions } from '../data/actions';
import { AsyncTask } from '../data/async-task';
import { FILES_WORKER } from '../data/workers';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { Field, FieldControl } from '../forms/field';
import { FilePick } from '../forms/file-pick';

const MOST_BYTES = 20_000_000;
/** So many rows are shown at once; all are taken. */
const SHOWN = 100;

/** Somebody's old paper log: columns told, every row's fate shown before anything is taken. */
@Component({
  selector: 'hy-paper-page',
  imports: [
    FilePick,
    MatCheckbox,
    MatButton,
    MatOption,
    MatSelect,
    Field,
    FieldControl,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-4 max-w-248' },
  templateUrl: './paper-page.html',
  styleUrl: './paper-page.scss',
})
export class PaperPage {
  protected readonly say = say;

  private readonly worker = inject(FILES_WORKER);
  protected readonly task = new AsyncTask();
  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  private readonly router = inject(Router);
  private readonly today = inject(Today).day;
  private readonly words = inject(Words);
  private readonly state = this.journal.state;

  protected readonly fields = PAPER_FIELDS.map((id) => ({ id, name: PAPER_FIELD_NAME[id] }));
  protected readonly methods = METHODS.map((id) => METHOD[id]);
  protected readonly problem = signal('');
  protected readonly name = signal('');
  protected readonly table = signal<Table | null>(null);
  protected readonly mapping = signal<PaperMapping>({
    columns: {},
    order: '',
    like: {},
    method: '',
  });
  protected readonly onlyBad = signal(false);
  protected readonly space = signal('');
  protected readonly spaces = computed(() => placesIn(this.state()));
  protected readonly plants = computed(() => plants(this.state()));

  /** Asked once for all, and only where dates can be read both ways. */
  protected readonly asksOrder = computed(() => {
    const table = this.table();
    return table !== null && paperOrders(table, this.mapping().columns).length > 1;
  });
  private readonly read = computed(() => {
    const table = this.table();
    return table ? readPaper(this.state(), table, this.mapping(), this.today()) : [];
  });
  /** Lines the journal has already: left out, unless they are asked for. */
  protected readonly again = computed(() => toldBefore(this.state(), this.read()));
  protected readonly twice = signal(false);
  private readonly taken = computed(() =>
    this.read().filter((r) => r.ok && (this.twice() || !this.again().has(r.line))),
  );
  protected readonly good = computed(() => this.taken().length);
  protected readonly bad = computed(() => this.read().filter((r) => !r.ok).length);
  protected readonly total = computed(() => this.read().length);
  protected readonly needsMethod = computed(() =>
    this.read().some((r) => !r.ok && r.field === 'method'),
  );
  /** Names the plant guide does not know, to be told what they are like. */
  protected readonly unknown = computed(() => {
    const at = this.mapping().columns.taxon;
    const table = this.table();
    if (at === undefined || !table) return [];
    const { like } = this.mapping();
    // In the order of the log, whatever is chosen: the fields stand still under the hand.
    const names = this.read().flatMap((r) => {
      const name = (table.rows[r.line - 2]?.[at] ?? '').trim();
      const asked = (!r.ok && r.field === 'taxon') || Object.hasOwn(like, name);
      return asked && name !== '' ? [name] : [];
    });
    return [...new Set(names)];
  });
  protected readonly rows = computed(() =>
    this.read()
      .filter((r) => !this.onlyBad() || !r.ok)
      .slice(0, SHOWN)
      .map((row) => ({
        line: row.line,
        ok: row.ok,
        again: row.ok && this.again().has(row.line),
        says: this.says(row),
        more: row.ok ? row.assumed : [],
        wrong: row.ok ? null : this.cell(row.line, row.field),
      })),
  );
  protected readonly hidden = computed(() =>
    Math.max(0, (this.onlyBad() ? this.bad() : this.read().length) - SHOWN),
  );

  protected async choose(file: File | undefined): Promise<void> {
    if (!file) return;
    this.problem.set('');
    this.table.set(null);
    if (file.size > MOST_BYTES) return this.problem.set(say.isLargerThan20({ name: file.name }));
    const read = await this.task.run(say.reading({ name: file.name }), async () => {
      const text = await file.text();
      return this.worker.ask((w) => w.paper(text));
    });
    if (read === undefined) return this.problem.set(this.task.problem());
    if (!read) return this.problem.set(say.thereIsNoTable({ name: file.name }));
    this.name.set(file.name);
    this.mapping.set(read.mapping);
    this.table.set(read.table);
    this.space.set(this.spaces()[0]?.id ?? '');
  }

  protected column(field: PaperField, text: string): void {
    const { [field]: _old, ...others } = this.mapping().columns;
    const at = Number(text);
    // A column means one thing at most.
    const kept = Object.fromEntries(
      Object.entries(others).filter(([, i]) => text === '' || i !== at),
    );
    this.mapping.update((m) => ({ ...m, columns: text === '' ? kept : { ...kept, [field]: at } }));
  }

  protected order(order: string): void {
    this.mapping.update((m) => ({ ...m, order: order as DayOrder | '' }));
  }

  protected method(method: string): void {
    this.mapping.update((m) => ({ ...m, method: method as MethodId | '' }));
  }

  protected like(name: string, taxon: string): void {
    this.mapping.update((m) => {
      const { [name]: _old, ...like } = m.like;
      return { ...m, like: taxon === '' ? like : { ...like, [name]: taxon } };
    });
  }

  /** A row that is left out is put right where it stands. */
  protected correct(line: number, field: PaperField, text: string): void {
    const at = this.mapping().columns[field];
    if (at === undefined) return;
    this.table.update(
      (table) =>
        table && {
          ...table,
          rows: table.rows.map((row, i) =>
            i === line - 2 ? Object.assign([...row], { [at]: text }) : row,
          ),
        },
    );
  }

  protected readonly take = oneAtATime(() => this.takeAll());

  private async takeAll(): Promise<void> {
    const space = this.space() || 'old-log';
    const entries = [
      ...(this.space()
        ? []
        : [
            {
              kind: 'put',
              record: 'space',
              key: space,
              fields: { name: say.fromTheOldLog() },
            } as const,
          ]),
      ...paperEntries(this.state(), this.taken(), space, freshId),
    ];
    const good = this.good();
    const taken = await this.actions.recordAll(
      entries,
      say.takenIn({ what: good === 1 ? say.oneBatch2() : say.batches({ good }) }),
    );
    if (!taken) return;
    this.table.set(null);
    await this.router.navigate(['/results']);
  }

  private cell(line: number, field: PaperField) {
    const at = this.mapping().columns[field];
    if (at === undefined) return null;
    const text = this.table()?.rows[line - 2]?.[at] ?? '';
    return { field, name: PAPER_FIELD_NAME[field], text };
  }

  private says(row: PaperRow): string {
    if (!row.ok) return `${PAPER_FIELD_NAME[row.field]}: ${row.sentence}`;
    const { fields, counts } = row;
    const plant = plantOf(this.state(), row.taxon)?.name ?? row.taxon;
    const method = METHOD[fields.method!];
    const outcome = counts
      ? [
          say.rooted({ pupped: counts.rooted + counts.pupped }),
          counts.pupped ? say.withPups({ pupped: counts.pupped }) : '',
          counts.rotted ? say.rotted({ rotted: counts.rotted }) : '',
          counts.dried ? say.dried({ dried: counts.dried }) : '',
          counts.lost ? say.lost({ lost: counts.lost }) : '',
        ]
          .filter(Boolean)
          .join(', ')
      : say.notCounted();
    return [
      say.ofWord({
        count: fields.count ?? 0,
        what: fields.count === 1 ? method.one : method.many,
        what2: row.newPlant ? say.like({ newPlant: row.newPlant, plant }) : plant,
      }),
      say.cut({ day: this.words.day(fields.cutOn!) }),
      row.mother ? say.from({ mother: row.mother }) : '',
      outcome,
    ]
      .filter(Boolean)
      .join(', ');
  }
}
