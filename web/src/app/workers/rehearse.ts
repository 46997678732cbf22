import {
  forecastOf,
  forecastTogether,
  rehearse as play,
  rehearsing,
  whatMatters,
  type Forecast,
  type ForecastInput,
  type Matter,
  type MattersInput,
  type Rehearsal,
  type RehearsalInput,
} from '@hypogeon/core/rehearse';

/** One call plays no longer than this, ms: between two of them one may stop, and sees how far it is. */
const SLICE_MS = 60;

let playing: ReturnType<typeof rehearsing> | null = null;

/** How far a play is, 0–1, and what came of it once it is over. */
export interface Far {
  readonly far: number;
  readonly rehearsal: Rehearsal | null;
}

/** Cuttings played through, off the screen's thread. */
export const rehearse = {
  /** Begins a play; one under way is forgotten. */
  begin(input: RehearsalInput): void {
    playing = rehearsing(input);
  },
  /** Plays on for a while. @throws where nothing was begun */
  more(): Far {
    if (!playing) throw new Error('no play was begun');
    const until = performance.now() + SLICE_MS;
    for (;;) {
      const step = playing.next();
      if (step.done) {
        playing = null;
        return { far: 1, rehearsal: step.value };
      }
      if (performance.now() >= until) return { far: step.value, rehearsal: null };
    }
  },
  /** A whole play at once. */
  play(input: RehearsalInput): Rehearsal {
    return play(input);
  },
  matters(input: MattersInput): readonly Matter[] {
    return whatMatters(input);
  },
  forecast(input: ForecastInput): Forecast {
    const said = forecastOf(input);
    if ('problem' in said) throw new RangeError(said.problem);
    return said;
  },
  /** Several ways at once, on the same benches. */
  together(parts: readonly ForecastInput[]): Forecast {
    const said = forecastTogether(parts);
    if ('problem' in said) throw new RangeError(said.problem);
    return said;
  },
};

export type RehearseWorker = typeof rehearse;
