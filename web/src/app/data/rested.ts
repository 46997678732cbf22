import { map, switchMap, timer, type MonoTypeOperatorFunction } from 'rxjs';

/**
 * The last of what came in quick succession, once it has rested. By a timer alone: `debounceTime` asks the clock, too,
 * and waits for hours where that was set back meanwhile.
 */
export const rested = <T>(ms: number): MonoTypeOperatorFunction<T> =>
  switchMap((value: T) => timer(ms).pipe(map(() => value)));
