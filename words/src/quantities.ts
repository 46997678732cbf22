import {
  lengthIn,
  temperatureIn,
  type LengthUnit,
  type TemperatureUnit,
} from '@hypogeon/core/units';

/** `8 mm` or `0.31 in`, to a precision a ruler on a bench can give. @param mm millimetres */
export function lengthText(mm: number, unit: LengthUnit): string {
  const value = lengthIn(mm, unit);
  const digits = unit === 'in' ? 2 : value < 10 && value % 1 !== 0 ? 1 : 0;
  return `${trimZeros(value.toFixed(digits))} ${unit}`;
}

/** `19.4 °C` or `67 °F`. Fahrenheit degrees are fine enough without a decimal. @param tempC °C */
export function temperatureText(tempC: number, unit: TemperatureUnit): string {
  const value = temperatureIn(tempC, unit);
  return unit === 'C' ? `${+value.toFixed(1)} °C` : `${value.toFixed(0)} °F`;
}

const trimZeros = (number: string): string =>
  number.includes('.') ? number.replace(/\.?0+$/, '') : number;
