import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Batch, Counts } from '@hypogeon/core/journal';
import { YOUNG_NAME, capital } from '@hypogeon/words';
import { say } from '@hypogeon/messages/young-fields';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';
import { numberFrom } from '../forms/number';

/** What else is counted of young plants, as typed: buds on those that have none yet, and all of them together. */
export interface YoungTold {
  readonly buds: string;
  readonly heads: string;
}
export const NO_YOUNG: YoungTold = { buds: '', heads: '' };

/** Null where no whole number stands. */
function whole(text: string): number | null {
  const n = numberFrom(text);
  return Number.isInteger(n) && n >= 0 ? n : null;
}

/** Why they cannot be so; empty where they can, and where they are not asked. */
export function youngProblems(
  { buds, heads }: YoungTold,
  counts: Counts,
): Readonly<Record<keyof YoungTold, string>> {
  return {
    buds: counts.rooted > 0 && buds.trim() !== '' ? budsProblem(whole(buds), counts) : '',
    heads: counts.pupped > 0 && heads.trim() !== '' ? headsProblem(whole(heads), counts) : '',
  };
}

function budsProblem(n: number | null, { rooted }: Counts): string {
  if (n === null) return say.aWholeNumberOf();
  return n > rooted ? say.onlyAreRootedAnd({ rooted }) : '';
}

function headsProblem(n: number | null, { pupped }: Counts): string {
  if (n === null) return say.aWholeNumberOfYoung();
  return n < pupped ? say.piecesHaveOneSo({ pupped }) : '';
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
      <hy-field [label]="say.withABudBelow()" [hint]="say.aLookInTwo()" [problem]="problems().buds">
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
  protected readonly say = say;

  private readonly words = inject(Words);
  readonly batch = input.required<Batch>();
  readonly counts = input.required<Counts>();
  readonly told = input.required<YoungTold>();
  readonly toldChange = output<YoungTold>();

  protected readonly problems = computed(() => youngProblems(this.told(), this.counts()));
  protected readonly names = computed(() => {
    const name = YOUNG_NAME[this.words.speech().wayOf(this.batch()).young];
    return { all: say.inAll({ name: capital(name) }) };
  });
  protected readonly last = computed(() => {
    const { heads } = this.batch();
    return heads ? say.onAtTheLast({ count: heads.count, of: heads.of }) : say.emptyOneEach();
  });
}
