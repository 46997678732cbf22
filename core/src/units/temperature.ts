import * as say from '@hypogeon/messages/core-units';
import { readAmount, type Read } from './amount';

/** Inside the core every temperature is in °C; growers may type and read °F. */
export type TemperatureUnit = 'C' | 'F';

export function celsiusFrom(value: number, unit: TemperatureUnit): number {
  return unit === 'C' ? value : ((value - 32) * 5) / 9;
}

export function temperatureIn(tempC: number, unit: TemperatureUnit): number {
  return unit === 'C' ? tempC : (tempC * 9) / 5 + 32;
}

/**
 * Reads a temperature as a grower writes it: `20`, `68 F`, `20 °C`, `-3`.
 * A number without a letter is in `unit`.
 * @returns °C, or a sentence that says what is wrong
 */
export function readTemperature(text: string, unit: TemperatureUnit): Read<'tempC'> {
  const read = readAmount(text);
  const letter = read?.unit?.replaceAll(/[°º\s]|deg/g, '') ?? '';
  if (!read || !['', 'c', 'f'].includes(letter))
    return {
      ok: false,
      problem: say.isNotATemperature({ text: text.trim() }),
    };
  return {
    ok: true,
    tempC: celsiusFrom(read.amount, letter === '' ? unit : letter === 'f' ? 'F' : 'C'),
  };
}
