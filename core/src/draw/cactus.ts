import { leaf } from './leaf';
import type { FullLook } from './full-look';
import {
  ellipse,
  moved,
  Pen,
  radians,
  rotated,
  scaled,
  through,
  wobble,
  type Point,
  type Stroke,
} from './pen';
import type { Detail } from './rosette';

/** A rounded body from the ground up: its width, its height, the place of its foot. */
export function trunk(
  look: FullLook,
  [x, y]: Point,
  width: number,
  height: number,
  fine: boolean,
): readonly Stroke[] {
  const half = width / 2;
  const top = y - height;
  const round = Math.min(half * 1.15, height * 0.6);
  const out: Stroke[] = [
    new Pen()
      .move([x - half, y])
      .line([x - half, top + round])
      .curve([x - half, top + round * 0.4], [x - half * 0.55, top], [x, top])
      .curve([x + half * 0.55, top], [x + half, top + round * 0.4], [x + half, top + round])
      .line([x + half, y])
      .close()
      .filled(look.fill),
  ];
  const ribs = Math.max(2, Math.round(look.count / 2));
  for (let i = 1; i < ribs; i++) {
    // Ribs as one sees them round a body: closer towards its sides.
    const across = Math.sin(radians(-90 + (180 * i) / ribs)) * half;
    const dip = top + round * (1 - Math.sqrt(Math.max(0, 1 - (across / half) ** 2))) * 0.8;
    if (look.edge || fine)
      out.push(
        new Pen()
          .move([x + across, y])
          .line([x + across, dip + 0.01])
          .drawn(look.edge ?? look.fill, 1, !look.edge),
      );
    if (look.spines && fine) out.push(...spinesAlong(look, x + across, dip + 0.05, y - 0.04));
  }
  if (look.spines)
    for (const side of [-1, 1])
      out.push(...spinesAlong(look, x + side * half, top + round * 0.8, y - 0.05, side));
  return out;
}

function spinesAlong(
  look: FullLook,
  x: number,
  from: number,
  to: number,
  side = 0,
): readonly Stroke[] {
  const long = look.spineLong ?? 0.04;
  const out: Stroke[] = [];
  for (let y = from; y < to; y += 0.085) {
    const pen = new Pen();
    if (side === 0)
      pen
        .move([x - long * 0.7, y - long * 0.6])
        .line([x, y])
        .line([x + long * 0.7, y - long * 0.6])
        .move([x, y])
        .line([x, y - long]);
    else
      pen
        .move([x + side * long, y - long * 0.7])
        .line([x, y])
        .line([x + side * long * 1.2, y + long * 0.2]);
    out.push(pen.drawn(look.spines!, 1, side === 0));
  }
  return out;
}

/** One column, or one with arms, or a candelabra. */
export function column(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const { heads, wide } = look;
  if (heads === 1) return trunk(look, [0, 0], wide, 1, fine);
  const out: Stroke[] = [];
  const arms = heads - 1;
  for (let i = 0; i < arms; i++) {
    const side = i % 2 === 0 ? -1 : 1;
    const rank = Math.floor(i / 2);
    const x = side * (wide * 1.25 + rank * wide * 1.1);
    const foot = -(0.16 + 0.1 * rank + 0.06 * (side + 1));
    out.push(
      through([
        [0, foot + wide * 0.3],
        [x * 0.7, foot + wide * 0.25],
        [x, foot - wide * 0.3],
      ]).drawn(look.fill, 6),
      ...trunk(look, [x, foot], wide * 0.78, 0.62 - 0.1 * rank - 0.06 * (side + 1), fine),
    );
  }
  return [...out, ...trunk(look, [0, 0], wide, 1, fine)];
}

