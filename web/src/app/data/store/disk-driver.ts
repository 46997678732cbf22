import localforage from 'localforage';
import { Disk, keyText } from './disk';

const DRIVER = 'hypogeon-disk';

/** Where an instance keeps the name of its store. */
interface Instance {
  storeName?: string;
}

/**
 * localForage over one {@link Disk}: it asks for everything of a write as soon as it has begun one, and has no option
 * for writes that last. What its own driver wrote is read as it lies there.
 * @param stores names of the stores that will be asked for
 */
export function storesOn(
  name: string,
  stores: readonly string[],
): { readonly disk: Disk; readonly store: (storeName: string) => LocalForage } {
  const disk = new Disk(name, stores);
  const driver = driverOn(disk);
  const defined = localforage.defineDriver(driver);
  void defined.catch((error: unknown) => console.error('the store', error));
  return {
    disk,
    store: (storeName) => localforage.createInstance({ name, storeName, driver: DRIVER }),
  };
}

function begin(this: Instance, { storeName }: LocalForageOptions): void {
  this.storeName = storeName!;
}

function driverOn(disk: Disk): LocalForageDriver {
  const of = (instance: unknown): string => (instance as Instance).storeName!;
  const driver: LocalForageDriver = {
    _driver: DRIVER,
    _support: typeof indexedDB !== 'undefined',
    _initStorage: begin,
    async getItem<T>(key: string) {
      const value = await disk.read<unknown>(of(this), (s) => s.get(key) as IDBRequest<unknown>);
      return (value ?? null) as T | null;
    },
    async setItem<T>(key: string, value: T) {
      await disk.write(of(this), (s) => s.put(value, key));
      return value;
    },
    removeItem(key: string) {
      return disk.write(of(this), (s) => s.delete(key));
    },
    clear() {
      return disk.write(of(this), (s) => s.clear());
    },
    length() {
      return disk.read(of(this), (s) => s.count());
    },
    async keys() {
      const keys = await disk.read(of(this), (s) => s.getAllKeys());
      return keys.map(keyText);
    },
    async key(index: number) {
      const keys = await disk.read(of(this), (s) => s.getAllKeys());
      return keyText(keys[index]);
    },
    /** All at once: a cursor asks for one after the other, and a journal has hundreds. */
    async iterate<U>(each: (value: never, key: string, nth: number) => U) {
      let last: U | undefined;
      (await disk.all(of(this))).forEach(([key, value], i) => {
        last = each(value as never, key, i + 1);
      });
      return last as U;
    },
  };
  return driver;
}
