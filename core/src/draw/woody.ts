import { leaf } from './leaf';
import type { FullLook } from './full-look';
import { ellipse, Pen, radians, through, wobble, type Point, type Stroke } from './pen';
import type { Detail } from './rosette';

/** Where branches end, as a low tree spreads them; heads of them. */
function branchEnds(heads: number, tall: number): readonly { at: Point; side: number }[] {
  return Array.from({ length: heads }, (_, i) => {
    const side = heads === 1 ? 0 : (2 * i) / (heads - 1) - 1;
    return {
      side,
      at: [
        side * (0.28 + 0.02 * heads),
        -tall - (0.26 - 0.2 * side * side) - 0.05 * wobble(i),
      ] as const,
    };
  });
}

/** A bush: wood that forks, leaves in pairs at its ends. */
export function shrub(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const { heads, tall, stem, count, long, wide } = look;
  const wood: Stroke[] = [];
  const leaves: Stroke[] = [];
  for (const { at, side } of branchEnds(heads, tall)) {
    const fork = -tall * 0.42;
    wood.push(
      through([[0, 0], [side * 0.03, fork], [(at[0] * 2) / 3, (fork + at[1]) / 2], at]).drawn(
        stem,
        side === 0 ? 3.4 : 2.6,
      ),
    );
    leaves.push(...tuft(look, at, side * 32, { count, long, wide }, fine));
  }
  return [...wood, ...leaves];
}

/** Leaves in pairs round the end of a shoot, the lowest spread widest. */
export function tuft(
  look: FullLook,
  [x, y]: Point,
  lean: number,
  { count, long, wide }: { count: number; long: number; wide: number },
  fine: boolean,
): readonly Stroke[] {
  const out: Stroke[] = [];
  const step = long * 0.34;
  for (let i = 0; i < count; i++) {
    const up = i / Math.max(1, count - 1);
    const [px, py] = [
      x + step * (i - count / 2) * Math.sin(radians(lean)),
      y - step * (i - count / 2) * Math.cos(radians(lean)),
    ];
    for (const side of [-1, 1])
      out.push(
        ...leaf(
          look,
          {
            x: px,
            y: py,
            angle: lean + side * (84 - 52 * up),
            length: long * (1 - 0.25 * up),
            width: long * wide * (1 - 0.2 * up),
            bend: look.bend * side,
          },
          fine,
        ),
      );
  }
  out.push(
    ...leaf(
      look,
      { x, y: y - step * (count / 2), angle: lean, length: long * 0.62, width: long * wide * 0.7 },
      fine,
    ),
  );
  return out;
}

/** A thick bare stem with leaves at its ends. */
export function tree(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const { heads, tall, stem, count, long, wide, below } = look;
  const out: Stroke[] = [];
  const foot = below === 'caudex' ? 0.26 : 0.075;
  const neck = 0.06;
  out.push(
    new Pen()
      .move([-foot, 0])
      .curve([-foot * 1.25, -tall * 0.32], [-neck * 1.1, -tall * 0.42], [-neck, -tall * 0.62])
      .line([neck, -tall * 0.62])
      .curve([neck * 1.1, -tall * 0.42], [foot * 1.25, -tall * 0.32], [foot, 0])
      .close()
      .filled(stem),
  );
  const ends = branchEnds(heads, tall);
  for (const { at, side } of ends)
    out.push(
      through([
        [side * 0.03, -tall * 0.58],
        [at[0] * 0.6, -tall * 0.78],
        [at[0] * 0.95, at[1]],
      ]).drawn(stem, 6.5),
      through([
        [side * 0.03, -tall * 0.58],
        [at[0] * 0.6, -tall * 0.78],
        [at[0] * 0.95, at[1]],
      ]).filled(stem, { line: null }),
    );
  for (const { at, side } of ends)
    for (let i = 0; i < count; i++) {
      const spread = count === 1 ? 0 : (2 * i) / (count - 1) - 1;
      out.push(
        ...leaf(
          look,
          {
            x: at[0] * 0.95,
            y: at[1],
            angle: side * 22 + spread * 96,
            length: long * (1 - 0.22 * Math.abs(spread)) * (1 + 0.12 * wobble(i)),
            width: long * wide,
            bend: (look.bend || 0.25) * Math.sign(spread),
          },
          fine,
        ),
      );
    }
  if (look.flower)
    for (const { at } of ends)
      for (const [dx, dy] of [
        [0, -0.06],
        [0.08, -0.01],
        [-0.07, 0],
      ] as const)
        out.push(...bloom(look, [at[0] * 0.95 + dx, at[1] + dy]));
  return out;
}

