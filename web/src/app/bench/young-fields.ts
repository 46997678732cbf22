import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Batch, Counts } from '@hypogeon/core/journal';
import { YOUNG_NAME } from '@hypogeon/words';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';

/** What else is counted of young plants, as typed: buds on those that have none yet, and all of them together. */
export interface YoungTold {
  readonly buds: string;
  readonly heads: string;
}
export const NO_YOUNG: YoungTold = { buds: '', heads: '' };

const whole = (text: string): number | null =>
  /^\d{1,6}$/.test(text.trim()) ? Number(text.trim()) : null;

/** Why they cannot be so; empty where they can. */
export function youngProblems(
  { buds, heads }: YoungTold,
  counts: Counts,
): Readonly<Record<keyof YoungTold, string>> {
  const [b, h] = [whole(buds), whole(heads)];
  return {
    buds:
      buds.trim() === ''
        ? ''
        : b === null
          ? 'A whole number of pieces, please.'
          : b > counts.rooted
            ? `Only ${counts.rooted} are rooted and without a young plant.`
            : '',
    heads:
      heads.trim() === ''
        ? ''
        : h === null
          ? 'A whole number of young plants, please.'
          : h < counts.pupped
            ? `${counts.pupped} pieces have one, so at least ${counts.pupped}.`
            : '',
  };
}

/** As the journal takes it, once there is no problem. */
export function youngFields(
  { buds, heads }: YoungTold,
  counts: Counts,
): { readonly buds?: number; readonly heads?: number } {
  const [b, h] = [whole(buds), whole(heads)];
  return {
    ...(b !== null && counts.rooted > 0 ? { buds: b } : {}),
    ...(h !== null && counts.pupped > 0 ? { heads: h } : {}),
  };
}

@Component({
  selector: 'hy-young-fields',
  imports: [Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-2 gap-x-3 max-w-112 mt-3' },
  template: `
    @if (counts().pupped > 0) {
      <hy-field [label]="names().all" [hint]="last()" [problem]="problems().heads">
        <input
          hyControl
          inputmode="numeric"
          autocomplete="off"
          [value]="told().heads"
          (input)="toldChange.emit({ buds: told().buds, heads: heads.value })"
          #heads
        />
      </hy-field>
    }
    @if (counts().rooted > 0) {
      <hy-field
        label="With a bud below, so far"
        hint="A look in two weeks."
        [problem]="problems().buds"
      >
        <input
          hyControl
          inputmode="numeric"
          autocomplete="off"
          [value]="told().buds"
          (input)="toldChange.emit({ buds: buds.value, heads: told().heads })"
          #buds
        />
      </hy-field>
    }
  `,
})
export class YoungFields {
  private readonly words = inject(Words);
  readonly batch = input.required<Batch>();
  readonly counts = input.required<Counts>();
  readonly told = input.required<YoungTold>();
  readonly toldChange = output<YoungTold>();

  protected readonly problems = computed(() => youngProblems(this.told(), this.counts()));
  protected readonly names = computed(() => {
    const name = YOUNG_NAME[this.words.speech().wayOf(this.batch()).young];
    return { all: `${name.charAt(0).toUpperCase()}${name.slice(1)} in all` };
  });
  protected readonly last = computed(() => {
    const { heads } = this.batch();
    return heads ? `${heads.count} on ${heads.of} at the last count.` : 'Empty: one each.';
  });
}
