/*
 * Memory of sums, in one place. What is remembered hangs on objects that are replaced and never changed, and is
 * forgotten with them.
 */

/** A function that remembers its answer for every object it was asked about. */
export function memo<K extends object, V>(sum: (key: K) => V): (key: K) => V {
  const kept = new WeakMap<K, { readonly is: V }>();
  return (key) => {
    const known = kept.get(key);
    if (known) return known.is;
    const is = sum(key);
    kept.set(key, { is });
    return is;
  };
}

/**
 * The same where the answer hangs on other things beside the object: it holds while all of these are the very ones
 * it was worked out with.
 */
export function memoAround<K extends object, V>(): (
  key: K,
  around: readonly unknown[],
  sum: () => V,
) => V {
  const kept = new WeakMap<K, { readonly around: readonly unknown[]; readonly is: V }>();
  return (key, around, sum) => {
    const known = kept.get(key);
    if (known && sameParts(known.around, around)) return known.is;
    const is = sum();
    kept.set(key, { around, is });
    return is;
  };
}

/** The same by a text beside the object, for at most `most` of them: the oldest is forgotten first. */
export function memoBy<K extends object, V>(
  most: number,
): (key: K, name: string, sum: () => V) => V {
  const kept = new WeakMap<K, Map<string, V>>();
  return (key, name, sum) => {
    let named = kept.get(key);
    if (!named) kept.set(key, (named = new Map()));
    if (named.has(name)) return named.get(name)!;
    const is = sum();
    if (named.size >= most) named.delete(named.keys().next().value!);
    named.set(name, is);
    return is;
  };
}

const sameParts = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((part, i) => part === b[i]);
