/** Inside the core every temperature is in °C; growers may type and read °F. */
export type TemperatureUnit = 'C' | 'F';

export function celsiusFrom(value: number, unit: TemperatureUnit): number {
  return unit === 'C' ? value : ((value - 32) * 5) / 9;
}

export function temperatureIn(tempC: number, unit: TemperatureUnit): number {
  return unit === 'C' ? tempC : (tempC * 9) / 5 + 32;
}
