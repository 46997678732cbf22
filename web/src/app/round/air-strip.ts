import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  addDays,
  airOf,
  closureRate,
  MOULD_RH,
  referenceClosureDays,
  type Day,
  type State,
} from '@hypogeon/core';
import { Words } from '../data/words';

const WEEK = 7;
/** A wound that closes twice as fast as at 22 °C and 55 % RH fills the bar. */
const FULL_RATE = 2;

/** The air on each bench now, and how fast wounds dried there over the week. */
@Component({
  selector: 'hy-air-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (bench of benches(); track bench.id) {
      <section>
        <h3>{{ bench.name }}</h3>
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
      padding: 0.7rem 0;
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
      const days = rate === 0 ? null : referenceClosureDays(5, 'soft stem') / rate;
      const bars = Array.from({ length: WEEK }, (_, n) => {
        const that = airOf(this.state(), space.id, addDays(this.today(), n - WEEK + 1));
        const share = Math.min(closureRate(that) / FULL_RATE, 1);
        return { height: Math.max(share * 28, 0.8), read: that.from === 'reading' };
      });
      const mouldy = air.rh > MOULD_RH;
      return {
        id: space.id,
        name: space.name ?? 'Bench',
        temperature: this.words.temperature(air.tempC),
        humidity: this.words.percent(air.rh),
        bars,
        warn: mouldy || days === null,
        week: `How fast wounds closed on each of the last ${WEEK} days`,
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
