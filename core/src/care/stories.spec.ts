import type { BatchFields } from '../journal';
import { careWords, storyCare, storyState, type StoryLine } from '../testing/story';
import { jarChangeDays } from '.';

/*
 * One story for each course and each group of plants: day | what happens | what must be asked | left alone | not be
 * said. Days count from the cut, at 22 °C and 55% RH. Where a line says `…` anything may be said. All windows are
 * common practice, no source.
 */

type Story = readonly [name: string, fields: Partial<BatchFields>, lines: readonly StoryLine[]];

const CROWN: Partial<BatchFields> = { taxon: 'echeveria-elegans', method: 'crown' };
const LEAF: Partial<BatchFields> = { taxon: 'echeveria-elegans', method: 'leaf', count: 20 };

const STORIES: readonly Story[] = [
  [
    'dried, then set: a crown of an echeveria',
    CROWN,
    [
      [-1, '', '', 'planned'],
      [0, 'cut', '', 'drying, gate', 'first-water'],
      [3, '', 'wound, stick', 'gate'],
      [3, 'set', '', 'gate, rooting'],
      [7, '', 'first-water', 'rooting'],
      [7, 'water', '', 'water, rooting', 'pot-on'],
      [14, '', '', 'water, rooting', 'roots'],
      [20, '', 'roots', 'water'],
      [20, 'count 4r', 'water', 'rooting'],
      [30, 'water', 'roots', 'water'],
      [30, 'count 9r 1x', '', '…', 'stick'],
      [39, '', 'light', 'water'],
      [45, 'water, light, light', 'light, feed', 'water'],
      [57, 'water, light, feed', 'pot-on', 'water'],
      [58, '', 'pot-on', 'water'],
      [58, 'potted 9 bared', '', 'water, shade', 'pot-on'],
      [62, '', 'pot-water', 'shade'],
      [62, 'water', '', 'water, shade'],
      [73, 'water', 'light, feed', 'water'],
      [200, '', '', 'grown', 'water'],
    ],
  ],
  [
    'set at once, kept dry: the gate runs in dry medium',
    { ...CROWN, school: 'straight-in', callusAt: 'medium' },
    [
      [0, 'cut', 'stick', 'gate', 'first-water'],
      [0, 'set', '', 'gate, rooting'],
      [2, '', '…', 'gate, rooting', 'first-water'],
      [6, '', 'first-water', 'rooting'],
    ],
  ],
  [
    'days to dry of one’s own: two weeks, and not a day sooner',
    { ...CROWN, dryDays: 14 },
    [
      [0, 'cut', '', 'drying, gate'],
      [8, '', '', 'drying', 'stick'],
      [13, '', '', 'drying', 'stick'],
      [14, '', 'stick', '', 'first-water'],
      [14, 'set', 'first-water', 'rooting'],
      [21, 'water', 'roots', 'water'],
    ],
  ],
  [
    'first water about a week after setting: the chosen day stands',
    { ...CROWN, firstWater: 'week' },
    [
      [0, 'cut', '', 'drying, water'],
      [3, 'set', '', 'water, rooting'],
      [6, '', '', 'water, rooting', 'first-water'],
      [9, '', '', 'water, rooting', 'first-water'],
      [10, '', 'first-water', 'rooting'],
    ],
  ],
  [
    'water at once: the grower’s choice, and nobody nags',
    { ...CROWN, firstWater: 'at-once', school: 'straight-in', callusAt: 'medium' },
    [
      [0, 'cut', 'stick', '…'],
      [0, 'set', 'first-water', 'rooting', 'gate'],
      [0, 'water', '', 'water, rooting', 'gate'],
      [2, '', '…', '…', 'gate'],
    ],
  ],
  [
    'only once roots show: looks come without water, water with the first root',
    { ...CROWN, firstWater: 'roots-show' },
    [
      [0, 'cut', '', 'drying, water'],
      [4, 'set', '…', '…', 'first-water'],
      [8, '', '', 'water, rooting', 'first-water'],
      [20, '', 'roots', 'water', 'first-water'],
      [20, 'count 0r', '', 'water, rooting', 'first-water'],
      [30, 'count 3r', 'first-water', 'rooting'],
      [40, '', 'first-water, roots', ''],
      [40, 'water', 'roots', 'water'],
    ],
  ],
  [
    'set in soaked coir: the first drink waits until it is as dry as its habit asks',
    { ...CROWN, unrootedWater: 'damp' },
    [
      [0, 'cut', '', '…'],
      [3, 'set wet', '…', '…', 'first-water'],
      [4, '', '…', 'gate, rooting', 'water'],
      [9, '', 'water', 'rooting', 'first-water'],
    ],
  ],
  [
    'bare until roots: leaves on a rack',
    { ...LEAF, course: 'bare' },
    [
      [0, 'cut', '', 'rooting', 'stick'],
      [5, '', '', 'rooting', 'stick'],
      [7, '', 'roots', '', 'stick'],
      [7, 'count 0r', '', 'rooting', 'stick'],
      [14, 'count 6r', 'stick', 'rooting'],
      [14, 'set 6', 'first-water', 'rooting', 'stick'],
      [14, 'mist', '', 'water, rooting'],
      [21, 'mist', 'roots', 'water'],
      [21, 'count 14r', 'stick', '…'],
      [21, 'set 8', '…', '…', 'stick'],
    ],
  ],
  [
    'bare, and no roots past the window: a light misting, or give up',
    { ...LEAF, course: 'bare' },
    [
      [0, 'cut', '', '…'],
      [22, 'count 0r', '', 'rooting'],
      [30, '', 'overdue', '', 'stick'],
    ],
  ],
  [
    'laid on the mix: misted, never soaked, while roots are not in it',
    LEAF,
    [
      [0, 'cut', '', 'drying, gate'],
      [2, 'set', '…', '…', 'water'],
      [3, '', '', 'water, rooting', 'first-water'],
      [5, '', 'first-water', 'rooting', 'water'],
      [5, 'mist', '', 'water, rooting'],
      [6, '', '', 'water, rooting', 'mist'],
      [7, '', 'mist, roots', ''],
      [8, 'mist, count 8r', '', 'water, rooting'],
      [40, 'water, count 8r 6p', '…', '…', 'leaf-off'],
      [83, 'water', 'overdue, leaf-off, pot-on, feed', '…'],
    ],
  ],
  [
    'propped under a moist layer: watered when that is dry',
    { ...LEAF, course: 'propped' },
    [
      [0, 'cut', '', '…'],
      [2, 'set', '…', '…', 'first-water'],
      [5, '', 'first-water', 'rooting'],
      [5, 'water', '', 'water, rooting'],
      [11, '', 'water, roots', ''],
    ],
  ],
  [
    'petiole in: the stalk of a kalanchoe leaf',
    { taxon: 'kalanchoe-blossfeldiana', method: 'leaf' },
    [
      [0, 'cut', '', 'drying, gate'],
      [2, 'set', '…', '…'],
      [4, '', 'first-water', 'rooting'],
      [4, 'water', '', 'water, rooting'],
      [10, '', 'water', 'rooting'],
      [16, 'water', '', 'water, rooting', 'roots'],
      [21, 'water', 'roots', 'water'],
    ],
  ],
  [
    'in water: the cut is closed before the jar, then stirred, changed, fed and weaned',
    { taxon: 'crassula-ovata', method: 'crown', course: 'water', count: 4 },
    [
      [0, 'cut', '', 'drying, gate', 'stick'],
      [1, '', '', 'drying, gate', 'stick'],
      [5, '', 'stick', '', 'first-water'],
      [5, 'set', '', 'rooting, jar', 'first-water'],
      [8, '', 'jar-stir', 'rooting'],
      [8, 'stir', '', 'rooting, jar'],
      [9, '', 'jar-change', 'rooting'],
      [9, 'change', '', 'rooting, jar'],
      [21, 'change', 'roots', 'jar'],
      [21, 'count 4r', '', 'jar', 'pot-on'],
      [35, 'change', 'wean, jar-feed', 'jar', 'pot-on'],
      [35, 'jar-feed, wean', '…', '…', 'pot-on'],
      [35, '', 'first-water', '…', 'pot-on'],
      [35, 'water', '…', 'water', 'jar-stir'],
      [42, '', 'water, light', '…', 'feed'],
      [62, 'water', '…', 'water', 'pot-on'],
      [63, '', '…', '…', 'wean'],
    ],
  ],
  [
    'a rooted offset with nothing cut: potted and watered at once, no tug, no potting on',
    { taxon: 'haworthiopsis-attenuata', method: 'rooted-offset', count: 3 },
    [
      [0, 'cut', 'stick', '', 'gate'],
      [0, 'set', 'first-water', 'rooting, shade', 'gate'],
      [0, 'water', '', 'water, rooting, shade', 'pot-on'],
      [16, 'water', 'roots, light, feed', 'water', 'pot-on'],
      [16, 'count 3r', 'light, feed', 'water', 'pot-on'],
      [60, 'water', '…', '…', 'pot-on'],
    ],
  ],
  [
    'a rooted offset cut through its rhizome has an open wound',
    { taxon: 'haworthiopsis-attenuata', method: 'rooted-offset', through: 'rhizome' },
    [
      [0, 'cut', '', 'drying, gate', 'first-water'],
      [6, 'set', '…', '…', 'pot-on'],
      [8, '', 'first-water, roots', '…'],
    ],
  ],
  [
    'a division that parted by itself: no gate',
    { taxon: 'zamioculcas-zamiifolia', method: 'division', opening: 'parted' },
    [
      [0, 'cut', 'stick', '', 'gate'],
      [0, 'set', 'first-water', '…', 'gate'],
      [0, 'water', '', '…', 'roots'],
    ],
  ],
  [
    'a cut tuber: dried some days, then dry in its pot for about a week',
    { taxon: 'zamioculcas-zamiifolia', method: 'division', school: 'dry-to-touch' },
    [
      [0, 'cut', '', 'drying, gate'],
      [6, '', 'wound, stick', 'gate'],
      [6, 'set', '…', 'gate, rooting, shade'],
      [12, '', 'first-water', '…'],
      [12, 'water', '', '…', 'pot-on'],
      [36, 'water', 'roots, light, feed', 'water', 'pot-on'],
    ],
  ],
  [
    'torn while setting: its gate begins anew',
    CROWN,
    [
      [0, 'cut', '', '…'],
      [3, 'set', '', 'gate, rooting'],
      [6, 'torn', '', 'gate, rooting', 'first-water'],
      [9, '', '…', 'gate, rooting', 'first-water'],
      [13, '', 'first-water', 'rooting'],
    ],
  ],
  [
    'laid open after its first water: the can waits again',
    CROWN,
    [
      [0, 'cut', '', '…'],
      [3, 'set', '…', '…'],
      [7, 'water', '', 'water, rooting'],
      [9, 'recut', '', 'gate, rooting', 'water'],
      [12, '', '…', 'gate, rooting', 'first-water'],
    ],
  ],
  [
    'seen tacky: never released on that day',
    CROWN,
    [
      [0, 'cut', '', '…'],
      [6, 'tacky', '', 'drying, gate', 'stick'],
      [10, 'tacky', '', 'drying, gate', 'stick'],
    ],
  ],
  [
    'a woody stem in grit without roots is never overdue',
    { taxon: 'crassula-ovata', method: 'branch', container: 'pot-7', mix: 'two-to-one' },
    [
      [0, 'cut', '', '…'],
      [5, 'set', '…', '…'],
      [8, 'water', '', 'water, rooting'],
      [20, '', '', 'water, rooting', 'water'],
      [32, '', 'roots', 'water'],
      [58, 'count 0r', '', 'water, rooting'],
    ],
  ],
  [
    'forgotten before it was set: one looks whether it still lives',
    { taxon: 'crassula-ovata', method: 'branch', count: 1 },
    [
      [0, 'cut', '', '…'],
      [15, '', 'stick', '…'],
      [61, '', 'alive', '…', 'stick'],
      [61, 'fine', 'stick', '…', 'alive'],
    ],
  ],
  [
    'no pot and no mix told: by habit, and it says what is missing',
    { taxon: 'sedum-pachyphyllum', method: 'crown', unrootedWater: 'half' },
    [
      [0, 'cut', '', '…'],
      [3, 'set', '…', '…'],
      [6, 'water', '', 'water, rooting'],
      [25, '', 'water, roots', ''],
    ],
  ],
  [
    'put off: said until when; dropped: not asked again',
    CROWN,
    [
      [0, 'cut', '', '…'],
      [4, 'put-off stick 9', 'wound', 'gate, postponed', 'stick'],
      [9, '', 'stick', ''],
    ],
  ],
  // By plant, where it differs from the rule of its way.
  [
    'stacked crassula: roots from a week on',
    { taxon: 'crassula-perforata', method: 'crown' },
    [
      [0, 'cut', '', '…'],
      [2, 'set', '…', '…'],
      [4, 'water', '', 'water, rooting'],
      [7, '', '', 'water, rooting', 'roots'],
      [11, '', 'roots', 'water'],
    ],
  ],
  [
    'snake plant section: months, dry until roots; its pups are potted, not the section',
    { taxon: 'dracaena-trifasciata', method: 'leaf-section' },
    [
      [0, 'cut', '', 'drying, gate'],
      [4, 'set', '…', '…'],
      [6, 'water', '', 'water, rooting'],
      [50, 'water', '', 'water, rooting', 'roots'],
      [78, 'water', '', 'water, rooting', 'roots'],
      [106, 'water', '', 'water, rooting', 'roots'],
      [126, 'water', 'roots', 'water'],
      [126, 'count 5r', '', 'water, rooting', 'pot-on'],
      [160, 'water, count 5r 3p', '…', '…', 'leaf-off'],
      [216, 'water', 'roots, pot-on, feed', 'water', 'light'],
    ],
  ],
  [
    'zamioculcas leaf: its stalk kept damp for months',
    { taxon: 'zamioculcas-zamiifolia', method: 'leaf' },
    [
      [0, 'cut', '', '…'],
      [3, 'set', '…', '…'],
      [5, 'water', '', 'water, rooting'],
      [9, '', 'water', 'rooting', 'roots'],
      [30, 'water', '', 'water, rooting', 'roots'],
      [55, 'water', 'roots', 'water'],
    ],
  ],
  [
    'trail with beads: just damp round its stem',
    { taxon: 'curio-rowleyanus', method: 'trailing' },
    [
      [0, 'cut', '', '…'],
      [1, 'set', '…', '…'],
      [3, 'water', '', 'water, rooting'],
      [9, '', 'water', 'rooting'],
      [20, 'water', 'roots', 'water'],
    ],
  ],
  [
    'burro’s-tail stem: dries, wrinkles, and waits for roots',
    { taxon: 'sedum-morganianum', method: 'trailing' },
    [
      [0, 'cut', '', '…'],
      [2, 'set', '…', '…'],
      [5, 'water, wrinkled', '…', '…', 'overdue'],
      [14, 'water', '', 'water, rooting', 'roots'],
      [20, 'water', 'roots', 'water'],
    ],
  ],
  [
    'frangipani: a thick bare branch, dried one to two weeks, dry until roots',
    { taxon: 'plumeria-rubra', method: 'branch', school: 'long-cure' },
    [
      [0, 'cut', '', 'drying, water'],
      [6, '', 'wound', 'drying, water', 'stick'],
      [9, '', '…', '…', 'first-water'],
      [12, 'set', '…', '…'],
      [14, 'water', '', 'water, rooting'],
      [29, '', '', 'water, rooting', 'water'],
      [30, '', '', 'water, rooting', 'roots'],
      [47, '', 'roots', 'water'],
    ],
  ],
  [
    'small mesemb, parted with a nick: shallow, and roots from three weeks on',
    { taxon: 'conophytum-minutum', method: 'division' },
    [
      [0, 'cut', '', 'drying, gate'],
      [2, 'set', '…', '…'],
      [4, 'water', '', '…'],
      [21, 'water', 'roots', 'water'],
    ],
  ],
  [
    'column of a cactus: weeks of drying',
    { taxon: 'cereus-hildmannianus', method: 'column', school: 'long-cure' },
    [
      [0, 'cut', '', 'drying, water'],
      [12, '', '', 'drying, water', 'stick'],
      [26, '', '…', '…', 'first-water'],
      // Cactus without roots drinks nothing: its first water waits for them.
      [40, 'set', '', 'water, rooting', 'first-water'],
      [47, '', 'roots', 'water', 'first-water'],
      [47, 'count 8r', 'first-water', '…'],
    ],
  ],
  [
    'root cutting: nearly dry, shoots in ten to fourteen weeks',
    { taxon: 'lampranthus-spectabilis', method: 'root-cutting' },
    [
      [0, 'cut', '', 'drying, gate'],
      [4, 'set', '…', '…'],
      [6, 'water', '', 'water, rooting'],
      [60, 'water', '', 'water, rooting', 'roots'],
      [70, 'water', 'roots', 'water'],
    ],
  ],
  [
    'bulbil: set with its stalk, watered at once',
    { taxon: 'agave-vilmoriniana', method: 'bulbil' },
    [
      [0, 'cut', 'stick', '', 'gate'],
      [0, 'set', 'first-water', '…'],
      [0, 'water', '', '…'],
      [10, 'water', '…', 'water'],
    ],
  ],
  [
    'flower stalk: a stem cutting that seldom takes',
    { taxon: 'haworthia-cooperi', method: 'flower-stalk' },
    [
      [0, 'cut', '', 'drying, gate'],
      [3, 'set', '…', '…'],
      [6, 'water', '', 'water, rooting'],
      [21, 'water', '', 'water, rooting', 'roots'],
      [46, 'water', 'roots', 'water'],
    ],
  ],
  [
    'from seed: dried two months, sown, kept damp, counted, pricked out at true leaves',
    { taxon: 'lithops-lesliei', method: 'seed', count: 50 },
    [
      [0, 'cut', '', 'drying', 'stick'],
      [59, '', '', 'drying', 'stick'],
      [60, '', 'stick', '…', 'overdue'],
      [60, 'set', 'first-water', '…'],
      [60, 'water', '', 'water, rooting', 'overdue'],
      [66, 'water', '', 'water, rooting'],
      [68, 'water', 'roots', 'water', 'overdue'],
      [68, 'count 30r', '', 'water, rooting', 'light'],
      [98, 'water, count 40r', '', 'water, rooting', 'pot-on'],
      [108, 'water, count 40r 30p', 'pot-on', '…', 'stick'],
    ],
  ],
  [
    'from a flask: hardened by steps',
    { taxon: 'haworthia-retusa', method: 'culture' },
    [
      [0, 'cut', 'stick', ''],
      [0, 'set', 'first-water', '…'],
      [0, 'water', '', '…'],
      [5, 'water', '', '…', 'air'],
      [6, '', 'air', '…'],
      [6, 'air', '', '…', 'air'],
      [12, 'water, air', '', '…', 'air'],
      [18, 'water, air', 'roots, light, feed', 'water', 'air'],
    ],
  ],
  [
    'notch leaf: laid on, plantlets looked for from two weeks on',
    { taxon: 'kalanchoe-tomentosa', method: 'leaf', course: 'notch' },
    [
      [0, 'cut', '', '…'],
      [2, 'set', '…', '…', 'water'],
      [5, '', 'first-water', 'rooting'],
      [5, 'mist', '', 'water, rooting'],
      [14, 'mist', 'roots', 'water', 'leaf-off'],
    ],
  ],
  [
    'snake plant pup with roots: potted at once, and never potted on again',
    { taxon: 'dracaena-trifasciata', method: 'rooted-offset', count: 2 },
    [
      [0, 'cut', 'stick', '', 'gate'],
      [0, 'set', 'first-water', 'rooting, shade'],
      [0, 'water', '', 'water, rooting, shade', 'pot-on'],
      [60, 'water, count 2r', '…', '…', 'pot-on'],
    ],
  ],
  [
    'snake plant, a cut division: its rhizome dries before it is watered',
    { taxon: 'dracaena-trifasciata', method: 'division' },
    [
      [0, 'cut', '', 'drying, gate', 'stick'],
      [5, 'set', '…', 'gate, rooting, shade', 'first-water'],
      [12, '', 'first-water', '…', 'pot-on'],
    ],
  ],
  [
    'alpine rosette without roots: shallow, and roots within two to three weeks',
    { taxon: 'sempervivum-tectorum', method: 'offset' },
    [
      [0, 'cut', '', 'drying, gate'],
      [2, 'set', '…', '…'],
      [4, 'water', '', 'water, rooting'],
      [10, '', '', 'water, rooting', 'roots'],
      [15, '', 'roots', 'water'],
    ],
  ],
];

describe.each(STORIES)('%s', (_name, fields, lines) => {
  it.each(lines.map((line, i) => [line[0], line[1], i] as const))('day %d %s', (n, _happens, i) => {
    const [, , asks, leaves, never] = lines[i]!;
    const state = storyState(fields, lines.slice(0, i + 1));
    const care = storyCare(state, n);
    const says = careWords(care);
    if (asks !== '…') expect(says.asks).toBe(asks);
    if (leaves !== '…') expect(says.leaves).toBe(leaves);
    if (never !== undefined) {
      const told = never === 'gate' ? care.leave : care.asks;
      expect(told.map((a) => a.kind)).not.toContain(never);
    }
  });
});

describe('the jar’s rhythm', () => {
  it.each([
    [23, 4],
    [30, 4],
    [19, 6],
    [15, 7],
    [5, 7],
  ])('at %d °C its water is changed every %d days', (tempC, days) => {
    expect(jarChangeDays(tempC)).toBe(days);
  });
});
