import { leaf } from './leaf';
import type { FullLook } from './full-look';
import { ellipse, radians, through, type Point, type Stroke } from './pen';
import type { Detail } from './rosette';

/** One frond: a stalk with leaflets on both sides and one at its end. */
export function frond(
  look: FullLook,
  { lean, height }: { readonly lean: number; readonly height: number },
  { fine }: Detail,
): readonly Stroke[] {
  const { count, long, wide } = look;
  const at = (along: number): Point => {
    const turn = radians(lean * (0.55 + 0.6 * along));
    return [height * along * Math.sin(turn), -height * along * Math.cos(turn)];
  };
  const out: Stroke[] = [through([0, 0.3, 0.6, 1].map(at)).drawn(look.stem, 3)];
  for (let i = 0; i < count; i++) {
    const along = 0.24 + (0.74 * i) / count;
    const [x, y] = at(along);
    const size = long * (1 - 0.3 * (i / count));
    for (const side of [-1, 1])
      out.push(
        ...leaf(
          look,
          {
            x,
            y,
            angle: lean * 1.15 + side * 52,
            length: size,
            width: size * wide,
            bend: look.bend * side,
          },
          fine,
        ),
      );
  }
  const [x, y] = at(1);
  out.push(
    ...leaf(
      look,
      { x, y, angle: lean * 1.2, length: long * 0.75, width: long * 0.75 * wide },
      fine,
    ),
  );
  return out;
}

/** Fronds out of one tuber. */
export function fronds(look: FullLook, detail: Detail): readonly Stroke[] {
  const { heads } = look;
  const out: Stroke[] = look.below ? [ellipse([0, 0.07], 0.2, 0.09).filled('wood')] : [];
  for (let i = 0; i < heads; i++) {
    // From the sides to the middle: those before cover those behind.
    const rank = i % 2 === 0 ? i / 2 : heads - 1 - (i - 1) / 2;
    const side = heads === 1 ? 0 : (2 * rank) / (heads - 1) - 1;
    out.push(...frond(look, { lean: side * 46, height: 1 - 0.22 * Math.abs(side) }, detail));
  }
  return out;
}
