import { leaf } from './leaf';
import type { FullLook } from './full-look';
import { ellipse, Pen, radians, through, wobble, type Point, type Stroke } from './pen';
import type { Detail } from './rosette';

/** One stem with its leaves from foot to tip; its foot at `from`. */
export function stem(
  look: FullLook,
  { from, lean, height }: { readonly from: Point; readonly lean: number; readonly height: number },
  { fine }: Detail,
): readonly Stroke[] {
  const { count, long, wide, leaves } = look;
  const on = (along: number): Point => [
    from[0] + height * along * Math.sin(radians(lean)) + 0.04 * lean * 0.02 * along * along,
    from[1] - height * along * Math.cos(radians(lean)),
  ];
  const out: Stroke[] = [through([on(0), on(0.5), on(0.96)]).drawn(look.stem, 2.2)];
  for (let i = 0; i < count; i++) {
    const along = 0.08 + (0.86 * i) / Math.max(1, count - 1);
    const size = long * (1.1 - 0.55 * (i / count) ** 1.5);
    const sides = leaves === 'alternate' ? [i % 2 === 0 ? -1 : 1] : [-1, 1];
    for (const side of sides)
      out.push(
        ...leaf(
          look,
          {
            x: on(along)[0],
            y: on(along)[1],
            angle: lean + side * (90 - look.rise - 22 * (i / count)),
            length: size,
            width: size * wide,
            bend: look.bend * side,
          },
          fine,
        ),
      );
  }
  const [tx, ty] = on(0.95);
  out.push(
    ...leaf(
      look,
      { x: tx, y: ty, angle: lean, length: long * 0.55, width: long * 0.55 * wide },
      fine,
    ),
  );
  return out;
}

/** Stems side by side, the middle one tallest. */
function stand(look: FullLook, detail: Detail, spread: number, lean: number): readonly Stroke[] {
  const { heads } = look;
  return Array.from({ length: heads }, (_, i) => ({
    i,
    side: heads === 1 ? 0 : (2 * i) / (heads - 1) - 1,
  }))
    .toSorted((a, b) => Math.abs(b.side) - Math.abs(a.side))
    .flatMap(({ i, side }) =>
      stem(
        look,
        {
          from: [side * spread, 0],
          lean: side * lean,
          height: 1 - 0.32 * Math.abs(side) + 0.1 * wobble(i),
        },
        detail,
      ),
    );
}

/** Leaf pairs threaded on stems, close as beads. */
export const stacked = (look: FullLook, detail: Detail): readonly Stroke[] =>
  stand(look, detail, look.heads > 3 ? 0.34 : 0.26, 14);

/** Leafy stems, spreading a little; with flowers at their ends where it is told by them. */
export function herb(look: FullLook, detail: Detail): readonly Stroke[] {
  const out = [...stand(look, detail, 0.12, 26)];
  if (look.flower)
    for (const side of look.heads === 1 ? [0] : [-0.62, 0, 0.62]) {
      const [x, y] = [side * 0.75, -1.04 + 0.24 * Math.abs(side)];
      for (const [dx, dy] of [
        [0, -0.05],
        [-0.06, 0],
        [0.06, 0],
        [0, 0.04],
      ] as const)
        out.push(ellipse([x + dx, y + dy], 0.045, 0.04).filled(look.flower));
    }
  if (look.below === 'rhizome' || look.below === 'tuber')
    out.unshift(ellipse([0, 0.09], 0.16, 0.08).filled('wood'));
  return out;
}

/** A low cushion of many short shoots. */
export function mat(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const { heads, count, long, wide, rise } = look;
  const out: Stroke[] = [];
  const shoots = Array.from({ length: heads }, (_, i) => {
    const side = heads === 1 ? 0 : (2 * i) / (heads - 1) - 1;
    return { i, side, height: 0.34 - 0.16 * side * side + 0.12 * wobble(i) };
  }).toSorted((a, b) => b.height - a.height);
  for (const { i, side, height } of shoots) {
    const lean = side * 34 + 14 * wobble(i + 7);
    const x = side * 0.62;
    const on = (along: number): Point => [
      x + height * along * Math.sin(radians(lean)),
      -height * along * Math.cos(radians(lean)),
    ];
    out.push(new Pen().move([x, 0]).line(on(1)).drawn(look.stem, 1.6));
    for (let k = 0; k < count; k++) {
      const along = 0.15 + (0.85 * k) / Math.max(1, count - 1);
      const round = k % 2 === 0 ? -1 : 1;
      const [px, py] = on(along);
      out.push(
        ...leaf(
          look,
          {
            x: px,
            y: py,
            angle: lean + round * (88 - rise) * (1 - 0.45 * along),
            length: long * 1.5,
            width: long * 1.5 * wide,
          },
          fine,
        ),
      );
    }
    if (look.flower && i % 2 === 0) {
      const [fx, fy] = on(1.15);
      out.push(...daisy(look, [fx, fy - 0.03]));
    }
  }
  return out;
}

function daisy(look: FullLook, [x, y]: Point): readonly Stroke[] {
  const out: Stroke[] = [];
  for (let i = 0; i < 10; i++)
    out.push(
      new Pen()
        .move([x, y])
        .line([x + 0.075 * Math.cos(radians(36 * i)), y + 0.055 * Math.sin(radians(36 * i))])
        .drawn(look.flower!, 2.2),
    );
  out.push(ellipse([x, y], 0.022, 0.018).filled('gold', { line: null }));
  return out;
}
