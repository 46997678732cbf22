import type { Day } from '../days';

/** The air around a bench: mean of the day, °C and relative humidity 0–1. */
export interface Air {
  readonly tempC: number;
  readonly rh: number;
}

/** What more may be known of a day. */
export interface Weather extends Air {
  readonly minC?: number | undefined;
  readonly maxC?: number | undefined;
  readonly windMps?: number | undefined;
  readonly rainMm?: number | undefined;
  /** Light at the bench, mol m⁻² d⁻¹. */
  readonly molPerDay?: number | undefined;
  /** The humidity was not measured but filled in from the night's low. */
  readonly rhFilled?: boolean | undefined;
}

export interface AirReading extends Weather {
  readonly day: Day;
}
