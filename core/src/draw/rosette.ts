import { leaf } from './leaf';
import type { FullLook } from './full-look';
import { boxOf, moved, Pen, radians, scaled, through, wobble, type Stroke } from './pen';

/** From so far above one looks at a rosette, degrees. */
const TILT = 20;
const GOLDEN = 137.508;
/** Leaves of a rosette sit on it with a broad foot. */
const CLASPING = 0.62;

/** How finely a drawing is to be made: of a small one fewer leaves are told. */
export interface Detail {
  readonly fine: boolean;
}

/**
 * A rosette as it is seen from in front and a little above: leaves in the golden spiral, the outer ones long and low, the
 * inner short and steep, those behind first. Its middle at 0, 0, one across.
 * @param steep of its outermost leaves, where not its own
 */
export function head(look: FullLook, { fine }: Detail, steep = look.rise): readonly Stroke[] {
  const count = fine ? look.count : Math.min(look.count, 15);
  const [sinTilt, cosTilt] = [Math.sin(radians(TILT)), Math.cos(radians(TILT))];
  const leaves = Array.from({ length: count }, (_, i) => {
    const inner = count === 1 ? 1 : i / (count - 1);
    const up = radians(steep + (84 - steep) * inner ** 0.85);
    const round = radians(i * GOLDEN + 90);
    const length = 0.5 * (1 - 0.55 * inner);
    const [dx, dy, dz] = [
      Math.cos(up) * Math.sin(round),
      Math.sin(up),
      Math.cos(up) * Math.cos(round),
    ];
    const [sx, sy] = [dx, -(dy * cosTilt - dz * sinTilt)];
    const seen = Math.hypot(sx, sy);
    return {
      depth: dz * length,
      at: {
        x: 0,
        y: 0,
        angle: (Math.atan2(sx, -sy) * 180) / Math.PI,
        length: length * Math.max(seen, 0.35),
        width: length * look.wide * (0.8 + 0.1 * seen),
        bend: look.bend * Math.sign(dx) * Math.abs(dx),
        foot: CLASPING,
      },
    };
  });
  const strokes = leaves
    .toSorted((a, b) => a.depth - b.depth)
    .flatMap(({ at }) => leaf(look, at, fine));
  if (look.mark === 'web' && fine) strokes.push(...web(look));
  return strokes;
}

/** Threads from tip to tip. */
function web({ markTone = 'white' }: FullLook): readonly Stroke[] {
  const at = (i: number): readonly [number, number] => [
    0.2 * Math.cos(radians(i * 51)),
    -0.17 + 0.11 * Math.sin(radians(i * 51)),
  ];
  return Array.from({ length: 7 }, (_, i) =>
    new Pen()
      .move(at(i))
      .line(at(i + 3))
      .drawn(markTone, 1, true),
  );
}

/** Set on the ground: what would hang below it, lifted. */
export function grounded(strokes: readonly Stroke[]): readonly Stroke[] {
  const box = boxOf(strokes);
  return box ? moved(strokes, 0, -box.bottom) : strokes;
}

/** One rosette, or a clump of them: the large one in the middle, young ones before and beside it. */
export function rosette(look: FullLook, detail: Detail): readonly Stroke[] {
  const one = grounded(head(look, detail));
  const stalk = look.flower ? flowerStalk(look) : [];
  if (look.heads === 1) return [...stalk, ...one];
  // Of the young ones no eye counts the leaves.
  const young = grounded(head({ ...look, count: Math.min(look.count, 12) }, { fine: false }));
  const others = Array.from({ length: look.heads - 1 }, (_, i) => {
    const side = i % 2 === 0 ? -1 : 1;
    const out = 0.36 + 0.13 * Math.floor(i / 2);
    return moved(scaled(young, 0.5 - 0.05 * (i % 3)), side * out, 0.01);
  });
  return [...stalk, ...one, ...others.flat()];
}

function flowerStalk(look: FullLook): readonly Stroke[] {
  const top = [0.16, -0.95] as const;
  const stalk = through([[0.02, -0.2], [0.06, -0.6], top]).drawn('olive', 1.6);
  const bells = [0, 1, 2, 3].map((i) =>
    new Pen()
      .move([0.06 + 0.04 * i, -0.66 - 0.09 * i])
      .curve(
        [0.16 + 0.04 * i, -0.68 - 0.09 * i],
        [0.2 + 0.03 * i, -0.6 - 0.09 * i],
        [0.2 + 0.03 * i, -0.54 - 0.09 * i],
      )
      .line([0.12 + 0.03 * i, -0.54 - 0.09 * i])
      .close()
      .filled(look.flower!),
  );
  return [stalk, ...bells];
}

/** Rosettes on bare stems. */
export function stalked(look: FullLook, detail: Detail): readonly Stroke[] {
  const { heads, tall, stem } = look;
  const size = heads === 1 ? 0.95 : heads < 4 ? 0.6 : 0.5;
  const flat = head(look, detail, look.rise);
  const out: Stroke[] = [];
  const crowns: (readonly Stroke[])[] = [];
  for (let i = 0; i < heads; i++) {
    const side = heads === 1 ? 0 : (2 * i) / (heads - 1) - 1;
    const x = side * (0.16 + 0.07 * heads);
    const y = -tall * (1 - 0.28 * Math.abs(side)) - 0.05 * wobble(i);
    const fork = -tall * 0.35;
    out.push(
      through(
        heads === 1
          ? [
              [0, 0],
              [0.01, -tall / 2],
              [x, y],
            ]
          : [
              [0, 0],
              [0, fork],
              [x * 0.7, (fork + y) / 2],
              [x, y],
            ],
      ).drawn(stem, heads < 4 ? 4 : 3),
    );
    crowns.push(moved(scaled(flat, size), x, y));
  }
  return [...out, ...crowns.flat()];
}
