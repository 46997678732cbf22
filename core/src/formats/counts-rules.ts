import type { CountsRow } from '../journal';

/** A rule that counts break: the field, which rule, and by what numbers. */
export interface BrokenRule {
  readonly field: string;
  readonly says: string;
}

/** What contradicts itself in a row of counts; empty where nothing does. */
export function brokenRules(row: CountsRow): readonly BrokenRule[] {
  const broken: BrokenRule[] = [];
  const says = (field: string, ...rule: readonly (string | number)[]): void => {
    broken.push({ field, says: rule.join('|') });
  };
  const { set, rooted, pupped, rotted, dried, lost, waiting, batches, settled } = row;
  const became = rooted + rotted + dried + lost + waiting;
  if (rooted > set) says('rooted', 'over-set', rooted, set);
  else if (became !== set) says('set', 'sum', set, became);
  if (pupped > rooted) says('pupped', 'over-rooted', pupped, rooted);
  if (batches > set) says('batches', 'over-set', batches, set);
  if (settled && waiting > 0) says('waiting', 'settled', waiting);
  row.roots.forEach(({ after, by }, i) => {
    if (after > by) says(`roots.${i}`, 'backwards');
  });
  // What had roots and was lost all the same is told of here, too.
  if (row.roots.reduce((sum, r) => sum + r.count, 0) > set) says('roots', 'roots', set);
  return broken;
}
