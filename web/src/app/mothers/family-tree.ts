import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  batchCode,
  familyOf,
  familyRows,
  drawnOf,
  plantDrawn,
  plantOf,
  type Descent,
} from '@hypogeon/core/bench';
import type { Drawn, Part } from '@hypogeon/core/look';
import { hierarchy, tree } from 'd3-hierarchy';
import { Journal } from '../data/journal';
import { piecesText } from '@hypogeon/words';
import { say } from '@hypogeon/messages/family-tree';
import { Words } from '../data/words';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';
import { CellOf, type Column } from '../ui/column';
import { Table } from '../ui/table';

const ROW = 58;
const COLUMN = 270;
const NODE = 236;

interface Kin {
  readonly key: string;
  readonly link: readonly string[];
  readonly name: string;
  readonly says: string;
  readonly piece: Drawn | Part;
  readonly mark: MarkState;
  readonly mother: boolean;
  readonly here: boolean;
  readonly cutOn: string;
  readonly taken: string;
  readonly alive: string;
}

/** Where a mother came from and what came of her: generations from left to right, and the same as a table. */
@Component({
  selector: 'hy-family-tree',
  imports: [CellOf, Table, CuttingMark, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <div class="scroll" tabindex="0" role="region" [attr.aria-label]="say.familyTree()">
        <div class="tree relative" [style.width.px]="v.width" [style.height.px]="v.height">
          <svg
            class="absolute top-0 right-0 bottom-0 left-0"
            [attr.width]="v.width"
            [attr.height]="v.height"
            aria-hidden="true"
          >
            @for (d of v.lines; track $index) {
              <path [attr.d]="d" />
            }
          </svg>
          @for (node of v.nodes; track node.kin.key) {
            <a
              class="absolute flex items-center gap-2 w-59 h-13.5 rounded-sm bg-paper text-ink no-underline"
              [routerLink]="node.kin.link"
              [class.mother]="node.kin.mother"
              [class.here]="node.kin.here"
              [attr.aria-current]="node.kin.here ? 'true' : null"
              [style.left.px]="node.x"
              [style.top.px]="node.y"
            >
              <hy-mark
                [piece]="node.kin.piece"
                [state]="node.kin.mark"
                [size]="node.kin.mother ? 50 : 38"
              />
              <span class="grid min-w-0 leading-tight"
                ><strong
                  class="overflow-hidden text-[0.94rem] font-medium text-ellipsis whitespace-nowrap"
                  >{{ node.kin.name }}</strong
                ><small class="quiet text-xs">{{ node.kin.says }}</small></span
              >
            </a>
          }
        </div>
      </div>
      <details>
        <summary>{{ say.asATable() }}</summary>
        <hy-table class="max-w-176" [name]="say.family()" [columns]="columns" [rows]="v.rows">
          <ng-template hyCell="who" [of]="v.rows" let-row>
            <a
              class="inline-flex items-center min-h-11"
              [routerLink]="row.kin.link"
              [style.padding-left.rem]="row.depth * 1.2"
              >{{ row.kin.name }}</a
            >
          </ng-template>
        </hy-table>
      </details>
    }
  `,
  styles: `
    path {
      fill: none;
      stroke: var(--root);
      stroke-width: 1.6;
      stroke-linecap: round;
    }
    .tree a:hover strong {
      text-decoration: underline;
    }
    .mother strong {
      font-weight: 650;
    }
    .here {
      box-shadow: inset 3px 0 0 var(--do);
      padding-left: 6px;
    }
  `,
})
export class FamilyTree {
  protected readonly say = say;

  protected readonly columns: readonly Column<{ readonly kin: Kin; readonly depth: number }>[] = [
    { key: 'who', head: say.who(), text: (r) => r.kin.name },
    { key: 'since', head: say.since(), text: (r) => r.kin.cutOn },
    { key: 'taken', head: say.taken(), number: true, text: (r) => r.kin.taken },
    { key: 'alive', head: say.alive(), number: true, text: (r) => r.kin.alive },
  ];
  private readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  readonly mother = input.required<string>();

  protected readonly view = computed(() => {
    const family = familyOf(this.state(), this.mother());
    const root = hierarchy<Descent>(family, (d) => d.children);
    const laid = tree<Descent>().nodeSize([ROW, COLUMN])(root);
    const nodes = laid.descendants();
    const top = Math.min(...nodes.map((n) => n.x));
    const bottom = Math.max(...nodes.map((n) => n.x));
    const deepest = Math.max(...nodes.map((n) => n.y));
    const middle = (n: { x: number }): number => n.x - top + ROW / 2;
    return {
      width: deepest + NODE + 4,
      height: bottom - top + ROW,
      nodes: nodes.map((n) => ({
        kin: this.kin(n.data),
        x: n.y,
        y: middle(n) - 27,
      })),
      lines: laid.links().map(({ source, target }) => {
        const from = source.y + NODE;
        const bend = (from + target.y) / 2;
        return `M${from} ${middle(source)}C${bend} ${middle(source)} ${bend} ${middle(target)} ${target.y} ${middle(target)}`;
      }),
      rows: familyRows(family).map(({ kind, id, depth }) => ({
        depth,
        kin: this.kin({ kind, id, children: [] }),
      })),
    };
  });

  private kin({ kind, id }: Descent): Kin {
    const state = this.state();
    const key = `${kind}/${id}`;
    if (kind === 'mother') {
      const mother = state.mothers.get(id);
      const plant = plantOf(state, mother?.taxon ?? '');
      return {
        key,
        link: ['/mothers', id],
        name: mother?.name ?? say.unnamed(),
        says: plant?.name ?? '',
        piece: plantDrawn(plant?.taxon),
        mark: { ...FRESH, closure: 1, roots: 3 },
        mother: true,
        here: id === this.mother(),
        cutOn: mother?.since ? this.words.day(mother.since) : '',
        taken: '',
        alive: '',
      };
    }
    const batch = state.batches.get(id)!;
    const alive = batch.counts.rooted + batch.counts.pupped;
    return {
      key,
      link: ['/bench', id],
      name: piecesText(batch.method, batch.count),
      says: say.rooted({ day: this.words.day(batch.cutOn), alive }),
      piece: drawnOf(state, batch),
      mark: {
        ...FRESH,
        closure: alive > 0 ? 1 : 0.4,
        roots: alive > 0 ? 2 : 0,
        pup: batch.counts.pupped > 0,
      },
      mother: false,
      here: false,
      cutOn: `${this.words.day(batch.cutOn)}, ${batchCode(state, batch)}`,
      taken: String(batch.count),
      alive: String(alive),
    };
  }
}
