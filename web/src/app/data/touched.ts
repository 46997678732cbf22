/**
 * The fields a form would write, without those whose inputs nobody touched: another device may have changed them
 * since, and what is shown rounded must not be stored rounded.
 * @param touched names of the inputs that were typed in
 * @param feeds for every field the inputs it is read from
 * @example touchedFields(new Set(['height']), { name: 'A', heightMm: 300 }, { name: ['name'], heightMm: ['height'] })
 *   // { heightMm: 300 }
 */
export function touchedFields<F extends object, I extends string>(
  touched: ReadonlySet<I>,
  fields: F,
  feeds: { readonly [K in keyof Required<F>]: readonly I[] },
): Partial<F> {
  return Object.fromEntries(
    Object.entries(fields).filter(([name]) =>
      feeds[name as keyof F].some((input) => touched.has(input)),
    ),
  ) as Partial<F>;
}
