import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { seasonNow, seasonYear } from '@hypogeon/core/bench';
import type { Taxon } from '@hypogeon/core/botany';
import { Journal } from '../data/journal';
import { Today } from '../data/today';
import { Words } from '../data/words';
import { Chart } from '../charts/chart';
import { seasonChart } from '../charts/season-chart';

/** A plant's season where it stands: today in a sentence, and the year as a picture and a table. */
@Component({
  selector: 'hy-mother-season',
  imports: [RouterLink, Chart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid grid-cols-1 gap-2.5' },
  template: `
    @if (view(); as v) {
      <p>
        {{ v.says }} <span class="quiet">{{ v.next }}</span>
      </p>
      @if (v.chart; as c) {
        <hy-chart name="The year by the month" [tall]="262" [model]="c" />
      }
      <p class="quiet small">
        The line is the mean of the day{{ v.swings ? ', the stripe its night and noon,' : '' }} in
        <a [routerLink]="['/settings/air', space()]">{{ v.place }}</a>, {{ v.rests }}; the green
        band is what the plant grows in. {{ v.lightNote }}
      </p>
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
      swings: year.every((d) => d.nightC !== undefined && d.noonC !== undefined),
      chart: seasonChart(year, this.taxon().season, this.words.speech()),
      place: record?.name ?? 'its place',
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
    };
  });
}
