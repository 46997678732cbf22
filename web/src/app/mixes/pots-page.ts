import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatCheckbox } from '@angular/material/checkbox';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import {
  CONTAINER_SHAPES,
  containerProblems,
  filledLitres,
  USUAL_CONTAINERS,
  WALLS,
  type Container,
  type ContainerField,
  type ContainerShape,
  type Wall,
} from '@hypogeon/core/media';
import { lengthIn, readLength } from '@hypogeon/core/units';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { touchedFields } from '../data/touched';
import { Words } from '../data/words';
import { oneAtATime } from '../data/one-at-a-time';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';
import { MixDesk } from './mix-desk';
import { MixTabs } from './mix-tabs';
import { firstWrong } from '../forms/zod-problems';
import { CellOf, type Column } from '../ui/column';
import { Table } from '../ui/table';

const SHAPE_WORD: Readonly<Record<ContainerShape, string>> = {
  round: 'round',
  square: 'square',
  tray: 'tray',
  cells: 'cell pack',
};
const WALL_WORD: Readonly<Record<Wall, string>> = {
  plastic: 'plastic',
  glazed: 'glazed',
  clay: 'unglazed clay',
  glass: 'glass',
};

interface PotForm {
  readonly id: string;
  readonly name: string;
  readonly shape: ContainerShape;
  readonly wall: Wall;
  readonly holes: boolean;
  readonly top: string;
  readonly bottom: string;
  readonly breadth: string;
  readonly height: string;
  readonly freeboard: string;
  readonly cells: string;
  readonly empty: string;
}

/** Which inputs each measure is read from; breadth and cells hang on the shape too. */
const POT_FEEDS = {
  name: ['name'],
  shape: ['shape'],
  wall: ['wall'],
  holes: ['holes'],
  topMm: ['top'],
  bottomMm: ['bottom'],
  heightMm: ['height'],
  freeboardMm: ['freeboard'],
  breadthMm: ['breadth', 'shape'],
  cells: ['cells', 'shape'],
  emptyG: ['empty'],
} as const;

interface PotRow {
  readonly c: Container;
  readonly litres: number;
  /** How many stand on the bench with something in them. */
  readonly used: number;
  readonly size: string;
}

