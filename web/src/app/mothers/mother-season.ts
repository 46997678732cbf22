import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { seasonNow, seasonYear } from '@hypogeon/core/bench';
import type { Taxon } from '@hypogeon/core/botany';
import { say } from '@hypogeon/messages/mother-season';
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
        <hy-chart [name]="say.theYearByThe()" [tall]="262" [model]="c" />
      }
      <p class="quiet small">
        {{ say.theLineIsThe({ what: v.swings ? say.theStripeItsNight() : '' }) }}
        <a [routerLink]="['/settings/air', space()]">{{ v.place }}</a>{{
          say.theGreenBandIs({ rests: v.rests, lightNote: v.lightNote })
        }}
      </p>
    }
  `,
})
export class MotherSeason {
  protected readonly say = say;

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
      place: record?.name ?? say.itsPlace(),
      says: say.today({ temperature: this.words.temperature(now.tempC), reason: now.reason }),
      next:
        now.state === 'active'
          ? now.closes === null
            ? say.itDoesNotClose()
            : say.rootsShouldStandBy({ day: this.words.day(now.closes) })
          : now.opens === null
            ? say.itDoesNotOpen()
            : say.itOpensAbout({ day: this.words.day(now.opens) }),
      rests: record?.monthly
        ? say.byItsUsualYear()
        : now.from === 'reading'
          ? say.readTheseDaysThe()
          : say.itsUsualAirGive(),
      lightNote:
        now.dayHours === undefined
          ? say.giveThePlacesLatitude()
          : lamps
            ? say.underTheLineHours()
            : say.underTheLineHoursOf(),
    };
  });
}
