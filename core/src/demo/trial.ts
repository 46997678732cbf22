import { addDays, type Day } from '../days';
import type { Counts, Outcome } from '../journal';
import { randomFrom } from '../stats';
import { trialLayout } from '../trial';
import type { DemoDraft } from './draft';

const NAME = 'Cinnamon or nothing';
const EACH = 24;
const COLUMNS = 8;
const SEED = 4711;
const CUT_AGO = 190;
const JUDGED_AFTER = 45;
const ARMS = [
  { name: 'Nothing', value: 'none', rooted: 15, rotted: 5, dried: 3 },
  { name: 'Ground cinnamon', value: 'cinnamon', rooted: 17, rotted: 3, dried: 4 },
] as const;

/** The volunteers' one trial: two ways by lot over a tray, judged once, and not told apart. */
export function demoTrial(today: Day): readonly DemoDraft[] {
  const cutOn = addDays(today, -CUT_AGO);
  const judgeOn = addDays(cutOn, JUDGED_AFTER);
  const layout = trialLayout(ARMS.length, EACH, COLUMNS, SEED);
  const same = { taxon: 'adromischus-cooperi', method: 'leaf', space: 'shelf', cutOn } as const;
  return [
    {
      kind: 'put',
      record: 'trial',
      day: cutOn,
      key: 't-cinnamon',
      fields: {
        ...same,
        name: NAME,
        question: 'Half of us dust every wound, the other half never do.',
        factor: 'aid',
        arms: ARMS.map(({ name, value }) => ({ name, value })),
        each: EACH,
        usual: 0.6,
        better: 0.95,
        power: 0.8,
        columns: COLUMNS,
        seed: SEED,
        judgeOn,
      },
    },
    ...ARMS.flatMap((arm, index): DemoDraft[] => {
      const batch = `t-cinnamon-${index}`;
      const cells = layout.flatMap((a, cell) => (a === index ? [cell] : []));
      return [
        {
          kind: 'put',
          record: 'batch',
          day: cutOn,
          key: batch,
          fields: {
            ...same,
            count: EACH,
            school: 'dry-to-touch',
            callusAt: 'rack',
            disinfectant: 'alcohol',
            place: 'Trial tray',
            columns: COLUMNS,
            aid: arm.value,
            trial: 't-cinnamon',
            arm: index,
            cells,
          },
        },
        { kind: 'cut', day: cutOn, batch },
        { kind: 'stuck', day: addDays(cutOn, 3), batch },
        { kind: 'watered', day: addDays(cutOn, 8), batch, how: 'misted' },
        { kind: 'tally', day: addDays(cutOn, 21), batch, counts: soFar(arm, 0.4) },
        { kind: 'tally', day: judgeOn, batch, places: placesOf(arm, index) },
        { kind: 'tally', day: judgeOn, batch, counts: soFar(arm, 1) },
        { kind: 'ended', day: addDays(judgeOn, 20), batch },
      ];
    }),
  ];
}

type Arm = (typeof ARMS)[number];

const soFar = ({ rooted, rotted, dried }: Arm, share: number): Counts => ({
  rooted: Math.round(rooted * share),
  pupped: 0,
  rotted: Math.round(rotted * share),
  dried: Math.round(dried * share),
  lost: 0,
});

/** Where in its cells each came to what: by lot, so that no row of the tray is all of one. */
function placesOf({ rooted, rotted, dried }: Arm, index: number): Record<string, Outcome> {
  const random = randomFrom(SEED + index);
  const order = Array.from({ length: EACH }, (_, i) => ({ i, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ i }) => i);
  const outcome = (n: number): Outcome =>
    n < rooted
      ? 'rooted'
      : n < rooted + rotted
        ? 'rotted'
        : n < rooted + rotted + dried
          ? 'dried'
          : 'waiting';
  return Object.fromEntries(order.map((i, n) => [String(i), outcome(n)]));
}
