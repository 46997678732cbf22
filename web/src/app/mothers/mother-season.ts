import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { seasonNow, seasonYear, type SeasonDay } from '@hypogeon/core/bench';
import type { Taxon } from '@hypogeon/core/botany';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { SeasonYear } from '../marks/season-year';
import type { Column } from '../ui/column';
import { Table } from '../ui/table';

/** A plant's season where it stands: today in a sentence, and the year as a picture and a table. */
@Component({
  selector: 'hy-mother-season',
  imports: [Table, RouterLink, SeasonYear],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (view(); as v) {
      <p>
        {{ v.says }} <span class="quiet">{{ v.next }}</span>
      </p>
      <hy-season-year [year]="v.year" [fromC]="taxon().season.fromC" [toC]="taxon().season.toC" />
      <p class="quiet small">
        The line is the mean of the day in
        <a [routerLink]="['/settings/air', space()]">{{ v.place }}</a>, {{ v.rests }}; the green
        band is what the plant grows in. {{ v.lightNote }}
      </p>
      <details>
        <summary>The year as a table</summary>
        <hy-table name="The year by the month" [columns]="columns" [rows]="v.rows" />
      </details>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
      grid-template-columns: minmax(0, 1fr);
    }
    hy-table {
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

  protected readonly columns: readonly Column<SeasonDay>[] = [
    {
      key: 'day',
      head: 'First of the month',
      text: (r) => this.words.day(r.day),
      sort: (r) => r.day,
    },
    {
      key: 'mean',
      head: 'Mean',
      number: true,
      text: (r) => this.words.temperature(r.tempC),
      sort: (r) => r.tempC,
    },
    {
      key: 'light',
      head: 'Light',
      number: true,
      text: (r) =>
        r.dayHours === undefined ? 'not known' : `${this.words.decimal(r.dayHours, 1)} h`,
      sort: (r) => r.dayHours ?? null,
    },
    { key: 'season', head: 'Season', text: (r) => r.reason },
  ];
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
