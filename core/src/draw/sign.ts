import { FINE_FROM, type Look, type SignPicture, type Tone } from '../look';
import { fullLook, type FullLook } from './full-look';
import { leaf } from './leaf';
import {
  boxOf,
  ellipse,
  moved,
  Pen,
  placed,
  scaled,
  shapesOf,
  through,
  type Point,
  type Shape,
  type Stroke,
} from './pen';
import { grounded, head } from './rosette';

/** The lower end of a cutting, turned so that one looks at its cut. */
function cutEnd(look: FullLook, face: Tone): readonly Stroke[] {
  return [
    new Pen()
      .move([-0.34, -1])
      .line([-0.34, -0.2])
      .curve([-0.34, 0.06], [0.34, 0.06], [0.34, -0.2])
      .line([0.34, -1])
      .curve([0.2, -1.06], [-0.2, -1.06], [-0.34, -1])
      .close()
      .filled(look.fill),
    ellipse([0, -0.22], 0.34, 0.2).filled(face),
  ];
}

/** A leaf, or what stands for one, with what is to be seen on it. */
const upright = (look: FullLook, over: Partial<FullLook> = {}, width = 0.5): readonly Stroke[] =>
  leaf(
    { ...look, at: 0.6, tip: 'round', bend: 0, mark: undefined, ...over },
    { x: 0, y: 0, angle: 0, length: 1, width },
  );

const roots = (tone: Tone, width: number, limp: boolean): readonly Stroke[] =>
  [-0.34, -0.12, 0.12, 0.36].map((x) =>
    through(
      limp
        ? [
            [x * 0.4, 0.02],
            [x * 0.7, 0.22],
            [x, 0.2],
            [x * 1.15, 0.34],
          ]
        : [
            [x * 0.4, 0.02],
            [x, 0.22],
            [x * 1.5, 0.46],
          ],
    ).drawn(tone, width),
  );

const drop = ([x, y]: Point, size: number): Stroke =>
  new Pen()
    .move([x, y - size])
    .curve([x + size * 0.3, y - size * 0.4], [x + size * 0.6, y], [x, y + size * 0.4])
    .curve([x - size * 0.6, y], [x - size * 0.3, y - size * 0.4], [x, y - size])
    .close()
    .filled('blue');

/** The low part of an upright leaf, in another tone. */
const base = (tone: Tone): Stroke =>
  new Pen()
    .move([-0.11, 0])
    .curve([-0.17, -0.12], [-0.22, -0.22], [-0.235, -0.34])
    .curve([-0.08, -0.26], [0.08, -0.42], [0.235, -0.34])
    .curve([0.22, -0.22], [0.17, -0.12], [0.11, 0])
    .close()
    .filled(tone, { line: null });

/** A stem with leaves at these heights. */
function shoot(look: FullLook, heights: readonly number[], lean = 0): readonly Stroke[] {
  const at = (y: number): Point => [lean * y * y, -y];
  const out: Stroke[] = [through([at(0), at(0.5), at(1)]).drawn(look.stem, 3)];
  for (const [i, y] of heights.entries()) {
    const side = i % 2 === 0 ? -1 : 1;
    out.push(
      ...leaf(
        { ...look, mark: undefined },
        { x: at(y)[0], y: at(y)[1], angle: side * 60, length: 0.36, width: 0.2 },
      ),
    );
  }
  return out;
}

const small = (look: FullLook, at: Point, size: number): readonly Stroke[] =>
  moved(scaled(grounded(head({ ...look, count: 12 }, { fine: false })), size), at[0], at[1]);

const pot = (): readonly Stroke[] => [
  new Pen().move([-0.4, 0.06]).line([0.4, 0.06], [0.32, 0.6], [-0.32, 0.6]).close().filled('clay'),
  new Pen()
    .move([-0.46, -0.06])
    .line([0.46, -0.06], [0.46, 0.06], [-0.46, 0.06])
    .close()
    .filled('clay'),
];

