import type { LedgerCase } from './case';
import { GROUPINGS, type Grouping } from './grouping';

/** Batches to look at: by the names of their groups, all of which must fit. */
export type LedgerFilter = Readonly<Partial<Record<Grouping, string>>>;

export function matching(
  cases: readonly LedgerCase[],
  filter: LedgerFilter,
): readonly LedgerCase[] {
  const asked = GROUPINGS.filter((by) => filter[by] !== undefined && filter[by] !== '');
  if (asked.length === 0) return cases;
  return cases.filter((c) => asked.every((by) => c.groups[by] === filter[by]));
}

/** The groups there are by a grouping, with how many batches, the most first. */
export function choicesOf(
  cases: readonly LedgerCase[],
  by: Grouping,
): readonly { readonly name: string; readonly batches: number }[] {
  return [...gather(cases, by)]
    .map(([name, members]) => ({ name, batches: members.length }))
    .sort((a, b) => b.batches - a.batches || (a.name < b.name ? -1 : 1));
}

/** Cases by the name of their group; those that do not tell are left out. */
export function gather(
  cases: readonly LedgerCase[],
  by: Grouping,
): ReadonlyMap<string, readonly LedgerCase[]> {
  const groups = new Map<string, LedgerCase[]>();
  for (const one of cases) {
    const name = one.groups[by];
    if (name === null) continue;
    const group = groups.get(name);
    if (group) group.push(one);
    else groups.set(name, [one]);
  }
  return groups;
}
