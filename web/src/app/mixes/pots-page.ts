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
import { say } from '@hypogeon/messages/pots-page';
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
  get round() {
    return say.round();
  },
  get square() {
    return say.square();
  },
  get tray() {
    return say.tray();
  },
  get cells() {
    return say.cellPack();
  },
};
const WALL_WORD: Readonly<Record<Wall, string>> = {
  get plastic() {
    return say.plastic();
  },
  get glazed() {
    return say.glazed();
  },
  get clay() {
    return say.unglazedClay();
  },
  get glass() {
    return say.glass();
  },
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
      <h1>{{ say.pots() }}</h1>
      <button matButton="outlined" class="push" (click)="edit(null)">{{ say.addAPot() }}</button>
    </div>
    <hy-mix-tabs />
    @if (form(); as f) {
      <form
        class="panel grid auto-fill-52 gap-4 mb-4 pt-4 pb-6.5 border-b-2 border-ink"
        novalidate
        (submit)="$event.preventDefault(); save()"
      >
        <h2 class="col-span-full">{{ f.id ? f.name : say.aPotOfYour() }}</h2>
        <hy-field
          [label]="say.nameWord()"
          [problem]="show(f.name.trim() ? '' : 'What do you call it?')"
        >
          <input
            hyControl
            type="text"
            maxlength="120"
            [value]="f.name"
            (input)="type({ name: name.value })"
            #name
          />
        </hy-field>
        <hy-field [label]="say.shape()">
          <mat-select [value]="f.shape" (selectionChange)="setShape($event.value)">
            @for (s of shapes; track s) {
              <mat-option [value]="s">{{ shapeWord[s] }}</mat-option>
            }
          </mat-select>
        </hy-field>
        <hy-field [label]="say.wall()">
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
        <hy-field [label]="say.theSameAtThe()" [problem]="show(problems().bottomMm ?? '')">
          <input
            hyControl
            type="text"
            [value]="f.bottom"
            (input)="type({ bottom: bottom.value })"
            #bottom
          />
        </hy-field>
        @if (f.shape === 'tray') {
          <hy-field [label]="say.breadthAtTheRim()" [problem]="show(problems().breadthMm ?? '')">
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
          <hy-field [label]="say.cells()" [problem]="show(problems().cells ?? '')">
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
        <hy-field [label]="say.heightInside()" [problem]="show(problems().heightMm ?? '')">
          <input
            hyControl
            type="text"
            [value]="f.height"
            (input)="type({ height: height.value })"
            #height
          />
        </hy-field>
        <hy-field
          [label]="say.mediumBelowTheRim()"
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
          [label]="say.emptyWeightOptional({ weightUnit: words.weightUnit() })"
          [hint]="say.makesWeighingsTellMore()"
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
        <mat-checkbox [checked]="f.holes" (change)="type({ holes: holes.checked })" #holes>{{
          say.drainHoles()
        }}</mat-checkbox>
        @if (f.holes) {
          <p class="quiet small note col-span-full">
            {{ say.aBitOfMesh() }}
          </p>
        } @else {
          <p class="small col-span-full font-semibold">
            {{ say.withoutHolesWaterPools() }}
          </p>
        }
        <div class="row flex gap-2.5 col-span-full">
          <button matButton="filled" type="submit">{{ say.save() }}</button>
          <button matButton="text" type="button" (click)="form.set(null)">
            {{ say.cancel() }}
          </button>
        </div>
      </form>
    }
    <hy-table [name]="say.potsTraysAndCell()" [columns]="columns" [rows]="rows()">
      <ng-template hyCell="change" [of]="rows()" let-r>
        <button
          matButton="text"
          (click)="edit(r.c)"
          [attr.aria-label]="say.change({ name: r.c.name })"
        >
          {{ say.change2() }}
        </button>
      </ng-template>
    </hy-table>
  `,
})
export class PotsPage {
  protected readonly say = say;

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
    { key: 'name', head: say.container(), text: (r) => r.c.name, sort: (r) => r.c.name },
    {
      key: 'wall',
      head: say.wall(),
      text: (r) => `${WALL_WORD[r.c.wall]}${r.c.holes ? '' : say.noHole()}`,
    },
    { key: 'size', head: say.insideRimToBase(), text: (r) => r.size, sort: (r) => r.c.topMm },
    {
      key: 'filled',
      head: say.filled(),
      number: true,
      text: (r) => this.words.volume(r.litres * 1000),
      sort: (r) => r.litres,
    },
    {
      key: 'used',
      head: say.inUse(),
      number: true,
      text: (r) => (r.used > 0 ? `${r.used}` : ''),
      sort: (r) => r.used,
    },
    { key: 'change', head: say.change2(), act: true, text: () => '' },
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
          : say.to({
              what: c.shape === 'cells' ? `${c.cells} × ` : '',
              length: length(c.topMm),
              length2: length(c.bottomMm),
              length3: length(c.heightMm),
            }),
    }));
  });

  protected readonly form = signal<PotForm | null>(null);
  protected readonly tried = signal(false);
  /** A rim that holds one drink: less and it runs off, more and the air stands still over the cuttings. */
  protected readonly rimHint = computed(() =>
    say.toWaterHasRoom({ length: this.words.length(10), length2: this.words.length(15) }),
  );
  protected readonly topWord = computed(() => {
    switch (this.form()?.shape) {
      case 'round':
        return say.widthAtTheRim();
      case 'tray':
        return say.lengthAtTheRim();
      default:
        return say.sideAtTheRim();
    }
  });
  private readonly measured = computed(() => {
    const f = this.form();
    return f && this.container(f);
  });
  protected readonly problems = computed((): Partial<Record<ContainerField, string>> => {
    const c = this.measured();
    return c ? containerProblems(c, (mm) => this.words.length(mm)) : {};
  });
  protected readonly emptyProblem = computed(() => {
    const text = this.form()?.empty ?? '';
    return text.trim() === '' || this.words.grams(text) > 0 ? '' : say.moreThanNothingOr();
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
      ? say.changedForThisBench({ name: f.name.trim() })
      : say.kept({ name: f.name.trim() });
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
