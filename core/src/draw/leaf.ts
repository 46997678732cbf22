import type { FullLook } from './full-look';
import { ellipse, Pen, radians, type Point, type Stroke } from './pen';

/** Where a leaf stands and how large it is there. */
export interface LeafAt {
  readonly x: number;
  readonly y: number;
  /** Where its tip points, degrees from upright with the clock. */
  readonly angle: number;
  readonly length: number;
  /** At its widest. */
  readonly width: number;
  readonly bend?: number;
  /** Half its width at its foot, over that where it is widest; of a leaf that clasps its stem it is wide. */
  readonly foot?: number;
}

/** A leaf on a narrow foot. */
const FOOT = 0.42;

/** A leaf as its figures have it: outline, and what is to be seen on it. */
export function leaf(look: FullLook, at: LeafAt, fine = true): readonly Stroke[] {
  const { angle, length, width } = at;
  const bend = at.bend ?? look.bend;
  const [sin, cos] = [Math.sin(radians(angle)), Math.cos(radians(angle))];
  const half = width / 2;
  /** A place on it: across in half widths, along in lengths. */
  const on = (across: number, along: number): Point => {
    const [u, v] = [across * half + bend * length * 0.5 * along * along, along * length];
    return [at.x + u * cos + v * sin, at.y + u * sin - v * cos];
  };
  const strokes: Stroke[] = [];
  const edge = look.edge ?? look.fill;
  const foot = at.foot ?? FOOT;
  const outline = outlineOf(look, on, foot);
  strokes.push(outline.filled(look.fill, { line: edge, width: look.edge ? 1.5 : 1.2 }));
  if (fine) strokes.push(...markingsOf(look, on, { half, length, foot }));
  return strokes;
}

function outlineOf(
  { at, tip }: FullLook,
  on: (across: number, along: number) => Point,
  foot: number,
): Pen {
  const pen = new Pen();
  const side = (s: number): readonly [Point, Point, Point] => [
    on(s * (foot + 0.2), at * 0.3),
    on(s, at * 0.6),
    on(s, at),
  ];
  const rest = 1 - at;
  if (tip === 'heart') {
    // Two lobes at the foot, a point at the end.
    pen
      .move(on(0, 0))
      .curve(on(-0.4, -0.16), on(-1, -0.06), on(-1, 0.3))
      .curve(on(-1, 0.62), on(-0.4, 0.82), on(0, 1))
      .curve(on(0.4, 0.82), on(1, 0.62), on(1, 0.3))
      .curve(on(1, -0.06), on(0.4, -0.16), on(0, 0));
    return pen.close();
  }
  pen.move(on(-foot, 0));
  const [a, b, c] = side(-1);
  pen.curve(a, b, c);
  const [end1, end2] = TIP[tip];
  pen.curve(
    on(-end1[0], at + rest * end1[1]),
    on(-end2[0], at + rest * end2[1]),
    on(0, tip === 'notch' ? 0.9 : 1),
  );
  pen.curve(on(end2[0], at + rest * end2[1]), on(end1[0], at + rest * end1[1]), on(1, at));
  const [d, e] = side(1);
  pen.curve(e, d, on(foot, 0));
  return pen.close();
}

/** How the last stretch to the tip bows: across and along of its two pulls. */
const TIP: Readonly<Record<Exclude<FullLook['tip'], 'heart'>, readonly [Point, Point]>> = {
  round: [
    [1, 0.6],
    [0.6, 1],
  ],
  blunt: [
    [1, 0.9],
    [0.9, 1],
  ],
  point: [
    [1, 0.5],
    [0.42, 0.75],
  ],
  taper: [
    [0.8, 0.3],
    [0.1, 0.7],
  ],
  notch: [
    [1, 0.7],
    [0.55, 1.25],
  ],
};

