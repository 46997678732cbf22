import * as say from '@hypogeon/messages/core-container';
import { assertPositive } from '../assert';
export const CONTAINER_SHAPES = ['round', 'square', 'tray', 'cells'] as const;
export type ContainerShape = (typeof CONTAINER_SHAPES)[number];

export const WALLS = ['plastic', 'glazed', 'clay', 'glass'] as const;
export type Wall = (typeof WALLS)[number];

/** A pot, tray or cell pack: straight walls that may taper. Inner measures, mm. */
export interface Container {
  readonly id: string;
  readonly name: string;
  readonly shape: ContainerShape;
  /** Diameter of a round one, side of a square one or of a cell, length of a tray, at the rim. */
  readonly topMm: number;
  /** The same at the base. */
  readonly bottomMm: number;
  /** Breadth of a tray at the rim; others leave it out. */
  readonly breadthMm?: number | undefined;
  readonly heightMm: number;
  /** From the medium to the rim. */
  readonly freeboardMm: number;
  /** Cells of a pack. */
  readonly cells?: number | undefined;
  readonly wall: Wall;
  readonly holes: boolean;
}

/** A container that holds less than this depth of medium holds none. */
export const LEAST_FILL_MM = 5;

/** Depth of medium in a filled container, mm. */
export function fillDepth({ heightMm, freeboardMm }: Container): number {
  return Math.max(heightMm - freeboardMm, 0);
}

/** Open area at a height above the base, mm², all cells together. */
export function areaAt(container: Container, heightMm: number): number {
  const share = Math.min(Math.max(heightMm / container.heightMm, 0), 1);
  const width = container.bottomMm + (container.topMm - container.bottomMm) * share;
  return unitArea(container, width) * (container.cells ?? 1);
}

/** Length of the wall at a height above the base, mm, all cells together. */
export function perimeterAt(container: Container, heightMm: number): number {
  const share = Math.min(Math.max(heightMm / container.heightMm, 0), 1);
  const width = container.bottomMm + (container.topMm - container.bottomMm) * share;
  const one =
    container.shape === 'round'
      ? Math.PI * width
      : container.shape === 'tray'
        ? 2 * (width + breadthAt(container, width))
        : 4 * width;
  return one * (container.cells ?? 1);
}

/** Medium in a filled container, litres. Frustum rule, exact for all shapes here. */
export function filledLitres(container: Container): number {
  return litresTo(container, fillDepth(container));
}

/** Volume from the base up to a height, litres: Simpson's rule, which is exact for straight walls. */
export function litresTo(container: Container, heightMm: number): number {
  const [a, m, b] = [0, heightMm / 2, heightMm].map((h) => areaAt(container, h));
  return ((heightMm / 6) * (a! + 4 * m! + b!)) / 1e6;
}

function unitArea(container: Container, width: number): number {
  switch (container.shape) {
    case 'round':
      return (Math.PI / 4) * width ** 2;
    case 'tray':
      return width * breadthAt(container, width);
    case 'square':
    case 'cells':
      return width ** 2;
  }
}

/** A tray tapers alike on all sides. */
function breadthAt({ topMm, breadthMm }: Container, width: number): number {
  const breadth = breadthMm ?? topMm;
  return Math.max(breadth - (topMm - width), 1);
}

export type ContainerField =
  'topMm' | 'bottomMm' | 'breadthMm' | 'heightMm' | 'freeboardMm' | 'cells';

/** Inner measures of what things are grown in, mm. */
const SIZE_MM = { least: 5, most: 3000 } as const;
/** From the medium to the rim, as a rule, mm. Common practice, no source. */
const RIM_MM = { low: 10, high: 15 } as const;

/**
 * What is wrong with a container's measures, by field, in the grower's words.
 * @param length as the grower reads one
 */
export function containerProblems(
  container: Omit<Container, 'id' | 'name'>,
  length: (mm: number) => string,
): Readonly<Partial<Record<ContainerField, string>>> {
  const problems: Partial<Record<ContainerField, string>> = {};
  const size = (value: number): boolean => value >= SIZE_MM.least && value <= SIZE_MM.most;
  const sizes = { least: length(SIZE_MM.least), most: length(SIZE_MM.most) };
  const rim = { low: length(RIM_MM.low), high: length(RIM_MM.high) };
  if (!size(container.topMm)) problems.topMm = say.theRimIsBetween(sizes);
  if (!size(container.bottomMm)) problems.bottomMm = say.theBaseIsBetween(sizes);
  if (container.shape === 'tray' && !size(container.breadthMm ?? NaN))
    problems.breadthMm = say.theTrayIsBetween(sizes);
  if (!size(container.heightMm)) problems.heightMm = say.theHeightIsBetween(sizes);
  if (!(container.freeboardMm >= 0)) problems.freeboardMm = say.fromTheMediumTo(rim);
  else if (!(container.heightMm - container.freeboardMm >= LEAST_FILL_MM))
    problems.freeboardMm = say.thatLeavesNoRoom(rim);
  if (
    container.shape === 'cells' &&
    !(Number.isInteger(container.cells) && container.cells! > 0 && container.cells! <= 1000)
  )
    problems.cells = say.aPackHasBetween();
  return problems;
}

/** @throws RangeError if the container could hold nothing */
export function assertContainer(container: Container): void {
  assertPositive('heightMm', container.heightMm);
  assertPositive('topMm', container.topMm);
  assertPositive('bottomMm', container.bottomMm);
  assertPositive('fill depth', fillDepth(container));
}

/** Some that stand on every bench; inner measures, common practice, no source. */
export const USUAL_CONTAINERS: readonly Container[] = [
  {
    id: 'pot-7',
    get name() {
      return say.smallPot();
    },
    shape: 'square',
    topMm: 70,
    bottomMm: 52,
    heightMm: 80,
    freeboardMm: 10,
    wall: 'plastic',
    holes: true,
  },
  {
    id: 'clay-8',
    get name() {
      return say.clayPot();
    },
    shape: 'round',
    topMm: 80,
    bottomMm: 54,
    heightMm: 75,
    freeboardMm: 10,
    wall: 'clay',
    holes: true,
  },
  {
    id: 'pot-12',
    get name() {
      return say.largePot();
    },
    shape: 'round',
    topMm: 120,
    bottomMm: 90,
    heightMm: 110,
    freeboardMm: 15,
    wall: 'plastic',
    holes: true,
  },
  {
    id: 'tray-4',
    get name() {
      return say.cuttingTray();
    },
    shape: 'tray',
    topMm: 360,
    bottomMm: 345,
    breadthMm: 220,
    heightMm: 50,
    freeboardMm: 10,
    wall: 'plastic',
    holes: true,
  },
  {
    id: 'cells-24',
    get name() {
      return say.cellPack24();
    },
    shape: 'cells',
    topMm: 48,
    bottomMm: 34,
    heightMm: 50,
    freeboardMm: 6,
    cells: 24,
    wall: 'plastic',
    holes: true,
  },
  {
    id: 'glass-9',
    get name() {
      return say.glassNoHole();
    },
    shape: 'round',
    topMm: 90,
    bottomMm: 80,
    heightMm: 90,
    freeboardMm: 15,
    wall: 'glass',
    holes: false,
  },
];
