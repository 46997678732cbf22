import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { batchTitle } from '@hypogeon/core/bench';
import { daysBetween, isDay } from '@hypogeon/core/days';
import type { Photo } from '@hypogeon/core/journal';
import type { MeasuredLength } from '@hypogeon/core/picture';
import { say } from '@hypogeon/messages/pictures-page';
import { BatchHead } from '../bench/batch-head';
import { Actions } from '../data/actions';
import { Journal } from '../data/journal';
import { Pictures } from '../data/pictures';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { MeasurePicture } from './measure-picture';
import { Picture } from './picture';
import { FilePick } from '../forms/file-pick';

/** The pictures of a batch: taken, held side by side over time, measured on. */
@Component({
  selector: 'hy-pictures-page',
  imports: [
    BatchHead,
    FilePick,
    MatButton,
    DayField,
    Field,
    FieldControl,
    MeasurePicture,
    Picture,
    RouterLink,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-5' },
  template: `
    @if (batch(); as b) {
      <hy-batch-head [batch]="b" />
      <div class="no-print flex flex-wrap items-end gap-y-2.5 gap-x-4">
        <hy-day
          [label]="say.takenOn()"
          [problem]="dayProblem()"
          [value]="on()"
          [max]="today()"
          (valueChange)="day.set($event || null)"
        />
        <hy-field [label]="say.whatItShowsOptional()">
          <input hyControl type="text" maxlength="200" #about />
        </hy-field>
        <hy-file-pick
          look="filled"
          [label]="say.takeOrChoosePictures()"
          accept="image/*"
          multiple
          (picked)="take($event, about.value); about.value = ''"
        />
        <span class="quiet" role="status">{{ working() }}</span>
      </div>
      @for (problem of problems(); track problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
      @if (photos().length === 0) {
        <p>
          {{ say.aPictureOfThe() }}
        </p>
      } @else {
        @if (pair(); as two) {
          <section aria-labelledby="beside">
            <h2 id="beside" class="ruled">{{ say.sideBySide() }}</h2>
            <div class="grid grid-cols-2 gap-1 mt-2.5">
              @for (p of two; track p.photo.id) {
                <figure class="m-0">
                  <hy-picture
                    [picture]="p.photo.picture"
                    [width]="p.photo.width"
                    [height]="p.photo.height"
                    [alt]="p.says"
                  />
                  <figcaption class="py-1.5 px-0 small">{{ p.says }}</figcaption>
                </figure>
              }
            </div>
          </section>
        }
        @if (measuring(); as m) {
          <section aria-labelledby="measure">
            <h2 id="measure" class="ruled">{{ say.measure() }}</h2>
            <hy-measure-picture
              [photo]="m"
              (measured)="keep(m, $event)"
              (closed)="measuringId.set(null)"
            />
          </section>
        }
        <section aria-labelledby="all">
          <h2 id="all" class="ruled">{{ say.overTime() }}</h2>
          <ul class="grid auto-fill-60 gap-5.5 bare">
            @for (p of photos(); track p.photo.id) {
              <li>
                <figure class="m-0">
                  <hy-picture
                    [picture]="p.photo.picture"
                    [width]="p.photo.width"
                    [height]="p.photo.height"
                    [alt]="p.says"
                  />
                  <figcaption class="py-1.5 px-0 small">{{ p.says }}</figcaption>
                </figure>
                <div class="row flex flex-wrap items-end gap-y-2.5 gap-x-4">
                  <button
                    type="button"
                    matButton="text"
                    [attr.aria-pressed]="beside().includes(p.photo.id)"
                    [attr.aria-label]="say.sideBySide2({ says: p.says })"
                    (click)="choose(p.photo.id)"
                  >
                    {{ say.beside() }}
                  </button>
                  <button
                    type="button"
                    matButton="text"
                    [attr.aria-label]="say.measureOn({ says: p.says })"
                    (click)="measuringId.set(p.photo.id)"
                  >
                    {{ say.measure() }}
                  </button>
                  <button
                    type="button"
                    matButton="text"
                    [attr.aria-label]="say.undo({ says: p.says })"
                    (click)="takeBack(p.photo)"
                  >
                    {{ say.undo2() }}
                  </button>
                </div>
              </li>
            }
          </ul>
        </section>
      }
    } @else {
      <h1>{{ say.noSuchBatch() }}</h1>
      <p>
        {{ say.itMayLiveIn() }} <a routerLink="/bench">{{ say.toTheBench() }}</a>
      </p>
    }
  `,
  styles: `
    [aria-pressed='true'] {
      background: var(--living-soft);
      font-weight: 650;
    }
    .problem {
      color: var(--do);
      font-weight: 600;
    }
  `,
})
export class PicturesPage {
  protected readonly say = say;

  private readonly pictures = inject(Pictures);
  private readonly actions = inject(Actions);
  private readonly state = inject(Journal).state;
  protected readonly today = inject(Today).day;
  private readonly words = inject(Words);
  readonly id = input.required<string>();

  protected readonly batch = computed(() => this.state().batches.get(this.id()) ?? null);
  protected readonly title = computed(() => {
    const batch = this.batch();
    return batch ? batchTitle(this.state(), batch) : '';
  });
  protected readonly photos = computed(() => {
    const batch = this.batch();
    return batch
      ? batch.photos.map((photo) => ({
          photo,
          says: [
            say.day({
              daysBetween: daysBetween(batch.cutOn, photo.day),
              day: this.words.day(photo.day),
            }),
            photo.text,
            ...batch.measured
              .filter((m) => m.picture === photo.picture)
              .map((m) => `${m.what} ${this.words.length(m.mm)}`),
          ]
            .filter(Boolean)
            .join(': '),
        }))
      : [];
  });
  protected readonly beside = signal<readonly string[]>([]);
  /** The two chosen; unless any are, the first and the last: what the time between has done. */
  protected readonly pair = computed(() => {
    const photos = this.photos();
    const chosen = photos.filter((p) => this.beside().includes(p.photo.id));
    if (chosen.length === 2) return chosen;
    return photos.length >= 2 ? [photos[0]!, photos.at(-1)!] : null;
  });
  protected readonly measuringId = signal<string | null>(null);
  protected readonly measuring = computed(
    () => this.photos().find((p) => p.photo.id === this.measuringId())?.photo ?? null,
  );

  protected readonly day = signal<string | null>(null);
  protected readonly on = computed(() => this.day() ?? this.today());
  protected readonly dayProblem = computed(() => {
    if (!isDay(this.on())) return say.thatIsNotA();
    return this.on() > this.today() ? say.thatDayIsStill() : '';
  });
  protected readonly working = signal('');
  protected readonly problems = signal<readonly string[]>([]);

  protected async take(list: readonly File[], text: string): Promise<void> {
    if (this.dayProblem()) return;
    const problems: string[] = [];
    for (const [n, file] of list.entries()) {
      this.working.set(say.shrinkingOf({ n: n + 1, count: list.length }));
      const about = { day: this.on(), ...(text.trim() ? { text: text.trim() } : {}) };
      const taken = await this.pictures.take(file, this.id(), about);
      if (!taken.ok) problems.push(taken.problem);
    }
    this.problems.set(problems);
    const kept = list.length - problems.length;
    this.working.set(kept === 0 ? '' : say.picturesKept({ kept }));
  }

  protected choose(id: string): void {
    this.beside.update((ids) =>
      ids.includes(id) ? ids.filter((i) => i !== id) : [...ids.slice(-1), id],
    );
  }

  protected takeBack(photo: Photo): void {
    void this.actions.retract(photo);
  }

  /** A wound measured is the wound the clock counts with from now on. */
  protected keep(
    photo: Photo,
    { what, length }: { what: 'wound' | 'root'; length: MeasuredLength },
  ): void {
    const mm = Math.round(length.mm * 10) / 10;
    void this.actions.recordAll(
      [
        {
          kind: 'measured',
          batch: this.id(),
          day: photo.day,
          what,
          mm,
          errorMm: Math.round(length.errorMm * 10) / 10,
          picture: photo.picture,
        },
        ...(what === 'wound'
          ? [{ kind: 'put', record: 'batch', key: this.id(), fields: { widthMm: mm } } as const]
          : []),
      ],
      what === 'wound' ? say.measuredTheWoundClock() : say.measured(),
    );
    this.measuringId.set(null);
  }
}