/** What is to be seen on it. */
function markingsOf(
  look: FullLook,
  on: (across: number, along: number) => Point,
  { half, length, foot }: { readonly half: number; readonly length: number; readonly foot: number },
): readonly Stroke[] {
  const { mark, markTone = 'white', at, tip } = look;
  if (mark === undefined) return [];
  const out: Stroke[] = [];
  const widthAt = (along: number): number =>
    along < at
      ? foot + (1 - foot) * (along / at) ** 0.8
      : tip === 'taper'
        ? (1 - (along - at) / (1.06 - at)) ** 1.25
        : Math.sqrt(Math.max(0, 1 - ((along - at) / (1.04 - at)) ** 2)) *
          (tip === 'point' ? 0.92 : 1);
  const dot = (across: number, along: number, size: number): void => {
    const r = Math.min(half, length / 3) * size;
    out.push(
      ellipse(on(across * widthAt(along), along), r, r).filled(markTone, {
        line: null,
        fine: true,
      }),
    );
  };
  switch (mark) {
    case 'bands':
      for (const along of [0.16, 0.3, 0.44, 0.58, 0.72, 0.85]) {
        const w = 0.9 * widthAt(along);
        out.push(
          new Pen()
            .move(on(-w, along))
            .curve(on(-w * 0.3, along + 0.03), on(w * 0.3, along - 0.03), on(w, along + 0.02))
            .drawn(markTone, 1.4, true),
        );
      }
      break;
    case 'dots':
    case 'warts':
      for (const [i, along] of [0.2, 0.33, 0.46, 0.59, 0.72, 0.84].entries())
        for (const across of i % 2 === 0 ? [-0.45, 0.45] : [0])
          dot(across, along, mark === 'warts' ? 0.2 : 0.14);
      break;
    case 'stripe':
      out.push(new Pen().move(on(0, 0.1)).line(on(0, 0.92)).drawn(markTone, 1.5, true));
      break;
    case 'stripes':
      for (const across of [-0.45, 0, 0.45])
        out.push(
          new Pen()
            .move(on(across * 0.7, 0.12))
            .line(on(across * widthAt(0.85), 0.86))
            .drawn(markTone, 1, true),
        );
      break;
    case 'net':
      for (const side of [-1, 1])
        for (const along of [0.25, 0.42, 0.58, 0.72])
          out.push(
            new Pen()
              .move(on(0, along))
              .line(on(side * 0.75 * widthAt(along + 0.1), along + 0.1))
              .drawn(markTone, 0.9, true),
          );
      out.push(new Pen().move(on(0, 0.08)).line(on(0, 0.9)).drawn(markTone, 1, true));
      break;
    case 'window': {
      const w = 0.62 * widthAt(0.8);
      out.push(
        new Pen()
          .move(on(-w, 0.72))
          .curve(on(-w, 0.86), on(-w * 0.4, 0.95), on(0, 0.96))
          .curve(on(w * 0.4, 0.95), on(w, 0.86), on(w, 0.72))
          .curve(on(w * 0.4, 0.64), on(-w * 0.4, 0.64), on(-w, 0.72))
          .close()
          .filled(markTone, { line: null, fine: true }),
      );
      break;
    }
    case 'tip': {
      const from = Math.max(0.76, at);
      const w = widthAt(from + 0.08) * 0.96;
      out.push(
        new Pen()
          .move(on(-w, from + 0.08))
          .curve(on(-w * 0.9, from + 0.2), on(-w * 0.35, 0.95), on(0, 0.99))
          .curve(on(w * 0.35, 0.95), on(w * 0.9, from + 0.2), on(w, from + 0.08))
          .curve(on(w * 0.4, from + 0.16), on(-w * 0.4, from + 0.16), on(-w, from + 0.08))
          .close()
          .filled(markTone, { line: null }),
      );
      break;
    }
    case 'teeth':
      for (const side of [-1, 1])
        for (const along of [0.2, 0.36, 0.52, 0.68, 0.82]) {
          const w = widthAt(along);
          out.push(
            new Pen()
              .move(on(side * w, along - 0.02))
              .line(on(side * (w + 0.2), along + 0.04))
              .line(on(side * widthAt(along + 0.06), along + 0.06))
              .drawn(markTone, 1.2, true),
          );
        }
      break;
    case 'fur':
      for (const side of [-1, 1])
        for (const along of [0.15, 0.3, 0.45, 0.6, 0.75, 0.9]) {
          const w = widthAt(along);
          out.push(
            new Pen()
              .move(on(side * w, along))
              .line(on(side * (w + 0.22), along + 0.07))
              .drawn(markTone, 0.9, true),
          );
        }
      break;
    case 'blotch':
      for (const [across, along] of [
        [-0.4, 0.35],
        [0.35, 0.5],
        [-0.2, 0.68],
        [0.3, 0.8],
      ] as const)
        dot(across, along, 0.26);
      break;
    case 'bloom': {
      const w = 0.5 * widthAt(0.5);
      out.push(
        new Pen()
          .move(on(-w, 0.3))
          .curve(on(-w, 0.5), on(-w * 0.6, 0.7), on(-w * 0.2, 0.84))
          .drawn(markTone, 1.6, true),
      );
      break;
    }
    case 'web':
      out.push(new Pen().move(on(0, 1)).line(on(0.5, 0.9)).drawn(markTone, 1, true));
      break;
  }
  return out;
}
