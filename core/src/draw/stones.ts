import type { FullLook } from './full-look';
import { ellipse, moved, Pen, scaled, type Stroke } from './pen';
import type { Detail } from './rosette';

/** One pair of leaves grown together, cleft across the top; its foot at 0, 0, about one tall. */
export function stonePair(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const w = look.wide / 2;
  const { tip, markTone = 'wood', mark } = look;
  const cleft = tip === 'notch' ? 0.3 : 0.1;
  const out: Stroke[] = [
    new Pen()
      .move([-w * 0.72, 0])
      .curve([-w * 1.02, -0.3], [-w * 1.12, -0.8], [-w * 0.6, -0.98])
      .curve([-w * 0.3, -1.06], [-w * 0.06, -0.98], [0, -1 + cleft])
      .curve([w * 0.06, -0.98], [w * 0.3, -1.06], [w * 0.6, -0.98])
      .curve([w * 1.12, -0.8], [w * 1.02, -0.3], [w * 0.72, 0])
      .close()
      .filled(look.fill, { line: look.edge ?? look.fill }),
    new Pen()
      .move([0, -1 + cleft])
      .line([0, -0.62 + cleft * 0.6])
      .drawn(look.edge ?? look.fill, 1.4),
  ];
  // The top one looks into: darker, with its islands.
  for (const side of [-1, 1]) {
    if (mark === 'net' || mark === 'window')
      out.push(ellipse([side * w * 0.46, -0.84], w * 0.36, 0.1).filled(markTone, { line: null }));
    if (mark === 'dots' && fine)
      for (const [x, y] of [
        [0.28, -0.86],
        [0.52, -0.9],
        [0.7, -0.8],
        [0.44, -0.78],
        [0.62, -0.68],
      ] as const)
        out.push(
          ellipse([side * w * x, y], 0.03, 0.025).filled(markTone, { line: null, fine: true }),
        );
    if (mark === 'net' && fine)
      for (const x of [0.3, 0.5, 0.66])
        out.push(
          new Pen()
            .move([side * w * x, -0.9])
            .line([side * w * (x + 0.06), -0.77])
            .drawn(look.fill, 1, true),
        );
  }
  return out;
}

/** A clump of pairs. */
export function stones(look: FullLook, detail: Detail): readonly Stroke[] {
  const one = stonePair(look, detail);
  const places: readonly (readonly [number, number])[] = [
    [0, 1],
    [-0.86, 0.84],
    [0.88, 0.8],
    [-0.44, 0.62],
    [0.47, 0.58],
    [-1.42, 0.6],
    [1.44, 0.56],
  ];
  const flowers = look.flower
    ? Array.from({ length: 9 }, (_, i) =>
        new Pen()
          .move([0, -0.98])
          .line([0.36 * Math.cos((Math.PI * i) / 8), -1 - 0.24 * Math.sin((Math.PI * i) / 8)])
          .drawn(look.flower!, 2.4),
      )
    : [];
  return [
    ...places
      .slice(0, look.heads)
      .flatMap(([x, size]) => moved(scaled(one, size), x * look.wide, 0)),
    ...flowers,
  ];
}
