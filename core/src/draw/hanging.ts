import { leaf } from './leaf';
import type { FullLook } from './full-look';
import { ellipse, Pen, through, wobble, type Point, type Stroke } from './pen';
import type { Detail } from './rosette';

/** A pot that stands high, its rim at 0, 0. */
export function hangingPot(): readonly Stroke[] {
  return [
    new Pen()
      .move([-0.27, -0.02])
      .line([0.27, -0.02], [0.23, 0.27], [-0.23, 0.27])
      .close()
      .filled('clay'),
    new Pen().move([-0.3, -0.09]).line([0.3, -0.09], [0.3, 0], [-0.3, 0]).close().filled('clay'),
  ];
}

/** One strand that hangs from `from`, so long, with its leaves. */
export function strand(
  look: FullLook,
  {
    from,
    length,
    out,
    seed,
  }: { readonly from: Point; readonly length: number; readonly out: number; readonly seed: number },
  { fine }: Detail,
): readonly Stroke[] {
  const { count, long, wide, tip, leaves } = look;
  const at = (along: number): Point => [
    from[0] + out * Math.min(1, along * 4) + 0.02 * Math.sin(along * 7 + seed),
    from[1] + (along < 0.12 ? -0.04 * Math.sin((along / 0.12) * Math.PI) : 0) + length * along,
  ];
  const strokes: Stroke[] = [through([0, 0.12, 0.35, 0.6, 0.8, 1].map(at)).drawn(look.stem, 1.3)];
  const n = Math.max(2, Math.round(count * length));
  for (let i = 0; i < n; i++) {
    const [x, y] = at((i + 0.6) / n);
    const size = long * (1 - 0.25 * (i / n) + 0.16 * wobble(seed * 7 + i));
    // Balls hang as beads; all else stands off its stem.
    if (tip === 'round' && wide >= 0.85 && look.at === 0.5) {
      const bead = x + (i % 2 === 0 ? -1 : 1) * size * 0.45;
      strokes.push(
        ellipse([bead, y], size / 2, size / 2).filled(look.fill, { line: look.edge ?? look.fill }),
      );
      if (fine && look.mark === 'stripe')
        strokes.push(
          new Pen()
            .move([bead, y - size * 0.36])
            .line([bead, y + size * 0.36])
            .drawn(look.markTone ?? 'jade', 1, true),
        );
      continue;
    }
    for (const side of leaves === 'alternate' ? [i % 2 === 0 ? -1 : 1] : [-1, 1])
      strokes.push(
        ...leaf(
          look,
          {
            x,
            y,
            angle: side * (98 + look.rise + 20 * wobble(i + seed)),
            length: size,
            width: size * wide,
            bend: look.bend * side,
          },
          fine,
        ),
      );
  }
  return strokes;
}

/** Strands over the rim of a pot. */
export function trail(look: FullLook, detail: Detail): readonly Stroke[] {
  const { heads } = look;
  const back: Stroke[] = [];
  for (let i = 0; i < heads; i++) {
    const side = heads === 1 ? 0 : (2 * i) / (heads - 1) - 1;
    back.push(
      ...strand(
        look,
        {
          from: [side * 0.24, -0.07],
          length: 0.72 - 0.2 * Math.abs(side) + 0.34 * wobble(i + 2),
          out: side * 0.12,
          seed: i,
        },
        detail,
      ),
    );
  }
  return [...hangingPot(), ...back];
}

/** Long shoots that lean on a stake, leaves in pairs far apart. */
export function climber(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const { count, heads, long, wide, leaves } = look;
  const out: Stroke[] = [new Pen().move([0, 0.02]).line([0, -1.02]).drawn('wood', 2.2)];
  for (let h = 0; h < heads; h++) {
    const turn = h % 2 === 0 ? 1 : -1;
    const height = 1 - 0.24 * h;
    const at = (along: number): Point => [
      turn * (0.1 * Math.sin(along * 9 + h) + 0.08 * along),
      -height * along,
    ];
    out.push(through([0, 0.15, 0.3, 0.45, 0.6, 0.75, 0.9, 1].map(at)).drawn(look.stem, 2));
    for (let i = 0; i < count; i++) {
      const [x, y] = at((i + 0.7) / count);
      for (const side of leaves === 'alternate' ? [i % 2 === 0 ? -turn : turn] : [-1, 1])
        out.push(
          ...leaf(
            look,
            {
              x,
              y,
              angle: side * (70 + 16 * wobble(i + h)),
              length: long * (1 - 0.2 * (i / count)),
              width: long * wide * (1 - 0.2 * (i / count)),
              bend: look.bend * side,
            },
            fine,
          ),
        );
    }
  }
  return out;
}