/** Stems in a clump, thick as fingers, each from the ground. */
export function fingers(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const { heads, wide } = look;
  return Array.from({ length: heads }, (_, i) => ({
    i,
    side: heads === 1 ? 0 : (2 * i) / (heads - 1) - 1,
  }))
    .toSorted((a, b) => Math.abs(a.side) - Math.abs(b.side))
    .flatMap(({ i, side }) => {
      const height = 0.62 - 0.26 * Math.abs(side) + 0.1 * wobble(i);
      return rotated(trunk(look, [0, 0], wide * 0.62, height, fine), side * 42, [0, 0]).map(
        (s) => moved([s], side * 0.3, 0)[0]!,
      );
    });
}

/** A ball, or a clump of them. */
export function globe(look: FullLook, detail: Detail): readonly Stroke[] {
  const { heads } = look;
  const one = ball(look, detail);
  if (heads === 1) return one;
  const places: readonly (readonly [number, number])[] = [
    [0, 1],
    [-0.52, 0.62],
    [0.54, 0.58],
    [-0.26, 0.5],
    [0.27, 0.46],
    [-0.86, 0.42],
    [0.87, 0.4],
    [0.02, 0.4],
    [-0.62, 0.34],
    [0.62, 0.32],
  ];
  // The small ones before it are told by their rim.
  const small = one.filter((s) => !s.fine);
  return places
    .slice(0, heads)
    .flatMap(([x, size], i) => moved(scaled(i < 3 ? one : small, size), x, 0));
}

function ball(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const height = 0.94;
  const [rx, ry] = [(height * look.wide) / 2, height / 2];
  const out: Stroke[] = [ellipse([0, -ry], rx, ry).filled(look.fill)];
  if (look.mark === 'warts') {
    // Round warts with a star of spines each, in spirals.
    const stars: Stroke[] = [];
    for (let row = 0; row < 6; row++)
      for (let i = -3; i <= 3; i++) {
        const across = (i + (row % 2) / 2) / 3.6;
        const up = -1 + (2 * (row + 0.6)) / 6.3;
        if (across ** 2 + up ** 2 > 0.82) continue;
        const at: Point = [across * rx, -ry + up * ry];
        out.push(ellipse(at, rx * 0.1, ry * 0.1).drawn(look.edge ?? look.fill, 0.9, true));
        if (look.spines) stars.push(...star(look, at));
      }
    out.push(...stars);
  } else {
    const ribs = Math.max(3, Math.round(look.count / 2));
    for (let i = 1; i < ribs; i++) {
      const across = Math.sin(radians(-90 + (180 * i) / ribs));
      out.push(
        new Pen()
          .move([0, -2 * ry])
          .curve(
            [across * rx * 1.25, -1.75 * ry],
            [across * rx * 1.25, -0.25 * ry],
            [across * rx * 0.3, 0],
          )
          .drawn(look.edge ?? look.fill, 1.1, !look.edge && i % 2 === 1),
      );
      if (look.spines && fine)
        for (const up of [-0.62, -0.28, 0.06, 0.4])
          out.push(...star(look, [across * rx * 0.95 * Math.sqrt(1 - up ** 2), -ry + up * ry]));
      if (look.mark === 'dots' && fine)
        for (const up of [-0.5, -0.15, 0.2, 0.5])
          out.push(
            ellipse(
              [across * rx * 0.95 * Math.sqrt(1 - up ** 2), -ry + up * ry],
              0.02,
              0.02,
            ).filled(look.markTone ?? 'white', { line: null, fine: true }),
          );
      if (look.mark === 'bands')
        for (const up of [-0.35, 0, 0.35])
          out.push(
            new Pen()
              .move([across * rx * 0.98 * Math.sqrt(1 - up ** 2) - 0.05, -ry + up * ry + 0.02])
              .line([across * rx * 0.98 * Math.sqrt(1 - up ** 2) + 0.05, -ry + up * ry - 0.02])
              .drawn(look.markTone ?? 'plum', 1.3, true),
          );
    }
  }
  // What stands out over its rim makes it a cactus at any size.
  if (look.spines)
    for (let i = 0; i < 14; i++) {
      const turn = radians(-200 + (220 * i) / 13);
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      const long = 1 + (look.spineLong ?? 0.09);
      out.push(
        new Pen()
          .move([c * rx, -ry + s * ry])
          .line([c * rx * long, -ry + s * ry * long])
          .drawn(look.spines, 1.1),
      );
    }
  if (look.flower)
    for (const x of [-0.2, 0.04, 0.24])
      out.push(ellipse([x, -2 * ry + 0.03 + Math.abs(x) * 0.3], 0.09, 0.06).filled(look.flower));
  return out;
}

