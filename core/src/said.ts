type Said = Readonly<Record<string, (() => string) | undefined>>;

/**
 * A record of a file that names one of its texts by the id of a message: the text is said whenever it is asked for, in
 * the language that is read then. What is no id is a grower’s own words, and stays.
 * @param messages messages that are told nothing, by id
 * @example said({ name: 'pumice3' }, 'name', names).name // 'Pumice 3–6 mm'
 */
export function said<T extends object, K extends keyof T>(of: T, key: K, messages: object): T {
  const id = of[key];
  const message = typeof id === 'string' ? (messages as Said)[id] : undefined;
  if (!message) return of;
  return Object.defineProperty({ ...of }, key, {
    get: message,
    enumerable: true,
    configurable: true,
  });
}
