import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { MatButton } from '@angular/material/button';
import { MatOption, MatSelect } from '@angular/material/select';
import { asTaxon, plantCalled, plants, placesIn } from '@hypogeon/core/bench';
import { METHODS, type MethodId } from '@hypogeon/core/botany';
import { isDay } from '@hypogeon/core/days';
import { usualSchool } from '@hypogeon/core/wound';
import { alsoCalled } from '@hypogeon/core/names';
import { say } from '@hypogeon/messages/quick-page';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { oneAtATime } from '../data/one-at-a-time';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { DayField } from '../forms/day-field';
import { Field, FieldControl } from '../forms/field';
import { PlantField } from '../forms/plant-field';
import { wayChoices } from '../forms/way-choices';
import { firstWrong } from '../forms/zod-problems';

/** What is already cut, sown or divided: four fields, and it is on the bench. */
@Component({
  selector: 'hy-quick-page',
  imports: [MatButton, DayField, MatOption, MatSelect, Field, FieldControl, PlantField, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="quiet small">
      <a routerLink="/bench">{{ say.bench() }}</a>
    </p>
    <h1 class="mb-3">{{ say.addCuttingsYouAlready() }}</h1>
    <form class="grid gap-4 max-w-104" novalidate (submit)="$event.preventDefault(); save()">
      <hy-plant-field
        [hint]="say.byAnyNameJade()"
        [plants]="taxa()"
        [problem]="tried() ? problems().plant : ''"
        [(text)]="plantText"
      />
      <hy-field [label]="say.whatWasTaken()" [problem]="tried() ? problems().method : ''">
        <mat-select [value]="method()" (selectionChange)="setMethod($event.value)">
          <mat-option value="">{{ say.choose() }}</mat-option>
          @for (m of ways(); track m.id) {
            <mat-option [value]="m.id">{{ m.name }}</mat-option>
          }
        </mat-select>
      </hy-field>
      <hy-field [label]="say.howMany()" [problem]="tried() ? problems().count : ''">
        <input
          hyControl
          inputmode="numeric"
          [value]="count()"
          (input)="count.set(many.value)"
          #many
        />
      </hy-field>
      <hy-day
        [label]="say.cutOn()"
        [problem]="problems().day"
        [value]="on()"
        [max]="today()"
        (valueChange)="day.set($event)"
      />
      <div class="row flex flex-wrap items-center gap-3">
        <button matButton="filled" type="submit">{{ say.putItOnThe() }}</button>
        <a matButton="text" routerLink="/plan">{{ say.planItInstead() }}</a>
      </div>
      <p class="quiet small">
        {{ say.potMixDryingAnd() }}
      </p>
    </form>
  `,
})
export class QuickPage {
  protected readonly say = say;

  private readonly toFirstWrong = firstWrong();
  private readonly actions = inject(Actions);
  private readonly router = inject(Router);
  private readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  protected readonly today = inject(Today).day;

  protected readonly plantText = signal('');
  protected readonly method = signal<MethodId | ''>('');
  protected readonly count = signal('');
  protected readonly day = signal<string | null>(null);
  protected readonly on = computed(() => this.day() ?? this.today());
  protected readonly tried = signal(false);

  private readonly known = computed(() => plants(this.state()));
  protected readonly taxa = computed(() => this.known().map(asTaxon));
  private readonly plant = computed(() => plantCalled(this.known(), this.plantText(), alsoCalled));
  protected readonly ways = computed(() => wayChoices(this.plant()?.taxon ?? null));

  protected readonly problems = computed(() => {
    const n = Number(this.count());
    return {
      plant: this.plant() ? '' : say.whichPlantChooseOne(),
      method: this.method() === '' ? say.whatWasTaken2() : '',
      count: Number.isInteger(n) && n >= 1 && n <= 10_000 ? '' : say.howManyAWhole(),
      day: !isDay(this.on())
        ? say.thatIsNotA()
        : this.on() > this.today()
          ? say.thatDayIsStill()
          : '',
    };
  });

  protected setMethod(value: string): void {
    this.method.set(METHODS.find((m) => m === value) ?? '');
  }

  protected readonly save = oneAtATime(() => this.saveIt());

  private async saveIt(): Promise<void> {
    this.tried.set(true);
    const plant = this.plant();
    const method = this.method();
    if (Object.values(this.problems()).some((p) => p !== '') || !plant || method === '') {
      this.toFirstWrong();
      return;
    }
    const key = freshId();
    const day = this.on();
    const wound = plant.taxon.methods.find((m) => m.method === method)?.wound;
    const space = placesIn(this.state())[0]?.id;
    const taken = await this.actions.recordAll(
      [
        {
          kind: 'put',
          record: 'batch',
          key,
          fields: {
            taxon: plant.id,
            method,
            count: Number(this.count()),
            cutOn: day,
            school: usualSchool(wound, this.state().settings.school),
            callusAt: 'rack',
            space: space ?? 'home',
          },
        },
        { kind: 'cut', batch: key, day },
      ],
      say.onTheBenchSince({ day: this.words.day(day) }),
    );
    if (taken) await this.router.navigate(['/bench', key]);
  }
}
