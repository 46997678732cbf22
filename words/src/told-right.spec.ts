import type { Young } from '@hypogeon/core/botany';
import type { CourseId } from '@hypogeon/core/course';
import type { BatchFields } from '@hypogeon/core/journal';
import { batchIn, storyCare, storyDay, storyState } from '@hypogeon/core/testing';
import { askText, lateText, leaveReason, leaveText, reasonText, speechFor, stepName } from '.';

/*
 * Lives of growers' ways, read as they read them: day | what happens | what Today and the batch page say | what they
 * never say. Days count from the cut, at 22 °C and 55% RH unless a room is told. Common practice, no source.
 */

type Line = readonly [day: number, happens: string, says: RegExp | null, never?: RegExp];
interface Told {
  readonly fields: Partial<BatchFields>;
  readonly room?: {
    readonly tempC: number;
    readonly rh?: number;
    readonly lightLevel?: 'sun-sill';
  };
  readonly lines: readonly Line[];
}

const TRAY = { container: 'tray-4', mix: 'thirds' } as const;
const GRIT = { container: 'pot-12', mix: 'all-mineral' } as const;

const LIVES: Readonly<Record<string, Told>> = {
  'leaves in a tray, some with roots: sprayed, then sips, never a litre': {
    fields: { taxon: 'echeveria-elegans', method: 'leaf', count: 10, ...TRAY },
    lines: [
      [0, 'cut', /Let it dry.*No water until.*Laid pieces stay dry for three days/, /Water,/],
      [2, 'set', /Laid pieces stay dry for three days/, /ASK/],
      [5, 'mist', /No water until/, /Touch one wound|Water,/],
      [8, '', /Look for roots where they lie/, /Tug/],
      [9, 'count 3r', /Mist/, /Water,|Soak| L\b|real drink|Tug/],
      [10, 'mist', /misted until they hold in the mix, never soaked/, /ASK Water|Soak/],
      [13, '', /Mist/, /Water, about|Soak| L\b/],
      [20, 'count 8r', /Mist/, / L\b|real drink/],
      [34, 'mist', null, /soak|Soak| L\b/],
      [
        38,
        '',
        /Sips at the base, about 80 mL in all, 8 leaves.*Mist those without roots/,
        / L\b|Soak/,
      ],
      [38, 'water', /2 of 10: long without roots.*firm ones may lie on/, /fresh cut/],
    ],
  },
  'plantlets in coir: crumbs, never a litre': {
    fields: {
      taxon: 'kalanchoe-daigremontiana',
      method: 'plantlet',
      count: 30,
      container: 'tray-4',
      mix: 'coir',
    },
    lines: [
      [0, 'cut, set', /First misting/, /Soak| L\b/],
      [1, 'mist', /It has its roots; new growth will tell/, /Roots are not expected|Water,| L\b/],
      [3, '', /Mist/, / L\b|Soak/],
      [10, 'count 28r', null, /fresh cut|Tug/],
      [
        20,
        '',
        /See whether it has taken hold.*Not yet, and not given up. Of the 2 that wait about \d in 10 make it/,
        /fresh cut|long without| L\b/,
      ],
    ],
  },
  'bared roots into a wet mix, pot and mix untold: days without water': {
    fields: { taxon: 'echeveria-elegans', method: 'crown', count: 4 },
    lines: [
      [0, 'cut', null],
      [4, 'set', null],
      [8, 'water', null],
      [30, 'count 4r', null],
      [
        59,
        'potted 4 bared wet',
        /No water until.*Set in wet mix today/,
        /Water\b.*late|Last water/,
      ],
      [63, '', /No water until/, /ASK Water/],
      [75, '', /Water/, /59 days/],
    ],
  },
  'burro’s tail: fat beads keep drier, and nothing is late without roots': {
    fields: { taxon: 'sedum-morganianum', method: 'trailing', count: 6 },
    lines: [
      [0, 'cut', null],
      [4, 'set', null],
      [9, 'water', /small drink when bone dry/, /just damp|every 4 days/],
      [20, '', /small drink when bone dry/, /days late|ASK Water/],
      [35, '', null, /Water \(\d+ days late/],
    ],
  },
  'pearls: thin trails, the surface damp': {
    fields: { taxon: 'curio-rowleyanus', method: 'trailing', count: 6 },
    lines: [
      [0, 'cut', null],
      [2, 'set', null],
      [5, 'water', /just damp round the stem/, /bone dry/],
    ],
  },
  'a jade in grit, dry until roots: that is what it means': {
    fields: { taxon: 'crassula-ovata', method: 'branch', count: 3, containers: 3, ...GRIT },
    lines: [
      [0, 'cut', null],
      [10, 'set', /dry until they show, look/, /First water/],
      [30, '', /dry until they show/, /First water|late|still lives/],
      [46, '', /Tug lightly: roots\?/, /First water|still lives|wrinkling is likely/],
      [50, 'count 2r', /First water.*Roots show: the first real drink/, /small drink/],
    ],
  },
  'a lone tacky look far past its time: look again soon, the date is only a bound': {
    fields: { taxon: 'crassula-ovata', method: 'crown', count: 6, widthMm: 5 },
    lines: [
      [0, 'cut', null],
      [20, 'tacky', /Still tacky, far slower than its like.*Touch it again Fri 27 Mar/],
      [24, '', null, /Touch one wound/],
      [26, '', /Touch one wound/],
      // Not touched on its day, it is for today, not for a day that is gone.
      [29, '', /Touch it again today/, /again (yesterday|Fri 27 Mar)/],
      [29, 'firm', null, /Touch one wound|far slower/],
    ],
  },
  'of twenty that are safe nine times in ten, two may be open still': {
    fields: { taxon: 'echeveria-elegans', method: 'crown', count: 20 },
    lines: [
      [0, 'cut', null],
      [4, 'set', null],
      [5, '', /First water.*About [12] of them may be open still/],
      [30, '', /First water/, /may be open still/],
    ],
  },
  'seed: sown on its day, misted until it is up, never a litre': {
    fields: { taxon: 'echeveria-elegans', method: 'seed', count: 60, ...TRAY },
    lines: [
      [0, 'cut', /Seed is kept dry and airy/, /Water,|roots/],
      [60, 'set', null],
      [60, 'mist', null, / L\b|Soak/],
      [62, '', /ASK Mist.*Sown: the surface kept just damp until they are up/, / L\b|Young roots/],
      [75, 'count 30r', /ASK Mist.*Young roots/, / L\b|without roots|tug/i],
      [90, '', /Sips at the base.*30 seedlings/, /Mist those without roots| L\b/],
    ],
  },
  'plants from a flask: crumbs, their air opened by steps': {
    fields: { taxon: 'haworthia-retusa', method: 'culture', count: 10, ...TRAY },
    lines: [
      [0, 'cut, set, mist', null],
      [3, '', /ASK Mist/, / L\b|Water,/],
      [12, '', /Sips at the base, about 100 mL in all[^,]/, / L\b|, 0 plants|without roots/],
    ],
  },
  'leaves that are propped: bare until root points show, then leaned under a damp layer': {
    fields: {
      taxon: 'echeveria-elegans',
      method: 'leaf',
      count: 8,
      course: 'propped',
      container: 'pot-7',
      containers: 8,
      mix: 'all-mineral',
    },
    lines: [
      [0, 'cut', /Leave alone/, /Let it dry|No water until|Touch/],
      [3, '', null, /Set 8|Touch|First/],
      [8, '', /Look for root points.*leaned in their mix, damp on top/],
      [12, 'count 6r', /Set 6/, /Set 8|Set 2/],
      [12, 'set 6', null],
      [13, 'water', null],
      [20, '', /Water, about \d+ mL each, 6 leaves/, /Set 2/],
    ],
  },
  'bare leaves: no can comes near, so nothing is said of their wounds': {
    fields: { taxon: 'crassula-ovata', method: 'leaf', count: 8, course: 'bare' },
    lines: [
      [0, 'cut', /Leave alone/, /No water until|Touch/],
      [2, '', null, /No water until|Touch/],
    ],
  },
  'a root cutting: a sip once, late for nothing': {
    fields: {
      taxon: 'haworthia-retusa',
      method: 'root-cutting',
      count: 3,
      container: 'pot-7',
      containers: 3,
      mix: 'all-mineral',
    },
    room: { tempC: 16 },
    lines: [
      [0, 'cut', null],
      [3, 'set', null, /ASK Tug|Touch/],
      [40, '', /First water/, /late|still lives|Tug/],
      [90, 'count 2r', null, /First water[^|]*late/],
    ],
  },
  'a section in a jar: its base end under, never a stem': {
    fields: { taxon: 'dracaena-trifasciata', method: 'leaf-section', count: 4, course: 'water' },
    lines: [
      [0, 'cut', null],
      [3, 'set', null],
      [6, '', /Move the water.*base end only just under/, /stem/],
    ],
  },
  'a section’s buds and shoots: counted by themselves, looked at again, parted in the pot': {
    fields: { taxon: 'dracaena-trifasciata', method: 'leaf-section', count: 6, ...GRIT },
    lines: [
      [0, 'cut', null],
      [5, 'set', null],
      [60, 'count 5r 3b', null],
      [62, '', /Leave alone/, /Look for new shoots/],
      [63, 'water', null],
      [74, '', /ASK Look for new shoots.*5 with roots, 0 with new shoots and 3 with a bud/],
      [76, 'count 2r 3p 5h', null],
      [110, '', /Pot on.*5 in all: part them as you pot/],
    ],
  },
  'a chosen day is kept to, its risk beside it; what is laid open again goes by its wound': {
    fields: { taxon: 'echeveria-elegans', method: 'crown', count: 4, firstWater: 'next-day' },
    lines: [
      [
        0,
        'cut',
        /No water until Thu 5 Mar.*A day after setting, as you chose/,
        /No water until Fri/,
      ],
      [1, 'set', /No water until.*A day after setting, as you chose, with the cut still open/],
      [2, '', /ASK First water.*as you chose, with the cut still open: it may rot/, /late/],
      [3, 'torn', /No water until/, /ASK First water|as you chose/],
    ],
  },
  'a frangipani: firmed in, weeks without a drink': {
    fields: { taxon: 'plumeria-rubra', method: 'branch', count: 2, containers: 2, ...GRIT },
    lines: [
      [0, 'cut', null],
      [14, 'set', /dry until they show/, /First water|Touch/],
      [43, '', /dry until they show/, /First water|still lives|late/],
    ],
  },
  'a jade in a cold winter: nothing is late, nothing is cool and thirsty': {
    fields: { taxon: 'crassula-ovata', method: 'branch', count: 3, containers: 3, ...GRIT },
    room: { tempC: 10 },
    lines: [
      [0, 'cut', null],
      [14, 'set', /dry until they show/, /First water/],
      [60, '', /No water/, /wrinkling is likely|days late|small drink/],
    ],
  },
  'rooted and at rest in the cold: nearly dry, a little now and then': {
    fields: { taxon: 'crassula-ovata', method: 'branch', count: 3, containers: 3, ...GRIT },
    room: { tempC: 8 },
    lines: [
      [0, 'cut', null],
      [14, 'set', null],
      [50, 'count 3r', null],
      [51, 'water', /It rests: cool and nearly dry/, /wrinkling|ASK Feed/],
      [79, '', /It rests: cool and nearly dry/, /wrinkling is likely|days late/],
      [130, '', /ASK A little water.*It rests: nearly dry; a little/, /days late/],
    ],
  },
  'leaves at 32 °C: hot, not cool, and no step into the sun': {
    fields: { taxon: 'echeveria-elegans', method: 'leaf', count: 20, ...TRAY },
    room: { tempC: 32, rh: 0.35 },
    lines: [
      [0, 'cut', null],
      [2, 'set', null],
      [5, 'mist', null],
      [14, 'count 10r', /Mist.*Too hot for it to grow: shade/, /cool|more light| L\b/],
      [20, '', null, /more light|cool and/],
    ],
  },
  'a strap leaf: cut, stood, watered; its shoots, not its own growth': {
    fields: { taxon: 'dracaena-trifasciata', method: 'leaf', count: 4, dryDays: 0.25 },
    lines: [
      [0, 'cut', /Set 4 strap leaves.*Some hours to dry, as you chose/, /Let it dry|hollow/],
      [1, 'set', /The cut is/, /Touch one wound/],
      [8, 'water', /small drink/, /[Mm]ist/],
      [110, 'count 3r', null, /[Mm]ist|mother leaf/],
      [120, 'count 3r 2p', null, /mother leaf|Is the/],
      [128, '', /Look for new shoots/, /mother leaf|pups/],
      [150, 'water', /Pot on 1 strap leaf.*The old piece never grows on/, /mother leaf|crisp/],
    ],
  },
  'a strap leaf in a jar: its own end under, watered after weaning': {
    fields: { taxon: 'dracaena-trifasciata', method: 'leaf', count: 4, course: 'water' },
    lines: [
      [0, 'cut', null],
      [4, '', /The end that stood lower under/, /stalk/],
      [5, 'set', /Leave the jar/, /Touch|sets roots back/],
      [80, 'change, count 4r', null, /sets roots back/],
      [95, 'wean', /First water/, /[Mm]ist/],
      [95, 'water', /moist for two weeks, then drier by steps/, /[Mm]ist|real drink/],
    ],
  },
  'a stalk in a trench: watered, not misted; no wound is dug up': {
    fields: { taxon: 'kalanchoe-blossfeldiana', method: 'leaf', count: 6 },
    lines: [
      [0, 'cut', null],
      [2, 'set', null, /Touch|[Mm]ist/],
      [4, 'water', /just damp round the stem/, /[Mm]ist/],
      [22, 'count 5r', null, /[Mm]isting|long without/],
    ],
  },
  'leaves through a glass: a look costs nothing': {
    fields: { taxon: 'crassula-ovata', method: 'crown', course: 'water', count: 4 },
    lines: [
      [0, 'cut', null],
      [5, 'set', /Leave the jar/, /Touch one wound/],
      [14, 'change, count 0r', /Looked at lately/, /sets roots back/],
    ],
  },
  'seed: gathered, dried, sown, pricked out at true leaves': {
    fields: { taxon: 'lithops-lesliei', method: 'seed', count: 40 },
    lines: [
      [
        0,
        'cut',
        /Let it dry until.*kept dry and airy for about 9 weeks/,
        /own roots|without roots|ASK/,
      ],
      [60, '', /Sow 40 seeds/, /own roots|long without|fresh cut/],
      [
        60,
        'set',
        /First misting. Sown: the surface kept just damp/,
        /long without|round the roots/,
      ],
      [60, 'water', /Seedlings are not expected sooner/, /roots/i],
      [72, 'water, count 20r', null, /sets roots back|Pot on/],
      [100, 'water, count 30r', null, /Pot on|fresh cut/],
      [101, '', /Looked at lately/, /long without roots|sets roots back/],
      [120, 'water, count 5r 25p', /Pot on 25 seedlings.*each by its leaf/, /seeds\b/],
    ],
  },
  'from a flask: the air is opened by steps': {
    fields: { taxon: 'haworthia-cooperi', method: 'culture', count: 12 },
    lines: [
      [0, 'cut, set, water', /new growth will tell/, /A step more air/],
      [6, '', /A step more air, 1 of 3.*a finger wider/],
      [12, 'air, water', /A step more air, 2 of 3/],
      [19, 'air, air, water', null, /more air/],
    ],
  },
  'an offset that rolled off by itself roots where it lies': {
    fields: { taxon: 'jovibarba-globifera', method: 'offset', count: 8, opening: 'parted' },
    lines: [
      [0, 'cut', /Lay 8 offsets on the mix.*it came away by itself/, /Let it dry|own roots/],
      [0, 'set', /Laid pieces stay dry for three days/, /settles the mix/],
      [4, 'mist', null, /Touch|Tug/],
      [12, '', /Look for roots where they lie/, /Tug/],
    ],
  },
  'a clump parted and watered in at once: nobody nags': {
    fields: {
      taxon: 'dracaena-trifasciata',
      method: 'division',
      count: 3,
      firstWater: 'at-once',
      school: 'straight-in',
      callusAt: 'medium',
    },
    lines: [
      [0, 'cut, set', /At once, as you chose, with the cut still open: it may rot/],
      [0, 'water', /Bone dry, then soak/, /Touch|early|still open/],
      [5, '', /new growth will tell/, /Touch|Roots are not expected/],
    ],
  },
  'a root cutting in the cool: nearly dry, told by shoots, never dug': {
    fields: { taxon: 'asclepias-tuberosa', method: 'root-cutting', count: 5 },
    room: { tempC: 10 },
    lines: [
      [0, 'cut', null],
      [5, 'set', /Shoots are not expected sooner/, /Tug|Roots are not/],
      [20, 'water', null, /Tug/],
      [80, '', /Look for shoots/, /Tug|dig/],
    ],
  },
  'a finger or a meter speaks where the pot is not told': {
    fields: { taxon: 'echeveria-elegans', method: 'crown', count: 4 },
    lines: [
      [0, 'cut', null],
      [4, 'set', null],
      [8, 'water', null],
      [24, 'count 4r', null],
      [25, 'water', /No water until/],
      [37, '', /ASK Water/],
      [37, 'felt moist', /No water until.*Felt moist today/, /ASK Water/],
      [41, '', /ASK Water.*Felt moist 4 days ago/],
    ],
  },
  'gnats: dried out, grit on top': {
    fields: { taxon: 'echeveria-elegans', method: 'crown', count: 4 },
    lines: [
      [0, 'cut', null],
      [4, 'set', null],
      [8, 'water', null],
      [24, 'count 4r', null],
      [25, 'water', null],
      [40, 'sign gnats', /Hold the water.*Gnats.*grit on top/, /ASK Water/],
      [47, '', /Look again.*Gnats/],
    ],
  },
  'without roots on a sunny sill: shade at noon is said, with roots no more': {
    fields: { taxon: 'echeveria-elegans', method: 'offset', count: 4 },
    room: { tempC: 24, lightLevel: 'sun-sill' },
    lines: [
      [0, 'cut', /Shade at noon until/],
      [5, 'set', /Shade at noon until .*Without roots it cannot drink/],
      [24, 'water, count 4r', null, /Shade at noon/],
    ],
  },
  'in a glass without a hole: measured, for nothing can run out': {
    fields: {
      taxon: 'echeveria-elegans',
      method: 'crown',
      count: 1,
      container: 'glass-9',
      mix: 'half-and-half',
    },
    lines: [
      [0, 'cut', null],
      [4, 'set', null],
      [8, 'water', null],
      [24, 'count 1r', null],
      [36, '', /ASK Water, about \d+ mL; nothing can run out/],
    ],
  },
  'fed never: nobody asks': {
    fields: { taxon: 'echeveria-elegans', method: 'crown', count: 4, feeding: 'never' },
    lines: [
      [0, 'cut', null],
      [4, 'set', null],
      [24, 'water, count 4r', null],
      [45, 'water', null, /ASK Feed/],
    ],
  },
  'food comes in a drink: never asked for while the can is kept away': {
    fields: { taxon: 'crassula-ovata', method: 'branch', count: 3, containers: 3, ...GRIT },
    lines: [
      [0, 'cut', null],
      [10, 'set', null],
      [50, 'count 3r', null],
      [50, 'water', null],
      // Two weeks after roots it would be fed; its pot is wet still.
      [66, '', /No water until/, /ASK Feed/],
      [90, '', /ASK Soak.*ASK Feed at half strength, in its drink/],
      [90, 'water', /ASK Feed at half strength, in its drink.*No water until/],
      [91, 'feed', /No water until/, /ASK Feed/],
    ],
  },
  'kept dry until it has roots: so it is from the cut on, on every face': {
    fields: { taxon: 'opuntia-ficus-indica', method: 'pad', count: 2, containers: 2, ...GRIT },
    lines: [
      [0, 'cut', /No water until.*dry until they show, look/, /afe to water/],
      [8, '', /No water until.*dry until they show, look/, /afe to water/],
      [15, 'set', /No water until.*dry until they show, look/, /afe to water/],
    ],
  },
  'leaves that are laid: one day for their first mist, while they dry as after': {
    fields: { taxon: 'echeveria-elegans', method: 'leaf', count: 20, ...TRAY },
    lines: [[0, 'cut', /Let it dry until.*No water until Fri 6 Mar/, /afe to water/]],
  },
  'potted on by and by: those newly potted drink and stand in shade, not the others': {
    fields: { taxon: 'echeveria-elegans', method: 'crown', count: 6, ...TRAY },
    lines: [
      [0, 'cut', null],
      [4, 'set', null],
      [22, 'count 3r', null],
      [23, 'water', null],
      [32, 'count 6r', null],
      [50, 'potted 3', /First drink in the pot, 3 crowns.*Keep 3 crowns shaded until/],
      [50, 'water', /Keep 3 crowns shaded until/, /First drink in the pot/],
      [60, '', /Pot on 3 crowns/, /shaded/],
      [60, 'potted 3', /First drink in the pot, 3 crowns/, /6 crowns/],
    ],
  },
  'trails fill one pot together, and stay in it': {
    fields: { taxon: 'curio-rowleyanus', method: 'trailing', count: 5, ...GRIT },
    lines: [
      [0, 'cut', null],
      [2, 'set', null],
      [5, 'water', null],
      [24, 'count 5r', null],
      [60, 'water', null, /Pot on/],
      [80, 'sign roots-out', /Pot on 5 trails/],
    ],
  },
  'one in a pot of its own is not potted on; in a tray it is': {
    fields: { taxon: 'crassula-ovata', method: 'branch', count: 1, ...GRIT },
    lines: [
      [0, 'cut', null],
      [10, 'set', null],
      [50, 'count 1r', null],
      [85, 'water', null, /Pot on/],
    ],
  },
  'root pieces: their shoots are the plants, and no other heads are waited for': {
    fields: { taxon: 'asclepias-tuberosa', method: 'root-cutting', count: 5, ...TRAY },
    lines: [
      [0, 'cut', null],
      [5, 'set', null],
      [80, 'count 5r', null, /Look for/],
      [95, 'water', null, /Look for/],
      [110, '', /Pot on 5 root pieces.*Shoots for four weeks/, /Look for/],
    ],
  },
  'roots left in their old pot: nothing is cut, set or dug': {
    fields: { taxon: 'haworthia-retusa', method: 'root-cutting', count: 1, opening: 'parted' },
    lines: [
      [0, 'cut', /Leave 1 root piece in the pot\. Nothing to dig/, /Touch|Let it dry|came away/],
      [0, 'set', /Shoots are not expected sooner/, /Tug|Touch|dig/],
      [75, '', /Look for shoots/, /Tug/],
    ],
  },
};

describe.each(Object.entries(LIVES))('%s', (_name, { fields, room, lines }) => {
  it.each(lines.map((line, i) => [line[0], line[1], i] as const))('day %d %s', (n, _happens, i) => {
    const [, , says, never] = lines[i]!;
    const bench = room
      ? [
          {
            kind: 'put' as const,
            record: 'space' as const,
            day: storyDay(0),
            key: 'bench',
            fields: { rh: 0.55, ...room },
          },
        ]
      : [];
    const state = storyState(fields, lines.slice(0, i + 1), bench);
    const { asks, leave } = storyCare(state, n);
    const speech = speechFor(state, { locale: 'en-GB', today: storyDay(n) });
    expect(batchIn(state).id).toBe('b1');
    const told = [
      ...asks.map((a) => {
        const late = lateText(a);
        return `ASK ${askText(a, speech)}${late ? ` (${late})` : ''}. ${reasonText(a.reason, speech)}`;
      }),
      ...leave.map((l) => `let ${leaveText(l, speech)}. ${leaveReason(l, speech)}`),
    ].join(' | ');
    if (says) expect(told).toMatch(says);
    if (never) expect(told).not.toMatch(never);
  });
});

describe('stations of a life', () => {
  const named = (course: CourseId, young: Young): string =>
    (['cut', 'stick', 'roots', 'pups'] as const)
      .map((id) => stepName({ id }, course, young))
      .join(', ');

  it('are named by what the piece is: seed, strap, root', () => {
    expect(named('seed', 'true-leaves')).toBe('Gathered, Sow, Seedlings, True leaves');
    expect(named('dried', 'shoots')).toBe('Cut, Set, Roots, New shoots');
    expect(named('root-cutting', 'heads')).toBe('Cut, Set, Shoots, New heads');
    expect(named('water', 'pups')).toBe('Cut, Into the jar, Roots, Pups');
  });
});