function star(look: FullLook, [x, y]: Point): readonly Stroke[] {
  const long = look.spineLong ?? 0.07;
  const pen = new Pen();
  for (const degrees of [-70, -25, 25, 70]) {
    const turn = radians(degrees - 90);
    pen.move([x, y]).line([x + long * Math.cos(turn), y + long * Math.sin(turn)]);
  }
  return [pen.drawn(look.spines!, 0.9, true)];
}

/** Pads on pads. */
export function pads(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const places = [
    [0, 0, 0, 0.46],
    [-0.1, -0.4, -28, 0.38],
    [0.13, -0.38, 30, 0.4],
    [-0.26, -0.68, -36, 0.28],
    [0.02, -0.72, 4, 0.3],
    [0.34, -0.66, 44, 0.28],
    [0.16, -0.7, 16, 0.26],
    [-0.36, -0.5, -70, 0.24],
  ] as const;
  return places
    .slice(0, look.heads)
    .toReversed()
    .flatMap(([x, y, angle, length]) => pad(look, { x, y, angle, length }, fine));
}

/** One pad with its areoles. */
export function pad(
  look: FullLook,
  { x, y, angle, length }: { x: number; y: number; angle: number; length: number },
  fine: boolean,
): readonly Stroke[] {
  const width = length * look.wide;
  const out = [...leaf({ ...look, bend: 0 }, { x, y, angle, length, width }, false)];
  if (!fine || !(look.spines || look.mark === 'dots')) return out;
  for (const [row, along] of [0.24, 0.4, 0.56, 0.72, 0.86].entries())
    for (const across of row % 2 === 0 ? [-0.5, 0, 0.5] : [-0.26, 0.26]) {
      const reach = (width / 2) * Math.sqrt(Math.max(0.1, 1 - ((along - 0.55) / 0.55) ** 2));
      const [u, v] = [across * reach * 1.25, along * length];
      const [sin, cos] = [Math.sin(radians(angle)), Math.cos(radians(angle))];
      const at: Point = [x + u * cos + v * sin, y + u * sin - v * cos];
      if (look.mark === 'dots')
        out.push(
          ellipse(at, 0.014, 0.014).filled(look.markTone ?? 'gold', {
            line: look.markTone ?? 'gold',
            fine: true,
          }),
        );
      if (look.spines) out.push(...star({ ...look, spineLong: look.spineLong ?? 0.06 }, at));
    }
  return out;
}

/** Flat joints end to end, arching out of the middle. */
export function joints(look: FullLook, { fine }: Detail): readonly Stroke[] {
  const { heads, count, wide, rise } = look;
  const out: Stroke[] = [];
  for (let h = 0; h < heads; h++) {
    const side = heads === 1 ? 0 : (2 * h) / (heads - 1) - 1;
    let [x, y, angle] = [side * 0.08, 0, side * (90 - rise) * 0.55];
    const length = 1 / count / 1.25;
    for (let i = 0; i < count; i++) {
      out.push(
        ...leaf(
          { ...look, bend: 0 },
          { x, y, angle, length: length * 1.06, width: length * wide },
          fine,
        ),
      );
      x += length * Math.sin(radians(angle));
      y -= length * Math.cos(radians(angle));
      angle += side * (100 / count) * (1 + look.bend) + 7 * wobble(h * 5 + i);
    }
    if (look.flower && Math.abs(side) > 0.3)
      out.push(ellipse([x, y], 0.05, 0.05).filled(look.flower));
  }
  return out;
}
