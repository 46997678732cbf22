import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { airOf, dryingOf } from '@hypogeon/core/bench';
import { addDays, type Day } from '@hypogeon/core/days';
import type { State } from '@hypogeon/core/journal';
import { closureRate, MOULD_RH, referenceClosureDays } from '@hypogeon/core/wound';
import { RouterLink } from '@angular/router';
import { Words } from '../data/words';

const WEEK = 7;
/** What a bright, warm, dry bench loses in a day fills the bar. */
const FULL_MM = 4;

/** The air on each bench now, and how it dried over the week. */
@Component({
  selector: 'hy-air-strip',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (bench of benches(); track bench.id) {
      <section>
        <h3>
          <a [routerLink]="['/store-room/air', bench.id]">{{ bench.name }}</a>
        </h3>
        <p class="now">
          <span>{{ bench.temperature }}</span>
          <span>{{ bench.humidity }} RH</span>
        </p>
        <svg viewBox="0 0 216 30" role="img" [attr.aria-label]="bench.week">
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
        <p class="says">The air takes {{ bench.takes }} mm a day.</p>
        <p class="says" [class.warn]="bench.warn">{{ bench.says }}</p>
      </section>
    } @empty {
      <p class="quiet">No benches yet. The store room keeps their temperature and humidity.</p>
    }
  `,
  styles: `
    :host {
      display: block;
    }
    section {
      padding: 0.2rem 0 0.7rem;
      border-bottom: 1px solid var(--line);
    }
    .now {
      display: flex;
      justify-content: space-between;
      font-size: 1.05rem;
    }
    svg {
      display: block;
      width: 100%;
      height: 30px;
      margin: 0.25rem 0;
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
    h3 a {
      display: inline-flex;
      align-items: center;
      min-height: 44px;
      color: var(--ink);
      text-decoration: none;
    }
    h3 a:hover {
      text-decoration: underline;
    }
    .says {
      color: var(--ink2);
      font-size: 0.875rem;
    }
    .warn {
      color: var(--ink);
      font-weight: 600;
    }
  `,
})
export class AirStrip {
  private readonly words = inject(Words);
  readonly state = input.required<State>();
  readonly today = input.required<Day>();

  protected readonly benches = computed(() =>
    [...this.state().spaces.values()].map((space) => {
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
        name: space.name ?? 'Bench',
        temperature: this.words.temperature(air.tempC),
        humidity: this.words.percent(air.rh),
        bars,
        warn: mouldy || days === null,
        takes: evaporationMm.toFixed(1),
        week: `What the air took from a wet surface on each of the last ${WEEK} days`,
        says: [
          days === null
            ? 'Wounds stand still here.'
            : `A ${this.words.length(5)} stem closes in about ${days < 10 ? days.toFixed(1) : days.toFixed(0)} days.`,
          mouldy ? 'So damp that wounds may mould.' : '',
        ].join(' '),
      };
    }),
  );
}
