/** One line a figure: `name  value unit  target  scaled  ok|MISS`. */
export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  /** The value must stay below this, or be none where it is 0; figures without a target are only told. */
  readonly target?: number;
}

/**
 * Times are judged at the pace of the reference machine; sizes and counts as they are.
 * @param pace how many times as long this machine takes
 */
export function print({ name, value, unit, target }: Figure, pace = 1): void {
  const timed = unit === 'ms';
  const judged = timed ? value / pace : value;
  const met = target === 0 ? judged === 0 : judged < (target ?? Infinity);
  const verdict = target === undefined ? '' : met ? 'ok' : 'MISS';
  const goal = target === undefined ? '' : target === 0 ? 'none' : `< ${target} ${unit}`;
  const scaled = timed && target !== undefined ? `scaled ${digits(judged)}` : '';
  console.log(
    `${name.padEnd(56)} ${digits(value).padStart(9)} ${unit.padEnd(4)} ${goal.padEnd(12)} ${scaled.padEnd(13)} ${verdict}`,
  );
}

const digits = (value: number): string =>
  value >= 100 ? value.toFixed(0) : value >= 1 ? value.toFixed(1) : value.toFixed(3);

/** The median of some runs after a warm-up, in milliseconds. */
export function medianMs(run: () => void, runs = 5, warmUp = 1): number {
  for (let i = 0; i < warmUp; i++) run();
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  });
  return median(times);
}

export function median(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)]!;
}

/** Heap held after a collection, MB; needs `node --expose-gc`. */
export function heapMb(): number {
  globalThis.gc?.();
  return process.memoryUsage().heapUsed / 1e6;
}
