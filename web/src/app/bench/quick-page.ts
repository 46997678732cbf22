import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { plants, type Plant } from '@hypogeon/core/bench';
import { METHOD, METHODS, PLANNED_METHODS, type MethodId } from '@hypogeon/core/botany';
import { isDay } from '@hypogeon/core/days';
import { defaultSchool } from '@hypogeon/core/wound';
import { Actions } from '../data/actions';
import { freshId } from '../data/fresh-id';
import { Journal } from '../data/journal';
import { oneAtATime } from '../data/one-at-a-time';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { Field, FieldControl } from '../ui/field';

/** What is already cut, sown or divided: four fields, and it is on the bench. */
@Component({
  selector: 'hy-quick-page',
  imports: [Field, FieldControl, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="quiet small"><a routerLink="/bench">Bench</a></p>
    <h1>What is already cut</h1>
    <form novalidate (submit)="$event.preventDefault(); save()">
      <hy-field label="Plant" [problem]="tried() ? problems().plant : ''">
        <input
          hyControl
          type="text"
          list="quick-plants"
          autocomplete="off"
          [value]="plantText()"
          (input)="plantText.set(plant.value)"
          #plant
        />
        <datalist id="quick-plants">
          @for (p of known(); track p.id) {
            <option [value]="p.name"></option>
          }
        </datalist>
      </hy-field>
      <hy-field label="What was taken" [problem]="tried() ? problems().method : ''">
        <select hyControl (change)="setMethod(way.value)" #way>
          <option value="">Choose</option>
          @for (m of ways(); track m.id) {
            <option [value]="m.id" [selected]="m.id === method()">
              {{ m.name }}{{ m.known ? '' : ' (not usual for it)' }}
            </option>
          }
        </select>
      </hy-field>
      <hy-field label="How many" [problem]="tried() ? problems().count : ''">
        <input
          hyControl
          inputmode="numeric"
          [value]="count()"
          (input)="count.set(many.value)"
          #many
        />
      </hy-field>
      <hy-field label="On" [problem]="problems().day">
        <input
          hyControl
          type="date"
          [value]="on()"
          [max]="today()"
          (change)="day.set(date.value)"
          #date
        />
      </hy-field>
      <div class="row">
        <button class="act" type="submit">Put it on the bench</button>
        <a class="bare" routerLink="/plan">Plan it instead</a>
      </div>
      <p class="quiet small">
        Pot, mix, drying and water can be told on its page; until then they go by habit.
      </p>
    </form>
  `,
  styles: `
    form {
      display: grid;
      gap: 1rem;
      max-width: 26rem;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 0.75rem;
      align-items: center;
    }
  `,
})
export class QuickPage {
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

  protected readonly known = computed(() => plants(this.state()));
  private readonly plant = computed<Plant | null>(() => {
    const text = this.plantText().trim().toLowerCase();
    return this.known().find((p) => p.name.toLowerCase() === text) ?? null;
  });

  /** The ways of the plant first, then all others: what was done was done. */
  protected readonly ways = computed(() => {
    const of = this.plant()?.taxon.methods.map((m) => m.method) ?? [];
    const others = METHODS.filter((m) => !of.includes(m));
    const told = of.length > 0 ? [...of, ...others] : METHODS;
    return told.map((id) => ({
      id,
      name: METHOD[id].name,
      known: of.length === 0 || of.includes(id) || !PLANNED_METHODS.includes(id),
    }));
  });

  protected readonly problems = computed(() => {
    const n = Number(this.count());
    return {
      plant: this.plant()
        ? ''
        : 'Which plant? Choose one of the list, or add your own in the plant guide.',
      method: this.method() === '' ? 'What was taken?' : '',
      count:
        Number.isInteger(n) && n >= 1 && n <= 10_000
          ? ''
          : 'How many? A whole number from 1 to 10,000.',
      day: !isDay(this.on())
        ? 'That is not a day of the calendar.'
        : this.on() > this.today()
          ? 'That day is still to come: plan it instead.'
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
      setTimeout(() => document.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus());
      return;
    }
    const key = freshId();
    const day = this.on();
    const wound = plant.taxon.methods.find((m) => m.method === method)?.wound;
    const usual = wound ? defaultSchool(wound.tissue).school : 'dry-to-touch';
    const [space] = this.state().spaces.keys();
    const saved = await this.actions.recordAll(
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
            school: this.state().settings.school ?? usual,
            callusAt: 'rack',
            space: space ?? 'home',
          },
        },
        { kind: 'cut', batch: key, day },
      ],
      `On the bench since ${this.words.day(day)}`,
    );
    if (saved) await this.router.navigate(['/bench', key]);
  }
}
