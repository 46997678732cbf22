import { messageLocale } from '@hypogeon/messages';
import {
  lengthIn,
  temperatureIn,
  type LengthUnit,
  type TemperatureUnit,
} from '@hypogeon/core/units';
import { rounded } from './numbers';

/** `8 mm` or `0.31 in`, to a precision a ruler on a bench can give. @param mm millimetres */
export function lengthText(mm: number, unit: LengthUnit, locale = messageLocale()): string {
  const value = lengthIn(mm, unit);
  const digits = unit === 'in' ? (value < 10 ? 2 : 1) : value < 10 && value % 1 !== 0 ? 1 : 0;
  return `${rounded(value, digits, locale)} ${unit}`;
}

/** `10–15 mm`, `3/8–5/8 in`: the unit once. */
export function lengthSpan(
  fromMm: number,
  toMm: number,
  unit: LengthUnit,
  locale = messageLocale(),
): string {
  const [from, to] = [lengthText(fromMm, unit, locale), lengthText(toMm, unit, locale)];
  const [, name = ''] = /(\s\S+)$/.exec(to) ?? [];
  if (from === to) return to;
  return from.endsWith(name)
    ? `${from.slice(0, from.length - name.length)}–${to}`
    : `${from}–${to}`;
}

/** `19.4 °C` or `67 °F`. Fahrenheit degrees are fine enough without a decimal. @param tempC °C */
export function temperatureText(
  tempC: number,
  unit: TemperatureUnit,
  locale = messageLocale(),
): string {
  const value = temperatureIn(tempC, unit);
  return `${rounded(value, unit === 'C' ? 1 : 0, locale)} °${unit}`;
}

/** Lengths of the trade's rules of thumb, as growers with inches say them. Common practice, no source. */
const RULES_OF_THUMB: readonly (readonly [metric: string, inches: string])[] = [
  ['2.5–5 cm', '1–2 in'],
  ['1–1.5 cm', 'about 1/2 in'],
  ['1–2 cm', '1/2–1 in'],
  ['7–12 cm', '3–5 in'],
  ['2–3 cm', 'about 1 in'],
  ['2.5 cm', '1 in'],
  ['5–7 cm', '2–3 in'],
  ['6 cm', '2 1/2 in'],
  ['10 cm', '4 in'],
];

/** A length in a sentence of ours: `16 cm`, `2.5–5 cm`, `10–15 mm`; never a part of a longer number. */
const METRIC = /(?<![\d.,–-])(\d+(?:\.\d+)?)(?:–(\d+(?:\.\d+)?))? (cm|mm)(?![\w²³])/g;

/**
 * A rule of thumb in the grower's units: `2–3 cm of bare stem`, `about 1 in of bare stem`. Never for what a grower wrote.
 * A length that the trade has no inches for is turned into those a ruler shows: `16 cm` is `6 1/2 in`.
 */
export const ruleText = (text: string, unit: LengthUnit): string =>
  unit === 'mm'
    ? text
    : text.replace(METRIC, (told, from: string, to: string | undefined, metric: string) => {
        const known = RULES_OF_THUMB.find(([rule]) => rule === told);
        if (known) return known[1];
        const inches = (value: string): string =>
          rulerInches((Number(value) * (metric === 'cm' ? 10 : 1)) / 25.4);
        const [low, high] = [inches(from), to === undefined ? undefined : inches(to)];
        return `${low}${high === undefined || high === low ? '' : `–${high}`} in`;
      });

/** A depth that nobody measured to a hundredth: `25 mm`, `1 in`, as a ruler shows it. @param mm > 0 */
export const depthText = (mm: number, unit: LengthUnit): string =>
  ruleText(`${Math.max(1, Math.round(mm))} mm`, unit);

/** The same from one to another: `10–15 mm`, `3/8–5/8 in`. @param fromMm, toMm > 0 */
export const depthSpan = (fromMm: number, toMm: number, unit: LengthUnit): string =>
  ruleText(`${Math.max(1, Math.round(fromMm))}–${Math.round(toMm)} mm`, unit);

/** To an eighth where small, to a half from two inches on, whole from ten. @param inches > 0 */
function rulerInches(inches: number): string {
  const parts = inches < 2 ? 8 : inches < 10 ? 2 : 1;
  const told = Math.max(1, Math.round(inches * parts));
  const [whole, rest] = [Math.floor(told / parts), told % parts];
  if (rest === 0) return `${whole}`;
  const common = rest % 4 === 0 && parts === 8 ? 4 : rest % 2 === 0 ? 2 : 1;
  const fraction = `${rest / common}/${parts / common}`;
  return whole === 0 ? fraction : `${whole} ${fraction}`;
}
