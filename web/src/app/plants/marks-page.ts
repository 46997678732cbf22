import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PIECES, type Piece } from '@hypogeon/core/botany';
import { say } from '@hypogeon/messages/marks-page';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';

const PIECE_NAME: Readonly<Record<Piece, string>> = {
  get leaf() {
    return say.leaf();
  },
  get crown() {
    return say.rosette();
  },
  get segment() {
    return say.segment();
  },
  get strap() {
    return say.strapSection();
  },
  get ball() {
    return say.globe();
  },
  get pad() {
    return say.pad();
  },
  get column() {
    return say.column();
  },
  get offset() {
    return say.youngRosette();
  },
  get trailing() {
    return say.trailingStem();
  },
  get stacked() {
    return say.stackOfLeafPairs();
  },
  get fan() {
    return say.tuftOfStraps();
  },
  get branch() {
    return say.branchWithLeaves();
  },
  get 'bare-branch'() {
    return say.bareBranch();
  },
  get stone() {
    return say.stoneLikePair();
  },
  get tuber() {
    return say.tuberWithStalk();
  },
  get plantlet() {
    return say.plantlet();
  },
  get bulbil() {
    return say.bulbil();
  },
  get root() {
    return say.pieceOfRoot();
  },
  get seed() {
    return say.seed();
  },
};

const STATES: readonly { readonly name: string; readonly state: MarkState }[] = [
  {
    get name() {
      return say.freshCut();
    },
    state: FRESH,
  },
  {
    get name() {
      return say.callusing();
    },
    state: { ...FRESH, closure: 0.55 },
  },
  {
    get name() {
      return say.closed();
    },
    state: { ...FRESH, closure: 1 },
  },
  {
    get name() {
      return say.firstRoots();
    },
    state: { ...FRESH, closure: 1, roots: 1 },
  },
  {
    get name() {
      return say.rooted();
    },
    state: { ...FRESH, closure: 1, roots: 2 },
  },
  {
    get name() {
      return say.wellRooted();
    },
    state: { ...FRESH, closure: 1, roots: 3 },
  },
  {
    get name() {
      return say.withAPup();
    },
    state: { ...FRESH, closure: 1, roots: 3, pup: true },
  },
  {
    get name() {
      return say.pottedOn();
    },
    state: { ...FRESH, closure: 1, roots: 2, pup: true, potted: true },
  },
  {
    get name() {
      return say.rotBegins();
    },
    state: { ...FRESH, closure: 0.4, rotBegins: true },
  },
  {
    get name() {
      return say.rotted();
    },
    state: { ...FRESH, closure: 1, lost: 'rotted' },
  },
  {
    get name() {
      return say.driedUp();
    },
    state: { ...FRESH, closure: 1, lost: 'dried' },
  },
  {
    get name() {
      return say.lostOtherwise();
    },
    state: { ...FRESH, lost: 'lost' },
  },
];

@Component({
  selector: 'hy-marks-page',
  imports: [CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>{{ say.theMarks() }}</h1>
      <p class="quiet">{{ say.oneSignForOne() }}</p>
    </div>
    <ul class="flex flex-wrap gap-y-1 gap-x-8 mt-0 mb-5 mx-0 p-0 list-none quiet">
      <li>{{ say.aboveTheLineThe() }}</li>
      <li>{{ say.onTheLineThe() }}</li>
      <li>{{ say.belowItRootsBy() }}</li>
      <li>{{ say.rotIsHatchedFrom() }}</li>
    </ul>
    <div class="scroll" tabindex="0" role="region" [attr.aria-label]="say.allMarksInAll()">
      <table class="min-w-248">
        <thead>
          <tr>
            <th class="w-19 align-bottom leading-tight" scope="col">
              <span class="unseen">{{ say.piece() }}</span>
            </th>
            @for (s of states; track s.name) {
              <th class="w-19 align-bottom leading-tight" scope="col">{{ s.name }}</th>
            }
          </tr>
        </thead>
        <tbody>
          @for (piece of pieces; track piece) {
            <tr>
              <th scope="row">{{ names[piece] }}</th>
              @for (s of states; track s.name) {
                <td class="py-1.5 pl-0 pr-1.5">
                  <hy-mark
                    [piece]="piece"
                    [state]="s.state"
                    [size]="64"
                    [label]="names[piece] + ', ' + s.name"
                  />
                </td>
              }
            </tr>
          }
        </tbody>
      </table>
    </div>
  `,
  styles: `
    th[scope='row'] {
      font-weight: 600;
      font-size: 0.9rem;
      white-space: nowrap;
      position: sticky;
      left: 0;
      background: var(--paper);
    }
  `,
})
export class MarksPage {
  protected readonly say = say;

  protected readonly pieces = PIECES;
  protected readonly names = PIECE_NAME;
  protected readonly states = STATES;
}
