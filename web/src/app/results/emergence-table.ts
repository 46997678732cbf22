import type { Emergence, EmergenceStep } from '@hypogeon/core/ledger';
import type { PlateTable } from '../ui/plate-frame';

/** The emergence plate as a table: what was surely there at each look. */
export function emergenceTable({ roots, pups, losses, waiting }: Emergence): PlateTable {
  const surely = (steps: readonly EmergenceStep[], day: number): number =>
    Math.round(steps.findLast((s) => s.day <= day)?.sure ?? 0);
  return {
    header: ['Day', 'Rooted', 'With pups', 'Rotted', 'Dried up', 'Lost otherwise', 'Waiting'],
    rows: waiting.map(({ day, count }) => [
      day,
      surely(roots, day),
      surely(pups, day),
      surely(losses.rotted, day),
      surely(losses.dried, day),
      surely(losses.lost, day),
      count,
    ]),
  };
}
