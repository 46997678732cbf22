import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { airOf, dryingOf, placesIn } from '@hypogeon/core/bench';
import { addDays, type Day } from '@hypogeon/core/days';
import type { State } from '@hypogeon/core/journal';
import { closureRate, MOULD_RH, referenceClosureDays } from '@hypogeon/core/wound';
import { RouterLink } from '@angular/router';
import { say } from '@hypogeon/messages/air-strip';
import { Words } from '../data/words';

const WEEK = 7;
/** What a bright, warm, dry bench loses in a day fills the bar. */
const FULL_MM = 4;

/** The air on each bench now, and how it dried over the week. */
@Component({
  selector: 'hy-air-strip',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'grid auto-fill-30 gap-2.5 pt-1.5' },
  template: `
    @for (bench of benches(); track bench.id) {
      <a
        class="grid content-start text-ink leading-snug no-underline"
        [routerLink]="['/settings/air', bench.id]"
        [class.warn]="bench.warn"
      >
        <strong>{{ bench.name }}</strong>
        <span>{{ bench.temperature }} · {{ bench.humidity }}</span>
        <svg
          class="block w-full h-5.5 my-1"
          viewBox="0 0 216 30"
          preserveAspectRatio="none"
          role="img"
          [attr.aria-label]="bench.week"
        >
          <path class="soil" d="M0 29.5H216" />
          @for (bar of bench.bars; track $index) {
            <rect
              [attr.x]="$index * 31 + 1"
              [attr.y]="29 - bar.height"
              width="27"
              [attr.height]="bar.height"
              [class.now]="$last"
              [class.usual]="!bar.read"
            />
          }
        </svg>
        <small class="quiet text-xs">{{ bench.says }}</small>
      </a>
    } @empty {
      <p class="quiet">
        {{ say.noPlacesYet() }}
        <a routerLink="/settings">{{ say.addOneInSettings() }}</a>.
      </p>
    }
  `,
  styles: `
    a:hover strong {
      text-decoration: underline;
    }
    rect {
      fill: var(--callus-soft);
      stroke: var(--callus);
      stroke-width: 0.8;
    }
    rect.now {
      fill: var(--callus);
    }
    rect.usual {
      stroke-dasharray: 2 2;
    }
    .soil {
      stroke: var(--soil);
    }
    .warn small {
      color: var(--ink);
      font-weight: 600;
    }
  `,
})
export class AirStrip {
  protected readonly say = say;

  private readonly words = inject(Words);
  readonly state = input.required<State>();
  readonly today = input.required<Day>();

  protected readonly benches = computed(() =>
    placesIn(this.state()).map((space) => {
      const air = airOf(this.state(), space.id, this.today());
      const rate = closureRate(air);
      const { evaporationMm } = dryingOf(this.state(), space.id, this.today());
      const days = rate === 0 ? null : referenceClosureDays(5, 'soft stem') / rate;
      const bars = Array.from({ length: WEEK }, (_, n) => {
        const that = dryingOf(this.state(), space.id, addDays(this.today(), n - WEEK + 1));
        const share = Math.min(that.evaporationMm / FULL_MM, 1);
        return { height: Math.max(share * 28, 0.8), read: that.air.from === 'reading' };
      });
      const mouldy = air.rh > MOULD_RH;
      return {
        id: space.id,
        name: space.name ?? say.aPlace(),
        temperature: this.words.temperature(air.tempC),
        humidity: this.words.percent(air.rh),
        bars,
        warn: mouldy || days === null,
        week: say.whatTheAirTook({ week: WEEK }),
        says: mouldy
          ? say.soDampThatCuts()
          : days === null
            ? say.cutsStandStillHere()
            : say.driesAboutAStem({
                evaporation: this.words.evaporation(evaporationMm),
                length: this.words.length(5),
                what: this.words.rounded(days, days < 10 ? 1 : 0),
              }),
      };
    }),
  );
}
