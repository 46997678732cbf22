import { assertCount } from '../assert';
import { randomFrom } from '../stats';

/**
 * Which arm sits in each cell of the tray, cell after cell along its rows. A row is a block: in it every arm has as
 * many cells as the others, or one more or less, for rows differ in light, air and water. Where within its row is
 * drawn by lot; the same seed draws the same.
 * @param arms how many; @param each cuttings in every arm; @param columns cells in a row
 * @returns arms from 0; every arm exactly `each` times
 * Source: randomised complete blocks, Fisher 1935, The Design of Experiments, ch. 4.
 */
export function trialLayout(
  arms: number,
  each: number,
  columns: number,
  seed: number,
): readonly number[] {
  assertCount('arms', arms);
  assertCount('each', each);
  if (!(columns >= 1)) throw new RangeError(`columns must be 1 or more, got ${columns}`);
  const random = randomFrom(seed);
  const had = Array<number>(arms).fill(0);
  const cells: number[] = [];
  while (cells.length < arms * each) {
    const size = Math.min(columns, arms * each - cells.length);
    const row: number[] = [];
    const here = Array<number>(arms).fill(0);
    while (row.length < size) {
      // The arm with the fewest in this row, then with the fewest so far, by lot among equals.
      const rank = had.map((n, arm) => here[arm]! * arms * each + n);
      const fewest = Math.min(...rank);
      const open = rank.flatMap((n, arm) => (n === fewest ? [arm] : []));
      const arm = open[Math.floor(random() * open.length)]!;
      here[arm]!++;
      had[arm]!++;
      row.push(arm);
    }
    cells.push(...shuffled(row, random));
  }
  return cells;
}

/** Source: Fisher & Yates 1938; Durstenfeld 1964, CACM 7:420. */
function shuffled(row: readonly number[], random: () => number): readonly number[] {
  const out = [...row];
  for (let i = out.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return out;
}
