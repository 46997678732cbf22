import { careOf, type Care } from '../care';
import { addDays, type Day } from '../days';
import { EMPTY_STATE, fold, type Batch, type BatchFields, type State } from '../journal';
import { verdictsOn } from '../round';
import { batchPut, DAY, FIELDS, written } from './entries';

type Draft = Parameters<typeof written>[number];

/** A day of a story: `12`, what happens, what must be asked, left alone, and what must not be said. */
export type StoryLine = readonly [
  day: number,
  happens: string,
  asks: string,
  leaves: string,
  never?: string,
];

/** The usual room of the stories: 22 °C, 55% RH, bright. */
const ROOM: Draft = {
  kind: 'put',
  record: 'space',
  day: DAY,
  key: 'bench',
  fields: { name: 'Bench', tempC: 22, rh: 0.55, lightLevel: 'side-sill' },
};

export const storyDay = (n: number): Day => addDays(DAY, n);

/**
 * What happens, in short: `cut`, `set`, `set 6`, `set wet`, `felt moist`, `tacky`, `firm`, `fine`, `soft`, `water`, `mist`,
 * `count 6r 1p 2x 1d 3b 4h` (rooted, pups, rotted, dried, buds, young plants in all), `potted 4 bared`,
 * `potted 4 in pot-7 two-to-one`, `wean`, `stir`, `change`, `light`, `feed`,
 * `jar-feed`, `leaf-off`, `torn`, `roots-cut`, `root 30mm`, `put-off TASK N`; several with commas.
 */
export function deedsOf(happens: string, n: number, batch = 'b1'): readonly Draft[] {
  const day = storyDay(n);
  const of = { batch, day };
  return happens
    .split(',')
    .map((word) => word.trim())
    .filter(Boolean)
    .flatMap((deed): Draft[] => {
      const [verb, ...rest] = deed.split(' ');
      switch (verb) {
        case 'cut':
          return [{ kind: 'cut', ...of }];
        case 'set':
          return [
            {
              kind: 'stuck',
              ...of,
              ...(rest[0] === 'wet' ? { wet: true } : rest[0] ? { count: Number(rest[0]) } : {}),
            },
          ];
        case 'tacky':
        case 'firm':
        case 'fine':
        case 'soft':
        case 'wrinkled':
          return [{ kind: 'inspected', ...of, seen: verb }];
        case 'sign':
          return [{ kind: 'inspected', ...of, seen: 'fine', signs: [rest[0] as 'roots-out'] }];
        case 'move':
          return [{ kind: 'moved', ...of, space: rest[0]! }];
        case 'water':
          return [{ kind: 'watered', ...of, how: 'poured' }];
        case 'mist':
          return [{ kind: 'watered', ...of, how: 'misted' }];
        case 'felt':
          return [{ kind: 'felt', ...of, depthMm: 40, seen: rest[0] as 'dry' | 'moist' | 'wet' }];
        case 'breach':
          return [{ kind: 'watered', ...of, how: 'poured', breach: 'a slip' }];
        case 'count': {
          const told = { rooted: 0, pupped: 0, rotted: 0, dried: 0, lost: 0 };
          const names = { r: 'rooted', p: 'pupped', x: 'rotted', d: 'dried', l: 'lost' } as const;
          const stages: { buds?: number; heads?: number } = {};
          for (const part of rest) {
            const [n, of] = [Number(part.slice(0, -1)), part.slice(-1)];
            if (of === 'b') stages.buds = n;
            else if (of === 'h') stages.heads = n;
            else told[names[of as keyof typeof names]] = n;
          }
          return [{ kind: 'tally', ...of, counts: told, ...stages }];
        }
        case 'potted': {
          const [count, how, container, mix] = rest;
          return [
            {
              kind: 'potted',
              ...of,
              count: Number(count),
              ...(how && how !== 'wet' && how !== 'in' ? { roots: how as 'bared' } : {}),
              ...(how === 'in' && container && mix ? { container, mix } : {}),
              ...(rest.includes('wet') ? { wet: true } : {}),
            },
          ];
        }
        case 'wean':
          return [
            { kind: 'put', record: 'batch', key: batch, day, fields: { rootedInWater: true } },
            { kind: 'stuck', ...of },
          ];
        case 'stir':
        case 'change':
          return [{ kind: 'tended', ...of, what: `jar-${verb}` }];
        case 'light':
        case 'feed':
        case 'jar-feed':
        case 'leaf-off':
        case 'air':
          return [{ kind: 'tended', ...of, what: verb }];
        case 'torn':
        case 'roots-cut':
        case 'recut':
          return [{ kind: 'reopened', ...of, why: verb }];
        case 'root':
          return [{ kind: 'measured', ...of, what: 'root', mm: parseFloat(rest[0]!) }];
        case 'ended':
          return [{ kind: 'ended', ...of }];
        case 'put-off':
          return [
            {
              kind: 'put-off',
              ...of,
              task: rest[0] as 'stick',
              text: 'away',
              ...(rest[1] ? { until: storyDay(Number(rest[1])) } : {}),
            },
          ];
        default:
          throw new RangeError(`a story knows no “${verb}”`);
      }
    });
}

/** The bench of a story after its deeds so far. */
export function storyState(
  fields: Partial<BatchFields>,
  lines: readonly (readonly [number, string, ...unknown[]])[],
  more: readonly Draft[] = [],
): State {
  const deeds = lines.flatMap(([n, happens]) => deedsOf(happens, n));
  return fold(written(ROOM, ...more, batchPut({ ...FIELDS, mother: null, ...fields }), ...deeds));
}

export const batchIn = ({ batches }: State = EMPTY_STATE, id = 'b1'): Batch => batches.get(id)!;

/** The care of a story's batch on a day, with the verdict on its pot where one is told. */
export function storyCare(state: State, n: number, id = 'b1'): Care {
  const day = storyDay(n);
  return careOf(state, batchIn(state, id), day, verdictsOn(state, day).get(id));
}

/** `stick 6, roots` and `gate 12`: what is asked, with its number where it is not all, and until which day. */
export function careWords({ asks, leave }: Care): {
  readonly asks: string;
  readonly leaves: string;
} {
  return {
    asks: asks.map((a) => a.kind).join(', '),
    leaves: leave.map((l) => l.kind).join(', '),
  };
}
