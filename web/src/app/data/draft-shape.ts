import * as z from 'zod';

/** A text or list in a draft is never longer: beyond it the store was damaged. */
const LONGEST = 20_000;

/**
 * The schema of a draft after the form's blank one: each field of the same kind, and the blank's where what was kept
 * is of another kind or missing, as after an update.
 * @param special schemas of fields that the blank does not show: dictionaries, choices
 * @example shapeOf({ name: '', count: 0 }).parse({ name: 'A', count: 'x' }) // { name: 'A', count: 0 }
 */
export function shapeOf<T extends object>(
  blank: T,
  special: { readonly [K in keyof T]?: z.ZodType<T[K]> } = {},
): z.ZodType<T> {
  const fields = Object.entries(blank).map(([key, value]) => {
    const schema = special[key as keyof T] ?? kindOf(value);
    return [key, schema.catch(value)];
  });
  return z.object(
    Object.fromEntries(fields) as Record<string, z.ZodType>,
  ) as unknown as z.ZodType<T>;
}

function kindOf(value: unknown): z.ZodType {
  if (typeof value === 'string') return z.string().max(LONGEST);
  if (typeof value === 'number') return z.number();
  if (typeof value === 'boolean') return z.boolean();
  if (Array.isArray(value))
    return z.array(value.length > 0 ? kindOf(value[0]) : z.string().max(LONGEST)).max(LONGEST);
  if (typeof value === 'object' && value !== null) return shapeOf(value);
  return z.null();
}

/** Texts by name. */
export const textsSchema = z.record(z.string().max(200), z.string().max(LONGEST));
