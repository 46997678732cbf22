/** One line a figure: `name  value unit  target  ok|MISS`. */
export interface Figure {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  /** The value must stay below this; figures without a target are only told. */
  readonly target?: number;
}

export function print({ name, value, unit, target }: Figure): void {
  const told = value >= 100 ? value.toFixed(0) : value >= 1 ? value.toFixed(1) : value.toFixed(3);
  const verdict = target === undefined ? '' : value < target ? 'ok' : 'MISS';
  const goal = target === undefined ? '' : `< ${target} ${unit}`;
  console.log(
    `${name.padEnd(52)} ${told.padStart(9)} ${unit.padEnd(4)} ${goal.padEnd(12)} ${verdict}`,
  );
}

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
