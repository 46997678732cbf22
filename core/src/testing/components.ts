import { mediumOf, RECIPES, SHELF, type Component, type Container, type Medium } from '../media';

export function component(id: string): Component {
  const found = SHELF.find((c) => c.id === id);
  if (!found) throw new Error(`no component ${id}`);
  return found;
}

/** A mix as `{pumice: 2, akadama: 1}`. */
export function mix(parts: Readonly<Record<string, number>>): Medium {
  return mediumOf(Object.entries(parts).map(([id, n]) => ({ component: component(id), parts: n })));
}

export function recipe(id: string): Medium {
  return mix(Object.fromEntries(RECIPES.find((r) => r.id === id)!.parts));
}

/** A straight round pot, 10 cm wide, of a height. */
export function straightPot(heightMm: number, over: Partial<Container> = {}): Container {
  return {
    id: 'test',
    name: 'Test pot',
    shape: 'round',
    topMm: 100,
    bottomMm: 100,
    heightMm,
    freeboardMm: 0,
    wall: 'plastic',
    holes: true,
    ...over,
  };
}
