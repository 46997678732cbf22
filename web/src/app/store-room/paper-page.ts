import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { plantOf, plants } from '@hypogeon/core/bench';
import { METHOD, METHODS, type MethodId } from '@hypogeon/core/botany';
import {
  DATE_ORDER_WORD,
  PAPER_FIELD_NAME,
  PAPER_FIELDS,
  paperEntries,
  paperOrders,
  readPaper,
  type DateOrder,
  type PaperField,
  type PaperMapping,
  type PaperRow,
  type Table,
} from '@hypogeon/core/formats';
import { Actions } from '../data/actions';
import { Errand } from '../data/errand';
import { FILES_WORKER } from '../data/workers';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { Field, FieldControl } from '../ui/field';

const MOST_BYTES = 20_000_000;
/** So many rows are shown at once; all are taken. */
const SHOWN = 100;

/** Somebody's old paper log: columns told, every row's fate shown before anything is taken. */
@Component({
  selector: 'hy-paper-page',
  imports: [Field, FieldControl, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './paper-page.html',
  styleUrl: './paper-page.scss',
})
export class PaperPage {
  private readonly worker = inject(FILES_WORKER);
  protected readonly errand = new Errand();
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
    order: 'ymd',
    like: {},
    method: '',
  });
  protected readonly onlyBad = signal(false);
  protected readonly space = signal('');
  protected readonly spaces = computed(() => [...this.state().spaces.values()]);
  protected readonly plants = computed(() => plants(this.state()));

  protected readonly orders = computed(() => {
    const table = this.table();
    return table
      ? paperOrders(table, this.mapping().columns).map((id) => ({ id, name: DATE_ORDER_WORD[id] }))
      : [];
  });
  private readonly read = computed(() => {
    const table = this.table();
    return table ? readPaper(this.state(), table, this.mapping(), this.today()) : [];
  });
  protected readonly good = computed(() => this.read().filter((r) => r.ok).length);
  protected readonly bad = computed(() => this.read().length - this.good());
  protected readonly needsMethod = computed(() =>
    this.read().some((r) => !r.ok && r.field === 'method'),
  );
  /** Names the library does not know, to be told what they are like. */
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
        says: this.says(row),
        more: row.ok ? row.assumed : [],
      })),
  );
  protected readonly hidden = computed(() =>
    Math.max(0, (this.onlyBad() ? this.bad() : this.read().length) - SHOWN),
  );

  protected async choose(input: HTMLInputElement): Promise<void> {
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    this.problem.set('');
    this.table.set(null);
    if (file.size > MOST_BYTES)
      return this.problem.set(`“${file.name}” is larger than 20 MB. Split it into parts.`);
    const read = await this.errand.run(`Reading ${file.name}`, async () => {
      const text = await file.text();
      return this.worker.ask((w) => w.paper(text));
    });
    if (read === undefined) return this.problem.set(this.errand.problem());
    if (!read)
      return this.problem.set(
        `There is no table in “${file.name}”: a header and rows were expected.`,
      );
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
    this.mapping.update((m) => ({ ...m, order: order as DateOrder }));
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
              fields: { name: 'From the old log' },
            } as const,
          ]),
      ...paperEntries(this.state(), this.read(), space, freshId),
    ];
    const good = this.good();
    const saved = await this.actions.recordAll(
      entries,
      `${good === 1 ? 'One batch' : `${good} batches`} taken in`,
    );
    if (!saved) return;
    this.table.set(null);
    await this.router.navigate(['/ledger']);
  }

  private says(row: PaperRow): string {
    if (!row.ok) return `${PAPER_FIELD_NAME[row.field]}: ${row.sentence}`;
    const { fields, counts } = row;
    const plant = plantOf(this.state(), row.taxon)?.name ?? row.taxon;
    const method = METHOD[fields.method!];
    const outcome = counts
      ? [
          `${counts.rooted + counts.pupped} rooted`,
          counts.pupped ? `${counts.pupped} with pups` : '',
          counts.rotted ? `${counts.rotted} rotted` : '',
          counts.dried ? `${counts.dried} dried` : '',
          counts.lost ? `${counts.lost} lost` : '',
        ]
          .filter(Boolean)
          .join(', ')
      : 'not counted';
    return [
      `${fields.count} ${fields.count === 1 ? method.one : method.many} of ${row.newPlant ? `${row.newPlant} (like ${plant})` : plant}`,
      `cut ${this.words.day(fields.cutOn!)}`,
      row.mother ? `from ${row.mother}` : '',
      outcome,
    ]
      .filter(Boolean)
      .join(', ');
  }
}
