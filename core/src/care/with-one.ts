/**
 * A map as another is, but for one of its keys: two thousand batches are not copied for each day that one of them is
 * looked back at.
 *
 * @example `new WithOne(batches, 'b1', asItWas).get('b1')` is `asItWas`, every other key as in `batches`
 */
export class WithOne<K, V> implements ReadonlyMap<K, V> {
  /** @param key is in `others` */
  constructor(
    private readonly others: ReadonlyMap<K, V>,
    private readonly key: K,
    private readonly value: V,
  ) {
    if (!others.has(key)) throw new RangeError('the one that is changed is one of them');
  }

  get size(): number {
    return this.others.size;
  }

  get(key: K): V | undefined {
    return key === this.key ? this.value : this.others.get(key);
  }

  has(key: K): boolean {
    return this.others.has(key);
  }

  keys(): MapIterator<K> {
    return this.others.keys();
  }

  *values(): MapIterator<V> {
    for (const [, value] of this.entries()) yield value;
  }

  *entries(): MapIterator<[K, V]> {
    for (const [key, value] of this.others) yield [key, key === this.key ? this.value : value];
  }

  forEach(each: (value: V, key: K, map: ReadonlyMap<K, V>) => void): void {
    for (const [key, value] of this.entries()) each(value, key, this);
  }

  [Symbol.iterator](): MapIterator<[K, V]> {
    return this.entries();
  }
}
