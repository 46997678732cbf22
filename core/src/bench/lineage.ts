import type { Batch, State } from '../journal';

/** A plant or a batch, and what came of it. */
export interface Descent {
  readonly kind: 'mother' | 'batch';
  readonly id: string;
  readonly children: readonly Descent[];
}

/**
 * The family of a mother: from the oldest plant known to stand behind her down to the last batch.
 * A mother is raised from a batch, a batch is cut from a mother; where records run in a circle, the circle
 * is left where it closes.
 */
export function familyOf(state: State, mother: string): Descent {
  return descend(state, 'mother', eldest(state, mother), new Set());
}

function eldest(state: State, mother: string): string {
  const seen = new Set<string>();
  let at = mother;
  while (!seen.has(at)) {
    seen.add(at);
    const from = state.mothers.get(at)?.fromBatch;
    const before = from === undefined ? undefined : state.batches.get(from)?.mother;
    if (before === undefined || !state.mothers.has(before) || seen.has(before)) return at;
    at = before;
  }
  return at;
}

function descend(
  state: State,
  kind: Descent['kind'],
  id: string,
  above: ReadonlySet<string>,
): Descent {
  const name = `${kind}/${id}`;
  if (above.has(name)) return { kind, id, children: [] };
  const seen = new Set([...above, name]);
  const next: Descent['kind'] = kind === 'mother' ? 'batch' : 'mother';
  const ids =
    kind === 'mother'
      ? [...state.batches.values()]
          .filter((b) => b.mother === id)
          .sort((a, b) => (a.cutOn < b.cutOn ? -1 : a.cutOn > b.cutOn ? 1 : 0))
          .map((b) => b.id)
      : [...state.mothers.values()].filter((m) => m.fromBatch === id).map((m) => m.id);
  return { kind, id, children: ids.map((child) => descend(state, next, child, seen)) };
}

/** A row of the family as a table, a step in for every generation. */
export interface DescentRow {
  readonly kind: Descent['kind'];
  readonly id: string;
  readonly depth: number;
}

export function familyRows(root: Descent, depth = 0): readonly DescentRow[] {
  return [
    { kind: root.kind, id: root.id, depth },
    ...root.children.flatMap((child) => familyRows(child, depth + 1)),
  ];
}

/** Batches cut from the same plant at the same time: crowns, segments and leaves of one stem. */
export function cutTogether(state: State, { id, cutWith }: Batch): readonly Batch[] {
  const first = cutWith ?? id;
  return [...state.batches.values()].filter(
    (b) => b.id !== id && (b.id === first || b.cutWith === first),
  );
}
