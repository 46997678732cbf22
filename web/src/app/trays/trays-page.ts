import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { batchesIn, sidesOf, turnTray, placesIn } from '@hypogeon/core/bench';
import { TRAY_KINDS, type Tray, type TrayKind } from '@hypogeon/core/journal';
import { say } from '@hypogeon/messages/trays-page';
import { BenchTabs } from '../bench/bench-tabs';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { Field, FieldControl } from '../forms/field';

export const KIND_WORD: Readonly<Record<TrayKind, string>> = {
  get tray() {
    return say.trayWithCells();
  },
  get pot() {
    return say.potOrPan();
  },
  get jar() {
    return say.jarOfWater();
  },
  get rack() {
    return say.rackOrPaperTo();
  },
};

/** Trays, pots, jars and racks, in the order one walks past them. */
@Component({
  selector: 'hy-trays-page',
  imports: [MatButton, MatOption, MatSelect, BenchTabs, Field, FieldControl, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.trays() }}</h1>
      <button
        type="button"
        matButton="filled"
        class="push"
        (click)="adding.set(!adding())"
        [attr.aria-expanded]="adding()"
      >
        {{ say.addATray() }}
      </button>
    </div>
    <hy-bench-tabs />
    @if (adding()) {
      <form
        class="grid auto-fill-44 items-end gap-y-3 gap-x-4 mb-6"
        novalidate
        (submit)="
          $event.preventDefault();
          add(name.value, kind.value, space.value, rows.value, columns.value)
        "
      >
        <hy-field [label]="say.whatItIsCalled()" [problem]="problem()">
          <input hyControl type="text" maxlength="80" [placeholder]="say.trayH()" #name />
        </hy-field>
        <hy-field [label]="say.whatItIs()">
          <mat-select [value]="kinds[0]" #kind>
            @for (k of kinds; track k) {
              <mat-option [value]="k">{{ word[k] }}</mat-option>
            }
          </mat-select>
        </hy-field>
        <hy-field [label]="say.whereItStands()">
          <mat-select [value]="spaces()[0]?.id" #space>
            @for (s of spaces(); track s.id) {
              <mat-option [value]="s.id">{{ s.name }}</mat-option>
            }
          </mat-select>
        </hy-field>
        <hy-field [label]="say.rows()"
          ><input hyControl type="number" min="1" max="100" value="4" #rows
        /></hy-field>
        <hy-field [label]="say.cellsInARow()"
          ><input hyControl type="number" min="1" max="100" value="6" #columns
        /></hy-field>
        <button matButton="filled">{{ say.addIt() }}</button>
      </form>
    }
    @for (bench of benches(); track bench.id) {
      <section class="mb-6.5" [attr.aria-label]="bench.name">
        <h2 class="ruled">{{ bench.name }}</h2>
        <ol class="bare">
          @for (t of bench.trays; track t.tray.id) {
            <li
              class="grid grid-cols-[minmax(7rem,1fr)_minmax(9rem,1.2fr)_minmax(10rem,2fr)_auto] items-center gap-y-1 gap-x-4 min-h-14 border-b border-line phone:py-1 phone:px-0 phone:grid-cols-[minmax(0,1fr)_auto]"
            >
              <a class="flex items-center min-h-11" [routerLink]="['/bench/trays', t.tray.id]"
                ><strong>{{ t.tray.name }}</strong></a
              >
              <span class="quiet">{{ word[t.tray.kind ?? 'tray'] }}{{ t.sides }}</span>
              <span>{{ t.holds }}</span>
              <span class="flex phone:col-start-2 phone:row-[1_/_4]">
                <button
                  type="button"
                  matButton="text"
                  [disabled]="$first"
                  [attr.aria-label]="say.earlierOnTheWalk({ name: t.tray.name ?? '' })"
                  (click)="turn(bench.order, t.tray.id, -1)"
                >
                  ↑
                </button>
                <button
                  type="button"
                  matButton="text"
                  [disabled]="$last"
                  [attr.aria-label]="say.laterOnTheWalk({ name: t.tray.name ?? '' })"
                  (click)="turn(bench.order, t.tray.id, 1)"
                >
                  ↓
                </button>
              </span>
            </li>
          }
        </ol>
      </section>
    } @empty {
      <div class="empty">
        <h2>{{ say.noTrayOfIts() }}</h2>
        <p>
          {{ say.aBatchMaySimply() }}
        </p>
      </div>
    }
  `,
  styles: `
    @media (max-width: 760px) {
      li > span:nth-of-type(1),
      li > span:nth-of-type(2) {
        grid-column: 1;
        font-size: 0.9rem;
      }
    }
  `,
})
export class TraysPage {
  protected readonly say = say;

  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  private readonly router = inject(Router);
  private readonly state = this.journal.state;

  protected readonly kinds = TRAY_KINDS;
  protected readonly word = KIND_WORD;
  protected readonly adding = signal(false);
  protected readonly problem = signal('');
  protected readonly spaces = computed(() => placesIn(this.state()));

  protected readonly benches = computed(() => {
    const state = this.state();
    const trays = [...state.trays.values()].filter((t) => !t.away);
    const ids = [...new Set(trays.map((t) => t.space ?? ''))];
    return ids.map((id) => {
      const order = trays
        .filter((t) => (t.space ?? '') === id)
        .sort(
          (a, b) => (a.turn ?? 0) - (b.turn ?? 0) || ((a.name ?? '') < (b.name ?? '') ? -1 : 1),
        );
      return {
        id,
        name: state.spaces.get(id)?.name ?? say.somewhere(),
        order,
        trays: order.map((tray) => ({ tray, sides: sides(tray), holds: this.holds(tray) })),
      };
    });
  });

  protected turn(order: readonly Tray[], tray: string, by: 1 | -1): void {
    void this.actions.recordAll(turnTray(order, tray, by), say.theWalkGoesSo());
  }

  protected async add(
    name: string,
    kind: string,
    space: string,
    rows: string,
    columns: string,
  ): Promise<void> {
    if (name.trim() === '') return this.problem.set(say.itNeedsAName());
    const side = (text: string): number =>
      Math.min(100, Math.max(1, Math.round(Number(text) || 1)));
    const key = freshId();
    const known = TRAY_KINDS.find((k) => k === kind) ?? 'tray';
    const taken = await this.actions.record(
      {
        kind: 'put',
        record: 'tray',
        key,
        fields: {
          name: name.trim(),
          kind: known,
          ...(space ? { space } : {}),
          ...(known === 'tray' ? { rows: side(rows), columns: side(columns) } : {}),
        },
      },
      say.trayAdded(),
    );
    if (taken) await this.router.navigate(['/bench/trays', key]);
  }

  private holds(tray: Tray): string {
    const batches = batchesIn(this.state(), tray.id);
    const count = batches.reduce((n, b) => n + b.here.waiting + b.here.rooted + b.here.pupped, 0);
    if (count === 0) return say.empty();
    return say.inWord({
      count,
      what: batches.length === 1 ? say.oneBatch() : say.batches({ batchesCount: batches.length }),
    });
  }
}

function sides(tray: Tray): string {
  if ((tray.kind ?? 'tray') !== 'tray') return '';
  const { rows, columns } = sidesOf(tray);
  return `, ${rows} × ${columns}`;
}
