/*
 * Memory of sums, in one place. What is remembered hangs on objects that are replaced and never changed, and is
 * forgotten with them.
 */

/** A sum that is worked out when it is first asked for. */
export function memoOnce<V>(sum: () => V): () => V {
  let kept: { readonly is: V } | null = null;
  return () => (kept ??= { is: sum() }).is;
}

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

/** Asks for what hangs on an object and other things beside it. */
export type MemoAround<K extends object, V> = (
  key: K,
  around: readonly unknown[],
  sum: () => V,
) => V;

/** The answer holds while everything beside the object is the very same it was worked out with. */
export function memoAround<K extends object, V>(): MemoAround<K, V> {
  const kept = new WeakMap<K, { readonly around: readonly unknown[]; readonly is: V }>();
  const remember: MemoAround<K, V> = (key, around, sum) => {
    const known = kept.get(key);
    if (known && sameParts(known.around, around)) return known.is;
    const is = sum();
    kept.set(key, { around, is });
    return is;
  };
  return remember;
}

/** Asks for what hangs on an object, by a text beside it. */
export type MemoBy<K extends object, V> = (key: K, name: string, sum: () => V) => V;

/** Remembers at most `most` texts of each object: the oldest is forgotten first. */
export function memoBy<K extends object, V>(most: number): MemoBy<K, V> {
  const kept = new WeakMap<K, Map<string, V>>();
  const remember: MemoBy<K, V> = (key, name, sum) => {
    const named = kept.get(key) ?? new Map<string, V>();
    kept.set(key, named);
    if (named.has(name)) return named.get(name)!;
    const is = sum();
    if (named.size >= most) named.delete(named.keys().next().value!);
    named.set(name, is);
    return is;
  };
  return remember;
}

/**
 * One object for things that stand together: the very same as long as each of them is, so that what hangs on all of
 * them can be kept by it.
 */
export function togetherOf(): (parts: readonly unknown[]) => object {
  let latest: { readonly parts: readonly unknown[]; readonly is: object } | null = null;
  return (parts) => {
    if (!latest || !sameParts(latest.parts, parts)) latest = { parts, is: {} };
    return latest.is;
  };
}

const sameParts = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((part, i) => part === b[i]);
