/**
 * A record of a file that names one of its texts by the id of a message: the text is said whenever it is asked for, in
 * the language that is read then. What is no id is a grower’s own words, and stays.
 * @param say messages by id
 * @example said({ name: 'pumice36Mm' }, 'name', names).name // 'Pumice 3–6 mm'
 */
export function said<T extends object>(
  of: T,
  key: keyof T,
  say: (id: string) => string | undefined,
): T {
  const id = of[key];
  if (typeof id !== 'string' || say(id) === undefined) return of;
  const told = { get: () => say(id), enumerable: true, configurable: true };
  // What was said so before stays so: a copy by value would keep the language of now.
  return Object.defineProperties({}, { ...Object.getOwnPropertyDescriptors(of), [key]: told }) as T;
}
