import type { MethodId } from '../botany';
import type { CourseId } from '../course';
import type { BenchCounts, CountsRow } from '../journal';
import { randomFrom } from '../stats';

/*
 * Six invented benches of an invented society, the Wednesday Table: files to try taking in. They differ in air and habit
 * and size; one is odd (it lost nothing, ever), one has hardly begun.
 */

interface Member {
  readonly bench: string;
  readonly name: string;
  /** Shift of the log-odds of everything it takes, and of how long its roots take. */
  readonly luck: number;
  readonly pace: number;
  readonly size: number;
  readonly air: Pick<CountsRow, 'temperature' | 'damp'>;
  readonly half: CountsRow['half'];
  readonly odd?: 'loses nothing' | 'half finished';
}

const MEMBERS: readonly Member[] = [
  {
    bench: 'tablekiln0001',
    name: 'Kiln loft',
    luck: 0.5,
    pace: -0.15,
    size: 3,
    air: { temperature: 'warm', damp: 'dry' },
    half: 'warm',
  },
  {
    bench: 'tablefern0002',
    name: 'Fern cellar',
    luck: -0.7,
    pace: 0.3,
    size: 2,
    air: { temperature: 'cool', damp: 'damp' },
    half: 'cold',
  },
  {
    bench: 'tablesill0003',
    name: 'Kitchen sill',
    luck: 0,
    pace: 0.05,
    size: 1,
    air: { temperature: 'warm', damp: 'damp' },
    half: 'cold',
  },
  {
    bench: 'tableyard0004',
    name: 'Walled yard',
    luck: 0.3,
    pace: 0.1,
    size: 5,
    air: { temperature: 'cool', damp: 'dry' },
    half: 'warm',
  },
  {
    bench: 'tableglow0005',
    name: 'Lamp cupboard',
    luck: 1,
    pace: -0.2,
    size: 2,
    air: { temperature: 'warm', damp: 'dry' },
    half: 'cold',
    odd: 'loses nothing',
  },
  {
    bench: 'tablestep0006',
    name: 'Front step',
    luck: -0.2,
    pace: 0.1,
    size: 2,
    air: { temperature: 'cool', damp: 'damp' },
    half: 'warm',
    odd: 'half finished',
  },
];

/** What the table grows: plant, way, course, how often it lives in the mean. Invented. */
const GROWN: readonly (readonly [
  taxon: string,
  method: MethodId,
  course: CourseId,
  mean: number,
])[] = [
  ['echeveria-elegans', 'leaf', 'bare', 0.55],
  ['graptopetalum-paraguayense', 'leaf', 'laid', 0.8],
  ['pachyphytum-oviferum', 'leaf', 'laid', 0.6],
  ['sedum-pachyphyllum', 'crown', 'dried', 0.85],
  ['kalanchoe-tomentosa', 'leaf', 'laid', 0.6],
  ['haworthiopsis-attenuata', 'offset', 'dried', 0.9],
  ['gasteria-carinata', 'leaf-section', 'dried', 0.5],
  ['aeonium-arboreum', 'crown', 'dried', 0.85],
  ['opuntia-microdasys', 'pad', 'dried', 0.9],
];

/** A file of counts with what the grower who takes it in would call the bench. */
export interface SocietyFile {
  readonly name: string;
  readonly counts: BenchCounts;
}

/** The same six every time. @param year in which they were cut */
export const societyFiles = (year: number): readonly SocietyFile[] =>
  MEMBERS.map((member, i) => ({
    name: member.name,
    counts: {
      bench: member.bench,
      edition: 1,
      correlation: { value: 0.1, trays: 4 * member.size },
      rows: GROWN.map((grown, j) => rowOf(member, grown, year, randomFrom(1000 + 50 * i + j))),
    },
  }));

function rowOf(
  { luck, pace, size, air, half, odd }: Member,
  [taxon, method, course, mean]: (typeof GROWN)[number],
  year: number,
  random: () => number,
): CountsRow {
  const set = size * (8 + Math.floor(8 * random()));
  const share = 1 / (1 + Math.exp(-(Math.log(mean / (1 - mean)) + luck + 0.5 * (random() - 0.5))));
  const waiting = odd === 'half finished' ? Math.round(0.6 * set) : 0;
  const told = set - waiting;
  const rooted = odd === 'loses nothing' ? told : Math.round(told * share);
  const gone = told - rooted;
  const rotted = Math.round(0.6 * gone);
  const at = Math.exp(pace);
  const early = Math.round(rooted / 2);
  const twentieth = (x: number): number => Math.round(20 * x) / 20;
  return {
    taxon,
    method,
    course,
    year,
    half,
    settled: waiting === 0,
    ...air,
    batches: size,
    set,
    rooted,
    pupped: method === 'leaf' || method === 'leaf-section' ? Math.floor(0.7 * rooted) : 0,
    rotted,
    dried: gone - rotted,
    lost: 0,
    waiting,
    roots: [
      { after: twentieth(0.4 * at), by: twentieth(at), count: early },
      { after: twentieth(at), by: twentieth(1.7 * at), count: rooted - early },
    ].filter((r) => r.count > 0),
  };
}