/** Pots, trays and cell packs: inner measures, walls and holes. */
@Component({
  selector: 'hy-pots-page',
  imports: [
    CellOf,
    Table,
    MatCheckbox,
    MatButton,
    MatOption,
    MatSelect,
    Field,
    FieldControl,
    MixTabs,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>Pots</h1>
      <button matButton="outlined" class="push" (click)="edit(null)">Add a pot</button>
    </div>
    <hy-mix-tabs />
    @if (form(); as f) {
      <form
        class="panel grid auto-fill-52 gap-4 mb-4 pt-4 pb-6.5 border-b-2 border-ink"
        novalidate
        (submit)="$event.preventDefault(); save()"
      >
        <h2 class="col-span-full">{{ f.id ? f.name : 'A pot of your own' }}</h2>
        <hy-field label="Name" [problem]="show(f.name.trim() ? '' : 'What do you call it?')">
          <input
            hyControl
            type="text"
            maxlength="120"
            [value]="f.name"
            (input)="type({ name: name.value })"
            #name
          />
        </hy-field>
        <hy-field label="Shape">
          <mat-select [value]="f.shape" (selectionChange)="setShape($event.value)">
            @for (s of shapes; track s) {
              <mat-option [value]="s">{{ shapeWord[s] }}</mat-option>
            }
          </mat-select>
        </hy-field>
        <hy-field label="Wall">
          <mat-select [value]="f.wall" (selectionChange)="setWall($event.value)">
            @for (w of walls; track w) {
              <mat-option [value]="w">{{ wallWord[w] }}</mat-option>
            }
          </mat-select>
        </hy-field>
        <hy-field
          label="{{ topWord() }}, {{ words.lengthUnit() }}"
          [problem]="show(problems().topMm ?? '')"
        >
          <input hyControl type="text" [value]="f.top" (input)="type({ top: top.value })" #top />
        </hy-field>
        <hy-field label="The same at the base" [problem]="show(problems().bottomMm ?? '')">
          <input
            hyControl
            type="text"
            [value]="f.bottom"
            (input)="type({ bottom: bottom.value })"
            #bottom
          />
        </hy-field>
        @if (f.shape === 'tray') {
          <hy-field label="Breadth at the rim" [problem]="show(problems().breadthMm ?? '')">
            <input
              hyControl
              type="text"
              [value]="f.breadth"
              (input)="type({ breadth: breadth.value })"
              #breadth
            />
          </hy-field>
        }
        @if (f.shape === 'cells') {
          <hy-field label="Cells" [problem]="show(problems().cells ?? '')">
            <input
              hyControl
              type="number"
              min="1"
              [value]="f.cells"
              (input)="type({ cells: cells.value })"
              #cells
            />
          </hy-field>
        }
        <hy-field label="Height inside" [problem]="show(problems().heightMm ?? '')">
          <input
            hyControl
            type="text"
            [value]="f.height"
            (input)="type({ height: height.value })"
            #height
          />
        </hy-field>
        <hy-field
          label="Medium below the rim"
          [hint]="rimHint()"
          [problem]="show(problems().freeboardMm ?? '')"
        >
          <input
            hyControl
            type="text"
            [value]="f.freeboard"
            (input)="type({ freeboard: free.value })"
            #free
          />
        </hy-field>
        <hy-field
          label="Empty weight, {{ words.weightUnit() }} (optional)"
          hint="Makes weighings tell more."
          [problem]="show(emptyProblem())"
        >
          <input
            hyControl
            type="text"
            inputmode="decimal"
            [value]="f.empty"
            (input)="type({ empty: empty.value })"
            #empty
          />
        </hy-field>
        <mat-checkbox [checked]="f.holes" (change)="type({ holes: holes.checked })" #holes
          >Drain holes</mat-checkbox
        >
        @if (f.holes) {
          <p class="quiet small note col-span-full">
            A bit of mesh or cloth over the holes keeps the grit in; it drains neither better nor
            worse. Gravel at the bottom only lifts the wet foot.
          </p>
        } @else {
          <p class="small col-span-full font-semibold">
            Without holes water pools at the base and drowns roots: measure every drink.
          </p>
        }
        <div class="row flex gap-2.5 col-span-full">
          <button matButton="filled" type="submit">Save</button>
          <button matButton="text" type="button" (click)="form.set(null)">Cancel</button>
        </div>
      </form>
    }
    <hy-table name="Pots, trays and cell packs" [columns]="columns" [rows]="rows()">
      <ng-template hyCell="change" [of]="rows()" let-r>
        <button matButton="text" (click)="edit(r.c)" [attr.aria-label]="'Change ' + r.c.name">
          Change
        </button>
      </ng-template>
    </hy-table>
  `,
})
export class PotsPage {
  private readonly toFirstWrong = firstWrong();
  private readonly journal = inject(Journal);
  private readonly actions = inject(Actions);
  private readonly desk = inject(MixDesk);
  protected readonly words = inject(Words);
  protected readonly shapes = CONTAINER_SHAPES;
  protected readonly walls = WALLS;
  protected readonly shapeWord = SHAPE_WORD;
  protected readonly wallWord = WALL_WORD;

  protected readonly columns: readonly Column<PotRow>[] = [
    { key: 'name', head: 'Container', text: (r) => r.c.name, sort: (r) => r.c.name },
    {
      key: 'wall',
      head: 'Wall',
      text: (r) => `${WALL_WORD[r.c.wall]}${r.c.holes ? '' : ', no hole'}`,
    },
    { key: 'size', head: 'Inside, rim to base, deep', text: (r) => r.size, sort: (r) => r.c.topMm },
    {
      key: 'filled',
      head: 'Filled',
      number: true,
      text: (r) => this.words.volume(r.litres * 1000),
      sort: (r) => r.litres,
    },
    {
      key: 'used',
      head: 'In use',
      number: true,
      text: (r) => (r.used > 0 ? `${r.used}` : ''),
      sort: (r) => r.used,
    },
    { key: 'change', head: 'Change', act: true, text: () => '' },
  ];
  protected readonly rows = computed((): readonly PotRow[] => {
    const used = new Map<string, number>();
    for (const b of this.journal.state().batches.values())
      if (b.container !== undefined && b.stage !== 'done')
        used.set(b.container, (used.get(b.container) ?? 0) + (b.containers ?? 1));
    const length = (mm: number): string => this.words.length(mm);
    return this.desk.containers().map((c) => ({
      c,
      litres: filledLitres(c),
      used: used.get(c.id) ?? 0,
      size:
        c.shape === 'tray'
          ? `${length(c.topMm)} × ${length(c.breadthMm ?? c.topMm)}, ${length(c.heightMm)}`
          : `${c.shape === 'cells' ? `${c.cells} × ` : ''}${length(c.topMm)} to ${length(c.bottomMm)}, ${length(c.heightMm)}`,
    }));
  });

  protected readonly form = signal<PotForm | null>(null);
  protected readonly tried = signal(false);
  /** A rim that holds one drink: less and it runs off, more and the air stands still over the cuttings. */
  protected readonly rimHint = computed(
    () => `${this.words.length(10)} to ${this.words.length(15)}: water has room, air moves.`,
  );
  protected readonly topWord = computed(() => {
    switch (this.form()?.shape) {
      case 'round':
        return 'Width at the rim';
      case 'tray':
        return 'Length at the rim';
      default:
        return 'Side at the rim';
    }
  });
  private readonly measured = computed(() => {
    const f = this.form();
    return f && this.container(f);
  });
  protected readonly problems = computed((): Partial<Record<ContainerField, string>> => {
    const c = this.measured();
    return c ? containerProblems(c) : {};
  });
  protected readonly emptyProblem = computed(() => {
    const text = this.form()?.empty ?? '';
    return text.trim() === '' || this.words.grams(text) > 0
      ? ''
      : 'More than nothing; or leave it empty.';
  });

  private touched = new Set<keyof PotForm>();

  protected edit(c: Container | null): void {
    this.tried.set(false);
    this.touched = new Set();
    const text = (mm: number | undefined): string =>
      mm === undefined ? '' : String(+lengthIn(mm, this.words.lengthUnit()).toFixed(2));
    const own = c ? this.journal.state().containers.get(c.id) : undefined;
    this.form.set({
      id: c?.id ?? '',
      name: c?.name ?? '',
      shape: c?.shape ?? 'round',
      wall: c?.wall ?? 'plastic',
      holes: c?.holes ?? true,
      top: text(c?.topMm),
      bottom: text(c?.bottomMm),
      breadth: text(c?.breadthMm),
      height: text(c?.heightMm),
      freeboard: text(c?.freeboardMm ?? 10),
      cells: String(c?.cells ?? 24),
      empty: own?.emptyG === undefined ? '' : this.words.typedWeight(own.emptyG),
    });
  }

  protected type(fields: Partial<PotForm>): void {
    for (const input of Object.keys(fields)) this.touched.add(input as keyof PotForm);
    this.form.update((f) => f && { ...f, ...fields });
  }

  protected setShape(value: string): void {
    this.type({ shape: CONTAINER_SHAPES.find((s) => s === value) ?? 'round' });
  }

  protected setWall(value: string): void {
    this.type({ wall: WALLS.find((w) => w === value) ?? 'plastic' });
  }

  protected show(problem: string): string {
    return this.tried() ? problem : '';
  }

  protected readonly save = oneAtATime(() => this.saveAll());

  private async saveAll(): Promise<void> {
    const f = this.form();
    const c = this.measured();
    if (!f || !c) return;
    this.tried.set(true);
    if (!f.name.trim() || this.emptyProblem() || Object.keys(this.problems()).length > 0) {
      this.toFirstWrong();
      return;
    }
    const { topMm, bottomMm, heightMm, freeboardMm } = c;
    const whole = {
      name: f.name.trim(),
      shape: f.shape,
      wall: f.wall,
      holes: f.holes,
      topMm,
      bottomMm,
      heightMm,
      freeboardMm,
      breadthMm: f.shape === 'tray' ? c.breadthMm! : null,
      cells: f.shape === 'cells' ? c.cells! : null,
      emptyG: f.empty.trim() === '' ? null : this.words.grams(f.empty),
    };
    const own = this.journal.state().containers.has(f.id);
    // One that ships is the grower's own from its first change on: then it is written whole.
    const fields = own ? touchedFields(this.touched, whole, POT_FEEDS) : whole;
    const put = { kind: 'put', record: 'container', key: f.id || freshId(), fields } as const;
    const said = USUAL_CONTAINERS.some((u) => u.id === f.id)
      ? `${f.name.trim()} changed for this bench`
      : `${f.name.trim()} kept`;
    const changed = f.id === '' || this.touched.size > 0;
    if (changed && !(await this.actions.record(put, said))) return;
    this.form.set(null);
  }

  private container(f: PotForm): Omit<Container, 'id' | 'name'> {
    const mm = (text: string): number => {
      if (numberFrom(text) === 0) return 0;
      const read = readLength(text, this.words.lengthUnit());
      return read.ok ? read.mm : NaN;
    };
    return {
      shape: f.shape,
      wall: f.wall,
      holes: f.holes,
      topMm: mm(f.top),
      bottomMm: mm(f.bottom),
      breadthMm: f.shape === 'tray' ? mm(f.breadth) : undefined,
      heightMm: mm(f.height),
      freeboardMm: mm(f.freeboard),
      cells: f.shape === 'cells' ? numberFrom(f.cells) : undefined,
    };
  }
}
