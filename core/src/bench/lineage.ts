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
  return descend(state, 'mother', eldest(state, mother));
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

type Growing = Omit<Descent, 'children'> & { readonly children: Growing[] };

/** Walked with a list of its own and not by calls: a line of descent may be thousands of generations long. */
function descend(state: State, kind: Descent['kind'], id: string): Descent {
  const root: Growing = { kind, id, children: [] };
  const children = childrenIn(state);
  const above = new Set<string>();
  const todo: ({ readonly at: Growing } | { readonly leave: string })[] = [{ at: root }];
  for (let step = todo.pop(); step; step = todo.pop()) {
    if ('leave' in step) {
      above.delete(step.leave);
      continue;
    }
    const name = nameOf(step.at);
    if (above.has(name)) continue;
    above.add(name);
    todo.push({ leave: name });
    const next = step.at.kind === 'mother' ? 'batch' : 'mother';
    for (const child of children.get(name) ?? [])
      step.at.children.push({ kind: next, id: child, children: [] });
    for (const at of step.at.children.toReversed()) todo.push({ at });
  }
  return root;
}

const nameOf = ({ kind, id }: Pick<Descent, 'kind' | 'id'>): string => `${kind}/${id}`;

/** Batches of each mother in the order they were cut, mothers raised from each batch. */
function childrenIn(state: State): ReadonlyMap<string, readonly string[]> {
  const children = new Map<string, string[]>();
  const add = (parent: string, child: string): void => {
    const known = children.get(parent);
    if (known) known.push(child);
    else children.set(parent, [child]);
  };
  const byCut = [...state.batches.values()].sort((a, b) =>
    a.cutOn < b.cutOn ? -1 : a.cutOn > b.cutOn ? 1 : 0,
  );
  for (const { id, mother } of byCut) if (mother !== undefined) add(`mother/${mother}`, id);
  for (const { id, fromBatch } of state.mothers.values())
    if (fromBatch !== undefined) add(`batch/${fromBatch}`, id);
  return children;
}

/** A row of the family as a table, a step in for every generation. */
export interface DescentRow {
  readonly kind: Descent['kind'];
  readonly id: string;
  readonly depth: number;
}

export function familyRows(root: Descent): readonly DescentRow[] {
  const rows: DescentRow[] = [];
  const todo: { readonly at: Descent; readonly depth: number }[] = [{ at: root, depth: 0 }];
  for (let step = todo.pop(); step; step = todo.pop()) {
    const { at, depth } = step;
    rows.push({ kind: at.kind, id: at.id, depth });
    for (const child of at.children.toReversed()) todo.push({ at: child, depth: depth + 1 });
  }
  return rows;
}

/** Batches cut from the same plant at the same time: crowns, segments and leaves of one stem. */
export function cutTogether(state: State, { id, cutWith }: Batch): readonly Batch[] {
  const first = cutWith ?? id;
  return [...state.batches.values()].filter(
    (b) => b.id !== id && (b.id === first || b.cutWith === first),
  );
}
