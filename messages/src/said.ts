import { number, ordinal, plural } from './rules';

/** What a message may be told: words and numbers that are written already, or a number that asks for its form. */
export type Shown = string | number;

/** A part of a message: its own words, what it is told, a number as the region writes it, or the form that asks for. */
export type Part =
  | string
  | readonly [told: string]
  | readonly [told: string, how: '#']
  | readonly [
      told: string,
      how: 'plural' | 'ordinal' | 'select',
      forms: Readonly<Record<string, Said>>,
    ];

/** A message of a fetched language: data, so that it can be handed to a worker. */
export type Said = string | readonly Part[];

/** A message with what it is told. @example fill([['n', '#'], ' ', ['n', 'plural', { one: 'Blatt', other: 'Blätter' }]], { n: 2 }) // '2 Blätter' */
export function fill(said: Said, told: Readonly<Record<string, Shown>>): string {
  if (typeof said === 'string') return said;
  return said.map((part) => filled(part, told)).join('');
}

function filled(part: Part, told: Readonly<Record<string, Shown>>): string {
  if (typeof part === 'string') return part;
  const [name, how, forms] = part;
  const value = told[name]!;
  if (how === undefined) return String(value);
  if (how === '#') return number(Number(value));
  const read = Object.fromEntries(
    Object.entries(forms!).map(([key, form]) => [key, fill(form, told)]),
  );
  if (how === 'select') return read[value] ?? read.other ?? '';
  return (how === 'plural' ? plural : ordinal)(Number(value), read);
}
