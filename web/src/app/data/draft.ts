/** What a grower was typing survives a reload: kept per form until it is handed in. */
export interface DraftKeeper<T> {
  read(): T | null;
  keep(value: T): void;
  drop(): void;
}

export function draftKeeper<T>(form: string): DraftKeeper<T> {
  const key = `hypogeon.draft.${form}`;
  return {
    read: () => {
      try {
        const text = localStorage.getItem(key);
        return text === null ? null : (JSON.parse(text) as T);
      } catch {
        return null;
      }
    },
    keep: (value) => {
      try {
        localStorage.setItem(key, JSON.stringify(value));
      } catch {
        // A full store is said where entries are saved; a draft is only a comfort.
      }
    },
    drop: () => {
      try {
        localStorage.removeItem(key);
      } catch {
        // As above.
      }
    },
  };
}
