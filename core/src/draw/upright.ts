import { leaf } from './leaf';
import type { FullLook } from './full-look';
import { ellipse, through, wobble, type Stroke } from './pen';
import type { Detail } from './rosette';

/** Leaves in two ranks, one on the other. */
export function fan(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const { count, rise, wide } = look;
  const order = Array.from({ length: count }, (_, i) => i);
  return order.flatMap((i) => {
    // The innermost stand behind and steep, the outermost before and low.
    const step = Math.floor(i / 2) / Math.max(1, Math.ceil(count / 2) - 1);
    const side = i % 2 === 0 ? -1 : 1;
    const angle = side * (8 + (90 - rise - 8) * step);
    const length = 0.95 - 0.18 * step + 0.06 * wobble(i);
    return leaf(
      look,
      { x: 0.04 * side * step, y: 0, angle, length, width: length * wide, bend: look.bend * side },
      fine,
    );
  });
}

/** Straps out of the ground. */
export function straps(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const { count, rise, wide, below } = look;
  const out: Stroke[] = [];
  if (below === 'bulb')
    for (const x of [-0.16, 0.02, 0.2]) out.push(ellipse([x, -0.04], 0.1, 0.12).filled(look.stem));
  if (below === 'rhizome')
    out.push(
      through([
        [-0.35, 0.1],
        [0, 0.07],
        [0.35, 0.11],
      ]).drawn('gold', 5),
    );
  const places = Array.from({ length: count }, (_, i) => {
    const side = count === 1 ? 0 : (2 * i) / (count - 1) - 1;
    return { side, back: Math.abs(side) + 0.3 * wobble(i) };
  }).toSorted((a, b) => b.back - a.back);
  for (const [i, { side }] of places.entries()) {
    const length = 1 - 0.34 * Math.abs(side) + 0.12 * wobble(i + 3);
    out.push(
      ...leaf(
        look,
        {
          x: side * Math.min(0.2, 0.05 * count),
          y: 0,
          angle: side * (90 - rise) + 4 * wobble(i),
          length,
          width: Math.max(length, 0.7) * wide,
          bend: look.bend * Math.sign(side),
        },
        fine,
      ),
    );
  }
  return out;
}
