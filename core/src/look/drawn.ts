import type { Look } from './look';
import type { Part } from './piece-kind';

/** What is to be drawn: of which plant, and which part of it. */
export interface Drawn {
  readonly look: Look;
  readonly part: Part;
}

const known = new WeakMap<Look, Map<Part, Drawn>>();

/** The same plant and part are the same thing to draw. */
export function drawn(look: Look, part: Part): Drawn {
  let parts = known.get(look);
  if (!parts) known.set(look, (parts = new Map<Part, Drawn>()));
  let is = parts.get(part);
  if (!is) parts.set(part, (is = { look, part }));
  return is;
}
