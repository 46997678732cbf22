import { inject, Injectable } from '@angular/core';
import { careOf, linesOf } from '@hypogeon/core/care';
import { suppose, type Batch, type EntryDraft, type State } from '@hypogeon/core/journal';
import { changedLines, linesText, type ChangedLine, type LinesText } from '@hypogeon/words';
import { Journal } from './journal';
import { Today } from './today';
import { Water } from './water';
import { Words } from './words';

/** What would read otherwise on a batch's page once something is recorded: said before it is. */
@Injectable({ providedIn: 'root' })
export class Follows {
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  private readonly verdicts = inject(Water).verdicts;
  private readonly words = inject(Words);

  from(batch: Batch, drafts: readonly EntryDraft[]): readonly ChangedLine[] {
    if (drafts.length === 0) return [];
    const state = this.state();
    const supposed = suppose(state, drafts, this.today());
    const after = supposed.batches.get(batch.id);
    return after ? changedLines(this.linesIn(state, batch), this.linesIn(supposed, after)) : [];
  }

  private linesIn(state: State, batch: Batch): LinesText {
    const care = careOf(state, batch, this.today(), this.verdicts().get(batch.id));
    return linesText(linesOf(state, batch, care, this.today()), this.words.speech());
  }
}
