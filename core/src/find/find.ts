import * as say from '@hypogeon/messages/core-find-find';
import { memoBy } from '../memo';
import { benchLines, placeOf, plantOf, plants, placesIn, statusOf, type Status } from '../bench';
import type { Day } from '../days';
import type { State } from '../journal';
import { foldText, matches, startsIn, wordsOf } from '../text';

export type FoundKind =
  'batch' | 'tray' | 'mother' | 'plant' | 'mix' | 'space' | 'order' | 'trial' | 'page';

/** Something that can be found by typing, and where it opens. */
export interface Findable {
  readonly kind: FoundKind;
  readonly id: string;
  readonly title: string;
  readonly says: string;
  /** Folded: what the words are looked for in. */
  readonly text: string;
  readonly path: readonly string[];
}

/** A page of the application, as the shell names it. */
export interface Page {
  readonly title: string;
  readonly path: string;
}

const made = memoBy<State, readonly Findable[]>(2);

/** Everything in the journal, live batches first. Made once for a state and a day. */
export function findables(
  state: State,
  today: Day,
  statusText: (status: Status) => string,
  pages: readonly Page[] = [],
): readonly Findable[] {
  return made(state, today, () => gatherFindables(state, today, statusText, pages));
}

function gatherFindables(
  state: State,
  today: Day,
  statusText: (status: Status) => string,
  pages: readonly Page[],
): readonly Findable[] {
  return [
    ...pages.map((p): Findable => thing('page', p.path, p.title, 'page', [p.path])),
    ...benchLines(state, today)
      .toSorted(
        (a, b) =>
          Number(a.batch.stage === 'done') - Number(b.batch.stage === 'done') || a.age - b.age,
      )
      .map(({ batch, title, code, spaceName, text }): Findable => ({
        kind: 'batch',
        id: batch.id,
        title: `${title} ${code}`,
        says: [placeOf(state, batch), spaceName, statusText(statusOf(state, batch))]
          .filter(Boolean)
          .join(', '),
        text,
        path: ['/bench', batch.id],
      })),
    ...[...state.trays.values()]
      .filter((t) => !t.away)
      .map((t) =>
        thing(
          'tray',
          t.id,
          t.name ?? say.unnamed(),
          state.spaces.get(t.space ?? '')?.name ?? t.kind ?? 'tray',
          ['/bench/trays', t.id],
        ),
      ),
    ...[...state.mothers.values()].map((m) => {
      const plant = m.taxon === undefined ? undefined : plantOf(state, m.taxon)?.name;
      return thing('mother', m.id, m.name ?? say.unnamed(), plant ?? 'mother', ['/mothers', m.id]);
    }),
    ...[...state.orders.values()].map((o) =>
      thing(
        'order',
        o.id,
        o.who ?? say.order(),
        `${o.count ?? '?'} ${plantOf(state, o.taxon ?? '')?.name ?? ''}`,
        ['/bench/orders'],
      ),
    ),
    ...[...state.trials.values()].map((t) =>
      thing('trial', t.id, t.name ?? say.trial(), t.question ?? 'trial', ['/results/trials', t.id]),
    ),
    ...[...state.mixes.values()].map((m) =>
      thing('mix', m.id, m.name ?? say.mix(), 'mix', ['/mixes']),
    ),
    ...placesIn(state).map((s) =>
      thing('space', s.id, s.name ?? say.space(), s.light ?? 'bench', ['/settings/air', s.id]),
    ),
    ...plants(state).map((p) =>
      thing('plant', p.id, p.name, [p.taxon.family, ...p.taxon.common].join(', '), [
        '/plants',
        p.id,
      ]),
    ),
  ];
}

function thing(
  kind: FoundKind,
  id: string,
  title: string,
  says: string,
  path: readonly string[],
): Findable {
  return { kind, id, title, says, text: foldText(`${title} ${says} ${kind}`), path };
}

/**
 * What answers a query, best first: titles that begin with it, then titles that hold it, then the rest. A mother stands
 * before the batches that bear her name.
 * @param most at most so many
 */
export function find(all: readonly Findable[], query: string, most = 40): readonly Findable[] {
  const words = wordsOf(query);
  if (words.length === 0) return [];
  const [first] = words;
  const ranks: Findable[][] = [[], [], [], [], []];
  for (const item of all) {
    if (!matches(item.text, words)) continue;
    const title = foldText(item.title);
    const whole = words.every((word) => startsIn(title, word));
    const begins = title.startsWith(first!);
    const rank = whole ? (begins ? 0 : 2) + (item.kind === 'mother' ? 0 : 1) : 4;
    ranks[rank]!.push(item);
  }
  return ranks.flat().slice(0, most);
}