/** A five-petalled flower, small. */
function bloom(look: FullLook, [x, y]: Point): readonly Stroke[] {
  return Array.from({ length: 5 }, (_, i) =>
    leaf(
      {
        ...look,
        fill: look.flower!,
        edge: undefined,
        mark: undefined,
        tip: 'round',
        at: 0.6,
        bend: 0,
      },
      { x, y, angle: 72 * i, length: 0.07, width: 0.05 },
      false,
    ),
  ).flat();
}

/** A stick forks so often at most: each time there are twice as many. */
const MOST_FORKS = 5;

/** Pencils without leaves, forking upwards; or hanging where they lean down. */
export function sticks(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const out: Stroke[] = [];
  // With leaves it is a woody bush; without, the stems themselves are green.
  const leafy = look.leaves === 'pairs';
  const bark = leafy ? look.stem : look.fill;
  const forked = Math.min(look.count, MOST_FORKS);
  const grow = (at: Point, angle: number, length: number, left: number, seed: number): void => {
    const to: Point = [
      at[0] + length * Math.sin(radians(angle)),
      at[1] - length * Math.cos(radians(angle)),
    ];
    const width = look.wide * (0.55 + 0.18 * left);
    const [ax, ay] = [
      (width / 2) * Math.cos(radians(angle)),
      (width / 2) * Math.sin(radians(angle)),
    ];
    const stick = new Pen()
      .move([at[0] - ax, at[1] - ay])
      .line([to[0] - ax, to[1] - ay])
      .curve(
        [to[0] - ax + ay, to[1] - ay - ax],
        [to[0] + ax + ay, to[1] + ay - ax],
        [to[0] + ax, to[1] + ay],
      )
      .line([at[0] + ax, at[1] + ay])
      .close();
    out.unshift(
      stick.filled(bark, { line: leafy ? bark : (look.edge ?? look.fill) }),
      ...(look.spines ? thorns(look, at, to, angle) : []),
    );
    if (left <= 1) {
      if (look.flower)
        out.push(ellipse([to[0] - 0.03, to[1] - 0.05], 0.035, 0.03).filled(look.flower));
      if (leafy)
        for (const side of [-1, 1])
          out.push(
            ...leaf(
              look,
              {
                x: to[0],
                y: to[1],
                angle: angle + side * 40,
                length: look.long,
                width: look.long * 0.4,
              },
              fine,
            ),
          );
      return;
    }
    const forks = seed % 3 === 0 ? [-30, 4, 32] : [-24, 26];
    for (const [i, turn] of forks.entries())
      grow(to, angle + turn + 10 * wobble(seed + i), length * 0.74, left - 1, seed * 2 + i + 1);
  };
  for (let h = 0; h < look.heads; h++) {
    const side = look.heads === 1 ? 0 : (2 * h) / (look.heads - 1) - 1;
    grow([side * 0.06, 0], side * 24, 0.3 + 0.03 * wobble(h), forked, h + 1);
  }
  return out;
}

function thorns(look: FullLook, from: Point, to: Point, angle: number): readonly Stroke[] {
  const pen = new Pen();
  for (const [i, along] of [0.2, 0.4, 0.6, 0.8].entries()) {
    const [x, y] = [from[0] + (to[0] - from[0]) * along, from[1] + (to[1] - from[1]) * along];
    const out = radians(angle + (i % 2 === 0 ? -70 : 70));
    pen.move([x, y]).line([x + 0.07 * Math.sin(out), y - 0.07 * Math.cos(out)]);
  }
  return [pen.drawn(look.spines!, 1, true)];
}