const SIGN: Readonly<Record<SignPicture, (look: FullLook) => readonly Stroke[]>> = {
  fresh: (look) => [
    ...cutEnd(look, 'lime'),
    ellipse([-0.1, -0.27], 0.09, 0.04).filled('white', { line: null }),
    drop([0.14, 0.02], 0.12),
  ],
  tacky: (look) => [
    ...cutEnd(look, 'cream'),
    ellipse([0, -0.22], 0.2, 0.11).filled('lime', { line: null }),
    ellipse([-0.06, -0.25], 0.06, 0.025).filled('white', { line: null }),
  ],
  closed: (look) => [
    ...cutEnd(look, 'bronze'),
    ellipse([0, -0.22], 0.2, 0.11).drawn('bronze', 1.2),
    new Pen().move([-0.16, -0.22]).line([0.04, -0.24], [0.16, -0.18]).drawn('bronze', 1.2),
  ],
  firm: (look) => [
    ...upright(look),
    new Pen()
      .move([-0.13, -0.3])
      .curve([-0.16, -0.5], [-0.13, -0.7], [-0.05, -0.85])
      .drawn('white', 2.4),
  ],
  wrinkled: (look) => [
    ...upright(look, {}, 0.4),
    ...[-0.22, -0.38, -0.54, -0.7, -0.84].map((y) =>
      new Pen()
        .move([-0.15, y])
        .curve([-0.06, y + 0.06], [0.06, y - 0.06], [0.15, y + 0.02])
        .drawn(look.fill, 1.2),
    ),
  ],
  glassy: (look) => [
    ...upright({ ...look, edge: undefined }, { fill: 'gold' }),
    ellipse([-0.03, -0.55], 0.14, 0.28).filled('cream', { line: null }),
  ],
  'base-dark': (look) => [...upright(look), base('wood')],
  'base-soft': (look) => [...upright(look, { bend: 0.5 }), base('wood'), drop([0.02, 0.1], 0.14)],
  smell: (look) => [
    ...upright(look),
    base('wood'),
    ...[-0.42, 0.42].map((x) =>
      through([
        [x, 0],
        [x + 0.08, -0.18],
        [x - 0.04, -0.36],
        [x + 0.06, -0.54],
      ]).drawn('olive', 1.8),
    ),
  ],
  'root-points': (look) => [
    ...[-0.16, 0, 0.16].map((x) => ellipse([x, 0.05], 0.045, 0.1).filled('white')),
    ...upright(look),
  ],
  'white-roots': (look) => [...roots('white', 3.4, false), ...upright(look)],
  'brown-roots': (look) => [...roots('wood', 3, false), ...upright(look)],
  tug: (look) => [
    ...roots('wood', 2, false),
    ...upright(look),
    new Pen()
      .move([0.46, -0.1])
      .line([0.46, -0.7])
      .move([0.34, -0.54])
      .line([0.46, -0.7], [0.58, -0.54])
      .drawn('clay', 2.4),
  ],
  'dead-roots': (look) => [...roots('bronze', 1.4, true), ...upright(look)],
  'black-leaf': (look) => [
    ...upright({ ...look, edge: undefined }, { fill: 'wood' }),
    ellipse([0.04, -0.5], 0.12, 0.22).drawn('wood', 1.2),
  ],
  'broken-leaf': (look) => [
    ...upright(look),
    // Its foot is torn off: a ragged end where the bud would be.
    new Pen()
      .move([-0.26, 0.04])
      .line([-0.26, -0.18], [-0.12, -0.1], [-0.02, -0.22], [0.1, -0.1], [0.26, -0.2], [0.26, 0.04])
      .close()
      .filled('cream'),
  ],
  'pot-bulging': (look) => [
    new Pen()
      .move([-0.4, 0.06])
      .line([0.4, 0.06])
      .curve([0.62, 0.24], [0.58, 0.48], [0.3, 0.6])
      .line([-0.3, 0.6])
      .curve([-0.58, 0.48], [-0.62, 0.24], [-0.4, 0.06])
      .close()
      .filled('clay'),
    new Pen()
      .move([-0.46, -0.06])
      .line([0.46, -0.06], [0.46, 0.06], [-0.46, 0.06])
      .close()
      .filled('clay'),
    new Pen().move([0.1, 0.1]).line([0.16, 0.26], [0.08, 0.4], [0.16, 0.56]).drawn('clay', 1.8),
    ...moved(scaled(upright(look), 0.8), 0, -0.06),
  ],
  'roots-out': (look) => [
    ...[-0.2, 0, 0.2].map((x) =>
      through([
        [x, 0.56],
        [x * 1.2, 0.7],
        [x * 1.8, 0.84],
      ]).drawn('wood', 2),
    ),
    ...pot(),
    ...moved(scaled(upright(look), 0.8), 0, -0.06),
  ],
  'air-roots': (look) => [
    ...[0.25, 0.45, 0.62].flatMap((y) =>
      [-1, 1].map((s) =>
        through([
          [0, -y],
          [s * 0.14, -y + 0.06],
          [s * 0.2, -y + 0.2],
        ]).drawn('clay', 1.5),
      ),
    ),
    ...shoot(look, [0.8, 0.84, 0.98]),
  ],
  bud: (look) => [
    ...shoot(look, [0.9, 0.92]),
    ellipse([-0.09, -0.42], 0.09, 0.11).filled('lime'),
    ellipse([0.08, -0.56], 0.07, 0.09).filled('lime'),
  ],
  pup: (look) => [...upright(look), ...small(look, [0.34, 0], 0.42)],
  'new-top': (look) => [
    ...shoot(look, [0.3, 0.34, 0.62, 0.66]),
    ...[-26, 0, 26].flatMap((angle) =>
      leaf(
        { ...look, fill: 'lime', edge: undefined, mark: undefined },
        { x: 0, y: -0.96, angle, length: 0.32, width: 0.14 },
      ),
    ),
  ],
  crisp: (look) => [
    ...upright({ ...look, edge: undefined }, { fill: 'bronze', bend: 0.7 }, 0.3),
    ...[-0.3, -0.5, -0.7].map((y) =>
      new Pen()
        .move([-0.02, y])
        .line([0.16, y - 0.06])
        .drawn('bronze', 1.2),
    ),
    ...small(look, [-0.3, 0], 0.46),
  ],
  'crown-wet': (look) => [
    ...small(look, [0, 0], 1.1),
    drop([0, -0.36], 0.2),
    drop([0.2, -0.24], 0.12),
  ],
  crested: (look) => [
    new Pen()
      .move([-0.1, 0])
      .curve([-0.2, -0.3], [-0.6, -0.3], [-0.62, -0.62])
      .curve([-0.46, -0.86], [-0.34, -0.6], [-0.2, -0.8])
      .curve([-0.08, -0.98], [0.04, -0.66], [0.18, -0.84])
      .curve([0.34, -0.98], [0.5, -0.7], [0.62, -0.6])
      .curve([0.6, -0.3], [0.2, -0.3], [0.1, 0])
      .close()
      .filled(look.fill, { line: look.edge ?? look.fill }),
    ...[-0.4, -0.18, 0.04, 0.26, 0.44].map((x) =>
      new Pen()
        .move([x * 0.24, -0.12])
        .line([x, -0.66])
        .drawn(look.fill, 1.1),
    ),
  ],
  stretched: (look) => shoot({ ...look, stem: 'lime' }, [0.2, 0.46, 0.72, 0.98], 0.45),
  bleached: (look) => [
    ...upright(look),
    ellipse([0.06, -0.62], 0.14, 0.2).filled('cream', { line: 'red' }),
  ],
  fluff: (look) => [
    ...shoot(look, [0.3, 0.36, 0.7, 0.76]),
    ...(
      [
        [0, -0.3],
        [0.05, -0.38],
        [-0.03, -0.72],
      ] as const
    ).map((at) => ellipse(at, 0.09, 0.07).filled('white')),
  ],
  gnats: (look) => [
    ...pot(),
    ...moved(scaled(upright(look), 0.5), 0, -0.06),
    ...(
      [
        [-0.34, -0.3],
        [0.32, -0.42],
        [0.18, -0.7],
        [-0.24, -0.62],
      ] as const
    ).flatMap(([x, y]) => [
      ellipse([x, y], 0.025, 0.025).filled('wood'),
      new Pen()
        .move([x, y])
        .line([x - 0.09, y - 0.07])
        .move([x, y])
        .line([x + 0.09, y - 0.07])
        .drawn('wood', 1.1),
    ]),
  ],
};

/** The field of a sign: so many across and down. */
export const SIGN_FIELD = 64;
const ROOM = 58;

/**
 * What a look may find, drawn on that plant.
 * @returns shapes in a field of 64 × 64
 */
export function drawSign(look: Look, sign: SignPicture, size: number): readonly Shape[] {
  const strokes = SIGN[sign](fullLook(look));
  const box = boxOf(strokes)!;
  const by = ROOM / Math.max(box.right - box.left, box.bottom - box.top);
  const [x0, y0] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  return shapesOf(
    placed(strokes, by, [x0, y0], [SIGN_FIELD / 2, SIGN_FIELD / 2]),
    size >= FINE_FROM,
  );
}
