import { ChangeDetectionStrategy, Component } from '@angular/core';
import { PIECES, type Piece } from '@hypogeon/core/botany';
import { CuttingMark } from '../marks/cutting-mark';
import { FRESH, type MarkState } from '../marks/mark-state';

const PIECE_NAME: Readonly<Record<Piece, string>> = {
  leaf: 'leaf',
  crown: 'rosette',
  segment: 'segment',
  strap: 'strap section',
  ball: 'globe',
  pad: 'pad',
  column: 'column',
  offset: 'young rosette',
  trailing: 'trailing stem',
  stacked: 'stack of leaf pairs',
  fan: 'tuft of straps',
  branch: 'branch with leaves',
  'bare-branch': 'bare branch',
  stone: 'stone-like pair',
  tuber: 'tuber with stalk',
  plantlet: 'plantlet',
  bulbil: 'bulbil',
  root: 'piece of root',
  seed: 'seed',
};

const STATES: readonly { readonly name: string; readonly state: MarkState }[] = [
  { name: 'fresh cut', state: FRESH },
  { name: 'callusing', state: { ...FRESH, closure: 0.55 } },
  { name: 'closed', state: { ...FRESH, closure: 1 } },
  { name: 'first roots', state: { ...FRESH, closure: 1, roots: 1 } },
  { name: 'rooted', state: { ...FRESH, closure: 1, roots: 2 } },
  { name: 'well rooted', state: { ...FRESH, closure: 1, roots: 3 } },
  { name: 'with a pup', state: { ...FRESH, closure: 1, roots: 3, pup: true } },
  { name: 'potted on', state: { ...FRESH, closure: 1, roots: 2, pup: true, potted: true } },
  { name: 'rot begins', state: { ...FRESH, closure: 0.4, rotBegins: true } },
  { name: 'rotted', state: { ...FRESH, closure: 1, lost: 'rotted' } },
  { name: 'dried up', state: { ...FRESH, closure: 1, lost: 'dried' } },
  { name: 'lost otherwise', state: { ...FRESH, lost: 'lost' } },
];

@Component({
  selector: 'hy-marks-page',
  imports: [CuttingMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page-head">
      <h1>The marks</h1>
      <p class="quiet">one sign for one cutting, above and below the soil line</p>
    </div>
    <ul class="flex flex-wrap gap-y-1 gap-x-8 mt-0 mb-5 mx-0 p-0 list-none quiet">
      <li>Above the line: the piece, and its pups.</li>
      <li>On the line: the wound, a ring that closes while it calluses.</li>
      <li>Below it: roots, by length. A pot once it is potted on.</li>
      <li>Rot is hatched from the base up. Drying leaves an empty outline.</li>
    </ul>
    <div class="scroll" tabindex="0" role="region" aria-label="All marks in all states">
      <table class="min-w-248">
        <thead>
          <tr>
            <th class="w-19 align-bottom leading-tight" scope="col">
              <span class="unseen">Piece</span>
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
  protected readonly pieces = PIECES;
  protected readonly names = PIECE_NAME;
  protected readonly states = STATES;
}
