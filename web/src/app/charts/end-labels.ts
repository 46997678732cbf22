import type { Ink } from './chart-model';

export interface EndLabel {
  /** Where its curve ends, on the y axis. */
  readonly y: number;
  readonly text: string;
  /** A second, quieter line. */
  readonly note?: string;
}

/**
 * Words at the ends of curves, moved apart where they would stand on each other.
 * @param x where the curves end
 * @param gap least distance between two, in units of the y axis
 */
export function endLabels(labels: readonly EndLabel[], x: number, gap: number, ink: Ink): object {
  const apart = spread(labels, gap);
  return {
    type: 'scatter',
    silent: true,
    symbolSize: 0,
    z: 7,
    clip: false,
    data: apart.map(({ y, text, note }) => ({
      value: [x, y],
      label: {
        show: true,
        position: 'right',
        distance: 8,
        formatter: note === undefined ? `{name|${text}}` : `{name|${text}}\n{note|${note}}`,
        rich: {
          name: { color: ink('--ink'), fontWeight: 650, fontSize: 13, lineHeight: 16 },
          note: { color: ink('--ink2'), fontSize: 12, lineHeight: 15 },
        },
      },
    })),
  };
}

/** From the top down, each at least a gap under the one before. */
export function spread<T extends EndLabel>(labels: readonly T[], gap: number): readonly T[] {
  const out: T[] = [];
  for (const label of [...labels].sort((a, b) => b.y - a.y)) {
    const above = out.at(-1);
    out.push(above && above.y - label.y < gap ? { ...label, y: above.y - gap } : label);
  }
  return out;
}
