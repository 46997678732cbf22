import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { seasonNow, seasonYear } from '@hypogeon/core/bench';
import type { Taxon } from '@hypogeon/core/botany';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { SeasonYear } from '../marks/season-year';

/** A plant's season where it stands: today in a sentence, and the year as a picture and a table. */
@Component({
  selector: 'hy-mother-season',
  imports: [RouterLink, SeasonYear],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <p>
        {{ v.says }} <span class="quiet">{{ v.next }}</span>
      </p>
      <hy-season-year [year]="v.year" [fromC]="taxon().season.fromC" [toC]="taxon().season.toC" />
      <p class="quiet small">
        The line is the mean of the day in
        <a [routerLink]="['/store-room/air', space()]">{{ v.place }}</a>, {{ v.rests }}; the green
        band is what the plant grows in. {{ v.lightNote }}
      </p>
      <details>
        <summary>The year as a table</summary>
        <div class="scroll" tabindex="0" role="region" aria-label="The year by the month">
          <table>
            <thead>
              <tr>
                <th scope="col">First of the month</th>
                <th scope="col" class="number">Mean</th>
                <th scope="col" class="number">Light</th>
                <th scope="col">Season</th>
              </tr>
            </thead>
            <tbody>
              @for (row of v.rows; track row.day) {
                <tr>
                  <th scope="row">{{ words.day(row.day) }}</th>
                  <td class="number">{{ words.temperature(row.tempC) }}</td>
                  <td class="number">
                    {{ row.dayHours === undefined ? 'not known' : row.dayHours.toFixed(1) + ' h' }}
                  </td>
                  <td>{{ row.reason }}</td>
                </tr>
              }
            </tbody>
          </table>
        </div>
      </details>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
      grid-template-columns: minmax(0, 1fr);
    }
    table {
      max-width: 46rem;
    }
  `,
})
export class MotherSeason {
  protected readonly words = inject(Words);
  private readonly state = inject(Journal).state;
  private readonly today = inject(Today).day;
  readonly taxon = input.required<Taxon>();
  readonly space = input.required<string>();

  protected readonly view = computed(() => {
    const state = this.state();
    const year = seasonYear(state, this.taxon(), this.space(), this.today());
    const now = seasonNow(year);
    const record = state.spaces.get(this.space());
    const lamps = (record?.lampHours ?? 0) > 0;
    return {
      year,
      place: record?.name ?? 'her place',
      says: `${this.words.temperature(now.tempC)} today: ${now.reason}.`,
      next:
        now.state === 'active'
          ? now.closes === null
            ? 'It does not close within the year.'
            : `Roots should stand by ${this.words.day(now.closes)}, when it closes.`
          : now.opens === null
            ? 'It does not open within the year.'
            : `It opens about ${this.words.day(now.opens)}.`,
      rests: record?.monthly
        ? 'by its usual year'
        : now.from === 'reading'
          ? 'read these days; the rest is its usual air'
          : 'its usual air; give it a usual year for more',
      lightNote:
        now.dayHours === undefined
          ? 'Give the place’s latitude in its air for the hours of light.'
          : lamps
            ? 'Under the line: hours of light, lamps counted.'
            : 'Under the line: hours of light from the sun.',
      rows: year.filter((d, i) => i === 0 || d.day.endsWith('-01')),
    };
  });
}
