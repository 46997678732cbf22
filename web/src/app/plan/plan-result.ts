import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { batchTitle } from '@hypogeon/core/bench';
import { calendarOf } from '@hypogeon/core/formats';
import type { Batch } from '@hypogeon/core/journal';
import { careOf } from '@hypogeon/core/care';
import { costOfBatch, DISINFECT, materialsOf } from '@hypogeon/core/plan';
import { inSentence } from '@hypogeon/messages';
import { say } from '@hypogeon/messages/plan-result';
import { Journal } from '../data/journal';
import { saveText } from '../data/save-text';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { Field, FieldControl } from '../forms/field';
import { NumberPipe } from '../ui/number-pipe';

/** The result of a plan: what to do when, what to lay ready, what it costs, and the calendar file. */
@Component({
  selector: 'hy-plan-result',
  imports: [MatButton, NumberPipe, Field, FieldControl],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5.5' },
  template: `
    <section aria-labelledby="steps">
      <h2 id="steps" class="ruled">{{ say.whatToDoWhen() }}</h2>
      <ol class="mt-2 mb-3.5 mx-0 p-0 list-none">
        @for (step of steps(); track step.id) {
          <li
            class="grid grid-cols-[8.5rem_minmax(0,1fr)] gap-3 py-1.5 border-b border-line max-[480px]:gap-0.5 max-[480px]:grid-cols-1"
          >
            <span class="max-[480px]:font-semibold">{{ words.span(step.from, step.to) }}</span>
            <span
              ><strong>{{ step.title }}</strong>
              <small class="block quiet small">{{ step.why }}</small></span
            >
          </li>
        } @empty {
          <li
            class="quiet grid grid-cols-[8.5rem_minmax(0,1fr)] gap-3 py-1.5 border-b border-line max-[480px]:gap-0.5 max-[480px]:grid-cols-1"
          >
            {{ say.nothingLiesAhead() }}
          </li>
        }
      </ol>
      @if (steps().length > 0) {
        <button type="button" matButton="outlined" class="no-print" (click)="calendar()">
          {{ say.calendarFile() }}
        </button>
      }
    </section>
    <section aria-labelledby="materials">
      <h2 id="materials" class="ruled">{{ say.whatToLayReady() }}</h2>
      <ul class="mt-2 mb-3.5 mx-0 p-0 list-none">
        @if (materials().medium; as m) {
          <li class="py-1">
            <strong>{{
              say.lOf({ true: (m.litres | hyNumber: 1 : true), name: m.name })
            }}</strong>{{ say.dry({ parts: parts() }) }}
          </li>
        }
        @if (materials().containers; as c) {
          <li class="py-1">
            <strong>{{ c.count }} × {{ c.name }}</strong>
          </li>
        }
        <li class="py-1">
          <strong>{{
            materials().labels === 1 ? say.aLabel() : say.labels({ labels: materials().labels })
          }}</strong>{{ say.nameDateCodeArrow() }}
        </li>
        @for (item of materials().list; track item.what) {
          <li class="py-1">
            <strong>{{ item.what }}</strong>: {{ item.why }}
          </li>
        }
        @if (materials().disinfectant; as d) {
          <li
            class="disinfectant grid grid-cols-[minmax(0,1fr)_11rem] items-center gap-4 py-1 max-[480px]:gap-0.5 max-[480px]:grid-cols-1"
          >
            <span>
              <strong>{{ d.kind === 'alcohol' ? say.alcohol70() : say.bleach05() }}</strong>
              @if (d.dilution; as mix) {
                {{
                  say.fromTheBottleAnd({
                    dose: words.dose(mix.stockMl),
                    dose2: words.dose(mix.waterMl),
                  })
                }}
              }
            </span>
            <hy-field class="no-print" [label]="say.theBottleHolds()" [problem]="d.problem">
              <input
                hyControl
                type="text"
                inputmode="decimal"
                [value]="bottleText()"
                (input)="bottle.set(strength.value)"
                #strength
              />
            </hy-field>
          </li>
        }
      </ul>
      @if (cost(); as c) {
        <p>
          @if (c.total !== null) {
            <strong>{{ words.money(c.total) }}</strong>
            {{ say.inAll({ apiece: apiece(c.perPlant) }) }}
          }
          @if (c.unpriced.length > 0) {
            <span class="quiet small">{{
              say.noPriceForSettings({ unpriced: c.unpriced.join(', ') })
            }}</span>
          }
        </p>
      }
    </section>
  `,
})
export class PlanResult {
  protected readonly say = say;

  protected readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  readonly batch = input.required<Batch>();

  /** Strength of the disinfectant's bottle as typed, per cent; null where nobody has. */
  protected readonly bottle = signal<string | null>(null);
  protected readonly bottleText = computed(() => {
    const kind = this.batch().disinfectant;
    const usual = kind === 'alcohol' || kind === 'bleach' ? DISINFECT[kind].usualBottle : 1;
    return this.bottle() ?? String(usual * 100);
  });

  protected readonly steps = computed(() => {
    const batch = this.batch();
    const { steps, course } = careOf(this.state(), batch, this.today());
    return steps.flatMap((step) =>
      step.is === 'ahead' || step.is === 'due' || step.is === 'late'
        ? [
            {
              id: step.id,
              from: step.from,
              to: step.to,
              title: this.words.stepTitle(step, batch, course),
              why: this.words.stepWhy(step, batch, course),
            },
          ]
        : [],
    );
  });
  protected readonly materials = computed(() =>
    materialsOf(this.state(), this.batch(), this.words.share(this.bottleText())),
  );
  /** Nothing, where it comes to less than the least coin. */
  protected apiece(perPlant: number | null): string {
    return perPlant === null || perPlant < 0.005
      ? ''
      : say.aPlantThatLives({ money: this.words.money(perPlant) });
  }

  protected readonly parts = computed(() =>
    (this.materials().medium?.ingredients ?? [])
      .map((i) => `${this.words.volume(i.litres * 1000)} ${inSentence(i.component.name)}`)
      .join(', '),
  );
  protected readonly cost = computed(() => costOfBatch(this.state(), this.batch()));

  protected calendar(): void {
    const batch = this.batch();
    const name = batchTitle(this.state(), batch);
    const events = this.steps().map((step) => ({
      uid: `${batch.id}.${step.id}@hypogeon`,
      title: `${step.title}: ${name}`,
      from: step.from,
      to: step.to,
      text: step.why,
    }));
    saveText(`${name}.ics`, calendarOf(name, events, new Date()), 'text/calendar');
  }
}
