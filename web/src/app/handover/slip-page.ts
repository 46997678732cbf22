import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { plantDrawn, plantOf, batchTitle } from '@hypogeon/core/bench';
import { slipOf } from '@hypogeon/core/care';
import { slipPlain, slipText, paperOf } from '@hypogeon/words';
import { say } from '@hypogeon/messages/slip-page';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { LOCALE } from '../data/locale';
import { saveBlob, saveText } from '../data/save-text';
import { Today } from '../data/today';
import { Water } from '../data/water';
import { Words } from '../data/words';
import { PlantPicture } from '../marks/plant-picture';
import { Field, FieldControl } from '../forms/field';

/** What goes with pieces that are handed over: how to keep them, on paper or as text. */
@Component({
  selector: 'hy-slip-page',
  imports: [MatButton, Field, FieldControl, RouterLink, PlantPicture],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (slip(); as s) {
      <p class="quiet small no-print">
        <a routerLink="/bench">{{ say.bench() }}</a> ·
        <a [routerLink]="['/bench', id()]">{{ title() }}</a>
      </p>
      <h1 class="no-print">{{ say.careSlip() }}</h1>
      <div class="row no-print flex flex-wrap items-end gap-3 mb-5">
        <hy-field [label]="say.howManyGo()" [problem]="problem()">
          <input
            hyControl
            inputmode="numeric"
            [value]="typed() ?? '1'"
            (input)="typed.set(many.value)"
            #many
          />
        </hy-field>
        <button type="button" matButton="filled" (click)="pdf()" [disabled]="problem() !== ''">
          {{ say.pdf() }}
        </button>
        <button type="button" matButton="outlined" (click)="copy()" [disabled]="problem() !== ''">
          {{ say.copyAsText() }}
        </button>
        <button type="button" matButton="outlined" (click)="text()" [disabled]="problem() !== ''">
          {{ say.textFile() }}
        </button>
        <a matButton="text" [routerLink]="['/bench', id(), 'part']">{{ say.handSomeOver() }}</a>
      </div>
      <article
        class="max-w-136 py-4.5 px-5 border border-ink2 bg-face"
        [attr.aria-label]="say.theSlip()"
      >
        @if (plant(); as p) {
          <hy-plant class="float-right -mt-1 ml-3" [drawn]="p" [size]="112" />
        }
        <h2 class="mb-2.5 text-lg">{{ s.title }}</h2>
        @for (line of s.lines; track line) {
          <p class="my-2">{{ line }}</p>
        }
        @if (s.cautions.length > 0) {
          <ul class="mt-3 mb-0 mx-0 pt-2.5 pl-4.5 border-t border-line">
            @for (c of s.cautions; track c) {
              <li>{{ c }}</li>
            }
          </ul>
        }
      </article>
    } @else {
      <h1>{{ say.noSuchBatch() }}</h1>
      <p>
        {{ say.itMayLiveIn() }} <a routerLink="/bench">{{ say.toTheBench() }}</a>
      </p>
    }
  `,
})
export class SlipPage {
  protected readonly say = say;

  private readonly paper = paperOf(inject(LOCALE)());
  private readonly state = inject(Journal).state;
  private readonly verdicts = inject(Water).verdicts;
  private readonly today = inject(Today).day;
  private readonly words = inject(Words);
  private readonly actions = inject(Actions);
  readonly id = input.required<string>();

  protected readonly typed = signal<string | null>(null);
  private readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly title = computed(() => {
    const batch = this.batch();
    return batch ? batchTitle(this.state(), batch) : '';
  });
  /** Who gets it sees what it will be. */
  protected readonly plant = computed(() => {
    const batch = this.batch();
    return batch ? plantDrawn(plantOf(this.state(), batch.taxon)?.taxon) : null;
  });
  private readonly count = computed(() => Number(this.typed() ?? '1'));
  protected readonly problem = computed(() =>
    Number.isInteger(this.count()) && this.count() >= 1 ? '' : say.howManyAWhole(),
  );
  protected readonly slip = computed(() => {
    const batch = this.batch();
    if (!batch) return null;
    const count = this.problem() === '' ? this.count() : 1;
    return slipText(
      slipOf(this.state(), batch, this.today(), this.verdicts().get(batch.id)),
      count,
      this.words.speech(),
    );
  });

  protected text(): void {
    const slip = this.slip();
    if (slip) saveText(say.careOfTxt({ title: slip.title }), slipPlain(slip), 'text/plain');
  }

  protected async copy(): Promise<void> {
    const slip = this.slip();
    if (!slip) return;
    try {
      await navigator.clipboard.writeText(slipPlain(slip));
      this.actions.say(say.copied());
    } catch {
      this.actions.say(say.thisBrowserDoesNot());
    }
  }

  protected async pdf(): Promise<void> {
    const slip = this.slip();
    if (!slip) return;
    const plant = this.plant();
    const [{ slipPdf }, { drawPlant }] = await Promise.all([
      import('./slip-pdf'),
      import('@hypogeon/core/draw'),
    ]);
    const shapes = plant ? drawPlant(plant.look, 120).shapes : [];
    saveBlob(`${say.careOf({ title: slip.title })}.pdf`, slipPdf(slip, this.paper, shapes));
  }
}
